import { fieldsOf } from './fields'
import type { Problem } from '../problem'

/** What every document has, whatever its kind. */
export interface AnyDocument {
  id: string
  title: string
}

/** Takes a parsed file from one version to the next. Changes nothing of what it is given. */
export type Migration = (file: Record<string, unknown>) => Record<string, unknown>

/** Brings a file of the present version to today's form. Idempotent; returns the same object where nothing is to do. */
export type Normaliser = (file: Record<string, unknown>) => Record<string, unknown>

/** A class with class-validator's decorators. */
export type RecordClass = new () => object

/**
 * One kind of document: what its records are and how they are checked. Everything that reads, keeps, edits, undoes,
 * exports or imports documents works from this alone.
 */
export interface DocumentKind<D extends AnyDocument> {
  /** As it is said to the coach: "the file is not a chart". */
  readonly name: string
  /** What the file's `format` field says, and the version that this build writes. */
  readonly format: string
  readonly version: number
  /** What file names end in. */
  readonly extension: string
  /**
   * The decorated class of the whole, and the classes of the records in its lists. The keys are the fields that are
   * lists.
   */
  readonly root: RecordClass
  readonly lists: Readonly<Record<string, RecordClass>>
  /** How many records a list may have, for the lists where more would be no document that anyone works with. */
  readonly most?: Readonly<Record<string, number>>
  /** What a record is known by within its list, where that is not its `id`. */
  keyOf?: (list: string, record: object) => string
  /** From the oldest version that this build reads, gap-free, to `version`. */
  readonly migrations: readonly Migration[]
  readonly normalisers: readonly Normaliser[]
  /** What ties the records together: unique ids, references. The document has passed the check of its records. */
  checkReferences: (document: D) => Problem[]
  /** How large the document is, in its main records. */
  sizeOf: (document: D) => number
}

/** The oldest version that this build reads. */
export const oldestVersion = <D extends AnyDocument>({ version, migrations }: DocumentKind<D>): number =>
  version - migrations.length

/** What of a kind says by what its records are known. */
export type Keys = Pick<DocumentKind<AnyDocument>, 'keyOf'>

/** What a record is known by within its list. */
export function keyOfRecord(kind: Keys, list: string, record: object): string {
  return kind.keyOf?.(list, record) ?? String(fieldsOf(record).id)
}
