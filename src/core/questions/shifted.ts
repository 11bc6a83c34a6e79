import { totalOf, withTallies, type Whole } from '../chart/tries'

/** One figure of tries: what lands, what comes to nothing, or a reaction. */
export type TriesPart = { of: 'lands' } | { of: 'stalls' } | { of: 'reaction'; reaction: string }

/**
 * The tries with a share of their total moved into one part from the others, a race among them, in proportion; out of
 * it where `by` is negative.
 */
export function shifted(guess: Whole, part: TriesPart, by: number): Whole {
  const tries = withTallies(guess)
  const { lands = 0, stalls = 0, elsewhere, reactions, race } = tries
  const total = totalOf(tries)
  const is = (id: string) => part.of === 'reaction' && part.reaction === id
  const now = countOf(tries, part)
  const others = total - now
  const moved = Math.max(-now, Math.min(by * total, others))
  const keep = others > 0 ? 1 - moved / others : 1
  const scale = (map: Record<string, number>) =>
    Object.fromEntries(Object.entries(map).map(([id, n]) => [id, is(id) ? n + moved : n * keep]))
  return {
    ...tries,
    lands: part.of === 'lands' ? lands + moved : lands * keep,
    stalls: part.of === 'stalls' ? stalls + moved : stalls * keep + (others > 0 ? 0 : -moved),
    ...(elsewhere ? { elsewhere: scale(elsewhere) } : {}),
    ...(reactions ? { reactions: scale(reactions) } : {}),
    ...(race ? { race: { ...race, tries: race.tries * keep } } : {}),
  }
}

const countOf = ({ lands = 0, stalls = 0, reactions }: Whole, part: TriesPart): number =>
  part.of === 'lands' ? lands : part.of === 'stalls' ? stalls : (reactions?.[part.reaction] ?? 0)

/** A figure's share of all tries, 0 to 1. */
export function shareOf(guess: Whole, part: TriesPart): number {
  const tries = withTallies(guess)
  return countOf(tries, part) / (totalOf(tries) || 1)
}

/** A smaller share counts as so much where it is moved in the log-odds. */
const LEAST_SHARE = 0.02

/**
 * The tries with one part moved by `step` in the log-odds of its share, the others in proportion: 4 of 10 becomes 5, 1
 * becomes 1.4. What is all of the tries stays so, and a step down never leaves more than there was.
 */
export function stepped(tries: Whole, part: TriesPart, step: number): Whole {
  return withShare(tries, part, steppedShare(shareOf(tries, part), step))
}

/** A share, 0 to 1, moved by `step` in its log-odds. */
export function steppedShare(share: number, step: number): number {
  const counted = Math.max(share, LEAST_SHARE)
  const moved = 1 / (1 + Math.exp(-step) * (1 / counted - 1))
  return step < 0 ? Math.min(share, moved) : moved
}

/** The tries with one part at this share of all of them, the others in proportion. */
export const withShare = (tries: Whole, part: TriesPart, share: number): Whole =>
  shifted(tries, part, share - shareOf(tries, part))
