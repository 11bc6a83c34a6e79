import type { Chart } from '../chart/chart'
import type { MoveId, ReactionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { isOwn, weightOf, type Tries } from '../chart/tries'
import { isGuessed } from '../insight/trust'
import { counted } from './figureText'

/** Whose guess the tries of a move or an answer are, and for how much it counts; empty where the coach has set them. */
export function sayGuess(chart: Chart, move: MoveId, tries: Tries | undefined): string {
  if (!tries || !isGuessed(tries)) return ''
  const whose = chart.settings?.fromShelf?.[move] ? 'A guess of the Shelf' : 'A guess of ours'
  return `${whose}: it counts for ${counted(weightOf(tries), 'real try', 'real tries')}, until you set it.`
}

/** The same of what is tried, in answer to a reaction or (undefined) as what one begins with. */
export function sayGuessOf(chart: Chart, move: MoveId, reaction: ReactionId | undefined): string {
  const answer = chart.answers.find((one) => one.reaction === reaction && one.move === move)
  return sayGuess(chart, move, answer && isOwn(answer) ? answer.tries : lookUp(chart.moves, move)?.tries)
}
