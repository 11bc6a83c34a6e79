import { sure } from '../sure'
import { NOTHING_SEEN } from '../chart/cue'
import type { CueId, MoveId, PositionId, ReactionId } from '../chart/ids'
import { NONE, type Game } from './game'

/** Indices of a game back to the coach's ids. */

/** Id of the move that an action tries, or `wait` or `concede`. */
export function actionName(game: Game, a: number): string {
  const move = sure(game.meaning.actionMove[a])
  if (move !== NONE) return sure(game.meaning.index.moves[move]).record.id
  return game.groupIsReaction[groupOfAction(game, a)] ? 'concede' : 'wait'
}

/** The action of a position's group that waits: the first; of a match, where nobody takes that, the second or last. */
export function waitingIn({ groupActions, meaning, scenario }: Game, group: number): number {
  const first = sure(groupActions[group])
  if (scenario.objective !== 'win') return first
  return meaning.actionMove[first + 1] === NONE ? first + 1 : sure(groupActions[group + 1]) - 1
}

/** The group that an action belongs to. */
export function groupOfAction(game: Game, a: number): number {
  let low = 0
  let high = game.groupCount - 1
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (sure(game.groupActions[middle]) <= a) low = middle
    else high = middle - 1
  }
  return low
}

/** The states in which a state may find itself at once: those of what may be seen, the most usual first; or itself. */
export function statesSeen(game: Game, state: number): number[] {
  const i = state - game.arrivalsFrom
  if (i < 0) return [state]
  const sights = Array.from(
    { length: sure(game.sights[i + 1]) - sure(game.sights[i]) },
    (_, s) => sure(game.sights[i]) + s,
  )
  const usual = sights.sort((a, b) => sure(game.sightShare[b]) - sure(game.sightShare[a]))
  return [...new Set(usual.map((s) => sure(game.sightState[s])))]
}

/**
 * An action of a state, as `pick` finds it in a group; where one chooses by what is seen, of the most usual of those
 * that have it. NONE where none has.
 */
export function actionSeen(game: Game, state: number, pick: (group: number) => number): number {
  for (const seen of statesSeen(game, state)) {
    const action = pick(sure(game.stateGroup[seen]))
    if (action !== NONE) return action
  }
  return NONE
}

/** What of a game says which records it was made from. */
type Named = Pick<Game, 'meaning'>

export const moveId = (game: Named, move: number): MoveId => sure(game.meaning.index.moves[move]).record.id
export const cueId = (game: Named, cue: number): CueId | typeof NOTHING_SEEN =>
  cue === NONE ? NOTHING_SEEN : sure(game.meaning.index.cues[cue]).id
export const reactionId = (game: Named, reaction: number): ReactionId =>
  sure(game.meaning.index.reactions[reaction]).record.id
export const positionId = (game: Named, position: number): PositionId =>
  sure(game.meaning.index.positions[position]).record.id

/** The action by which a move is tried in a group, or NONE; `answer` picks one of several answers with that move. */
export function actionOfMove(game: Game, group: number, move: number): number {
  for (let a = sure(game.groupActions[group]); a < sure(game.groupActions[group + 1]); a++) {
    if (game.meaning.actionMove[a] === move) return a
  }
  return NONE
}

/** Index of the move in full for one that is only shown; NONE stays NONE. */
export const inFull = ({ meaning }: Game, move: number): number =>
  move === NONE ? NONE : (sure(meaning.index.moves[move]).probeOf ?? move)

/** True where an action only shows its move. */
export const isProbe = ({ meaning }: Game, a: number): boolean =>
  a !== NONE &&
  meaning.actionMove[a] !== NONE &&
  sure(meaning.index.moves[sure(meaning.actionMove[a])]).probeOf !== undefined

/** The actions of group `g` that try a move, or give an answer, in full and only shown. */
export function waysOf(game: Game, g: number, wanted: { move: number } | { answer: number }): number[] {
  const found: number[] = []
  for (let a = sure(game.groupActions[g]); a < sure(game.groupActions[g + 1]); a++) {
    const is =
      'move' in wanted
        ? inFull(game, sure(game.meaning.actionMove[a])) === wanted.move
        : game.meaning.actionAnswer[a] === wanted.answer
    if (is) found.push(a)
  }
  return found
}

/** Index of the action of a group that gives an answer of the chart, or NONE. */
export function actionOfAnswer(game: Game, g: number, answer: number): number {
  for (let a = sure(game.groupActions[g]) + 1; a < sure(game.groupActions[g + 1]); a++) {
    if (game.meaning.actionAnswer[a] === answer) return a
  }
  return NONE
}
