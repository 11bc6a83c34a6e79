import { totalOf, withRounds, type Tries } from '../chart/tries'

/** One figure of tries: what lands, or a reaction. */
export type TriesPart = { of: 'lands' } | { of: 'reaction'; reaction: string }

/** The tries with a share of all of them moved into one part, from the others in proportion; out of it where it is negative. */
export function shifted(guess: Tries, part: TriesPart, by: number): Tries {
  const tries = withRounds(guess)
  const { lands = 0, stalls = 0, elsewhere, reactions } = tries
  const total = totalOf(tries)
  const is = (id: string) => part.of === 'reaction' && part.reaction === id
  const now = part.of === 'lands' ? lands : (reactions?.[part.reaction] ?? 0)
  const others = total - now
  const moved = Math.max(-now, Math.min(by * total, others))
  const keep = others > 0 ? 1 - moved / others : 1
  const scale = (map: Record<string, number>) => Object.fromEntries(Object.entries(map).map(([id, n]) => [id, is(id) ? n + moved : n * keep])) // prettier-ignore
  return {
    ...tries,
    lands: part.of === 'lands' ? lands + moved : lands * keep,
    stalls: stalls * keep + (others > 0 ? 0 : -moved),
    ...(elsewhere ? { elsewhere: scale(elsewhere) } : {}),
    ...(reactions ? { reactions: scale(reactions) } : {}),
  }
}
