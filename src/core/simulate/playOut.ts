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

/**
 * Plays one exchange, second by second, with dice: numbers from 0 to 1. The solution must have a clock and have kept
 * every second.
 */
export function playOut(solution: Solution, random: () => number, heard: Heard): Ended {
  const { game, evaluator } = solution
  const ways = new Ways()
  let state = game.start
  let waited = false
  for (let t = present(solution.seconds); ;) {
    if (state < TERMINALS) return ended(solution, state)
    if (state >= game.arrivalsFrom && t > 0) {
      state = see(solution, state, t, random())
      heard.saw?.(state)
      continue
    }
    const action = t > 0 ? evaluator.bestAction(t, state) : NONE
    if (action === NONE) return brokenOff(solution, state)
    const waits = evaluator.isWaiting(action, state)
    heard.tried?.(action, waits && waited)
    const cut = secondsPass(solution, state, sure(game.actionSeconds[action]), random, heard)
    if (cut) return cut
    follow(evaluator, action, t, state, ways)
    t -= sure(game.actionSeconds[action])
    const way = pick(ways, random())
    const outcome = sure(ways.outcome[way])
    waited = waits && outcome === NONE
    state = sure(ways.state[way])
    heard.arrived?.(state, action, outcome)
  }
}

const ended = ({ game }: Solution, terminal: number): Ended => ({
  terminal,
  worth: sure(game.terminalWorths[terminal]),
})

const brokenOff = ({ game }: Solution, state: number): Ended => ({
  terminal: NONE,
  worth: sure(game.groupWorth[sure(game.stateGroup[state])]),
})

/** Lets the seconds of an action pass; how the exchange ends where one of them ends it. */
function secondsPass(solution: Solution, state: number, seconds: number, random: () => number, heard: Heard) {
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
