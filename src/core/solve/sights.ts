import { NONE } from '../game/game'
import { fullClock, type Solution } from './solution'

/** One thing that may be seen where an exchange comes to a position: its cue, the state it is in then, the chance. */
export interface Seen {
  /** Index of the cue; NONE for nothing in particular. */
  cue: number
  state: number
  share: number
}

/**
 * What may be seen where an exchange comes to `state`, as it is dealt with t seconds left. Where nothing is dealt: the
 * state itself.
 */
export function sightsOf(solution: Solution, state: number, t = fullClock(solution)): Seen[] {
  const { game, evaluator } = solution
  const i = state - game.arrivalsFrom
  if (i < 0) return [{ cue: NONE, state, share: 1 }]
  const first = game.sights[i]
  const shares = evaluator.dealtSights(state, t)
  return Array.from(game.sightState.subarray(first, game.sights[i + 1]), (to, s) => ({
    cue: game.meaning.sightCue[first + s],
    state: to,
    share: shares[s],
  }))
}
