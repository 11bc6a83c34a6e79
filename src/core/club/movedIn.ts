/** What was moved, and to which place, for a list to become another with one thing moved; null where nothing was. */
export function movedIn(before: readonly string[], after: readonly string[]): { id: string; to: number } | null {
  const at = after.findIndex((id, i) => id !== before[i])
  if (at < 0) return null
  // What follows has come forward: then it was the one before it that went.
  const id = after[at] === before[at + 1] ? before[at] : after[at]
  return id === undefined ? null : { id, to: after.indexOf(id) }
}
