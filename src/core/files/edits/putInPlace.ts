import { fieldsOf } from '../../document/fields'

/** How a document is put in the place of another of its id: field by field, so that it can be an edit. */
export function putInPlace(draft: object, document: object): void {
  const target = fieldsOf(draft)
  for (const field of Object.keys(target)) if (!(field in document)) delete target[field]
  Object.assign(target, document)
}
