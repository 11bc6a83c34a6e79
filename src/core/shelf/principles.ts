import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import type { Ahead } from '../chart/words'
import { inChart } from './search'
import type { Shelf } from './shelf'
import type { ShelfMove } from './shelfRecords'

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
export const principlesOf = (shelf: Shelf, principles: readonly Principle[], move: ShelfMove): Governing[] =>
  governing(principles, move, lookUp(shelf.positions, move.from), [move.id])

/** The same for a move of a chart, which may be one of the Shelf under a name of its own. */
export function principlesIn(chart: Chart, shelf: Shelf, principles: readonly Principle[], move: Move): Governing[] {
  const known = shelf.moves.filter((one) => inChart([move], one)).map(({ id }) => id)
  return governing(principles, move, lookUp(chart.positions, move.from), [move.id, ...known])
}

function governing(principles: readonly Principle[], move: Move, from: Position | undefined, ids: string[]) {
  return principles.flatMap((principle): Governing[] => {
    const exception = principle.except.find((one) => ids.includes(one.move))?.why
    if (exception) return [{ principle, exception }]
    return governs(principle, move, from) ? [{ principle }] : []
  })
}

function governs({ on }: Principle, move: Move, from: Position | undefined): boolean {
  if (on.finish && move.to !== 'finish') return false
  if (on.families && !on.families.includes(from?.family ?? '')) return false
  if (on.ahead && from?.ahead !== on.ahead) return false
  const isTagged = on.tags?.some((tag) => move.tags?.includes(tag))
  if (!on.words && !on.tags) return true
  const said = [move.name, ...(move.checkpoints ?? []).flatMap(({ text, until }) => [text, until && `until ${until}`])]
    .join(' ')
    .toLowerCase()
  return (isTagged ?? false) || (on.words?.some((word) => said.includes(word)) ?? false)
}
