import { sure } from '../sure'
import type { MoveId, ReactionId } from '../chart/ids'
import { actionName, actionOfMove, actionSeen, moveId, reactionId } from '../game/describe'
import { NONE, TERMINALS, type Game } from '../game/game'
import { fullClock, tieTolerance, type Solution } from '../solve/solution'

/** At least this far from 0 an escape attempt is a trap for them or a leak for us. */
export const NOTEWORTHY = 0.03

/** A reaction to a move tried from its own position with its own holds. */
export interface Net {
  move: MoveId
  reaction: ReactionId
  /** Chance that the move meets it, if they react as they usually do. */
  share: number
  /** Value once it is met. */
  value: number
  /** Worth of the reaction less worth had nothing come of the try; above 0 it is better for us. */
  net: number
  /** What our best answer is worth over conceding. */
  saves: number
  /** Id of the answer's move, or `concede`. */
  best: string
  /** Game's indices, to look up what the figures are made of. */
  state: number
  stalled: number
  outcome: number
}

/** The nets of all moves that can be tried from their own positions, in file order. */
export function netsOf(solution: Solution): Net[] {
  const { game } = solution
  return game.meaning.index.moves.flatMap((move, m) => {
    const own = sure(game.meaning.ownState[move.from])
    if (move.probeOf !== undefined || move.isReply || own === NONE || own < TERMINALS) return []
    // What they do in reply is the same whatever is seen.
    const action = actionSeen(game, own, (group) => actionOfMove(game, group, m))
    return action === NONE ? [] : netsOfAction(solution, m, action)
  })
}

function netsOfAction(solution: Solution, m: number, action: number): Net[] {
  const { game, values } = solution
  const stalled = sure(game.meaning.stalledState[m])
  const nets: Net[] = []
  for (let o = sure(game.reactionsFrom[action]); o < sure(game.outcomes[action + 1]); o++) {
    const state = sure(game.outcomeState[o])
    nets.push({
      move: moveId(game, m),
      reaction: reactionId(game, sure(game.meaning.outcomeReaction[o])),
      share: sure(game.outcomeChance[o]),
      value: sure(values[state]),
      net: sure(values[state]) - sure(values[stalled]),
      ...bestAnswer(solution, game, state),
      state,
      stalled,
      outcome: o,
    })
  }
  return nets
}

function bestAnswer(solution: Solution, game: Game, state: number): { saves: number; best: string } {
  const t = fullClock(solution)
  const concede = sure(game.groupActions[sure(game.stateGroup[state])])
  const conceded = solution.evaluator.actionInState(concede, t, state)
  const best = solution.evaluator.bestAction(t, state, tieTolerance(solution))
  const value = sure(solution.values[state])
  return {
    saves: conceded === -Infinity ? 0 : value - conceded,
    best: best === NONE ? 'concede' : actionName(game, best),
  }
}
