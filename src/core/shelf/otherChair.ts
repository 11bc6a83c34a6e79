import { lookUp } from '../chart/lookUp'
import type { Shelf } from './shelf'
import type { ShelfMove, ShelfReaction } from './shelfRecords'
import { reactionsMet } from '../chart/tries'

/** One of their attacks as we meet it from below, and what we do about it. */
export interface Defence {
  attack: ShelfMove
  /** What must be in place for it, in the attacker's order: where to break it. */
  needs: string[]
  ways: { reaction: ShelfReaction; breaks: string[]; ours: ShelfMove | undefined; answers: string[] }[]
}

/**
 * A position of theirs seen as their attack chain turned over: which checkpoint each of our ways out breaks, what the
 * attacker answers, and under which name we charted it. Empty where the position has no partner on the Shelf.
 */
export function otherChair(shelf: Shelf, position: string): Defence[] {
  const partner = lookUp(shelf.positions, position)?.mirror
  if (!partner) return []
  const checkpoints = new Map(shelf.moves.flatMap((move) => (move.checkpoints ?? []).map((one) => [one.id, one.text])))
  return shelf.moves
    .filter(({ from }) => from === partner)
    .map((attack) => {
      const met = reactionsMet(attack).flatMap((id) => lookUp(shelf.reactions, id) ?? [])
      const ways = met.map((reaction) => ({
        reaction,
        breaks: (reaction.breaks ?? []).flatMap((id) => checkpoints.get(id) ?? []),
        ours: lookUp(shelf.moves, reaction.mirror),
        answers: shelf.answers
          .filter((answer) => answer.reaction === reaction.id)
          .flatMap(({ move }) => lookUp(shelf.moves, move)?.name ?? []),
      }))
      return { attack, needs: (attack.checkpoints ?? []).map(({ text }) => text), ways }
    })
}

/** Positions of theirs, and of ours, that have no partner in the other chair. */
export const withoutPartner = (shelf: Shelf): string[] =>
  shelf.positions.filter(({ ahead, mirror }) => ahead === 'theirs' && !mirror).map(({ id }) => id)
