import type { Chart } from '../../chart/chart'
import { lookUp } from '../../chart/lookUp'
import type { Move } from '../../chart/move'
import type { Position } from '../../chart/position'
import { countsMet, wholeOf } from '../../chart/tries'
import { blockMoves, startOf } from '../blockMoves'
import type { Block } from '../session'

/** What is called: what they do, where we are, or what is open now. */
export const CALLED = ['reactions', 'positions', 'open'] as const
export type Called = (typeof CALLED)[number]

/** Something that is called out, and what we do then. */
export interface Call {
  /** What tells it from the others. */
  key: string
  says: string
  /** What it meets, or where it is. */
  to: string
  /** What is planned for it; empty where nothing is, or where it would be a finish or a throw. */
  answer: string
  /** How often it is called, against the others. */
  weight: number
}

/** What the plan says of a chart. */
export interface Planned {
  /** What a reaction to a move costs, in worth a hundred exchanges; 0 where it costs nothing. */
  cost: (move: string, reaction: string) => number
  /** How often an exchange comes to a position. */
  visits: (position: string) => number
  /** The best move of a position, by what is seen there where that is asked; undefined where there is none. */
  best: (position: string, cue?: string) => string | undefined
  /** Whether all who are there may do a move. */
  may: (move: Move) => boolean
}

/** What leaks is called so much more often, for each point in a hundred that it costs. */
const PER_POINT = 0.5
/** A position to which the plan never comes is called as if it did so often. */
const LEAST_VISITS = 0.01

/** Nobody is told to strike, to do what is not for all, or to finish or throw somebody who resists. */
const calledIn =
  ({ resistance }: Block, { may }: Planned) =>
  (move: Move): boolean => {
    if (move.tags?.includes('strikes') || !may(move)) return false
    return resistance === 'scripted' || (move.to !== 'finish' && move.kind !== 'takedown')
  }
type IsCalled = ReturnType<typeof calledIn>

/** What can be called in a block: at the frequencies of the chart, and of reactions more of what costs most. */
export function callsOf(chart: Chart, block: Block, what: Called, planned: Planned): Call[] {
  const isCalled = calledIn(block, planned)
  const moves = blockMoves(chart, block).filter(isCalled)
  if (what === 'reactions') return moves.flatMap((move) => reactionsTo(chart, move, planned, isCalled))
  const places = placesOf(chart, block, moves)
  const answerIn = (position: string, cue?: string) => {
    const move = lookUp(chart.moves, planned.best(position, cue))
    return move && isCalled(move) ? move.name : ''
  }
  if (what === 'positions')
    return places.map(({ id, name }) => ({
      ...{ key: id, says: name, to: '', answer: answerIn(id) },
      weight: Math.max(LEAST_VISITS, planned.visits(id)),
    }))
  return places.flatMap(({ id, name, seen = {} }) =>
    Object.entries(seen).flatMap(([cue, n]): Call[] => {
      const says = lookUp(chart.cues ?? [], cue)?.name
      return says && n > 0 ? [{ key: `${id} ${cue}`, says, to: name, answer: answerIn(id, cue), weight: n }] : []
    }),
  )
}

function reactionsTo(chart: Chart, move: Move, { cost }: Planned, isCalled: IsCalled): Call[] {
  return Object.entries(countsMet(wholeOf(move))).flatMap(([id, n]): Call[] => {
    const reaction = lookUp(chart.reactions, id)
    if (!reaction || n <= 0) return []
    const weight = n * (1 + PER_POINT * Math.max(0, cost(move.id, id)))
    const answer = answerTo(chart, id, isCalled)
    return [{ key: `${move.id} ${id}`, says: reaction.name, to: move.name, answer, weight }]
  })
}

/** Where a block goes on: where it starts, where its moves land, and where what they do leads. */
function placesOf(chart: Chart, block: Block, moves: readonly Move[]): Position[] {
  const ids = new Set([
    startOf(chart, block),
    ...moves.flatMap((move) => [
      ...[move.from, move.to],
      ...Object.keys(countsMet(wholeOf(move))).map((id) => lookUp(chart.reactions, id)?.endsIn),
    ]),
  ])
  return chart.positions.filter(({ id }) => ids.has(id))
}

function answerTo(chart: Chart, reaction: string, isCalled: IsCalled): string {
  const answers = chart.answers.filter((one) => one.reaction === reaction)
  const moves = answers.flatMap(({ move }) => lookUp(chart.moves, move) ?? [])
  return moves.find(isCalled)?.name ?? ''
}

/** The next call: by weight, and not the same twice running where there is another. `random` gives 0 to 1. */
export function nextCall(calls: readonly Call[], last: Call | null, random: () => number): Call | null {
  const others = calls.filter((one) => one.key !== last?.key)
  const some = others.length ? others : calls
  let left = random() * some.reduce((sum, { weight }) => sum + weight, 0)
  return some.find(({ weight }) => (left -= weight) < 0) ?? some.at(-1) ?? null
}

/** The next call of those that go round in their order. */
export const inTurn = (calls: readonly Call[], last: Call | null): Call | null =>
  calls[(calls.findIndex((one) => one.key === last?.key) + 1) % Math.max(1, calls.length)] ?? null
