import { fieldsOf } from './fields'
import { present } from '../sure'
import { plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import type { Problem, ProblemCode } from '../problem'
import type { ConstraintContext } from './constraints'
import type { AnyDocument, DocumentKind, RecordClass } from './kind'

/**
 * Checks every record's own fields against the decorated classes of the kind.
 * `data` is parsed JSON; nothing of it is changed. Returns all problems at once, in file order.
 */
export function checkStructure<D extends AnyDocument>(kind: DocumentKind<D>, data: object): Problem[] {
  return problemsIn(kind.root, data, [])
}

/** The same for single records of a list, each with its index in the document. */
export function checkRecords<D extends AnyDocument>(
  kind: DocumentKind<D>,
  list: string,
  records: readonly { index: number; record: object }[],
): Problem[] {
  return records.flatMap(({ index, record }) => problemsIn(present(kind.lists[list]), record, [list, index]))
}

/** The same for the fields that are not lists. */
export function checkFields<D extends AnyDocument>(kind: DocumentKind<D>, document: D): Problem[] {
  const emptied = Object.fromEntries(
    Object.entries(fieldsOf(document)).map(([field, value]) => [
      field,
      field in kind.lists && Array.isArray(value) ? [] : value,
    ]),
  )
  return checkStructure(kind, emptied)
}

function problemsIn(record: RecordClass, data: object, at: Problem['path']): Problem[] {
  const instance = plainToInstance(record, data)
  const errors = validateSync(instance, { forbidUnknownValues: true, validationError: { target: false } })
  return errors.flatMap((error) => problemsOf(error, at))
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
