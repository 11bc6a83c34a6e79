import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Range } from '../questions/range'
import { inPlace, listed, tellMove, upperFirst } from './speech'

/** A move that is best in a smaller share of the plans is not named. */
const SELDOM = 0.05
const NAMED = 3

/** Least gain of worth by knowing the tries that is worth a sentence. */
const NOTEWORTHY = 0.005

/** The range in sentences. `say`: a worth in words. */
export function sayRange({ kept, knowing, samples }: Range, say: (worth: number) => string): string[] {
  const range = `Keeping to this plan is worth from ${say(kept.low)} to ${say(kept.high)} in eight of ten of ${samples} cases, each with tries that your guesses could as well have meant.`
  if (knowing < NOTEWORTHY) return [range]
  return [
    range,
    `Knowing your real tries, and planning for them, would be worth about ${say(knowing)} more: tally rounds.`,
  ]
}

/** Where it is too close to call: which moves are best, in how many of a hundred plans. */
export function sayClose(chart: Chart, { best }: Range['close'][number]): string {
  const named = best.filter(({ share }) => share >= SELDOM).slice(0, NAMED)
  const told = named.map(({ move, share }, i) => {
    const does = move === 'wait' ? 'hold still' : tellMove(lookUp(chart.moves, move)?.name ?? '')
    return `in ${Math.round(share * 100)}${i ? '' : ' of a hundred plans it is best to'}${i ? ' to' : ''} ${does}`
  })
  return `Too close to call: ${listed(told)}.`
}

/** The same with the name of the position, for where it is not shown beside it. */
export const sayCloseAt = (chart: Chart, close: Range['close'][number]): string =>
  `${upperFirst(inPlace(lookUp(chart.positions, close.position)?.name ?? ''))}: ${sayClose(chart, close).replace('Too close to call: ', '')}`
