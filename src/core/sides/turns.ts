import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import { frameOf, type Orientation } from './frames'

/** What a move can do to the sides: the limbs stay, the words for them change. */
export const TURNS = {
  roll: { says: 'rolls to the other side', swaps: ['down'], drops: [] },
  up: { says: 'nobody lies on a side any more', swaps: [], drops: ['down'] },
  swap: { says: 'swaps which arm is over', swaps: ['over', 'choking'], drops: [] },
} as const
export type Turn = keyof typeof TURNS
export const TURN_IDS = Object.keys(TURNS) as Turn[]

const ACROSS = { swaps: ['near', 'theirNear'], drops: [] } as const
const other = (value: unknown) => (value === 'left' ? 'right' : value === 'right' ? 'left' : value)

/** The orientation after turns and, if the move goes across, on the other side. */
export function turned(orientation: Orientation, turns: readonly Turn[], across = false): Orientation {
  return [...turns.map((turn) => TURNS[turn]), ...(across ? [ACROSS] : [])].reduce<Orientation>(
    (sides, { swaps, drops }) =>
      Object.fromEntries(
        Object.entries(sides)
          .filter(([key]) => !(drops as readonly string[]).includes(key))
          .map(([key, value]) => [key, (swaps as readonly string[]).includes(key) ? other(value) : value]),
      ),
    orientation,
  )
}

export const turnsOf = ({ turns }: Move): Turn[] => TURN_IDS.filter((turn) => turns?.[turn] === true)

/** A fact on which a move's landing says another side than the move brings. */
export interface Disagreement {
  ask: string
  brings: unknown
  landing: unknown
}

/** Where a move stays in its frame: the facts on which what it brings and what its landing says are not the same side. */
export function sidesDisagree(chart: Chart, move: Move): Disagreement[] {
  const from = lookUp(chart.positions, move.from)
  const to = lookUp(chart.positions, move.to)
  const frame = frameOf(from?.frame)
  if (!from?.orientation || !to?.orientation || !frame || from.frame !== to.frame) return []
  const brought = turned(from.orientation, turnsOf(move), move.across)
  return frame.facts.flatMap(({ key, ask }) => {
    const [brings, landing] = [brought[key], to.orientation![key]]
    return brings !== undefined && landing !== undefined && brings !== landing ? [{ ask, brings, landing }] : []
  })
}
