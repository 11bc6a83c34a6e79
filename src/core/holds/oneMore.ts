import { present } from '../get'
import type { Chart } from '../chart/chart'
import { holder, type Hold } from '../chart/hold'
import type { HoldId, PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { LIMBS, type Limb } from '../chart/words'
import { gradeOf, pinCheck, type EscapeState } from './pinCheck'

/** The limbs that hold: hands and legs; a head or a chest may weigh, but attacks with nothing. */
const ATTACKING: readonly Limb[] = ['left-hand', 'right-hand', 'left-knee', 'right-knee', 'left-foot', 'right-foot']
/** Holds that are tried in sets; with more, those that shut least alone are left out, and that is said. */
const MAX_CANDIDATES = 16

/** Our hands and legs that do nothing while these holds are on. */
export function freeLimbs(chart: Chart, holds: readonly string[]): Limb[] {
  const busy = new Set(holds.flatMap((id) => ours(lookUp(chart.holds, id))?.limbs ?? []))
  return ATTACKING.filter((limb) => !busy.has(limb))
}

const ours = (hold: Hold | undefined) => (hold && holder(hold) === 'ours' ? hold : undefined)

/** Our holds that the chart knows for a position's frame: of positions in it, and of moves from there. */
export function holdsForFrame(chart: Chart, position: PositionId): Hold[] {
  const frame = lookUp(chart.positions, position)?.frame
  const places = chart.positions.filter((other) => other.id === position || (frame && other.frame === frame))
  const ids = new Set<string>(places.flatMap(({ holds }) => holds ?? []))
  const inFrame = new Set<string>(places.map(({ id }) => id))
  for (const { from, to, adds } of chart.moves) {
    if (inFrame.has(from) && (to === 'finish' || inFrame.has(to))) adds?.forEach((id) => ids.add(id))
  }
  return (chart.holds ?? []).filter((hold) => ids.has(hold.id) && ours(hold))
}

export interface NextHold {
  hold: HoldId
  /** How much of their tries it takes, over all escapes, in tries. */
  takes: number
  /** Escapes that it shuts which were not shut before. */
  shuts: string[]
  free: Limb[]
}

/**
 * What one more control takes from them, the most first: of the holds known for the frame that a free limb can take.
 * `more`: holds that the chart does not have, and that are known for the frame too.
 */
export function nextHolds(from: Chart, position: PositionId, more: readonly Hold[] = []): NextHold[] {
  const chart: Chart = more.length ? { ...from, holds: [...(from.holds ?? []), ...more] } : from
  const own: string[] = lookUp(chart.positions, position)?.holds ?? []
  const before = new Map(pinCheck(chart, position, own).escapes.map((escape) => [escape.reaction, escape]))
  const busy = new Set(own.flatMap((id) => ours(lookUp(chart.holds, id))?.limbs ?? []))
  return [...holdsForFrame(from, position), ...more]
    .filter(({ id, limbs }) => !own.includes(id) && !limbs.some((limb) => busy.has(limb)))
    .map(({ id }): NextHold => {
      const holds = [...own, id]
      const after = pinCheck(chart, position, holds).escapes
      return {
        hold: id,
        takes: after.reduce(
          (all, { reaction, left, share }) => all + share * (present(before.get(reaction)).left - left),
          0,
        ),
        shuts: after
          .filter((one) => gradeOf(one.left) === 'shut' && gradeOf(present(before.get(one.reaction)).left) !== 'shut')
          .map(({ name }) => name),
        free: freeLimbs(chart, holds),
      }
    })
    .filter(({ takes }) => takes > 1e-9)
    .sort((a, b) => b.takes - a.takes)
}

export interface ShuttingSet {
  holds: HoldId[]
  /** Escapes that a hold could hinder and that even these leave; empty where all are shut. */
  remaining: EscapeState[]
  free: Limb[]
  /** Whether all known holds were tried. */
  isExact: boolean
}

/**
 * The fewest holds, no two with one limb, that shut every escape that a hold can hinder; where none do, those that
 * leave least. Exact: all sets are tried. Null where no hold is known or nothing can be hindered.
 */
export function smallestShuttingSet(chart: Chart, position: PositionId): ShuttingSet | null {
  const known = holdsForFrame(chart, position)
  const tried = [...known]
    .map((hold) => ({ hold, left: leftOver(chart, position, [hold.id]) }))
    .sort((a, b) => a.left - b.left)
    .slice(0, MAX_CANDIDATES)
  if (!tried.length || !stillOpen(chart, position, []).length) return null
  let best: { holds: Hold[]; open: number; left: number } | null = null
  for (const holds of compatibleSets(tried.map(({ hold }) => hold))) {
    const ids = holds.map(({ id }) => id)
    const set = { holds, open: stillOpen(chart, position, ids).length, left: leftOver(chart, position, ids) }
    if (!best || isBetter(set, best)) best = set
  }
  const ids = present(best).holds.map(({ id }) => id)
  return {
    holds: ids,
    remaining: stillOpen(chart, position, ids),
    free: freeLimbs(chart, ids),
    isExact: known.length <= MAX_CANDIDATES,
  }
}

type HoldChoice = { holds: Hold[]; open: number; left: number }

/** Fewer escapes open; then, where all are shut, fewer holds, else less left; then the other of the two. */
function isBetter(one: HoldChoice, other: HoldChoice): boolean {
  if (one.open !== other.open) return one.open < other.open
  const byHolds = one.holds.length - other.holds.length
  const byLeft = Math.abs(one.left - other.left) < 1e-9 ? 0 : one.left - other.left
  return one.open === 0 ? (byHolds || byLeft) < 0 : (byLeft || byHolds) < 0
}

const stillOpen = (chart: Chart, position: PositionId, holds: readonly string[]) =>
  pinCheck(chart, position, holds).escapes.filter(({ left, isHindrable }) => isHindrable && gradeOf(left) !== 'shut')

const leftOver = (chart: Chart, position: PositionId, holds: readonly string[]) =>
  pinCheck(chart, position, holds).escapes.reduce((all, { left, share }) => all + left * share, 0)

/** Every set of holds of which no two share a limb, the empty one too. */
function compatibleSets(holds: readonly Hold[]): Hold[][] {
  const bits = new Map(LIMBS.map((limb, i) => [limb, 1 << i]))
  const mask = (hold: Hold) => hold.limbs.reduce((all, limb) => all | present(bits.get(limb)), 0)
  let sets: { holds: Hold[]; busy: number }[] = [{ holds: [], busy: 0 }]
  for (const hold of holds) {
    const own = mask(hold)
    sets = [
      ...sets,
      ...sets.filter(({ busy }) => !(busy & own)).map((set) => ({ holds: [...set.holds, hold], busy: set.busy | own })),
    ]
  }
  return sets.map((set) => set.holds)
}
