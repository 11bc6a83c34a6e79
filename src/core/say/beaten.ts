import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import { isPlaced, type Beaten, type Blow } from '../questions/beat'
import type { Gain } from '../questions/gains'
import type { MetWhere } from '../insight/looseEnds'
import type { SeenWhere } from '../questions/placed'
import { sayGain } from './gain'
import { cueName } from './seen'
import { inPlace, lowerFirst, whenThey } from './speech'

/** Where a reaction is met: "against snap the head down", or "while we hold still in mount". */
export function whereMet(chart: Chart, { met, position }: MetWhere): string {
  const move = met.by === 'unprompted' ? undefined : lookUp(chart.moves, met.move)
  const place = inPlace(lookUp(chart.positions, position)?.name ?? '')
  return move ? `against ${lowerFirst(move.name)}` : `while we hold still ${place}`
}

/** A repair that brings back less is none, in worth. */
const LITTLE = 0.0005

/** How they would beat us, in at most six sentences. `say`: a difference of worth in words. */
export function sayBeaten(
  chart: Chart,
  { worth, blows, shift, repair }: Beaten,
  say: (worth: number) => string,
): string[] {
  const everywhere = shift
    ? [`If ${whenThey(nameOf(chart, shift.reaction))} twice as often whatever we do, that costs us ${say(shift.cost)}.`]
    : []
  if (!blows.length) {
    return ['Nothing that they already do would cost us much if they did it twice as often there.', ...everywhere]
  }
  const openings = ['First', 'Then', 'And']
  const sentences = blows.map((blow, i) => `${openings[i]} ${blowSaid(chart, blow)}: that costs us ${say(blow.cost)}.`)
  const last = sure(blows[blows.length - 1]).worth
  const together = `${blows.length > 1 ? 'With all of it' : 'With that'} the start is worth ${say(last)} instead of ${say(worth)}, as well as we can play it.`
  if (!repair || repair.gain < LITTLE)
    return [...sentences, together, ...everywhere, 'None of our answers to these brings much back.']
  return [
    ...sentences,
    together,
    ...everywhere,
    `What would cost them most of our answers to these: ${repairSaid(chart, repair)} brings back ${say(repair.gain)} while they do this.`,
  ]
}

/** A thing of theirs that is done more often, in words. */
export const blowSaid = (chart: Chart, blow: Blow) =>
  isPlaced(blow)
    ? `they show us “${lowerFirst(cueName(chart, blow.cue))}” ${timesText(blow.times)} ${whereSeen(chart, blow)}`
    : `${whenThey(nameOf(chart, blow.reaction))} ${timesText(blow.times)} ${whereMet(chart, blow)}`

/** Where something is seen: "in side control". */
export const whereSeen = (chart: Chart, { position }: SeenWhere): string =>
  inPlace(lookUp(chart.positions, position)?.name ?? '')

const nameOf = (chart: Chart, reaction: string) => lookUp(chart.reactions, reaction)?.name ?? ''

/** 2 -> "twice as often", 1.44 -> "1.4 times as often, which is all there is to it,". */
const timesText = (times: number) =>
  times > 1.95 ? 'twice as often' : `${times.toFixed(1)} times as often, which is all there is to it,`

function repairSaid(chart: Chart, repair: Gain): string {
  const { head } = sayGain(chart, repair)
  if (repair.of === 'new answer') return `an answer to “${lowerFirst(head)}” that lands half of the time`
  const target = repair.of === 'drill' ? repair.target : undefined
  const answer = target?.of === 'answer' ? chart.answers[target.answer] : undefined
  const against = answer ? ` against “${lowerFirst(lookUp(chart.reactions, answer.reaction)?.name ?? '')}”` : ''
  return `drilling “${lowerFirst(head)}”${against}`
}
