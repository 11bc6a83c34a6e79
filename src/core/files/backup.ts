import { strFromU8, unzipSync } from 'fflate'
import { diffOf } from '../document/diff'
import { isRecord } from '../document/fields'
import type { AnyDocument } from '../document/kind'
import { makeDocument } from '../document/read'
import { sharing } from '../document/sharing'
import { toEnd } from '../job'
import { failure, messageOf, success, type Problem, type Result } from '../problem'
import { isKindName, KINDS, parsingJobOf, type KindName } from './documentKinds'
import { sumOf, zipOf } from './out/archive'

/*
 * Everything of a browser as one archive: each document as the file that it would be by itself, and a manifest that
 * says what is in it, with a checksum of each.
 */

export const BACKUP_FORMAT = 'ataque-backup'
const BACKUP_VERSION = 1
const MANIFEST = 'manifest.json'
/** An archive may unpack to so many bytes. */
const MOST_BYTES = 300 * 1024 * 1024

/** A document in a backup, or to be put into one. */
export interface BackedUp {
  kind: KindName
  document: AnyDocument
}

/** A backup as bytes of a zip archive. `at`: when it is made, in milliseconds since 1970. */
export function makeBackup(documents: readonly BackedUp[], at: number): Uint8Array<ArrayBuffer> {
  const entries = documents.map(({ kind, document }) => ({
    ...{ path: `${kind}/${document.id}${KINDS[kind].extension}`, text: makeDocument(document) },
    ...{ kind, id: document.id, title: document.title },
  }))
  const manifest = {
    ...{ format: BACKUP_FORMAT, version: BACKUP_VERSION, made: new Date(at).toISOString() },
    files: entries.map(({ path, text, kind, id, title }) => ({ path, kind, id, title, sha256: sumOf(text) })),
  }
  return zipOf([{ path: MANIFEST, text: `${JSON.stringify(manifest, null, 2)}\n` }, ...entries], at)
}

/** What is in a backup. */
export interface Backup {
  /** As the manifest says it: ISO 8601. */
  made: string
  documents: BackedUp[]
}

/** Reads a backup whole, or says of each file what is wrong with it: then nothing of it is to be used. */
export function readBackup(bytes: Uint8Array): Result<Backup> {
  const files = unpacked(bytes)
  if (!files.ok) return files
  const manifest = manifestIn(files.value)
  if (!manifest.ok) return manifest
  const { made, entries } = manifest.value
  const problems: Problem[] = []
  const documents: BackedUp[] = []
  for (const { path, kind, sum } of entries) {
    const text = files.value.get(path)
    const say = (message: string) => problems.push({ code: 'refused', path: [path], message })
    if (text === undefined) say('is missing in the archive')
    else if (sumOf(text) !== sum) say('is not as it was when the backup was made: its checksum differs')
    else {
      const read = toEnd(parsingJobOf(kind, text))
      if (read.ok) documents.push({ kind, document: read.value })
      else problems.push(...read.problems.map((one) => ({ ...one, path: [path, ...one.path] })))
    }
  }
  return problems.length ? failure(...problems) : success({ made, documents })
}

function unpacked(bytes: Uint8Array): Result<Map<string, string>> {
  let size = 0
  try {
    const files = unzipSync(bytes, {
      filter({ originalSize }) {
        size += originalSize
        if (size > MOST_BYTES) throw new Error(`it unpacks to more than ${MOST_BYTES / 1024 / 1024} MB`)
        return true
      },
    })
    return success(new Map(Object.entries(files).map(([path, data]) => [path, strFromU8(data)])))
  } catch (error) {
    return failure({ code: 'refused', path: [], message: `the archive cannot be read: ${messageOf(error)}` })
  }
}

interface Listed {
  path: string
  kind: KindName
  sum: string
}

function manifestIn(files: ReadonlyMap<string, string>): Result<{ made: string; entries: Listed[] }> {
  const wrong = (message: string) => failure<never>({ code: 'refused', path: [MANIFEST], message })
  const text = files.get(MANIFEST)
  if (text === undefined) return wrong('is missing: this is no backup of Ataque')
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch (error) {
    return wrong(messageOf(error))
  }
  if (!isRecord(data) || data.format !== BACKUP_FORMAT) return wrong('says that this is no backup of Ataque')
  if (data.version !== BACKUP_VERSION) return wrong(`this build reads version ${BACKUP_VERSION} of backups`)
  const entries = (Array.isArray(data.files) ? data.files : []).map((one: unknown) => listed(one))
  if (entries.some((one) => one === null)) return wrong('names a file without path, kind or checksum')
  return success({ made: String(data.made), entries: entries.flatMap((one) => one ?? []) })
}

function listed(one: unknown): Listed | null {
  if (!isRecord(one)) return null
  const { path, kind, sha256 } = one
  if (typeof path !== 'string' || typeof sha256 !== 'string' || !isKindName(kind)) return null
  return { path, kind, sum: sha256 }
}

/** What restoring a document would change here. */
export interface Restoring extends BackedUp {
  state: 'new' | 'same' | 'differs'
  /** Records that would come, change and go. */
  come: number
  change: number
  go: number
}

/** What restoring a backup would change, document by document. `here`: what is kept now. */
export function restoringOf({ documents }: Backup, here: readonly BackedUp[]): Restoring[] {
  return documents.map((one) => {
    const now = here.find(({ kind, document }) => kind === one.kind && document.id === one.document.id)
    if (!now) return { ...one, state: 'new', come: 0, change: 0, go: 0 }
    const { lists, fields } = diffOf(KINDS[one.kind], now.document, sharing(now.document, one.document))
    const records = Object.values(lists).flatMap((list) => list.records)
    const change = records.filter(({ before, after }) => before && after).length + Object.keys(fields).length
    const come = records.filter(({ before }) => !before).length
    const go = records.filter(({ after }) => !after).length
    const isSame = !Object.keys(lists).length && !Object.keys(fields).length
    return { ...one, state: isSame ? 'same' : 'differs', come, change, go }
  })
}
