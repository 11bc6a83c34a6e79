import { lookUp } from '../chart/lookUp'
import type { Ahead } from '../chart/words'
import type { Shelf, ShelfMove } from './shelf'

/** A cue that holds for a family of moves, written once, with the moves that are exceptions and why. */
export interface Principle {
  id: string
  says: string
  why: string
  /** The moves that it governs: all of what is given must be so. */
  on: { families?: string[]; ahead?: Ahead; tags?: string[]; words?: string[]; finish?: boolean }
  except: { move: string; why: string }[]
}

/** A principle as it stands with a move: governed by it, or an exception and why. */
export interface Governing {
  principle: Principle
  exception?: string
}

/** The principles that a move stands under. */
export function principlesOf(shelf: Shelf, principles: readonly Principle[], move: ShelfMove): Governing[] {
  return principles.flatMap((principle): Governing[] => {
    const exception = principle.except.find((one) => one.move === move.id)?.why
    if (exception) return [{ principle, exception }]
    return governs(shelf, principle, move) ? [{ principle }] : []
  })
}

function governs(shelf: Shelf, { on }: Principle, move: ShelfMove): boolean {
  const from = lookUp(shelf.positions, move.from)
  if (on.finish && move.to !== 'finish') return false
  if (on.families && !on.families.includes(from?.family ?? '')) return false
  if (on.ahead && from?.ahead !== on.ahead) return false
  const isTagged = on.tags?.some((tag) => move.tags?.includes(tag))
  if (!on.words && !on.tags) return true
  const said = [move.name, ...(move.checkpoints ?? []).flatMap(({ text, until }) => [text, until && `until ${until}`])].join(' ').toLowerCase() // prettier-ignore
  return Boolean(isTagged ?? false) || (on.words?.some((word) => said.includes(word)) ?? false)
}
