/** What stands at an index, or under a key, that is known to be there. Throws where nothing does: that is a bug. */
export function get<T>(list: ArrayLike<T>, index: number): T
export function get<T>(record: Readonly<Record<string, T>>, key: string): T
export function get<T>(from: Readonly<Record<string | number, T>>, key: string | number): T {
  const value = from[key]
  if (value === undefined) throw new RangeError(`there is nothing at ${key}`)
  return value
}
