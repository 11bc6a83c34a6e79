import { NONE, TERMINAL, TERMINALS, type Game } from '../game/game'
import { overSeconds } from '../game/layOut'
import { follow } from './follow'
import { fullClock, tieTolerance, type Solution } from './solution'

/** Expected numbers per exchange under the best policy against the same defender. */
export interface Occupancy {
  states: Float64Array
  /** Seconds waited in a row count once. */
  actions: Float64Array
  outcomes: Float64Array
  /** Chances that the exchange ends so; goals count as finishes. */
  finish: number
  caught: number
  /** Ended without a finish, by `ENDINGS`; and what those endings are worth in all. */
  ended: [ours: number, even: number, theirs: number]
  endedWorth: [ours: number, even: number, theirs: number]
}

/** What is left of an exchange without a clock when following it stops. */
const NEGLIGIBLE = 1e-13

/**
 * How often each state, action and outcome is met, from the solved values: a forward pass over the seconds
 * (no clock: over steps, until almost nothing is left). With a clock the solution must have kept every second.
 */
export function occupancyOf(solution: Solution): Occupancy {
  const pass = new ForwardPass(solution)
  if (solution.seconds === null) pass.unclocked()
  else pass.clocked(solution.seconds)
  return pass.result
}

class ForwardPass {
  readonly result: Occupancy
  private readonly game: Game
  /** Chances of being in a state by time left (a ring of rows): just entered, or after waiting there. */
  private entered: Float64Array
  private waited: Float64Array

  constructor(private readonly solution: Solution) {
    const { game } = solution
    this.game = game
    this.result = {
      states: new Float64Array(game.stateCount),
      actions: new Float64Array(game.actionSeconds.length),
      outcomes: new Float64Array(game.outcomeState.length),
      finish: 0,
      caught: 0,
      ended: [0, 0, 0],
      endedWorth: [0, 0, 0],
    }
    const rows = game.maxSeconds + 1
    this.entered = new Float64Array(rows * game.stateCount)
    this.waited = new Float64Array(rows * game.stateCount)
  }

  clocked(seconds: number): void {
    if (!this.solution.everySecond) throw new Error('occupancy needs the values of every second')
    const width = this.game.stateCount
    const rows = this.game.maxSeconds + 1
    this.arrive(this.game.start, (seconds % rows) * width, 1, false)
    for (let t = seconds; t >= 0; t--) {
      const row = (t % rows) * width
      for (let state = TERMINALS; state < width; state++) {
        const entered = this.entered[row + state]
        const waited = this.waited[row + state]
        if (entered === 0 && waited === 0) continue
        this.entered[row + state] = this.waited[row + state] = 0
        this.act(state, t, entered, waited, 1e-12, (s) => ((t - s) % rows) * width)
      }
    }
  }

  unclocked(): void {
    const t = fullClock(this.solution)
    const tolerance = tieTolerance(this.solution)
    const width = this.game.stateCount
    this.arrive(this.game.start, 0, 1, false)
    for (let left = 1; left > NEGLIGIBLE;) {
      left = 0
      for (let state = TERMINALS; state < width; state++) {
        const entered = this.entered[state]
        const waited = this.waited[state]
        if (entered === 0 && waited === 0) continue
        this.entered[state] = this.waited[state] = 0
        left += entered + waited
        this.act(state, t, entered, waited, tolerance, () => 0)
      }
    }
  }

  /** From a state with chances of having just entered it and of having waited in it, with t seconds left. */
  private act(
    state: number,
    t: number,
    entered: number,
    waited: number,
    tolerance: number,
    rowAfter: (s: number) => number,
  ) {
    const { game, result } = this
    const { evaluator } = this.solution
    const g = game.stateGroup[state]
    const chance = entered + waited
    result.states[state] += entered
    const a = evaluator.bestAction(t, state, tolerance)
    if (a === NONE || t === 0) return this.end(g, chance)
    const waits = evaluator.isWaiting(a, state)
    result.actions[a] += waits ? entered : chance
    const seconds = game.actionSeconds[a]
    const { alive, broken, caught } = overSeconds(game.groupBreak[g], game.groupThreat[g], seconds)
    this.end(g, chance * broken)
    result.caught += chance * caught
    const row = rowAfter(seconds)
    follow(evaluator, a, t, state, (outcome, next, share) => {
      const mass = chance * alive * share
      if (outcome !== NONE) result.outcomes[outcome] += mass
      this.arrive(next, row, mass, waits && outcome === NONE)
    })
  }

  private arrive(state: number, row: number, chance: number, byWaiting: boolean): void {
    if (state === TERMINAL.caught) this.result.caught += chance
    else if (state < TERMINALS) this.result.finish += chance
    else if (byWaiting) this.waited[row + state] += chance
    else this.entered[row + state] += chance
  }

  private end(group: number, chance: number): void {
    const ending = this.game.groupEnding[group]
    this.result.ended[ending] += chance
    this.result.endedWorth[ending] += chance * this.game.groupWorth[group]
  }
}
