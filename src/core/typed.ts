/* Keys, entries and copies with their types: the language's own functions widen all of them. */

/** The fields of a record. */
export const keysOf = <T extends object>(record: T) => Object.keys(record) as (keyof T & string)[]

/** The fields of a record with what stands in them. */
export const entriesOf = <K extends string, V>(record: Readonly<Record<K, V>>) => Object.entries(record) as [K, V][]

/** The fields that at least one of two records of a kind has. */
export const keysOfBoth = <T extends object>(one: T, other: T) => new Set([...keysOf(one), ...keysOf(other)])

/** A deep copy of what is plain data, such as a draft of an edit, which the browser's own cloning refuses. */
export const copyOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
