import { problemText, type Result } from '../../src/core/problem'

/** The value of a result that a test counts on. */
export function taken<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(result.problems.map(problemText).join('\n'))
  return result.value
}
