import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import { CONCEDE, WAIT } from '../rehearse/choices'
import type { Came, HowEnded, Option } from '../rehearse/spar'
import { showMove, tellMove, upperFirst, weAreIn, whenThey } from './speech'

/** Something that can be done, as it stands on what is pressed. */
export function sayOption(chart: Chart, { does, isShown }: Option): string {
  if (does === WAIT) return 'Hold still'
  if (does === CONCEDE) return 'Let them have it'
  const name = lookUp(chart.moves, does)?.name ?? does
  return isShown ? upperFirst(showMove(name)) : name
}

/** What was done, as it is told: "We shoot the high crotch". */
export function sayDone(chart: Chart, { does, isShown }: Option): string {
  if (does === WAIT) return 'We hold still'
  if (does === CONCEDE) return 'We let them have it'
  const name = lookUp(chart.moves, does)?.name ?? does
  return `We ${isShown ? showMove(name) : tellMove(name)}`
}

const ENDED: Record<HowEnded, string> = {
  finish: 'It is a finish',
  goal: 'We are where we wanted to be',
  caught: 'They have caught us',
  over: 'They are away, and it is over',
  'broken up': 'It is broken up',
  time: 'Time',
  beyond: 'The plan goes no further here',
}
export const sayEnded = (how: HowEnded): string => ENDED[how]

/** What came of it, in a sentence. */
export function sayCame(chart: Chart, came: Came): string {
  if (came.of === 'end') return `${sayEnded(came.how)}.`
  if (came.of === 'reaction') return upperFirst(`${whenThey(lookUp(chart.reactions, came.reaction)?.name ?? '')}.`)
  const there = weAreIn(lookUp(chart.positions, came.place)?.name ?? came.place)
  const WORDS = {
    lands: `It lands: ${there}.`,
    stalls: 'It comes to nothing.',
    slips: `It slips: ${there}.`,
    elsewhere: `It goes elsewhere: ${there}.`,
    held: 'Nothing happens.',
    conceded: `They have it: ${there}.`,
  }
  return WORDS[came.of]
}
