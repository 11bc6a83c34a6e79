import type { Chart } from '../../chart/chart'
import { ruleSetOf } from '../../chart/rules/ruleSets'
import { compileGame } from '../../game/compileGame'
import { NONE, OUTCOME, TERMINALS, type Game } from '../../game/game'
import type { Scenario } from '../../game/scenario'
import { failure, success, type Result } from '../../problem'
import { Courses } from '../../solve/courses'
import { fullClock, tieTolerance, type Solution } from '../../solve/solution'
import { sightsOf } from '../../solve/sights'
import { solve } from '../../solve/solve'
import { sure } from '../../sure'
import { CHANCE, placeOf, type Place } from '../../game/win/places'
import type { ExpectedScore, MustBeHeld } from './points'
import { Referee } from './referee'

/**
 * How often an exchange under the best plan scores each thing, for us and against us. A takedown is coming from the
 * feet to control on the ground, or into their guard by a takedown; a sweep from under a guard to the top; a pass from
 * over a guard past the legs. Controls (knee on belly, mount, back, their back to the mat) count once until whoever has
 * them is no longer ahead. Under rules that ask for it, each counts only once it was held for so many seconds without
 * a break: a control in its positions, the others on top. With a clock the solution must have kept every second.
 */
export function scoredOf(solution: Solution, rules: MustBeHeld = {}): ExpectedScore {
  return new ScoringPass(solution, new Referee(rules)).run()
}

/**
 * How often an exchange in a checked chart scores each thing under the scenario's rules. Fails as `compileGame` and
 * `solve` do.
 */
export function expectedScoreIn(chart: Chart, scenario: Scenario): Result<ExpectedScore> {
  const compiled = compileGame(chart, scenario, { roots: 'start' })
  if (!compiled.ok) return failure(...compiled.problems)
  const solved = solve(compiled.value, { everySecond: true })
  const rules = ruleSetOf(scenario.rules, chart.settings?.ruleSets)
  return solved.ok ? success(scoredOf(solved.value, rules)) : failure(...solved.problems)
}

/** What is left of an exchange without a clock when following it stops. */
const NEGLIGIBLE = 1e-12

class ScoringPass {
  private readonly game: Game
  private readonly courses: Courses
  private readonly places: Place[]
  private readonly rows: number
  /** Chances by seconds left (a ring of rows), state, and what the referee knows. */
  private readonly chances: Float64Array
  private readonly row: Float64Array
  private readonly here: Float64Array

  constructor(
    private readonly solution: Solution,
    private readonly referee: Referee,
  ) {
    const { game } = solution
    this.game = game
    this.places = game.meaning.index.positions.map(({ record }) => placeOf(record))
    this.rows = solution.seconds === null ? 1 : game.maxSeconds + 1
    this.chances = new Float64Array(this.rows * game.stateCount * referee.width)
    this.row = new Float64Array(referee.width)
    this.here = new Float64Array(referee.width)
    this.courses = new Courses(solution.evaluator, 0)
  }

  run(): ExpectedScore {
    const { solution, game, referee } = this
    if (game.start < TERMINALS) return referee.score
    const { seconds, policy } = solution
    this.begin(seconds ?? 0)
    if (seconds === null) this.unclocked()
    else {
      if (!policy) throw new Error('scoring needs the values of every second')
      for (let t = seconds; t > 0; t--) this.actAll(t, policy, t * game.stateCount, (s) => t - s)
    }
    return referee.score
  }

  private begin(t: number): void {
    const { game, row, places } = this
    this.referee.begin(sure(places[sure(game.meaning.groupPlace[sure(game.stateGroup[game.start])])]), row)
    this.chances.set(row, this.at(t, game.start))
  }

  private unclocked(): void {
    const { game, solution } = this
    const t = fullClock(solution)
    const policy = new Int32Array(game.stateCount).fill(NONE)
    for (let state = TERMINALS; state < policy.length; state++) {
      policy[state] = solution.evaluator.bestAction(t, state, tieTolerance(solution))
    }
    while (this.actAll(t, policy, 0, () => 0) > NEGLIGIBLE);
  }

  private at(t: number, state: number): number {
    return ((t % this.rows) * this.game.stateCount + state) * this.referee.width
  }

  /** Acts in every state that an exchange may be in with t seconds left; returns the chance that it is in any. */
  private actAll(t: number, policy: Int32Array, at: number, after: (seconds: number) => number): number {
    const { game, chances, courses, here, referee } = this
    this.see(t)
    let all = 0
    for (let state = TERMINALS; state < game.arrivalsFrom; state++) {
      const from = this.at(t, state)
      if (chances[from] === 0) continue
      here.set(chances.subarray(from, from + referee.width))
      chances.fill(0, from, from + referee.width)
      all += sure(here[CHANCE])
      const a = sure(policy[at + state])
      if (a === NONE) continue
      if (!courses.isStill(state, a, t)) courses.set(state, a, t)
      const seconds = sure(game.actionSeconds[a])
      referee.pass(here, seconds, this.aliveIn(state))
      courses.forEachWay(state, (outcome, to, share) => this.go(a, outcome, to, share, after(seconds)))
    }
    return all
  }

  /** Deals what is seen to those who have just come to a position; coming there has scored already. */
  private see(t: number): void {
    const { game, chances, referee } = this
    for (let state = game.arrivalsFrom; state < game.stateCount; state++) {
      const from = this.at(t, state)
      if (chances[from] === 0) continue
      this.row.set(chances.subarray(from, from + referee.width))
      chances.fill(0, from, from + referee.width)
      for (const { state: seen, share } of sightsOf(this.solution, state, t)) this.add(this.at(t, seen), share)
    }
  }

  /** The share that outlasts a second of a state. */
  private aliveIn(state: number): number {
    const { groupBreak, groupThreat, groupOut, stateGroup } = this.game
    const g = sure(stateGroup[state])
    return (1 - sure(groupBreak[g])) * (1 - sure(groupThreat[g])) * (1 - sure(groupOut[g]))
  }

  private go(a: number, outcome: number, to: number, share: number, t: number): void {
    const { game, here, row, places, referee } = this
    if (to < TERMINALS || share === 0) return
    for (let k = 0; k < row.length; k++) row[k] = sure(here[k]) * share
    const g = sure(game.stateGroup[to])
    if (!game.groupIsReaction[g]) {
      const { actionMove, outcomeKind, index, groupPlace } = game.meaning
      const isTakedown =
        outcome !== NONE &&
        outcomeKind[outcome] === OUTCOME.lands &&
        index.moves[sure(actionMove[a])]?.record.kind === 'takedown'
      referee.come(sure(places[sure(groupPlace[g])]), row, isTakedown)
    }
    this.add(this.at(t, to), 1)
  }

  /** Adds a share of the row at hand to those that are in a state. */
  private add(at: number, share: number): void {
    const { chances, row } = this
    for (let k = 0; k < row.length; k++) chances[at + k] = sure(chances[at + k]) + share * sure(row[k])
  }
}
