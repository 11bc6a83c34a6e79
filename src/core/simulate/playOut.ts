import { NONE, TERMINAL, TERMINALS } from '../game/game'
import { follow, Ways } from '../solve/follow'
import type { Solution } from '../solve/solution'
import { present, sure } from '../sure'

/** What is heard of an exchange while it is played. */
export interface Heard {
  /** `again`: it was waited for, and still is. */
  tried?: (action: number, again: boolean) => void
  arrived?: (state: number, action: number, outcome: number) => void
  /** What is seen on an arrival: the state of it. */
  saw?: (state: number) => void
  second?: (state: number) => void
}

export interface Ended {
  /** NONE where it ended without a finish. */
  terminal: number
  worth: number
}

/** One exchange that is played, a choice at a time: where it is, and how it ended. */
export class Exchange {
  /** Seconds left. */
  t: number
  state: number
  ended: Ended | null = null
  private waited = false
  private readonly ways = new Ways()

  /** `random`: numbers from 0 to 1. The solution must have a clock and have kept every second. */
  constructor(
    private readonly solution: Solution,
    private readonly random: () => number,
    private readonly heard: Heard = {},
  ) {
    this.t = present(solution.seconds)
    this.state = solution.game.start
    this.arrive()
  }

  /** Does an action of the state (NONE: nothing is done any more). Returns the outcome; NONE where nothing came. */
  take(action: number): number {
    const { solution, state, heard, ways } = this
    const { game, evaluator } = solution
    if (action === NONE) {
      this.ended = brokenOff(solution, state)
      return NONE
    }
    const waits = evaluator.isWaiting(action, state)
    heard.tried?.(action, waits && this.waited)
    const seconds = sure(game.actionSeconds[action])
    this.ended = this.pass(seconds)
    if (this.ended) return NONE
    follow(evaluator, action, this.t, state, ways)
    this.t -= seconds
    const way = pick(ways, this.random())
    const outcome = sure(ways.outcome[way])
    this.waited = waits && outcome === NONE
    this.state = sure(ways.state[way])
    heard.arrived?.(this.state, action, outcome)
    this.arrive()
    return outcome
  }

  /** Ends where it has come to an end, and deals what is seen where something is. */
  private arrive(): void {
    const { solution, heard } = this
    if (this.state < TERMINALS) this.ended = ended(solution, this.state)
    else if (this.state >= solution.game.arrivalsFrom && this.t > 0) {
      this.state = see(solution, this.state, this.t, this.random())
      heard.saw?.(this.state)
    }
  }

  /** Lets seconds pass; how the exchange ends where one of them ends it. */
  private pass(seconds: number): Ended | null {
    const { solution, state, random, heard } = this
    const { game } = solution
    const group = sure(game.stateGroup[state])
    for (let s = 0; s < seconds; s++) {
      heard.second?.(state)
      if (random() < sure(game.groupBreak[group])) return brokenOff(solution, state)
      if (random() < sure(game.groupThreat[group])) return ended(solution, TERMINAL.caught)
      if (random() < sure(game.groupOut[group])) return ended(solution, TERMINAL.over)
    }
    return null
  }
}

/** Plays one exchange by the best plan. Asks of the solution what `Exchange` asks. */
export function playOut(solution: Solution, random: () => number, heard: Heard): Ended {
  const exchange = new Exchange(solution, random, heard)
  while (!exchange.ended) {
    const { t, state } = exchange
    exchange.take(t > 0 ? solution.evaluator.bestAction(t, state) : NONE)
  }
  return exchange.ended
}

const ended = ({ game }: Solution, terminal: number): Ended => ({
  terminal,
  worth: sure(game.terminalWorths[terminal]),
})

const brokenOff = ({ game }: Solution, state: number): Ended => ({
  terminal: NONE,
  worth: sure(game.groupWorth[sure(game.stateGroup[state])]),
})

/** What they make us see on coming to a position. */
function see({ game, evaluator }: Solution, arrival: number, t: number, dice: number): number {
  const i = arrival - game.arrivalsFrom
  const [from, to] = [sure(game.sights[i]), sure(game.sights[i + 1])]
  const shares = evaluator.dealtSights(arrival, t)
  let left = dice
  for (let s = from; s < to - 1; s++) if ((left -= sure(shares[s - from])) < 0) return sure(game.sightState[s])
  return sure(game.sightState[to - 1])
}

function pick(ways: Ways, dice: number): number {
  let left = dice
  for (let i = 0; i < ways.count - 1; i++) if ((left -= sure(ways.chance[i])) < 0) return i
  return ways.count - 1
}
