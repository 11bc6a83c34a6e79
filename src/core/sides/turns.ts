import { keysOf } from '../typed'
import { present } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import { frameOf, type Orientation } from './frames'

/** The facts whose side a turn swaps, those that it clears, and those that it sets. */
interface Change {
  swaps: readonly string[]
  drops: readonly string[]
  sets?: Orientation
}

/** The turns that a move can make. The limbs stay where they are; the words for them change. */
export const TURNS = {
  roll: { says: 'rolls to the other side', swaps: ['down'], drops: [] },
  up: { says: 'nobody lies on a side any more', swaps: [], drops: ['down'] },
  swap: { says: 'swaps which arm is over', swaps: ['over', 'choking'], drops: [] },
  out: { says: 'takes the under arm out', swaps: [], drops: [], sets: { out: 'yes' } },
  face: { says: 'they turn to face us', swaps: [], drops: ['over', 'down', 'theirOver', 'out', 'near', 'theirNear'] },
} as const satisfies Record<string, Change & { says: string }>
export type Turn = keyof typeof TURNS
/** Keys of the facts that must be known for a turn to have an effect. */
export const turnConcerns = (turn: Turn): string[] =>
  turn === 'out' ? ['over'] : [...TURNS[turn].swaps, ...TURNS[turn].drops]
export const TURN_IDS = keysOf(TURNS)

const ACROSS: Change = { swaps: ['near', 'theirNear'], drops: [] }
const other = (value: unknown) => (value === 'left' ? 'right' : value === 'right' ? 'left' : value)

/** The orientation after these turns, with near and far swapped where the move goes across. */
export function turned(orientation: Orientation, turns: readonly Turn[], across = false): Orientation {
  const changes: Change[] = [...turns.map((turn) => TURNS[turn]), ...(across ? [ACROSS] : [])]
  return changes.reduce<Orientation>((sides, { swaps, drops, sets }) => {
    const left = Object.entries(sides).filter(([key]) => !drops.includes(key))
    return {
      ...Object.fromEntries(left.map(([key, value]) => [key, swaps.includes(key) ? other(value) : value])),
      ...sets,
    }
  }, orientation)
}

/**
 * The orientation after a move that stays in its frame. `own`: the facts that the landing position states; they take
 * precedence over `brought`, the facts after the move's turns.
 */
export function landedSides(brought: Orientation, own: Orientation = {}): Orientation {
  const { out, ...rest } = brought
  // Whether the under arm is out belongs to which arm is over: a landing that says the one says the other.
  return { ...rest, ...(out !== undefined && own.over === undefined ? { out } : {}), ...own }
}

export const turnsOf = ({ turns }: Move): Turn[] => TURN_IDS.filter((turn) => turns?.[turn] === true)

/** A fact for which a move's landing position states another side than the move leads to. */
export interface Disagreement {
  ask: string
  brings: unknown
  landing: unknown
}

/** For a move that stays in its frame: the facts for which its landing position and its turns disagree. */
export function sidesDisagree(chart: Chart, move: Move): Disagreement[] {
  const from = lookUp(chart.positions, move.from)
  const to = lookUp(chart.positions, move.to)
  const frame = frameOf(from?.frame)
  if (!from?.orientation || !to?.orientation || !frame || from.frame !== to.frame) return []
  const brought = turned(from.orientation, turnsOf(move), move.across)
  return frame.facts.flatMap(({ key, ask }) => {
    const [brings, landing] = [brought[key], present(to.orientation)[key]]
    return brings !== undefined && landing !== undefined && brings !== landing ? [{ ask, brings, landing }] : []
  })
}
