import { fieldsOf } from '../core/document/fields'
import { diffOf } from '../core/document/diff'
import type { Past, Step } from '../core/document/history'
import type { AnyDocument, DocumentKind } from '../core/document/kind'
import { modernisePast } from '../core/document/modernise'
import { checkDocument, checkEdit } from '../core/document/read'
import { sharing } from '../core/document/sharing'
import { failure, success, type Result } from '../core/problem'
import { statesOf, stepsOf, type Database, type StoredDocument } from './database'
import { inTransaction } from './transaction'

/* Documents as a whole, of any kind: listing, adding, reading, and the bin. What happens inside one is the editor's. */

/** A line of the list of documents. */
export interface DocumentEntry {
  id: string
  title: string
  savedAt: number
  /** In the main records of its kind: positions of a chart. */
  size: number
  removedAt?: number
}

/** A document with its steps, as it was kept. */
export interface Kept<D> extends Past<D> {
  revision: number
  savedAt: number
  /** False: the store has it in an older form, steps too, because it could not be written back. */
  isModern: boolean
}

/** A kind whose documents are of no matter here. */
type Kind = Pick<DocumentKind<AnyDocument>, 'name'>

const everyOne = ({ name }: Kind) => IDBKeyRange.bound([name], [name, []])

/** All documents of a kind as they are kept, those in the bin too; not checked. */
export const storedOf = (db: Database, kind: Kind): Promise<StoredDocument[]> => db.getAll('documents', everyOne(kind))

/** The list of all documents of a kind, those in the bin too, the last saved first. */
export async function listDocuments<D extends AnyDocument>(
  db: Database,
  kind: DocumentKind<D>,
): Promise<DocumentEntry[]> {
  const stored = await storedOf(db, kind)
  return stored
    .map(({ document, savedAt, removedAt }) => ({
      ...entryOf(kind, document as D, savedAt),
      ...(removedAt === undefined ? {} : { removedAt }),
    }))
    .sort((a, b) => b.savedAt - a.savedAt)
}

export function entryOf<D extends AnyDocument>(kind: DocumentKind<D>, document: D, savedAt: number): DocumentEntry {
  return { id: document.id, title: document.title, savedAt, size: sizeOf(kind, document) }
}

/** What is kept is not checked before it is opened, and has to be listed all the same. */
function sizeOf<D extends AnyDocument>(kind: DocumentKind<D>, document: D): number {
  try {
    return kind.sizeOf(document)
  } catch {
    return 0
  }
}

/** Keeps a document that is not kept yet. Rejects when its id is taken. */
export async function addDocument<D extends AnyDocument>(
  db: Database,
  kind: DocumentKind<D>,
  document: D,
  now: number,
): Promise<void> {
  const { name, normalisers } = kind
  const row = { kind: name, id: document.id, document, normalised: normalisers.length }
  await db.add('documents', { ...row, revision: 1, savedAt: now, done: 0 })
}

/** Puts a document in the bin, or (null) takes it out again. One that is gone stays gone. */
export async function setRemoved(db: Database, kind: Kind, id: string, removedAt: number | null): Promise<void> {
  await inTransaction(db, ['documents'], async (tx, write) => {
    const documents = tx.objectStore('documents')
    const stored = await documents.get([kind.name, id])
    if (!stored) return
    const { removedAt: _, ...rest } = stored
    write(documents.put({ ...rest, revision: rest.revision + 1, ...(removedAt === null ? {} : { removedAt }) }))
  })
}

/** Forgets a document, its steps, how it was looked at and how it was exchanged, for good. */
export async function forgetDocument(db: Database, kind: Kind, id: string): Promise<void> {
  await inTransaction(db, ['documents', 'steps', 'views'], (tx, write) => {
    write(tx.objectStore('documents').delete([kind.name, id]))
    write(tx.objectStore('steps').delete(stepsOf(kind.name, id)))
    if (kind.name !== 'chart') return
    write(tx.objectStore('views').delete(id))
    for (const direction of ['given', 'taken'] as const)
      write(tx.objectStore('documents').delete(statesOf(direction, id)))
  })
}

/** A document as it is kept, whatever its form, for saving it elsewhere; undefined where there is none. */
export async function rawDocument(db: Database, kind: Kind, id: string): Promise<object | undefined> {
  return (await db.get('documents', [kind.name, id]))?.document
}

/**
 * A document with its steps, through the same checks as a file. What an earlier build wrote is brought to today's form
 * and written back in one transaction; until that is done the old stays. Null where there is none; problems where it is
 * not sound, and then nothing is changed. `known`: a sound document that it is held against, so that only what another
 * tab has changed has to be checked, and all else stays the same objects.
 */
export async function readKept<D extends AnyDocument>(
  db: Database,
  kind: DocumentKind<D>,
  id: string,
  known?: D,
): Promise<Result<Kept<D>> | null> {
  const tx = db.transaction(['documents', 'steps'])
  const [stored, steps] = await Promise.all([
    tx.objectStore('documents').get([kind.name, id]),
    tx.objectStore('steps').getAll(stepsOf(kind.name, id)),
  ])
  if (!stored) return null
  const { document, done, revision, savedAt } = stored
  if (stored.normalised === kind.normalisers.length && fieldsOf(document).version === kind.version) {
    const read = checked(kind, document as D, known)
    if (!read.ok) return read
    return success({ document: read.value, steps: steps as unknown as Step[], done, revision, savedAt, isModern: true })
  }
  const past = modernisePast(kind, { document, steps, done })
  if (!past.ok) return past
  const isModern = await writeBack(db, kind, stored, past.value).catch(() => false)
  return success({ ...past.value, revision, savedAt, isModern })
}

function checked<D extends AnyDocument>(kind: DocumentKind<D>, document: D, known: D | undefined): Result<D> {
  const shared = known ? sharing(known, document) : document
  const problems = known ? checkEdit(kind, shared, diffOf(kind, known, shared)) : checkDocument(kind, document)
  return problems.length ? failure(...problems) : success(shared)
}

/** Puts the modern form in the place of the old, unless another tab was there before. Whether the store has it now. */
async function writeBack<D extends AnyDocument>(
  db: Database,
  { name, normalisers }: DocumentKind<D>,
  stored: StoredDocument,
  { document, steps }: Past<D>,
): Promise<boolean> {
  return inTransaction(db, ['documents', 'steps'], async (tx, write) => {
    const now = await tx.objectStore('documents').get([name, stored.id])
    if (now?.revision !== stored.revision || now.normalised !== stored.normalised) return false
    write(tx.objectStore('documents').put({ ...now, document, normalised: normalisers.length }))
    write(tx.objectStore('steps').delete(stepsOf(name, stored.id)))
    for (const step of steps) write(tx.objectStore('steps').put({ ...step, kind: name, id: stored.id }))
    return true
  })
}
