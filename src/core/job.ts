/**
 * Work in steps, which can be watched and stopped between two of them: yields progress, 0 to 1, and returns what it
 * found.
 */
export type Job<T> = Generator<number, T, void>

/** What a work finds, done all at once. */
export function toEnd<T>(work: Job<T>): T {
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
  }
}
