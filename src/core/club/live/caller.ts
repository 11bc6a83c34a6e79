import type { Chart } from '../../chart/chart'
import { lookUp } from '../../chart/lookUp'
import type { Move } from '../../chart/move'
import { countsMet, wholeOf } from '../../chart/tries'
import { blockMoves } from '../blockMoves'
import type { Block } from '../session'

/** Something that is called out: what they do, to what, and what we do then. */
export interface Call {
  reaction: string
  says: string
  /** The move that it meets. */
  to: string
  /** What is planned for it; empty where nothing is, or where it would be a finish or a throw. */
  answer: string
  /** How often it is called, against the others. */
  weight: number
}

/** What leaks is called so much more often, for each point in a hundred that it costs. */
const PER_POINT = 0.5

/** Nobody is told to finish, strike or throw somebody who resists. */
function isCalled({ to, kind, tags = [] }: Move, isResisted: boolean): boolean {
  if (tags.includes('strikes')) return false
  return !isResisted || (to !== 'finish' && kind !== 'takedown')
}

/**
 * What can be called in a block, at the frequencies of the chart, and more of what costs most. `cost`: what a reaction
 * to a move costs, in worth a hundred exchanges; 0 where it costs nothing.
 */
export function callsOf(chart: Chart, block: Block, cost: (move: string, reaction: string) => number): Call[] {
  const isResisted = block.resistance !== 'scripted'
  return blockMoves(chart, block)
    .filter((move) => isCalled(move, isResisted))
    .flatMap((move) => {
      return Object.entries(countsMet(wholeOf(move))).flatMap(([id, n]): Call[] => {
        const reaction = lookUp(chart.reactions, id)
        if (!reaction || n <= 0) return []
        const weight = n * (1 + PER_POINT * Math.max(0, cost(move.id, id)))
        return [{ reaction: id, says: reaction.name, to: move.name, answer: answerTo(chart, id, isResisted), weight }]
      })
    })
}

function answerTo(chart: Chart, reaction: string, isResisted: boolean): string {
  const answers = chart.answers.filter((one) => one.reaction === reaction)
  const moves = answers.flatMap(({ move }) => lookUp(chart.moves, move) ?? [])
  return moves.find((move) => isCalled(move, isResisted))?.name ?? ''
}

/** The next call: by weight, and not the same twice running where there is another. `random` gives 0 to 1. */
export function nextCall(calls: readonly Call[], last: Call | null, random: () => number): Call | null {
  const others = calls.filter((one) => one.reaction !== last?.reaction || one.to !== last.to)
  const some = others.length ? others : calls
  let left = random() * some.reduce((sum, { weight }) => sum + weight, 0)
  return some.find(({ weight }) => (left -= weight) < 0) ?? some.at(-1) ?? null
}

/** A number from 0 to 1 that a text always gives: what a block begins its calls from. */
export function seedOf(text: string): number {
  let hash = 2166136261
  for (const letter of text) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619)
  return (hash >>> 0) / 2 ** 32
}
