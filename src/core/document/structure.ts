import { validateSync, type ValidationError } from 'class-validator'
import type { Job } from '../job'
import type { Problem, ProblemCode } from '../problem'
import { present } from '../sure'
import { classIn, type ConstraintContext } from './constraints'
import { fieldsOf, isRecord, type Fields } from './fields'
import type { AnyDocument, DocumentKind, RecordClass } from './kind'

/** How many records are checked between two words of progress. */
const SLICE = 40

/**
 * Checks the fields of the whole, then every record of each list, against the decorated classes of the kind. `data` is
 * parsed JSON; nothing of it is changed. Returns all problems at once.
 */
export function* structureJob<D extends AnyDocument>(kind: DocumentKind<D>, data: object): Job<Problem[]> {
  const problems = checkFields(kind, data)
  const records = Object.keys(kind.lists).flatMap((list) => {
    const all = fieldsOf(data)[list]
    return Array.isArray(all) ? all.map((record: unknown, index) => ({ list, index, record })) : []
  })
  for (const [i, { list, index, record }] of records.entries()) {
    if (i % SLICE === 0) yield i / records.length
    if (!isRecord(record)) continue
    for (const problem of checkRecords(kind, list, [{ index, record }])) problems.push(problem)
  }
  return problems
}

/** Checks single records of a list, each with its index in the document. */
export function checkRecords<D extends AnyDocument>(
  kind: DocumentKind<D>,
  list: string,
  records: readonly { index: number; record: object }[],
): Problem[] {
  return records.flatMap(({ index, record }) => problemsIn(present(kind.lists[list]), record, [list, index]))
}

/** Checks the fields that are not lists of records; and of those lists that they are lists, and of records. */
export function checkFields<D extends AnyDocument>(kind: DocumentKind<D>, document: object): Problem[] {
  const emptied = Object.fromEntries(
    Object.entries(fieldsOf(document)).map(([field, value]) => [
      field,
      field in kind.lists && Array.isArray(value) ? value.filter((one) => !isRecord(one)) : value,
    ]),
  )
  return problemsIn(kind.root, emptied, [])
}

/** One problem for each list that is longer than the kind allows. */
export function checkSizes<D extends AnyDocument>({ name, most = {} }: DocumentKind<D>, document: object): Problem[] {
  return Object.entries(most).flatMap(([list, limit]) => {
    const all = fieldsOf(document)[list]
    if (!Array.isArray(all) || all.length <= limit) return []
    const message = `has ${all.length} entries: a ${name} has at most ${limit}`
    return [{ code: 'too-many' as const, path: [list], message }]
  })
}

function problemsIn(record: RecordClass, data: object, at: Problem['path']): Problem[] {
  const errors = validateSync(instanceOf(record, data), {
    forbidUnknownValues: false,
    validationError: { target: false },
  })
  return errors.flatMap((error) => problemsOf(error, at))
}

/**
 * The data as an instance of the class, since decorators belong to one, with the records in it as instances of theirs.
 * (What is ready-made for this takes time with the square of the number of fields.)
 */
function instanceOf(record: RecordClass, data: object): object {
  const instance = new record() as Fields
  for (const [field, value] of Object.entries(data)) {
    const within = classIn(record, field)
    const asInstance = (one: unknown) => (within && isRecord(one) ? instanceOf(within, one) : one)
    instance[field] = within && Array.isArray(value) ? value.map(asInstance) : asInstance(value)
  }
  return instance
}

function problemsOf(error: ValidationError, above: Problem['path']): Problem[] {
  const step = /^\d+$/.test(error.property) ? Number(error.property) : error.property
  const path = [...above, step]
  const own = Object.entries(error.constraints ?? {}).flatMap(([name, says]) => ownProblems(name, says, path, error))
  const below = (error.children ?? []).flatMap((child) => problemsOf(child, path))
  return [...firstOnly(own), ...below]
}

/** A wrong type fails several constraints of one field; the coach needs to hear of it once. */
function firstOnly(problems: Problem[]): Problem[] {
  return problems.filter((problem) => problem.code === 'bad-count' || problem === problems[0])
}

function ownProblems(name: string, says: string, path: Problem['path'], error: ValidationError): Problem[] {
  const value: unknown = error.value
  if (value === undefined) return [{ code: 'missing', path, message: 'is missing' }]
  const context = error.contexts?.[name] as ConstraintContext | undefined
  const code = context?.code ?? CODES[name] ?? 'wrong-type'
  const entries = context?.badEntries?.(value) ?? []
  if (entries.length) return entries.map((entry) => ({ ...entry, code, path: [...path, ...entry.path] }))
  return [{ code, path, message: plain(says, String(path.at(-1))) }]
}

/** Codes for class-validator's own decorators; ours bring theirs along. */
const CODES: Partial<Record<string, ProblemCode>> = { isIn: 'unknown-word' }

/** class-validator puts the field first; the path already names it. */
function plain(says: string, field: string): string {
  return says
    .replace(`each value in ${field} `, 'each value ')
    .replace(`nested property ${field} `, '')
    .replace(`${field} `, '')
}
