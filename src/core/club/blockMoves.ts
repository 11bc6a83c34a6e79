import { bandsOf } from '../chart/bands'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import { reactionsMet } from '../chart/tries'
import type { Block, Session } from './session'

/** The positions of a region of a chart, by its key. */
const positionsOf = ({ positions }: Chart, region: string): Position[] =>
  bandsOf(positions).find(({ key }) => key === region)?.positions ?? []

/** The moves that a block is about; none where its record is gone, or is of another chart. */
export function blockMoves(chart: Chart, { about }: Pick<Block, 'about'>): Move[] {
  if (!about || (about.chart !== undefined && about.chart !== chart.id)) return []
  const { moves, answers, cards = [], runs = [] } = chart
  const some = (ids: readonly (string | undefined)[]) => moves.filter(({ id }) => ids.includes(id))
  const answersTo = (reactions: readonly string[]) =>
    answers.flatMap(({ reaction, move }) => (reactions.includes(reaction) ? [move] : []))
  if (about.kind === 'move') return some([about.id])
  if (about.kind === 'position') {
    const here = moves.filter(({ from }) => from === about.id)
    return some([...here.map(({ id }) => id), ...answersTo(here.flatMap(reactionsMet))])
  }
  if (about.kind === 'card') {
    const card = lookUp(cards, about.id)
    return card ? some([card.move, ...answersTo([card.reaction])]) : []
  }
  if (about.kind === 'region') {
    const places = positionsOf(chart, about.id)
    return moves.filter(({ from }) => places.some(({ id }) => id === from))
  }
  return about.kind === 'run' ? some(lookUp(runs, about.id)?.steps.map(({ move }) => move) ?? []) : []
}

/** The moves that a class is about, each once. */
export const classMoves = (chart: Chart, { blocks }: Pick<Session, 'blocks'>): Move[] => [
  ...new Set(blocks.flatMap((block) => blockMoves(chart, block))),
]

/** Where rounds of a block begin: a position of the chart; undefined where it has none. */
export function startOf(chart: Chart, { about }: Pick<Block, 'about'>): string | undefined {
  if (!about || (about.chart !== undefined && about.chart !== chart.id)) return undefined
  const { positions, moves, cards = [], runs = [] } = chart
  const id = {
    position: about.id,
    card: lookUp(cards, about.id)?.position,
    move: lookUp(moves, about.id)?.from,
    run: lookUp(runs, about.id)?.start,
    flow: undefined,
    region: positionsOf(chart, about.id)[0]?.id,
  }[about.kind]
  return lookUp(positions, id)?.id
}

/** What a block is about, by its name in the chart; undefined where it is gone, or is a flow of the Shelf. */
export function subjectName(chart: Chart, { about }: Pick<Block, 'about'>): string | undefined {
  if (!about || (about.chart !== undefined && about.chart !== chart.id)) return undefined
  const { positions, moves, reactions, cards = [], runs = [] } = chart
  const record = {
    position: lookUp(positions, about.id),
    move: lookUp(moves, about.id),
    run: lookUp(runs, about.id),
    card: lookUp(reactions, lookUp(cards, about.id)?.reaction),
    flow: undefined,
    region: bandsOf(positions).find(({ key }) => key === about.id),
  }[about.kind]
  return record?.name
}
