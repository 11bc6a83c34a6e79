import { plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import type { Problem } from '../problem'
import { badCounts } from './constraints'
import { Chart } from './chart'

/**
 * Checks every record's own fields against the decorated classes.
 * `data` is parsed JSON; nothing of it is changed. Returns all problems at once, in file order.
 */
export function checkStructure(data: object): Problem[] {
  const instance = plainToInstance(Chart, data)
  const errors = validateSync(instance, { forbidUnknownValues: true, validationError: { target: false } })
  return errors.flatMap((error) => problemsOf(error, []))
}

function problemsOf(error: ValidationError, above: Problem['path']): Problem[] {
  const step = /^\d+$/.test(error.property) ? Number(error.property) : error.property
  const path = [...above, step]
  const own = Object.entries(error.constraints ?? {}).flatMap(([name, says]) =>
    ownProblems(name, says, path, error.value),
  )
  const below = (error.children ?? []).flatMap((child) => problemsOf(child, path))
  return [...firstOnly(own), ...below]
}

/** A wrong type fails several constraints of one field; the coach needs to hear of it once. */
function firstOnly(problems: Problem[]): Problem[] {
  return problems.filter((problem) => problem.code === 'bad-count' || problem === problems[0])
}

function ownProblems(name: string, says: string, path: Problem['path'], value: unknown): Problem[] {
  if (name === 'isTryMap' && value !== undefined) {
    return badCounts(value).map(({ key, reason }) => ({
      code: 'bad-count',
      path: key === null ? path : [...path, key],
      message: reason,
    }))
  }
  if (value === undefined) return [{ code: 'missing', path, message: 'is missing' }]
  return [{ code: codeOf(name), path, message: plain(says, String(path[path.length - 1])) }]
}

const CODES: Record<string, string> = {
  isRecordId: 'malformed-id',
  isSeconds: 'bad-seconds',
  isMeanSeconds: 'bad-seconds',
  isMeanSecondsOrNever: 'bad-seconds',
  isTryCount: 'bad-count',
  isFactor: 'out-of-range',
  isFraction: 'out-of-range',
  isWorth: 'out-of-range',
  isIn: 'unknown-word',
}
const codeOf = (constraint: string) => CODES[constraint] ?? 'wrong-type'

/** class-validator puts the field first; the path already names it. */
function plain(says: string, field: string): string {
  return says
    .replace(`each value in ${field} `, 'each value ')
    .replace(`nested property ${field} `, '')
    .replace(`${field} `, '')
}
