import { sure } from '../sure'
import { NONE, TERMINALS } from '../game/game'
import { follow, Ways } from '../solve/follow'
import { sightsOf } from '../solve/sights'
import { fullClock, tieTolerance, type Solution } from '../solve/solution'

/** What is heard of exchanges that follow the plan. A mark is a number that an exchange carries along, 0 at first. */
export interface Walk {
  /**
   * Exchanges come to a state with `left` seconds on the clock, and the plan does `action` there (NONE: time is up, or
   * it is an arrival, and what is seen is dealt).
   * Returns the mark with which they go on, or null to follow them no further.
   */
  enter: (state: number, at: { mark: number; left: number; chance: number; action: number }) => number | null
  /** Exchanges come to a terminal. */
  end?: (terminal: number, mark: number, chance: number) => void
}

/** Without a clock, what is left of an exchange when following it stops. */
const NEGLIGIBLE = 1e-9

/**
 * Follows exchanges along the whole plan from its start at the full clock, by their chances. Seconds waited in a row
 * come to the state anew each time. The solution must have kept every second where it has a clock: it keeps them for
 * what its start comes to, and for nothing else.
 */
export function walkPlan(solution: Solution, walk: Walk): void {
  const walker = new Walker(solution, walk)
  walker.arrive(solution.game.start, 0, fullClock(solution), 1)
  walker.goOn()
}

class Walker {
  private readonly ways = new Ways()
  /** By seconds left, or by steps taken where there is no clock: state and mark to chance. */
  private readonly rows = new Map<number, Map<number, number>>()

  constructor(
    private readonly solution: Solution,
    private readonly walk: Walk,
  ) {}

  arrive(state: number, mark: number, row: number, chance: number): void {
    if (chance <= 0) return
    if (state < TERMINALS) return void this.walk.end?.(state, mark, chance)
    const key = state + mark * this.solution.game.stateCount
    const there = this.rows.get(row) ?? new Map<number, number>()
    this.rows.set(row, there)
    there.set(key, (there.get(key) ?? 0) + chance)
  }

  goOn(): void {
    const { seconds } = this.solution
    if (seconds !== null) for (let left = seconds; left >= 0; left--) this.takeRow(left, left)
    else for (let row = fullClock(this.solution), all = 1; all > NEGLIGIBLE; row--) all = this.takeRow(row, null)
  }

  /** Lets all of a row act; returns the chance that was in it. */
  private takeRow(row: number, left: number | null): number {
    const there = this.rows.get(row) ?? new Map<number, number>()
    this.rows.delete(row)
    const { stateCount } = this.solution.game
    let all = 0
    for (const [key, chance] of there) {
      all += chance
      const state = key % stateCount
      this.act(state, { mark: Math.floor(key / stateCount), chance, row, left: left ?? fullClock(this.solution) })
    }
    return all
  }

  private act(state: number, at: { mark: number; chance: number; row: number; left: number }): void {
    const { solution, ways } = this
    const { game, evaluator, policy } = solution
    const { chance, row, left } = at
    const isArrival = state >= game.arrivalsFrom
    const action =
      left === 0 || isArrival
        ? NONE
        : policy
          ? sure(policy[left * game.stateCount + state])
          : evaluator.bestAction(left, state, tieTolerance(solution))
    const mark = this.walk.enter(state, { mark: at.mark, left, chance, action })
    if (mark === null) return
    if (isArrival && left > 0) {
      for (const { state: seen, share } of sightsOf(solution, state, left))
        if (share > 0) this.act(seen, { mark, chance: chance * share, row, left })
    }
    if (action === NONE) return
    follow(evaluator, action, left, state, ways)
    const next = solution.seconds === null ? row - 1 : row - sure(game.actionSeconds[action])
    const goes = chance * sure(game.actionAlive[action])
    const found = Array.from({ length: ways.count }, (_, i) => [sure(ways.state[i]), sure(ways.chance[i])] as const)
    for (const [to, share] of found) this.arrive(to, mark, next, goes * share)
  }
}
