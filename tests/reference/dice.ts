import { NONE, TERMINAL, TERMINALS } from '../../src/core/game/game'
import { follow, Ways } from '../../src/core/solve/follow'
import type { Solution } from '../../src/core/solve/solution'

/** What is heard of an exchange while it is played. */
export interface Heard {
  /** `again`: it was waited for, and still is. */
  tried?(action: number, again: boolean): void
  arrived?(state: number, action: number, outcome: number): void
  /** What is seen on an arrival: the state of it. */
  saw?(state: number): void
  second?(state: number): void
}

export interface Ended {
  terminal: number
  worth: number
}

/** Plays one exchange, second by second, with dice. `terminal` is NONE where it ended without a finish. */
export function playOut(solution: Solution, random: () => number, heard: Heard): Ended {
  const { game, evaluator } = solution
  const ways = new Ways()
  const ended = (terminal: number): Ended => {
    const isCareful = game.scenario.objective === 'careful'
    const worth = { [TERMINAL.caught]: isCareful ? -1 : 0, [TERMINAL.over]: isCareful ? game.scenario.ends.even : 0 }
    return { terminal, worth: (worth as Record<number, number>)[terminal] ?? 1 }
  }
  let state = game.start
  let waited = false
  for (let t = solution.seconds!; ;) {
    if (state < TERMINALS) return ended(state)
    if (state >= game.arrivalsFrom && t > 0) {
      state = see(solution, state, t, random())
      heard.saw?.(state)
      continue
    }
    const action = t > 0 ? evaluator.bestAction(t, state) : NONE
    const group = game.stateGroup[state]
    const broken = { terminal: NONE, worth: game.groupWorth[group] }
    if (action === NONE) return broken
    const waits = evaluator.isWaiting(action, state)
    heard.tried?.(action, waits && waited)
    for (let s = 0; s < game.actionSeconds[action]; s++) {
      heard.second?.(state)
      if (random() < game.groupBreak[group]) return broken
      if (random() < game.groupThreat[group]) return ended(TERMINAL.caught)
      if (random() < game.groupOut[group]) return ended(TERMINAL.over)
    }
    follow(evaluator, action, t, state, ways)
    t -= game.actionSeconds[action]
    const way = pick(ways, random())
    waited = waits && ways.outcome[way] === NONE
    state = ways.state[way]
    heard.arrived?.(state, action, ways.outcome[way])
  }
}

/** What they make us see on coming to a position. */
function see({ game, evaluator }: Solution, arrival: number, t: number, dice: number): number {
  const [from, to] = game.sights.slice(arrival - game.arrivalsFrom)
  const shares = evaluator.dealtSights(arrival, t)
  let left = dice
  for (let i = from; i < to - 1; i++) if ((left -= shares[i - from]) < 0) return game.sightState[i]
  return game.sightState[to - 1]
}

function pick(ways: Ways, dice: number): number {
  let left = dice
  for (let i = 0; i < ways.count - 1; i++) if ((left -= ways.chance[i]) < 0) return i
  return ways.count - 1
}
