import { present, sure } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import { reactionsMet, totalOf, wholeOf, writtenOut, type Tries } from '../chart/tries'
import type { Figures } from '../insight/figures'
import { NOTEWORTHY } from '../insight/nets'
import { finishPlace } from '../slope/graph'
import type { PositionId } from '../chart/ids'
import type { Item } from '../slope/items'
import { seeCard, waitsFor } from './seen'
import { lowerFirst } from './speech'

const hundred = (value: number) => String(Math.round(value * 100)).replace('-', 'minus ')

/** An item in a sentence or two, as they are read aloud: what it is, what it is worth, what leads on from it. */
export function sayItem(chart: Chart, figures: Figures | null, item: Item): string {
  if (item.kind === 'place') return sayPlace(chart, figures, item.place)
  if (item.kind === 'move') return sayMove(chart, figures, item.move)
  if (item.kind === 'escape') return sayEscape(chart, figures, item)
  const move = lookUp(chart.moves, item.answer)
  const value = valueOfAnswer(chart, figures, item)
  const worth = value === undefined ? '' : `, worth ${hundred(value)}`
  return move ? `We answer with ${move.name}${worth}. It lands in ${placeName(chart, move.to)}.` : ''
}

export function placeName(chart: Chart, place: string): string {
  if (place === 'finish') return 'a finish'
  if (place === 'caught') return 'being finished'
  if (place === 'over') return 'the end of it, nobody ahead'
  return lookUp(chart.positions, place)?.name ?? place
}

function sayPlace(chart: Chart, figures: Figures | null, place: string): string {
  const position = lookUp(chart.positions, place)
  if (!position) {
    const leading = chart.moves.filter(({ name, to }) => to === 'finish' && finishPlace(name) === place)
    if (!leading.length) return place === 'over' ? 'It is over, and nobody is ahead.' : 'They finish us.'
    return `${sure(leading[0]).name}, a finish, from ${list(leading.map(({ from }) => placeName(chart, from)))}.`
  }
  const figure = figures?.positions[position.id]
  const moves = chart.moves.filter(({ from }) => from === place).length
  const best = lookUp(chart.moves, figure?.best)
  return [
    `${position.name}${figure ? `, worth ${hundred(figure.value)}` : ''}, ${{ ours: 'ours', even: 'even', theirs: 'theirs' }[position.ahead]}.`,
    ...(position.seen ? [seenHere(chart, figures, position.id)] : []),
    moves === 0 ? 'Nothing is tried here.' : moves === 1 ? 'One move.' : `${moves} moves.`,
    ...(best ? [`Best: ${best.name}.`] : figure?.best === 'wait' ? ['Best: hold still.'] : []),
  ].join(' ')
}

/** "3 things are told apart here; the worst is far hand at our neck, worth 20: armbar." */
function seenHere(chart: Chart, figures: Figures | null, position: PositionId): string {
  const { lines } = present(seeCard(chart, figures, position))
  const { name, does, worth } = sure(lines[0])
  const worst =
    worth === null ? '' : ` The worst to see is ${lowerFirst(name)}, worth ${hundred(worth)}: ${lowerFirst(does)}.`
  return `${lines.length === 1 ? 'One thing is' : `${lines.length} things are`} told apart on coming here.${worst}`
}

function sayMove(chart: Chart, figures: Figures | null, id: string): string {
  const move = lookUp(chart.moves, id)
  if (!move) return ''
  const figure = figures?.moves[move.id]
  const tries = writtenOut(wholeOf(move))
  const reactions = reactionsMet(move).length
  const used = figure && figure.uses >= 0.005 ? `, tried ${hundred(figure.uses)} times in a hundred` : ''
  const worth = figure ? (figure.value === null ? ', which cannot be tried' : `, worth ${hundred(figure.value)}`) : ''
  return [
    `${move.name} from ${placeName(chart, move.from)}${worth}${used}.`,
    ...(move.when?.length ? [`Only when we see it ${waitsFor(chart, move)}.`] : []),
    `${ofTries(tries, tries.lands ?? 0)} land in ${placeName(chart, move.to)}.`,
    reactions ? `They have ${reactions === 1 ? 'one reaction' : `${reactions} reactions`}.` : 'No reaction is charted.',
  ].join(' ')
}

const ofTries = (tries: Tries, count: number) => `${Math.round(10 * count) / 10} of ${totalOf(tries)}`

function sayEscape(chart: Chart, figures: Figures | null, item: Item & { kind: 'escape' }): string {
  const reaction = lookUp(chart.reactions, item.reaction)
  if (!reaction) return ''
  const move = lookUp(chart.moves, item.move)
  const met = figures?.met.find(
    (one) => one.reaction === item.reaction && one.move === item.move && one.position === item.position,
  )
  const isLoose = met ? !met.answers.length : !chart.answers.some((answer) => answer.reaction === item.reaction)
  const tries = move && writtenOut(wholeOf(move))
  const count = tries ? `, ${ofTries(tries, tries.reactions?.[item.reaction] ?? 0)}` : ''
  const kind = !met ? '' : met.net >= NOTEWORTHY ? 'a trap' : met.net <= -NOTEWORTHY ? 'a leak' : 'even'
  return [
    `They: ${reaction.name}${count}, into ${placeName(chart, reaction.endsIn)}.`,
    ...(met ? [`${sure(kind[0]).toUpperCase()}${kind.slice(1)}, ${hundred(met.net)}.`] : []),
    ...(isLoose ? ['No answer yet.'] : []),
  ].join(' ')
}

function valueOfAnswer(chart: Chart, figures: Figures | null, item: Item & { kind: 'answer' }): number | undefined {
  const met = figures?.met.find(
    (one) => one.reaction === item.reaction && one.move === item.move && one.position === item.position,
  )
  return met?.answers.find(({ answer }) => chart.answers[answer]?.move === item.answer)?.value
}

const list = (names: string[]) =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}`
