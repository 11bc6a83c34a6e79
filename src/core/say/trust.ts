import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Figures } from '../insight/figures'
import type { Lack } from '../insight/trust'
import { shareOf } from '../questions/shifted'
import { isOwn, wholeOf } from '../chart/tries'
import { inPlace } from './speech'

/** What is lacking, as the next thing to do about it. */
export function sayLack(chart: Chart, lack: Lack): string {
  const move = 'move' in lack ? (lookUp(chart.moves, lack.move)?.name ?? '') : ''
  const where = inPlace(lookUp(chart.positions, lack.position)?.name ?? '')
  if (lack.of === 'moves') return `Nothing is tried ${where}: say a move.`
  if (lack.of === 'losing way') return 'They never win anything yet: say where what they do puts them ahead.'
  if (lack.of === 'reactions') return `${move} meets nothing that they do yet.`
  return lack.answer === null
    ? `Nobody has set how ${move} goes.`
    : `Nobody has set how ${move} goes in reply to “${lookUp(chart.reactions, chart.answers[lack.answer]?.reaction)?.name ?? ''}”.`
}

/** From so many tries in each exchange on, the figure is made of repeated tries. */
const REPEATED = 1.2

/**
 * How the time makes many tries of one: "An exchange is about 8 tries of Americana: with 4 of 10 each, ...". Empty
 * where the plan does not begin with a finish that is tried again and again.
 */
export function sayRepeats(chart: Chart, { best, moves, endings }: Figures): string {
  const move = lookUp(chart.moves, best ?? undefined)
  const uses = move && moves[move.id]?.usedAs.find(({ answer }) => answer === null)?.uses
  if (!move || !isOwn(move) || move.to !== 'finish' || !uses || uses < REPEATED) return ''
  const each = Math.round(shareOf(wholeOf(move), { of: 'lands' }) * 100) / 10
  const n = uses < 10 ? Math.round(uses * 10) / 10 : Math.round(uses)
  return `An exchange is about ${n} tries of ${move.name}: with ${each} of 10 each, and what else there is, ${Math.round(endings.finish * 100)} of a hundred end in a finish.`
}
