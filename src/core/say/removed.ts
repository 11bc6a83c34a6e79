import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import { counted } from './figureText'

/** British English has no comma before the last. */
const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' })

/** Lists of which records can go with something else, with the word for one. Answers are told apart. */
const GOES_ALONG = { positions: 'position', moves: 'move', reactions: 'reaction', runs: 'run', cards: 'round' } as const

/**
 * What was removed and what went with it: "Removed Mount with 1 move and 1 answer on Americana." `ids`: of the
 * records that were meant, which are not counted.
 */
export function sayRemoved(name: string, ids: readonly string[], before: Chart, after: Chart): string {
  const went = Object.entries(GOES_ALONG).flatMap(([list, word]) => {
    const field = list as keyof typeof GOES_ALONG
    const left = new Set((after[field] ?? []).map((record) => record.id))
    const gone = (before[field] ?? []).filter((record) => !left.has(record.id) && !ids.includes(record.id))
    return gone.length ? [counted(gone.length, word)] : []
  })
  return `Removed ${listed([name, ...went, ...answersGone(ids, before, after)])}. Undo takes that back.`
}

/** Answers that are gone though what they answer is not, with the moves that are met by it. */
function answersGone(ids: readonly string[], before: Chart, after: Chart): string[] {
  const has = (reaction: string, move: string) =>
    after.answers.some((answer) => answer.reaction === reaction && answer.move === move)
  const gone = before.answers.filter(
    ({ reaction, move }) => lookUp(after.reactions, reaction) && !ids.includes(reaction) && !has(reaction, move),
  )
  if (!gone.length) return []
  const met = after.moves.filter(({ tries }) => gone.some(({ reaction }) => tries?.reactions?.[reaction] !== undefined))
  const on = met.length ? ` on ${AND.format(met.map(({ name }) => name))}` : ''
  return [`${counted(gone.length, 'answer')}${on}`]
}

/** "A", "A with B", "A with B and C", "A with B, C and D". */
const listed = ([name = '', ...went]: string[]): string => (went.length ? `${name} with ${AND.format(went)}` : name)
