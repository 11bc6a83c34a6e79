import { ENDINGS, NONE, TERMINAL, TERMINALS, type Game } from '../game/game'
import { endsOfGroup, overSeconds } from '../game/layOut'
import { Courses } from './courses'
import { fullClock, tieTolerance, type Solution } from './solution'

/** Expected numbers per exchange under the best policy against the same defender. */
export interface Occupancy {
  states: Float64Array
  /** Seconds waited in a row count once. */
  actions: Float64Array
  outcomes: Float64Array
  /** By group: the chance that it is over because they got out there. */
  gone: Float64Array
  /** Chances that the exchange ends so; goals count as finishes. */
  finish: number
  caught: number
  /** Over, with nobody ahead; and by group, ended there: both are among what ended below. */
  over: number
  /** Broken up before time was up; among what ended below too. */
  broken: number
  endedIn: Float64Array
  /** Ended without a finish, by `ENDINGS`; and what those endings are worth in all. */
  ended: [ours: number, even: number, theirs: number]
  endedWorth: [ours: number, even: number, theirs: number]
}

/** What is over ended even. */
const EVEN = ENDINGS.indexOf('even')

/** What is left of an exchange without a clock when following it stops. */
const NEGLIGIBLE = 1e-13

/**
 * How often each state, action and outcome is met, from the solved values: a forward pass over the seconds
 * (no clock: over steps, until almost nothing is left). With a clock the solution must have kept every second.
 */
export function occupancyOf(solution: Solution): Occupancy {
  const pass = new ForwardPass(solution)
  const { start } = solution.game
  if (start < TERMINALS) pass.reach(start, 1)
  else if (solution.seconds === null) pass.unclocked()
  else pass.clocked(solution.seconds)
  return pass.result
}

const kept = new WeakMap<Solution, Occupancy>()

/** The occupancy of a solution that stays as it is, as of the figures on the screen: followed once. */
export function keptOccupancyOf(solution: Solution): Occupancy {
  const before = kept.get(solution)
  if (before) return before
  const occupancy = occupancyOf(solution)
  kept.set(solution, occupancy)
  return occupancy
}

/** That an exchange comes somewhere: the chance that it does, and the mean second of the first time. */
export interface FirstComing {
  chance: number
  /** Of exchanges that come there; null without a clock, or where none does. */
  second: number | null
}

/** A chance of being in a state at a second that changes no mean second that one could see. */
const FAINT = 1e-10

/**
 * When the plan first comes to any of the states that are marked: the same pass, that follows it no further there.
 * `faint`: where the chance of being is less, it is not followed either; in large charts that is most of the work. A
 * chance is then off by less than a ten-thousandth.
 */
export function firstComing(solution: Solution, isThere: Uint8Array, faint = FAINT): FirstComing {
  const pass = new ForwardPass(solution, isThere, faint)
  if (solution.seconds === null) pass.unclocked()
  else pass.clocked(solution.seconds)
  const { chance, left } = pass.came
  const full = solution.seconds
  return { chance, second: full === null || chance === 0 ? null : full - left / chance }
}

class ForwardPass {
  readonly result: Occupancy
  /** What has come to where it is followed no further: its chance, and with it the seconds that were left. */
  readonly came = { chance: 0, left: 0 }
  private readonly game: Game
  private readonly courses: Courses
  /** Chances of being in a state by time left (a ring of rows): just entered, and in the second half, having waited. */
  private readonly chances: Float64Array
  private readonly waited: number

  constructor(
    private readonly solution: Solution,
    private readonly isThere?: Uint8Array,
    private readonly faint = 0,
  ) {
    const { game } = solution
    this.game = game
    this.result = {
      states: new Float64Array(game.stateCount),
      actions: new Float64Array(game.actionSeconds.length),
      outcomes: new Float64Array(game.outcomeState.length),
      gone: new Float64Array(game.groupCount),
      finish: 0,
      caught: 0,
      over: 0,
      broken: 0,
      endedIn: new Float64Array(game.groupCount),
      ended: [0, 0, 0],
      endedWorth: [0, 0, 0],
    }
    this.waited = (game.maxSeconds + 1) * game.stateCount
    this.chances = new Float64Array(2 * this.waited)
    this.courses = new Courses(solution.evaluator, this.waited)
  }

  clocked(seconds: number): void {
    const { policy } = this.solution
    if (!policy) throw new Error('occupancy needs the values of every second')
    const width = this.game.stateCount
    const rows = this.game.maxSeconds + 1
    this.chances[(seconds % rows) * width + this.game.start] = 1
    for (let t = seconds; t > 0; t--) {
      const rowAfter = (s: number) => ((t - s) % rows) * width
      this.actAll((t % rows) * width, t, policy, t * width, rowAfter)
    }
    this.see(0, 0)
    for (let state = TERMINALS; state < width; state++) this.settle(state)
    for (let state = TERMINALS; state < width; state++) this.come(state, this.chances[state], 0)
    for (let state = TERMINALS; state < width; state++)
      this.endIn(state, this.chances[state], this.chances[this.waited + state])
  }

  /** Without a clock the best action of a state is the same at all times. */
  unclocked(): void {
    const { evaluator } = this.solution
    const t = fullClock(this.solution)
    const tolerance = tieTolerance(this.solution)
    const policy = new Int32Array(this.game.stateCount).fill(NONE)
    for (let state = TERMINALS; state < policy.length; state++)
      policy[state] = evaluator.bestAction(t, state, tolerance)
    this.chances[this.game.start] = 1
    while (this.actAll(0, t, policy, 0, () => 0) > NEGLIGIBLE);
    for (let state = TERMINALS; state < policy.length; state++) this.settle(state)
  }

  /** Acts in every state of a row that an exchange may be in; returns the chance that it is in any of them. */
  private actAll(row: number, t: number, policy: Int32Array, at: number, rowAfter: (s: number) => number): number {
    const { chances, waited, courses, game } = this
    this.see(row, t)
    let all = 0
    for (let state = TERMINALS; state < game.arrivalsFrom; state++) {
      const here = row + state
      const justEntered = chances[here]
      const justWaited = chances[waited + here]
      if (justEntered === 0 && justWaited === 0) continue
      chances[here] = chances[waited + here] = 0
      if (justEntered + justWaited < this.faint) continue
      if (this.come(state, justEntered, t)) continue
      all += justEntered + justWaited
      const a = policy[at + state]
      if (a === NONE) {
        this.endIn(state, justEntered, justWaited)
        continue
      }
      if (!courses.isStill(state, a, t)) {
        this.settle(state)
        courses.set(state, a, t)
      }
      courses.go(state, justEntered, justWaited, chances, rowAfter(game.actionSeconds[a]))
    }
    return all
  }

  /** Takes out what has come to where it is followed no further. */
  private come(state: number, chance: number, t: number): boolean {
    if (!this.isThere?.[state]) return false
    this.came.chance += chance
    this.came.left += chance * t
    return true
  }

  /** Deals what is seen to the chances that have just come to a position. */
  private see(row: number, t: number): void {
    const { chances, game } = this
    for (let state = game.arrivalsFrom; state < game.stateCount; state++) {
      const chance = chances[row + state]
      if (chance === 0) continue
      chances[row + state] = 0
      const first = game.sights[state - game.arrivalsFrom]
      const shares = this.solution.evaluator.dealtSights(state, t)
      const count = game.sights[state - game.arrivalsFrom + 1] - first
      for (let i = 0; i < count; i++) chances[row + game.sightState[first + i]] += chance * shares[i]
    }
  }

  /** Counts what has flowed along the state's course. */
  private settle(state: number): void {
    const { game, result, courses } = this
    const a = courses.action[state]
    if (a === NONE) return
    const entered = courses.entered[state]
    const chance = entered + courses.waited[state]
    result.states[state] += entered
    result.actions[a] += courses.evaluator.isWaiting(a, state) ? entered : chance
    const g = game.stateGroup[state]
    const { broken, caught, gone } = overSeconds(endsOfGroup(game, g), game.actionSeconds[a])
    this.end(g, chance * broken)
    result.broken += chance * broken
    this.reach(TERMINAL.caught, chance * caught)
    result.gone[g] += chance * gone
    this.reach(TERMINAL.over, chance * gone)
    courses.forEachWay(state, (outcome, to, share) => {
      if (outcome !== NONE) result.outcomes[outcome] += chance * share
      if (to < TERMINALS) this.reach(to, chance * share)
    })
  }

  /** Counts an exchange that reached a terminal. */
  reach(terminal: number, chance: number): void {
    if (terminal === TERMINAL.caught) this.result.caught += chance
    else if (terminal === TERMINAL.over) {
      this.result.ended[EVEN] += chance
      this.result.endedWorth[EVEN] += chance * this.game.terminalWorths[TERMINAL.over]
      this.result.over += chance
    } else this.result.finish += chance
  }

  private endIn(state: number, entered: number, waited: number): void {
    this.result.states[state] += entered
    this.end(this.game.stateGroup[state], entered + waited)
  }

  private end(group: number, chance: number): void {
    const ending = this.game.groupEnding[group]
    this.result.endedIn[group] += chance
    this.result.ended[ending] += chance
    this.result.endedWorth[ending] += chance * this.game.groupWorth[group]
  }
}
