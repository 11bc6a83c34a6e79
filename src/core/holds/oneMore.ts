import { present } from '../sure'
import type { Chart } from '../chart/chart'
import { holder, type Hold } from '../chart/hold'
import type { HoldId, PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { LIMBS, type Limb } from '../chart/words'
import { escapesUnder, gradeOf, pinCheck, type EscapeState } from './pinCheck'

/** Limbs that count as free to take a hold. Head and chest only add weight. */
const ATTACKING: readonly Limb[] = ['left-hand', 'right-hand', 'left-knee', 'right-knee', 'left-foot', 'right-foot']
/** Most holds tried in sets; of more, those that shut least alone are left out and `isExact` is false. */
const MAX_CANDIDATES = 16

/** Our hands and legs that take none of these holds. */
export function freeLimbs(chart: Chart, holds: readonly string[]): Limb[] {
  const busy = new Set(holds.flatMap((id) => ours(lookUp(chart.holds, id))?.limbs ?? []))
  return ATTACKING.filter((limb) => !busy.has(limb))
}

const ours = (hold: Hold | undefined) => (hold && holder(hold) === 'ours' ? hold : undefined)

/** Our holds that occur in the frame of a position: in its positions, and in the moves from them. */
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
  /** Sum over the escapes: the share of tries that meet one, times the share of it that this hold takes. */
  takes: number
  /** Names of the escapes that it newly shuts. */
  shuts: string[]
  free: Limb[]
}

/**
 * What each further hold would take from them, largest first. Candidates: the holds known for the frame that only need
 * free limbs, and `more`, holds for the frame that the chart does not have yet.
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
  /** Escapes that a hold could hinder but that this set does not shut. */
  remaining: EscapeState[]
  free: Limb[]
  /** True where all known holds were tried; false where some were left out (see `MAX_CANDIDATES`). */
  isExact: boolean
}

/**
 * The smallest set of holds, no two of which share a limb, that shuts every escape that holds can hinder; where none
 * does, the set that leaves least. Tries all sets. Null where no hold is known or no escape can be hindered.
 */
export function smallestShuttingSet(chart: Chart, position: PositionId): ShuttingSet | null {
  const known = holdsForFrame(chart, position)
  const under = escapesUnder(chart, position)
  const tried = [...known]
    .map((hold) => ({ hold, left: leftOver(under([hold.id])) }))
    .sort((a, b) => a.left - b.left)
    .slice(0, MAX_CANDIDATES)
  if (!tried.length || !stillOpen(under([])).length) return null
  let best: { holds: Hold[]; open: number; left: number } | null = null
  for (const holds of compatibleSets(tried.map(({ hold }) => hold))) {
    const escapes = under(holds.map(({ id }) => id))
    const set = { holds, open: stillOpen(escapes).length, left: leftOver(escapes) }
    if (!best || isBetter(set, best)) best = set
  }
  const ids = present(best).holds.map(({ id }) => id)
  return {
    holds: ids,
    remaining: stillOpen(under(ids)),
    free: freeLimbs(chart, ids),
    isExact: known.length <= MAX_CANDIDATES,
  }
}

type HoldChoice = { holds: Hold[]; open: number; left: number }

/** Order of choices: fewer escapes left; then fewer holds where all are shut, else less left; then the other. */
function isBetter(one: HoldChoice, other: HoldChoice): boolean {
  if (one.open !== other.open) return one.open < other.open
  const byHolds = one.holds.length - other.holds.length
  const byLeft = Math.abs(one.left - other.left) < 1e-9 ? 0 : one.left - other.left
  return one.open === 0 ? (byHolds || byLeft) < 0 : (byLeft || byHolds) < 0
}

const stillOpen = (escapes: readonly EscapeState[]) =>
  escapes.filter(({ left, isHindrable }) => isHindrable && gradeOf(left) !== 'shut')

const leftOver = (escapes: readonly EscapeState[]) => escapes.reduce((all, { left, share }) => all + left * share, 0)

/** All sets of these holds in which no two share a limb, with the empty set. */
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
