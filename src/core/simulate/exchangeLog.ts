import type { LoggedTry, TryOutcome } from '../match/tryLog'
import { moveId, positionId, reactionId, isProbe } from '../game/describe'
import { NONE, OUTCOME, TERMINAL, TERMINALS, type Game } from '../game/game'
import type { Solution } from '../solve/solution'
import { sure } from '../sure'
import { playOut, type Ended } from './playOut'

/** What is known of every try of an exchange. */
export type About = Omit<LoggedTry, 'move' | 'reply' | 'outcome'>

/**
 * Plays one exchange with dice and logs every full try that came to something; a try that is broken off is no try.
 * `random` gives numbers from 0 to 1; `seconds` is how long it lasted.
 */
export function exchangeLog(
  solution: Solution,
  random: () => number,
  about: About,
): { tries: LoggedTry[]; end: Ended; seconds: number } {
  const { game } = solution
  const tries: LoggedTry[] = []
  let seconds = 0
  const end = playOut(solution, random, {
    second: () => void (seconds += 1),
    arrived: (state, action, outcome) => {
      const what = triedIn(game, action)
      if (what) tries.push({ ...about, ...what, outcome: outcomeOf(game, state, outcome) })
    },
  })
  return { tries, end, seconds }
}

/** The move that an action tries in full, and what it answers; undefined for waiting, conceding and showing. */
function triedIn(game: Game, action: number): Pick<LoggedTry, 'move' | 'reply'> | undefined {
  const { actionMove, actionAnswer, index } = game.meaning
  const move = sure(actionMove[action])
  if (move === NONE || isProbe(game, action)) return undefined
  const answer = sure(actionAnswer[action])
  if (answer === NONE) return { move: moveId(game, move) }
  const reaction = index.reactions.findIndex(({ answers }) => answers.some((one) => one.index === answer))
  return { move: moveId(game, move), reply: reactionId(game, reaction) }
}

/** What slips is a try that came to nothing. */
function outcomeOf(game: Game, state: number, outcome: number): TryOutcome {
  const kind = outcome === NONE ? OUTCOME.stalls : sure(game.meaning.outcomeKind[outcome])
  if (kind === OUTCOME.lands) return 'lands'
  if (kind === OUTCOME.reaction) return { reaction: reactionId(game, sure(game.meaning.outcomeReaction[outcome])) }
  return kind === OUTCOME.elsewhere ? { elsewhere: placeOf(game, state) } : 'stalls'
}

function placeOf(game: Game, state: number): string {
  if (state === TERMINAL.caught) return 'caught'
  if (state < TERMINALS) return 'over'
  return positionId(game, sure(game.meaning.groupPlace[sure(game.stateGroup[state])]))
}
