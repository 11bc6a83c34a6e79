import { toPositionId, type PositionId } from '../chart/ids'
import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { holder } from '../chart/hold'
import type { ProbeFactors } from '../chart/probe'
import type { Limb } from '../chart/words'
import type { Scenario } from '../game/scenario'
import { figuresOf, type Figures } from '../insight/figures'
import type { MetWhere } from '../insight/looseEnds'
import { withUsedMore } from './met'
import { withPlacedMore, type SeenWhere } from './placed'
import { withShare, type TriesPart } from './shifted'
import { withTries, type DrillTarget } from './target'
import type { Job } from '../job'

/** What is supposed to be otherwise; what is absent stays as it is. */
export interface Ifs {
  /** They use a reaction `times` as often wherever `met` says; Infinity: whenever they can choose. */
  often?: { met: MetWhere[]; times: number }[]
  /** They let us see something `times` as often; Infinity: always. */
  placed?: { where: SeenWhere; times: number }[]
  /** A capability that they do not have. */
  theyCannot?: string
  /** A limb of ours that cannot hold anything. */
  weCannot?: Limb
  sharpness?: number
  seconds?: number | null
  /** Figures of the tries are these shares of them. */
  tries?: { target: DrillTarget; part: TriesPart; share: number }[]
  /** Moves may be only shown, and then go so; null: they may not. */
  probe?: ProbeFactors | null
}

/** What comes of it: the start's value, and where the plan is another. */
export interface IfResult {
  now: number
  then: number
  finish: { now: number; then: number }
  behind: { now: number; then: number }
  /**
   * Visited positions in which another action is best than before, most visited first; ids of moves, `wait`, or null.
   */
  changes: { position: PositionId; was: string | null; now: string | null; visits: number }[]
}

/** Rarer than this a position is not worth a word. */
const SELDOM = 0.005
/** As good as always, for counts. */
const ALWAYS = 1000

/** Solves the plan with everything that is supposed; null where that cannot be computed. */
export function* whatIf(chart: Chart, scenario: Scenario, ifs: Ifs): Job<IfResult | null> {
  const then = supposed(chart, scenario, ifs)
  return yield* otherPlan(chart, scenario, then.chart, then.scenario)
}

/** What another chart, or another scenario, makes of the plan; null where that cannot be computed. */
export function* otherPlan(
  chart: Chart,
  scenario: Scenario,
  other: Chart,
  instead: Scenario = scenario,
): Job<IfResult | null> {
  const before = figuresOf(chart, scenario)
  yield 0.5
  const after = figuresOf(other, instead)
  if (!before.ok || !after.ok) return null
  return compared(before.value.figures, after.value.figures)
}

/** The chart and the scenario as they are supposed to be. */
export function supposed(chart: Chart, scenario: Scenario, ifs: Ifs): { chart: Chart; scenario: Scenario } {
  const { often = [], placed = [], tries = [], theyCannot, weCannot, sharpness = scenario.sharpness } = ifs
  const guessed = tries.reduce(withGuess, chart)
  const used = often.reduce(
    (now, { met, times }) => met.reduce((one, where) => withUsedMore(one, where, Math.min(times, ALWAYS)), now),
    guessed,
  )
  const seen = placed.reduce((now, { where, times }) => withPlacedMore(now, where, times), used)
  const strikes = theyCannot ? [...scenario.strikes, { uses: theyCannot, says: '', left: 0 }] : scenario.strikes
  const seconds = ifs.seconds === undefined ? scenario.seconds : ifs.seconds
  const without = weCannot ? withoutLimb(seen, weCannot) : { chart: seen, aside: [] }
  const probe = ifs.probe === undefined ? scenario.probe : ifs.probe
  return {
    chart: without.chart,
    scenario: { ...scenario, sharpness, seconds, strikes, probe, aside: [...scenario.aside, ...without.aside] },
  }
}

const withGuess = (chart: Chart, { target, part, share }: NonNullable<Ifs['tries']>[number]): Chart =>
  withTries(chart, target, (tries) => withShare(tries, part, share))

/** No position begins with a hold of the limb, and no move that puts one on is tried. */
function withoutLimb(chart: Chart, limb: Limb) {
  const held = new Set(
    (chart.holds ?? []).filter((hold) => holder(hold) === 'ours' && hold.limbs.includes(limb)).map(({ id }) => id),
  )
  const positions = chart.positions.map((one) =>
    one.holds?.some((id) => held.has(id)) ? { ...one, holds: one.holds.filter((id) => !held.has(id)) } : one,
  )
  const aside = chart.moves.filter(({ adds = [] }) => adds.some((id) => held.has(id))).map(({ id }) => id)
  return { chart: { ...chart, positions }, aside }
}

function compared(now: Figures, then: Figures): IfResult {
  const behind = ({ endings }: Figures) => endings.theirs + endings.caught
  const changes = Object.keys(then.positions)
    .map(toPositionId)
    .map((position) => ({
      position,
      was: now.positions[position]?.best ?? null,
      now: sure(then.positions[position]).best,
      visits: Math.max(now.positions[position]?.visits ?? 0, sure(then.positions[position]).visits),
    }))
    .filter(({ was, now: best, visits }) => was !== best && visits >= SELDOM)
    .sort((a, b) => b.visits - a.visits)
  return {
    ...{ now: now.value, then: then.value, changes },
    finish: { now: now.endings.finish, then: then.endings.finish },
    behind: { now: behind(now), then: behind(then) },
  }
}
