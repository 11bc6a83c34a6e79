/** An entry of a list that one picks from. */
export interface Option<Value extends string | number = string> {
  value: Value
  label: string
  disabled?: boolean
}

/** Records as entries, by their ids. */
export const named = <Id extends string>(records: readonly { id: Id; name: string }[]): Option<Id>[] =>
  records.map(({ id, name }) => ({ value: id, label: name }))

/** A table of words as entries, by its keys. */
export const worded = <Key extends string>(words: Readonly<Partial<Record<Key, string>>>): Option<Key>[] =>
  (Object.entries(words) as [Key, string][]).map(([value, label]) => ({ value, label }))
