import { toEnd, type Job } from '../job'
import { failure, messageOf, success, type Problem, type Result } from '../problem'
import type { DocumentDiff } from './diff'
import { fieldsOf, isRecord, recordsIn, type Fields } from './fields'
import { MAX_BYTES, unsafeContent } from './guard'
import { oldestVersion, type AnyDocument, type DocumentKind } from './kind'
import { checkFields, checkRecords, checkSizes, structureJob } from './structure'

/*
 * The one door for documents: files, what the browser keeps and what the interface edits all pass the same checks, so
 * that whatever can be stored can be read again.
 */

/** The text of a document's file: UTF-8 JSON with the fields in the order in which they came. */
export function makeDocument(document: AnyDocument): string {
  return JSON.stringify(document, null, 2) + '\n'
}

/** The document in a file's text, or every problem with its place. Fields that this build does not know are kept. */
export const parseDocument = <D extends AnyDocument>(kind: DocumentKind<D>, text: string): Result<D> =>
  toEnd(parsingJob(kind, text))

/** The same in steps, for large files. */
export function* parsingJob<D extends AnyDocument>(kind: DocumentKind<D>, text: string): Job<Result<D>> {
  if (utf8Bytes(text) > MAX_BYTES) {
    return failure({
      code: 'too-large',
      path: [],
      message: `the file is larger than ${MAX_BYTES / 1024 / 1024} MB`,
    })
  }
  let data: unknown
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (error) {
    return failure({ code: 'not-json', path: [], message: `the file is not JSON: ${messageOf(error)}` })
  }
  return yield* readingJob(kind, data)
}

/** The document in parsed JSON: migrated, normalised and checked; or every problem with its place. */
export const readDocument = <D extends AnyDocument>(kind: DocumentKind<D>, data: unknown): Result<D> =>
  toEnd(readingJob(kind, data))

function* readingJob<D extends AnyDocument>(kind: DocumentKind<D>, data: unknown): Job<Result<D>> {
  const modern = modernised(kind, data)
  if (!modern.ok) return modern
  const problems = yield* checkingJob(kind, modern.value)
  // As a list: a broken file may have more problems than a call takes arguments.
  return problems.length ? { ok: false, problems } : success(modern.value as object as D)
}

/** Fields JSON at the present version and in today's form, not checked yet. What is passed in is not changed. */
export function modernised<D extends AnyDocument>(kind: DocumentKind<D>, data: unknown): Result<Fields> {
  const unsafe = unsafeContent(data)
  if (unsafe.length) return { ok: false, problems: unsafe }
  const { name, format, version, migrations, normalisers } = kind
  const notThis = (message: string, path: Problem['path'] = []) =>
    failure<Fields>({ code: `not-a-${name}`, path, message: `the file is not a ${name}: ${message}` })
  if (!isRecord(data)) return notThis('it should be one object')
  const file = data
  const oldest = oldestVersion(kind)
  const from = typeof file.version === 'number' && Number.isInteger(file.version) ? file.version : NaN
  const isReadable = from >= oldest
  const isOld = isReadable && from < version
  if (file.format !== format && !(isOld && file.format === undefined)) {
    return notThis(`its format should be "${format}"`, ['format'])
  }
  if (!isReadable || from > version) {
    const found = file.version === undefined ? 'none' : JSON.stringify(file.version)
    const message = `this build reads version ${version}; the file has ${found}`
    return failure({ code: 'unsupported-version', path: ['version'], message })
  }
  const migrated = migrations
    .slice(from - oldest)
    .reduce((before, migrate, i) => ({ ...migrate(before), version: from + i + 1 }), file)
  return success(normalisers.reduce((before, normalise) => normalise(before), migrated))
}

/** Every problem of a document of today's form. */
export const checkDocument = <D extends AnyDocument>(kind: DocumentKind<D>, document: object): Problem[] =>
  toEnd(checkingJob(kind, document))

/** The records are looked at if there are not too many of them, and references once all records are sound. */
function* checkingJob<D extends AnyDocument>(kind: DocumentKind<D>, document: object): Job<Problem[]> {
  const sizes = checkSizes(kind, document)
  if (sizes.length) return sizes
  const structure = yield* structureJob(kind, document)
  const problems = structure.length ? structure : kind.checkReferences(document as D)
  return problems.map((problem) => named(problem, document))
}

/**
 * Every problem that an edit brought into a sound document: in the records and fields that it touched, and in what
 * refers to them.
 */
export function checkEdit<D extends AnyDocument>(kind: DocumentKind<D>, after: D, diff: DocumentDiff): Problem[] {
  const structure = [
    ...checkSizes(kind, after),
    ...(Object.keys(diff.fields).length ? checkFields(kind, after) : []),
    ...Object.entries(diff.lists).flatMap(([list, { records }]) => {
      const touched = new Set<unknown>(records.map((record) => record.after))
      const all = recordsIn(after, list)
      return checkRecords(
        kind,
        list,
        all.flatMap((record, index) => (touched.has(record) ? [{ index, record }] : [])),
      )
    }),
    ...Object.keys(diff.fields).flatMap((list) => {
      const all = fieldsOf(after)[list]
      if (!(list in kind.lists) || !Array.isArray(all)) return []
      return checkRecords(
        kind,
        list,
        all.map((record: object, index) => ({ record, index })),
      )
    }),
  ]
  const problems = structure.length ? structure : kind.checkReferences(after)
  return problems.map((problem) => named(problem, after))
}

/** Names the record that the problem is in, since nobody counts to `moves[37]`. */
function named(problem: Problem, data: object): Problem {
  const [list, index] = problem.path
  const records = fieldsOf(data)[String(list)]
  if (isRecord(records)) return { ...named({ ...problem, path: problem.path.slice(1) }, records), path: problem.path }
  if (typeof index !== 'number' || !Array.isArray(records)) return problem
  const record: unknown = records[index]
  const { id, reaction, move } = isRecord(record) ? record : {}
  const label = id ?? (typeof reaction === 'string' && typeof move === 'string' ? `${reaction} > ${move}` : undefined)
  return typeof label === 'string' ? { ...problem, record: label } : problem
}

/** Bytes of the text in UTF-8, without the platform's encoder. */
function utf8Bytes(text: string): number {
  if (text.length > MAX_BYTES) return text.length
  let bytes = text.length
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (code > 0x7f) bytes += code > 0x7ff && (code < 0xd800 || code > 0xdfff) ? 2 : 1
  }
  return bytes
}
