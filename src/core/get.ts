/* Checked access: what is known to be there is there, or a bug is reported where it is made. */

/** What stands at an index, or under a key. Throws a RangeError where nothing does. */
export function get<T>(list: ArrayLike<T>, index: number): T
export function get<T>(record: Readonly<Record<string, T>>, key: string): T
export function get<T>(from: Readonly<Record<string | number, T>>, key: string | number): T {
  const value = from[key]
  if (value === undefined) throw new RangeError(`there is nothing at ${key}`)
  return value
}

/** The value itself. Throws a RangeError where there is none. */
export function present<T>(value: T): NonNullable<T> {
  if (value === undefined || value === null) throw new RangeError('there should be a value here')
  return value
}
