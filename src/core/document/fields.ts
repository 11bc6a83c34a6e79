/** What parsed JSON is, and any record: fields by name. */
export type Fields = Record<string, unknown>

/** A record as its fields by name, for work that is the same whatever the record is. */
export const fieldsOf = (record: object): Fields => record as Fields

/** Whether a value is a record: an object that is no list. */
export const isRecord = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Sets a field of a record, or (undefined, or an empty text) takes it away. */
export function putField<R extends object, F extends keyof R>(record: R, field: F, value: R[F] | undefined): void {
  if (value === undefined || value === '') Reflect.deleteProperty(record, field)
  else record[field] = value
}

/** The records in a field that is a list of them; none where it is not. */
export const recordsIn = (record: object, list: string): object[] => {
  const value = fieldsOf(record)[list]
  return Array.isArray(value) ? value.filter((one): one is object => typeof one === 'object' && one !== null) : []
}
