import { fieldsOf } from './fields'
import { FORBIDDEN_KEYS } from './ids'
import type { Problem } from '../problem'

/** What a file may not be, before anyone looks at what it says. */

export const MAX_BYTES = 20 * 1024 * 1024
export const MAX_DEPTH = 24

/** Nesting deeper than `MAX_DEPTH` and keys that could reach an object's prototype, each with its path. */
export function unsafeContent(data: unknown): Problem[] {
  const problems: Problem[] = []
  const visit = (value: unknown, path: Problem['path']): void => {
    if (typeof value !== 'object' || value === null) return
    if (path.length > MAX_DEPTH) {
      problems.push({ code: 'too-deep', path: path.slice(0, 4), message: `is nested deeper than ${MAX_DEPTH} levels` })
      return
    }
    if (Array.isArray(value)) return value.forEach((item, index) => visit(item, [...path, index]))
    for (const key of Object.keys(value)) {
      if (FORBIDDEN_KEYS.has(key)) {
        problems.push({ code: 'forbidden-key', path: [...path, key], message: 'is a key that a chart may not have' })
      } else visit(fieldsOf(value)[key], [...path, key])
    }
  }
  visit(data, [])
  return problems
}
