import { keysOf } from '../typed'
import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import type { Position } from '../chart/position'
import { SCORING_ACTIONS, type RuleSet, type ScoringAction } from '../chart/rules/ruleSet'
import { compileGame } from '../game/compileGame'
import { NONE, OUTCOME, TERMINALS, type Game } from '../game/game'
import type { Scenario } from '../game/scenario'
import { failure, success, type Result } from '../problem'
import { Courses } from '../solve/courses'
import { fullClock, tieTolerance, type Solution } from '../solve/solution'
import { sightsOf } from '../solve/sights'
import { solve } from '../solve/solve'

/** Expected numbers an exchange, for one of the two. */
export type Counts = Record<ScoringAction, number> & { controlSeconds: number }
export interface ExpectedScore {
  ours: Counts
  theirs: Counts
}

/** What an exchange scores under a rule set, in points. Control time counts by the second, not by whole stretches. */
export function pointsOf(counts: Counts, { points = {}, controlTime }: RuleSet): number {
  const times = keysOf(SCORING_ACTIONS).reduce((sum, score) => sum + counts[score] * (points[score] ?? 0), 0)
  return times + (controlTime ? (counts.controlSeconds / controlTime.every) * controlTime.points : 0)
}

/*
 * What is known of an exchange besides its state, as chances that go along with the state's own: where the two last
 * were, and which controls have been counted since whoever is ahead came to be so. Each is a chance of its own, not
 * a state, because nothing asks for two of them at once.
 */
const CHANCE = 0
const FEET = 1
const WE_GUARD = 2
const THEY_GUARD = 3
const WE_HOLD = 4
const THEY_HOLD = 5
const ZONES = [FEET, WE_GUARD, THEY_GUARD, WE_HOLD, THEY_HOLD]
const CONTROLS = ['kneeRide', 'mount', 'back'] as const
const OUR_CONTROLS = 6
const THEIR_CONTROLS = OUR_CONTROLS + CONTROLS.length
const WIDTH = THEIR_CONTROLS + CONTROLS.length

const GROUND = ['side', 'knee-ride', 'mount', 'north-south', 'turtle', 'ride', 'back', 'crucifix']
const PAST_THE_LEGS = ['side', 'knee-ride', 'mount', 'north-south']
const CONTROL_OF: Partial<Record<string, number>> = { 'knee-ride': 0, mount: 1, back: 2 }

/** What a position means for scoring. Without a `zone`, whoever comes here is counted where they were before. */
interface Place {
  zone: number
  isGround: boolean
  isPast: boolean
  isBack: boolean
  /** Index into `CONTROLS`, or NONE. */
  control: number
  ahead: Position['ahead']
}

function placeOf({ family, ahead, orientation }: Position): Place {
  const isGuard = family === 'guard' || family === 'half-guard'
  const isGround = GROUND.includes(family) && ahead !== 'even'
  const below = orientation?.below === 'ours' ? WE_GUARD : THEY_GUARD
  const held = ahead === 'ours' ? WE_HOLD : THEY_HOLD
  const isOnFeet = family === 'standing' || family === 'clinch'
  return {
    zone: isGuard ? below : isOnFeet ? FEET : isGround ? held : NONE,
    isGround,
    isPast: PAST_THE_LEGS.includes(family),
    isBack: family === 'back' || family === 'crucifix',
    control: isGround ? (CONTROL_OF[family] ?? NONE) : NONE,
    ahead: isGuard ? 'even' : ahead,
  }
}

/**
 * How often an exchange under the best plan scores each thing, for us and against us. A takedown is coming from the
 * feet to control on the ground, or into their guard by a takedown; a sweep from under a guard to the top; a pass from
 * over a guard past the legs. Knee on belly, mount and back count once until whoever has them is no longer ahead. With
 * a clock the solution must have kept every second.
 */
export function scoredOf(solution: Solution): ExpectedScore {
  return new ScoringPass(solution).run()
}

/** How often an exchange in a checked chart scores each thing. Fails as `compileGame` and `solve` do. */
export function expectedScoreIn(chart: Chart, scenario: Scenario): Result<ExpectedScore> {
  const compiled = compileGame(chart, scenario, { roots: 'start' })
  if (!compiled.ok) return failure(...compiled.problems)
  const solved = solve(compiled.value, { everySecond: true })
  return solved.ok ? success(scoredOf(solved.value)) : failure(...solved.problems)
}

const noCounts = (): Counts => ({ takedown: 0, sweep: 0, pass: 0, kneeRide: 0, mount: 0, back: 0, controlSeconds: 0 })

/** What is left of an exchange without a clock when following it stops. */
const NEGLIGIBLE = 1e-12

class ScoringPass {
  private readonly result: ExpectedScore = { ours: noCounts(), theirs: noCounts() }
  private readonly game: Game
  private readonly courses: Courses
  private readonly places: Place[]
  private readonly rows: number
  /** Chances by seconds left (a ring of rows), state, and what the referee knows. */
  private readonly chances: Float64Array
  private readonly flow = new Float64Array(WIDTH)

  constructor(private readonly solution: Solution) {
    const { game } = solution
    this.game = game
    this.places = game.meaning.index.positions.map(({ record }) => placeOf(record))
    this.rows = solution.seconds === null ? 1 : game.maxSeconds + 1
    this.chances = new Float64Array(this.rows * game.stateCount * WIDTH)
    this.courses = new Courses(solution.evaluator, 0)
  }

  run(): ExpectedScore {
    const { solution, game } = this
    if (game.start < TERMINALS) return this.result
    const { seconds, policy } = solution
    this.begin(seconds ?? 0)
    if (seconds === null) this.unclocked()
    else {
      if (!policy) throw new Error('scoring needs the values of every second')
      for (let t = seconds; t > 0; t--) this.actAll(t, policy, t * game.stateCount, (s) => t - s)
    }
    return this.result
  }

  /** A control that one begins in is not scored by that. */
  private begin(t: number): void {
    const { game, flow, places } = this
    const place = sure(places[sure(game.meaning.groupPlace[sure(game.stateGroup[game.start])])])
    const at = this.at(t, game.start)
    flow.fill(0)
    flow[CHANCE] = 1
    if (place.control !== NONE) flow[(place.ahead === 'ours' ? OUR_CONTROLS : THEIR_CONTROLS) + place.control] = 1
    this.arrive(place, at, false)
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
    return ((t % this.rows) * this.game.stateCount + state) * WIDTH
  }

  /** Acts in every state that an exchange may be in with t seconds left; returns the chance that it is in any. */
  private actAll(t: number, policy: Int32Array, at: number, after: (seconds: number) => number): number {
    const { game, chances, courses } = this
    const here = new Float64Array(WIDTH)
    this.see(t)
    let all = 0
    for (let state = TERMINALS; state < game.arrivalsFrom; state++) {
      const from = this.at(t, state)
      if (chances[from] === 0) continue
      here.set(chances.subarray(from, from + WIDTH))
      chances.fill(0, from, from + WIDTH)
      all += sure(here[CHANCE])
      const a = sure(policy[at + state])
      if (a === NONE) continue
      if (!courses.isStill(state, a, t)) courses.set(state, a, t)
      this.dwell(state, a, here)
      const left = after(sure(game.actionSeconds[a]))
      courses.forEachWay(state, (outcome, to, share) => this.go(here, a, outcome, to, share, left))
    }
    return all
  }

  /** Deals what is seen to those who have just come to a position; coming there has scored already. */
  private see(t: number): void {
    const { game, chances } = this
    for (let state = game.arrivalsFrom; state < game.stateCount; state++) {
      const from = this.at(t, state)
      if (chances[from] === 0) continue
      for (const { state: seen, share } of sightsOf(this.solution, state, t)) {
        const to = this.at(t, seen)
        for (let k = 0; k < WIDTH; k++) chances[to + k] = sure(chances[to + k]) + share * sure(chances[from + k])
      }
      chances.fill(0, from, from + WIDTH)
    }
  }

  /** Adds the seconds of control during an action, or until it is broken off. */
  private dwell(state: number, a: number, here: Float64Array): void {
    const { groupBreak, groupThreat, groupOut, stateGroup, actionSeconds } = this.game
    const g = sure(stateGroup[state])
    const alive = (1 - sure(groupBreak[g])) * (1 - sure(groupThreat[g])) * (1 - sure(groupOut[g]))
    const seconds = alive === 1 ? sure(actionSeconds[a]) : (1 - alive ** sure(actionSeconds[a])) / (1 - alive)
    this.result.ours.controlSeconds += sure(here[WE_HOLD]) * seconds
    this.result.theirs.controlSeconds += sure(here[THEY_HOLD]) * seconds
  }

  private go(here: Float64Array, a: number, outcome: number, to: number, share: number, t: number): void {
    const { game, flow, chances, places } = this
    if (to < TERMINALS || share === 0) return
    for (let k = 0; k < WIDTH; k++) flow[k] = sure(here[k]) * share
    const at = this.at(t, to)
    const g = sure(game.stateGroup[to])
    if (game.groupIsReaction[g]) {
      for (let k = 0; k < WIDTH; k++) chances[at + k] = sure(chances[at + k]) + sure(flow[k])
      return
    }
    const { actionMove, outcomeKind, index, groupPlace } = game.meaning
    const isTakedown =
      outcome !== NONE &&
      outcomeKind[outcome] === OUTCOME.lands &&
      index.moves[sure(actionMove[a])]?.record.kind === 'takedown'
    this.arrive(sure(places[sure(groupPlace[g])]), at, isTakedown)
  }

  /** Counts what coming to a position scores, and sets what is known there. */
  private arrive(place: Place, at: number, byTakedown: boolean): void {
    const { flow, chances } = this
    this.score(place, byTakedown)
    this.control(place)
    if (place.zone === NONE) flow[WE_HOLD] = flow[THEY_HOLD] = 0
    else for (const zone of ZONES) flow[zone] = zone === place.zone ? sure(flow[CHANCE]) : 0
    for (let k = 0; k < WIDTH; k++) chances[at + k] = sure(chances[at + k]) + sure(flow[k])
  }

  private score({ zone, isGround, isPast, isBack, ahead }: Place, byTakedown: boolean): void {
    const { flow } = this
    const { ours, theirs } = this.result
    if (zone === THEY_GUARD) {
      if (byTakedown) ours.takedown += sure(flow[FEET])
      ours.sweep += sure(flow[WE_GUARD])
    } else if (zone === WE_GUARD) theirs.sweep += sure(flow[THEY_GUARD])
    if (!isGround) return
    const [mine, under, over] = ahead === 'ours' ? [ours, WE_GUARD, THEY_GUARD] : [theirs, THEY_GUARD, WE_GUARD]
    mine.takedown += sure(flow[FEET])
    if (!isBack) mine.sweep += sure(flow[under])
    if (isPast) mine.pass += sure(flow[over])
  }

  private control({ control, ahead }: Place): void {
    const { flow } = this
    if (ahead !== 'ours') flow.fill(0, OUR_CONTROLS, THEIR_CONTROLS)
    if (ahead !== 'theirs') flow.fill(0, THEIR_CONTROLS)
    if (control === NONE) return
    const k = (ahead === 'ours' ? OUR_CONTROLS : THEIR_CONTROLS) + control
    const mine = ahead === 'ours' ? this.result.ours : this.result.theirs
    mine[sure(CONTROLS[control])] += sure(flow[CHANCE]) - sure(flow[k])
    flow[k] = sure(flow[CHANCE])
  }
}
