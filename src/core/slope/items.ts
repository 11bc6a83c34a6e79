import {
  isEndId,
  toMoveId,
  toPositionId,
  toReactionId,
  type MoveId,
  type PositionId,
  type ReactionId,
} from '../chart/ids'
import { present } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Figures } from '../insight/figures'
import { finishPlace, landingOf } from './graph'
import { reactionsMet } from '../chart/tries'

/** Something on the Slope that can be selected with the keys, in the order in which a chain is read. */
export type Item =
  | { kind: 'place'; place: string }
  | { kind: 'move'; move: MoveId }
  | { kind: 'escape'; move: MoveId | null; position: PositionId; reaction: ReactionId }
  | { kind: 'answer'; move: MoveId | null; position: PositionId; reaction: ReactionId; answer: MoveId }

/** The key of an item in the address; `itemOf` reads it. Only the place of a finish has a blank in it. */
export function itemKey(item: Item): string {
  if (item.kind === 'place') return `place ${item.place}`
  if (item.kind === 'move') return `move ${item.move}`
  const met = `${item.move ?? '-'} ${item.position} ${item.reaction}`
  return item.kind === 'escape' ? `escape ${met}` : `answer ${met} ${item.answer}`
}

/** The item of a key; undefined where the chart does not have it. */
export function itemOf(chart: Chart, key: string): Item | undefined {
  const [kind, ...rest] = key.split(' ')
  if (kind === 'place') {
    const place = rest.join(' ')
    const isThere =
      lookUp(chart.positions, place) ||
      isEndId(place) ||
      chart.moves.some(({ name, to }) => to === 'finish' && finishPlace(name) === place)
    return isThere ? { kind, place } : undefined
  }
  const [move = '', position = '', reaction = '', answer = ''] = rest
  if (kind === 'move') return lookUp(chart.moves, move) && { kind, move: toMoveId(move) }
  const isMet = (move === '-' || lookUp(chart.moves, move)) && lookUp(chart.positions, position)
  if (!isMet || !lookUp(chart.reactions, reaction)) return undefined
  const met = {
    ...{ move: move === '-' ? null : toMoveId(move), position: toPositionId(position) },
    reaction: toReactionId(reaction),
  }
  if (kind === 'escape') return { kind, ...met }
  if (kind === 'answer' && lookUp(chart.moves, answer)) return { kind, ...met, answer: toMoveId(answer) }
  return undefined
}

/**
 * The items one level further along the chain: of a position its moves, of a move its reactions, of a reaction its
 * answers, and where those land.
 */
export function partsOfItem(chart: Chart, figures: Figures | null, item: Item): Item[] {
  if (item.kind === 'place') return [...movesFrom(chart, figures, item.place), ...unprompted(chart, item.place)]
  if (item.kind === 'move') {
    const move = lookUp(chart.moves, item.move)
    const charted = reactionsMet(move ?? {})
    // What the holds leave nothing of has no mark; nor has what meets a move that cannot be tried from here.
    const met = charted.filter(
      (reaction) => !figures || figures.met.some((one) => one.move === item.move && one.reaction === reaction),
    )
    return move
      ? [
          ...met.map((reaction): Item => ({ kind: 'escape', move: move.id, position: move.from, reaction })),
          { kind: 'place', place: landingOf(move) },
        ]
      : []
  }
  if (item.kind === 'answer') {
    const move = lookUp(chart.moves, item.answer)
    return move ? [{ kind: 'place', place: landingOf(move) }] : []
  }
  const answers = chart.answers.filter(({ reaction }) => reaction === item.reaction)
  const best = figures?.met.find(
    ({ move, position, reaction }) => move === item.move && position === item.position && reaction === item.reaction,
  )?.best
  answers.sort((a, b) => Number(b.move === best) - Number(a.move === best))
  const endsIn = lookUp(chart.reactions, item.reaction)?.endsIn
  if (!answers.length) return endsIn ? [{ kind: 'place', place: endsIn }] : []
  return answers.map(({ move: answer }): Item => ({ ...item, kind: 'answer', answer }))
}

/** The moves of a position; the one that the best plan uses most comes first. */
function movesFrom(chart: Chart, figures: Figures | null, place: string): Item[] {
  const uses = (id: MoveId) => figures?.moves[id]?.uses ?? 0
  return chart.moves
    .filter(({ from }) => from === place)
    .sort((a, b) => uses(b.id) - uses(a.id))
    .map(({ id }) => ({ kind: 'move', move: id }))
}

function unprompted(chart: Chart, place: string): Item[] {
  const position = lookUp(chart.positions, place)
  const reactions = Object.keys(position?.unprompted?.reactions ?? {}).map(toReactionId)
  return reactions.map((reaction) => ({ kind: 'escape', move: null, position: present(position).id, reaction }))
}

/** The item that this one belongs to, where that does not depend on the path taken; undefined for places. */
export function wholeOfItem(chart: Chart, item: Item): Item | undefined {
  if (item.kind === 'place') return undefined
  if (item.kind === 'move') {
    const from = lookUp(chart.moves, item.move)?.from
    return from && { kind: 'place', place: from }
  }
  if (item.kind === 'answer') return { ...item, kind: 'escape' }
  return item.move ? { kind: 'move', move: item.move } : { kind: 'place', place: item.position }
}
