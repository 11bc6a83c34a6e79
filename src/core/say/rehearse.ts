import type { Chart } from '../chart/chart'
import { ALWAYS } from '../chart/hazard'
import { lookUp } from '../chart/lookUp'
import type { Asked } from '../club/rehearsed'
import type { Card } from '../rehearse/cards'
import { CONCEDE, WAIT } from '../rehearse/choices'
import { watchOf } from './script'
import { cueName } from './seen'
import { lowerFirst, tellMove, upperFirst, weAreIn, whenThey } from './speech'

/** A card as it is shown: where one is, what happens, and what is asked. */
export interface SaidCard {
  where: string
  happens: string
  asks: string
}

/** A question in words. `chart`: the one whose sides are shown. */
export function sayCard(chart: Chart, { position, move, reaction, cue, chair }: Asked): SaidCard {
  const name = lookUp(chart.positions, position)?.name ?? position
  const tried = lookUp(chart.moves, move)?.name
  if (chair === 'theirs')
    return {
      where: upperFirst(`${weAreIn(name)}.`),
      happens: tried === undefined ? '' : `We ${tellMove(tried)}.`,
      asks: 'What do they do best?',
    }
  const met = lookUp(chart.reactions, reaction)?.name
  const seen = cue === undefined ? undefined : `We see: ${lowerFirst(cueName(chart, cue))}.`
  const first = tried === undefined ? '' : `We ${tellMove(tried)}; `
  return {
    where: upperFirst(`${weAreIn(name)}.`),
    happens: met === undefined ? (seen ?? '') : upperFirst(`${first}${whenThey(met)}.`),
    asks: 'What do we do?',
  }
}

/** A question in one line. */
export function sayAsked(chart: Chart, asked: Asked): string {
  const { where, happens, asks } = sayCard(chart, asked)
  return [where, happens, asks].filter(Boolean).join(' ')
}

/** What can be chosen, in words: a move, a reaction, or nothing. */
export function sayChoice(chart: Chart, { chair }: Asked, id: string): string {
  if (id === WAIT) return 'Hold still'
  if (id === CONCEDE) return 'Let them have it'
  const record = chair === 'theirs' ? lookUp(chart.reactions, id) : lookUp(chart.moves, id)
  return record?.name ?? id
}

/** What stands behind a card: what the move needs, what may not be let go, the usual mistake and the caution. */
export function sayBehind(chart: Chart, { asked, answer, then }: Pick<Card, 'asked' | 'answer' | 'then'>): string[] {
  const move = lookUp(chart.moves, asked.chair === 'theirs' ? then : answer)
  if (asked.chair !== 'theirs')
    return move ? [...watchOf(move), ...(move.hazard || move.to === 'finish' ? [ALWAYS] : [])] : []
  return [move ? `Our answer: ${tellMove(move.name)}.` : 'We have no answer to it yet.']
}
