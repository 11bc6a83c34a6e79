import { sure } from '../sure'
import type { Run } from '../chart/run'
import { actionOfAnswer, actionOfMove, actionSeen } from '../game/describe'
import { NONE, OUTCOME, TERMINAL, TERMINALS, type Game } from '../game/game'
import type { Solution } from '../solve/solution'

/**
 * Worth of having come to each step of a run, the start first, at the full clock so that steps compare. Null from the
 * first step on that the game does not have, because a need is missing or the outcome cannot come of it.
 */
export function worthsAlong(
  { game, values }: Solution,
  { start, steps }: Pick<Run, 'start' | 'steps'>,
): (number | null)[] {
  const p = game.meaning.index.positionOf.get(start)
  let state = p === undefined ? NONE : sure(game.meaning.ownState[p])
  const worths = [state === NONE ? null : sure(values[state])]
  for (const step of steps) {
    state = state === NONE ? NONE : next(game, state, step)
    worths.push(state === NONE ? null : sure(values[state]))
  }
  return worths
}

function next(game: Game, state: number, step: Run['steps'][number]): number {
  if (state < TERMINALS) return NONE
  const a = actionSeen(game, state, (group) => actionOf(game, group, step))
  if (a === NONE) return NONE
  const wanted = step.reaction
    ? OUTCOME.reaction
    : step.elsewhere
      ? OUTCOME.elsewhere
      : step.stalls || !step.move
        ? OUTCOME.stalls
        : OUTCOME.lands
  const isWanted = (kind: number) => kind === wanted || (step.elsewhere !== undefined && kind === OUTCOME.slips)
  for (let o = sure(game.outcomes[a]); o < sure(game.outcomes[a + 1]); o++) {
    if (isWanted(sure(game.meaning.outcomeKind[o])) && isAt(game, o, step)) return sure(game.outcomeState[o])
  }
  return NONE
}

function actionOf(game: Game, g: number, { move, reaction }: Run['steps'][number]): number {
  const first = sure(game.groupActions[g])
  if (!move) return game.groupIsReaction[g] === (reaction ? 0 : 1) ? first : NONE
  const index = game.meaning.index.moves.findIndex(({ record }) => record.id === move)
  if (!game.groupIsReaction[g]) return actionOfMove(game, g, index)
  const { answers } = sure(game.meaning.index.reactions[sure(game.meaning.groupPlace[g])])
  const answer = answers.find(({ record }) => record.move === move)
  return answer ? actionOfAnswer(game, g, answer.index) : NONE
}

/** Whether an outcome is the reaction, or leads to the place, that the step names. */
function isAt(game: Game, o: number, { reaction, elsewhere }: Run['steps'][number]): boolean {
  const { index, outcomeReaction, groupPlace } = game.meaning
  if (reaction) return sure(index.reactions[sure(outcomeReaction[o])]).record.id === reaction
  if (!elsewhere) return true
  const state = sure(game.outcomeState[o])
  if (state === TERMINAL.caught) return elsewhere === 'caught'
  if (state === TERMINAL.over) return elsewhere === 'over'
  return (
    state >= TERMINALS && sure(index.positions[sure(groupPlace[sure(game.stateGroup[state])])]).record.id === elsewhere
  )
}
