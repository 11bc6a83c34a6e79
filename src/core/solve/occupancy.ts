import { NONE, TERMINAL, TERMINALS, type Game } from '../game/game'
import { overSeconds } from '../game/layOut'
import { follow, Ways } from './follow'
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
  /** By action: the chances that the exchange breaks up, or that they finish us, on the way. */
  private readonly broken: Float64Array
  private readonly caught: Float64Array
  private readonly ways = new Ways()

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
    this.broken = new Float64Array(game.actionSeconds.length)
    this.caught = new Float64Array(game.actionSeconds.length)
    for (let g = 0; g < game.groupCount; g++) {
      for (let a = game.groupActions[g]; a < game.groupActions[g + 1]; a++) {
        const interrupted = overSeconds(game.groupBreak[g], game.groupThreat[g], game.actionSeconds[a])
        this.broken[a] = interrupted.broken
        this.caught[a] = interrupted.caught
      }
    }
    const rows = game.maxSeconds + 1
    this.entered = new Float64Array(rows * game.stateCount)
    this.waited = new Float64Array(rows * game.stateCount)
  }

  clocked(seconds: number): void {
    const { policy } = this.solution
    if (!policy) throw new Error('occupancy needs the values of every second')
    const width = this.game.stateCount
    const rows = this.game.maxSeconds + 1
    this.arrive(this.game.start, (seconds % rows) * width, 1, false)
    for (let t = seconds; t >= 0; t--) {
      const rowAfter = (s: number) => ((t - s) % rows) * width
      this.actAll((t % rows) * width, t, policy, t * width, rowAfter)
    }
  }

  /** Without a clock the best action of a state is the same at all times. */
  unclocked(): void {
    const { evaluator } = this.solution
    const t = fullClock(this.solution)
    const tolerance = tieTolerance(this.solution)
    const policy = new Int32Array(this.game.stateCount).fill(NONE)
    for (let state = TERMINALS; state < policy.length; state++)
      policy[state] = evaluator.bestAction(t, state, tolerance)
    this.arrive(this.game.start, 0, 1, false)
    while (this.actAll(0, t, policy, 0, () => 0) > NEGLIGIBLE);
  }

  /** Acts in every state of a row that an exchange may be in; returns the chance that it is in any of them. */
  private actAll(row: number, t: number, policy: Int32Array, at: number, rowAfter: (s: number) => number): number {
    const { entered, waited } = this
    let all = 0
    for (let state = TERMINALS; state < this.game.stateCount; state++) {
      const justEntered = entered[row + state]
      const justWaited = waited[row + state]
      if (justEntered === 0 && justWaited === 0) continue
      entered[row + state] = waited[row + state] = 0
      all += justEntered + justWaited
      this.act(state, t, policy[at + state], justEntered, justWaited, rowAfter)
    }
    return all
  }

  /** Action `a` from a state with chances of having just entered it and of having waited in it, with t seconds left. */
  private act(state: number, t: number, a: number, entered: number, waited: number, rowAfter: (s: number) => number) {
    const { game, result } = this
    const { evaluator } = this.solution
    const g = game.stateGroup[state]
    const chance = entered + waited
    result.states[state] += entered
    if (a === NONE || t === 0) return this.end(g, chance)
    const waits = evaluator.isWaiting(a, state)
    result.actions[a] += waits ? entered : chance
    const { ways, broken, caught } = this
    this.end(g, chance * broken[a])
    result.caught += chance * caught[a]
    const row = rowAfter(game.actionSeconds[a])
    const goesOn = chance * game.actionAlive[a]
    follow(evaluator, a, t, state, ways)
    for (let i = 0; i < ways.count; i++) {
      const mass = goesOn * ways.chance[i]
      const outcome = ways.outcome[i]
      if (outcome !== NONE) result.outcomes[outcome] += mass
      this.arrive(ways.state[i], row, mass, waits && outcome === NONE)
    }
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
