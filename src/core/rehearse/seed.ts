/** A number from 0 to 1 that is the text's own (FNV-1a). */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5
  for (const letter of text) hash = Math.imul(hash ^ Number(letter.codePointAt(0)), 0x01000193) >>> 0
  return hash / 0x1_0000_0000
}
