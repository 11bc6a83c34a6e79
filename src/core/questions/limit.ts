import { sure } from '../sure'
import type { MoveId } from '../chart/ids'
import type { Chart } from '../chart/chart'
import { compileGame } from '../game/compileGame'
import { moveId } from '../game/describe'
import { NONE, type Game } from '../game/game'
import { isOverBehind, reworth, type Counting } from '../game/reworth'
import type { Scenario } from '../game/scenario'
import { DEFAULT_GAP } from '../solve/unclocked'
import { occupancyOf, type Occupancy } from '../solve/occupancy'
import { solve } from '../solve/solve'
import type { Solution } from '../solve/solution'
import type { Job } from '../job'

/** What comes of following a plan: its worth, and the chances of ending behind or caught, and of a finish. */
export interface PlanOutcome {
  worth: number
  risk: number
  finish: number
}

/** The plan of most worth that keeps a limit on ending behind or being caught. */
export interface Limited {
  now: PlanOutcome
  /** The least risk that any plan has, and the most that is worth with it. */
  least: PlanOutcome
  /** What keeps the limit: one plan, or two of which the first is followed in this share of exchanges. Null: none. */
  kept: { outcome: PlanOutcome; mixed: [first: PlanOutcome, second: PlanOutcome, share: number] | null } | null
  isKeptAlready: boolean
  /** What the plan that keeps it, or the safer of the two, tries more and less often, the most changed first. */
  differs: ChangedUse[]
}

/** How often an exchange tries a move cold (answer null) or as an answer of the chart, by index; now, and then. */
export interface ChangedUse {
  move: MoveId
  answer: number | null
  now: number
  then: number
}

/**
 * So heavy a penalty leaves of all plans those of least risk, and of these the one of most worth. Without a clock
 * values are only near, and a heavier one would drown the worth.
 */
const heavy = ({ scenario }: Game) => (scenario.seconds === null ? 1e4 : 1e7)
const MAX_CHORDS = 60
/** A change of fewer uses per exchange is not told. */
const SELDOM = 0.002
/** Two plans are worth the same within this, and risk the same. */
const SAME = 1e-9

/**
 * The plan that is worth most among those that end behind or caught in at most `limit` (0 to 1) of exchanges. A penalty
 * on such an ending is raised until the plan keeps it (Lagrange; Altman 1999, 3). Between a plan that keeps the limit
 * and one that does not, the next penalty is that at which the two are worth the same, so that the search ends where no
 * third plan is better: then a mix of the two keeps it exactly.
 */
export function* limitBehind(chart: Chart, scenario: Scenario, limit: number): Job<Limited | null> {
  const compiled = compileGame(chart, scenario, { roots: 'start' })
  if (!compiled.ok) return null
  const game = compiled.value
  const now = planned(game, { scale: 1, penalty: 0 })
  if (!now) return null
  yield 0.1
  const least = leastRisk(game)
  if (!least) return null
  yield 0.2
  const found = { now: now.outcome, least: least.outcome, differs: [], isKeptAlready: now.outcome.risk <= limit + SAME }
  if (found.isKeptAlready) return { ...found, kept: { outcome: now.outcome, mixed: null } }
  if (least.outcome.risk > limit + SAME) return { ...found, kept: null }
  let [breaks, keeps] = [now, least]
  for (let n = 0; n < MAX_CHORDS; n++) {
    yield Math.min(0.99, 0.2 + n * 0.06)
    const { worth, risk } = keeps.outcome
    const penalty = (breaks.outcome.worth - worth) / (breaks.outcome.risk - risk)
    const next = planned(game, { scale: 1, penalty })
    if (!next || next.counted <= worth - penalty * risk + SAME) break
    if (next.outcome.risk <= limit) keeps = next
    else breaks = next
  }
  return { ...found, differs: differing(now, keeps), kept: mixed(keeps.outcome, breaks.outcome, limit) }
}

/** The plan of least risk, and of the most worth with it. */
function leastRisk(game: Game): Planned | null {
  const safest = planned(game, { scale: 0, penalty: 1 })
  const best = planned(game, { scale: 1, penalty: heavy(game) })
  if (!safest || !best) return null
  return best.outcome.risk <= safest.outcome.risk + SAME ? best : safest
}

function mixed(keeps: PlanOutcome, breaks: PlanOutcome, limit: number): Limited['kept'] {
  const share = (breaks.risk - limit) / (breaks.risk - keeps.risk)
  if (share >= 1) return { outcome: keeps, mixed: null }
  const of = (part: keyof PlanOutcome) => share * keeps[part] + (1 - share) * breaks[part]
  const outcome = { worth: of('worth'), risk: of('risk'), finish: of('finish') }
  return { outcome, mixed: [keeps, breaks, share] }
}

/** A plan: what it comes to, and what it counts as its endings were counted. */
interface Planned {
  solution: Solution
  occupancy: Occupancy
  outcome: PlanOutcome
  counted: number
}

/** The best plan where endings are counted so. */
function planned(game: Game, counting: Counting): Planned | null {
  const gap = DEFAULT_GAP * Math.max(1, counting.penalty)
  const solved = solve(reworth(game, counting), { everySecond: true, gap })
  if (!solved.ok) return null
  const { value: solution } = solved
  const occupancy = occupancyOf(solution)
  return { solution, occupancy, outcome: outcomeOf(game, occupancy), counted: sure(solution.values[game.start]) }
}

/** What the second plan tries more and less often. */
function differing(now: Planned, then: Planned): ChangedUse[] {
  const { game } = then.solution
  const changes = new Map<string, ChangedUse>()
  game.meaning.actionMove.forEach((move, a) => {
    if (move === NONE) return
    const own = sure(game.meaning.actionAnswer[a])
    const answer = own === NONE ? null : own
    const change = changes.get(`${move} ${answer}`) ?? { move: moveId(game, move), answer, now: 0, then: 0 }
    change.now += sure(now.occupancy.actions[a])
    change.then += sure(then.occupancy.actions[a])
    changes.set(`${move} ${answer}`, change)
  })
  const size = (change: ChangedUse) => Math.abs(change.then - change.now)
  return [...changes.values()].filter((one) => size(one) >= SELDOM).sort((a, b) => size(b) - size(a))
}

/** What following a plan comes to as the endings of `game` count. */
function outcomeOf(game: Game, { finish, caught, over, endedIn }: Occupancy): PlanOutcome {
  const [finishWorth, caughtWorth, , overWorth] = game.terminalWorths
  let worth = finish * finishWorth + caught * caughtWorth + over * overWorth
  let risk = caught + (isOverBehind(game) ? over : 0)
  endedIn.forEach((chance, g) => {
    worth += chance * sure(game.groupWorth[g])
    if (game.groupIsBehind[g]) risk += chance
  })
  return { worth, risk, finish }
}
