import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import { isOwn, totalOf, wholeOf, writtenOut, type Tries } from '../chart/tries'
import type { Gain } from '../questions/gains'
import { shareOf, steppedShare } from '../questions/shifted'
import { drillStep } from '../questions/target'
import { howOften } from './figureText'
import { ofTen as shareOfTen } from './ofTen'
import { inPlace } from './speech'

/** A gain in words: what to drill, and how it would go then. The figure is shown beside it and is not repeated. */
export interface SaidGain {
  head: string
  detail: string
}

export function sayGain(chart: Chart, gain: Gain): SaidGain {
  if (gain.of === 'hold') {
    const [hold, position] = [
      lookUp(chart.holds, gain.hold)?.name ?? '',
      lookUp(chart.positions, gain.position)?.name ?? '',
    ]
    return { head: hold, detail: `one more hold in ${position}` }
  }
  return gain.of === 'drill' ? sayDrill(chart, gain) : sayNewAnswer(chart, gain)
}

/** What is drilled, and how many of ten land now and then. */
function drilled(chart: Chart, { target }: Extract<Gain, { of: 'drill' }>) {
  const answer = target.of === 'answer' ? sure(chart.answers[target.answer]) : undefined
  const move = present(lookUp(chart.moves, target.of === 'move' ? target.move : answer?.move))
  const now = shareOf(wholeOf(answer && isOwn(answer) ? answer : move), { of: 'lands' })
  return { answer, move, now, then: steppedShare(now, drillStep(chart, move.kind)) }
}

/** A gain in a few words, for a picture: "Hip bump 3 → 3.9 of ten". */
export function shortGain(chart: Chart, gain: Gain): string {
  if (gain.of === 'hold') return `${lookUp(chart.holds, gain.hold)?.name ?? ''} as well`
  if (gain.of === 'new answer') return `An answer to “${lookUp(chart.reactions, gain.end.reaction)?.name ?? ''}”`
  const { move, now, then } = drilled(chart, gain)
  return `${move.name} ${shareOfTen(now)} → ${shareOfTen(then)} of ten`
}

function sayDrill(chart: Chart, gain: Extract<Gain, { of: 'drill' }>): SaidGain {
  const { answer, move, now, then } = drilled(chart, gain)
  const where = inPlace(lookUp(chart.positions, move.from)?.name ?? '')
  const against = answer ? `, against “${lookUp(chart.reactions, answer.reaction)?.name ?? ''}”` : ''
  const lands = `lands ${shareOfTen(now)} of ten now, ${shareOfTen(then)} drilled`
  return { head: move.name, detail: `${where}${against}: ${howOften(gain.uses)}; ${lands}` }
}

function sayNewAnswer(chart: Chart, { end }: Extract<Gain, { of: 'new answer' }>): SaidGain {
  const { met, position, reaction } = end
  const what = lookUp(chart.reactions, reaction)?.name ?? ''
  const record = met.by === 'unprompted' ? undefined : lookUp(chart.moves, met.move)
  const meets = met.by === 'answer' ? sure(chart.answers[met.answer]) : record
  const tries = meets && writtenOut(wholeOf(meets))
  const where = record
    ? `to ${record.name}`
    : `while we hold still ${inPlace(lookUp(chart.positions, position)?.name ?? '')}`
  const often = tries ? `${ofTen(tries.reactions?.[reaction] ?? 0, tries)} ` : ''
  return { head: what, detail: `${where} ${often}and you have nothing; an answer that lands half of the time` }
}

/** 3 of 10 tries -> "3 times of ten"; other totals are brought to ten. */
function ofTen(count: number, tries: Tries): string {
  const n = Math.round((count / (totalOf(tries) || 1)) * 10)
  return n === 1 ? 'once in ten' : n === 0 ? 'hardly ever' : n === 10 ? 'every time' : `${n} times of ten`
}

/** What was changed in the chart that was solved for a gain, in words. */
export function changeInWords(gain: Gain): string {
  if (gain.of === 'hold') return 'this hold on as well'
  if (gain.of === 'new answer') return 'an answer that lands half of the time and brings us back to where we were'
  return 'this landing that much more often, and the rest of its tries in proportion'
}

/** Where a gain is worked on: a position, and there a move and a reaction. */
export function placeOfGain(
  chart: Chart,
  gain: Gain,
): { position: string; move?: string; reaction?: string; hold?: string } {
  if (gain.of === 'hold') return { position: gain.position, hold: gain.hold }
  if (gain.of === 'new answer') {
    const { met, position, reaction } = gain.end
    return { position, reaction, ...(met.by === 'unprompted' ? {} : { move: met.move }) }
  }
  const { target } = gain
  const move = target.of === 'move' ? target.move : sure(chart.answers[target.answer]).move
  return { position: present(lookUp(chart.moves, move)).from, move }
}
