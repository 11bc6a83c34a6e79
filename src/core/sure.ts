/*
 * Checked access: what is known to be there is there, or a bug is reported where it is made. The value is looked up by
 * the caller and passed in: one function that looks up in lists of every kind would slow down every loop that uses it.
 */

/** The value itself. Throws a RangeError where there is none: an index past the end, or a key that is not there. */
export function sure<T>(value: T | undefined): T {
  if (value === undefined) throw new RangeError('there is nothing where something should be')
  return value
}

/** The value itself. Throws a RangeError where there is none, or null. */
export function present<T>(value: T): NonNullable<T> {
  if (value === undefined || value === null) throw new RangeError('there should be a value here')
  return value
}

/** The last of a list; undefined where it is empty. */
export const lastOf = <T>(list: readonly T[]): T | undefined => list.at(-1)
