/** A number from 0 to 1 that a text always gives (FNV-1a): where chance begins that must be the same again. */
export function seedOf(text: string): number {
  let hash = 2166136261
  for (const letter of text) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619)
  return (hash >>> 0) / 2 ** 32
}
