import type { Job } from '../../src/core/job'

/** What a work finds, done all at once; how far it is only grows, and stays below 1 until then. */
export function finished<T>(work: Job<T>): T {
  for (let before = 0; ;) {
    const step = work.next()
    if (step.done) return step.value
    expect(step.value).toBeGreaterThanOrEqual(before)
    expect(step.value).toBeLessThan(1)
    before = step.value
  }
}
