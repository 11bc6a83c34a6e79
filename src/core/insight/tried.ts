import { sure } from '../sure'
import { actionName, isProbe, statesSeen, waysOf } from '../game/describe'
import { NONE, TERMINALS } from '../game/game'
import { fullClock, tieTolerance, type Solution } from '../solve/solution'

/** The better of trying a move (or an answer) in full and only showing it: the action, its value, and its state. */
export interface BestTry {
  action: number
  value: number
  state: number
}

/**
 * The better way of trying a move, by its index in full, or an answer, by its index. Null where it cannot be tried.
 * Where one chooses by what is seen: while that is seen which is seen most of all that let it be tried.
 */
export function bestTried(
  solution: Solution,
  state: number,
  wanted: { move: number } | { answer: number },
): BestTry | null {
  if (state < TERMINALS) return null
  for (const seen of statesSeen(solution.game, state)) {
    const best = bestTriedIn(solution, seen, wanted)
    if (best) return best
  }
  return null
}

function bestTriedIn(solution: Solution, state: number, wanted: { move: number } | { answer: number }): BestTry | null {
  const { game, evaluator } = solution
  let best: BestTry = { action: NONE, value: -Infinity, state }
  for (const action of waysOf(game, sure(game.stateGroup[state]), wanted)) {
    const value = evaluator.actionInState(action, fullClock(solution), state)
    if (value > best.value) best = { action, value, state }
  }
  return best.action === NONE ? null : best
}

/**
 * The best action of a state at the full clock: a move’s id, `wait`, `concede` or null; and whether it is only shown.
 */
export function bestIn(solution: Solution, state: number): { best: string | null; isShown?: boolean } {
  if (state < TERMINALS) return { best: null }
  const { game, evaluator } = solution
  const action = evaluator.bestAction(fullClock(solution), state, tieTolerance(solution))
  if (action === NONE) return { best: null }
  return { best: actionName(game, action), ...(isProbe(game, action) ? { isShown: true } : {}) }
}

/** The best action as of `bestIn`; where one chooses by what is seen, while that is seen which is seen most. */
export const usualBestIn = (solution: Solution, state: number): string | null =>
  state < TERMINALS ? null : bestIn(solution, sure(statesSeen(solution.game, state)[0])).best
