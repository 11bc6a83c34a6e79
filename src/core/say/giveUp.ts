import { present } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { GiveUp } from '../questions/giveUp'
import { inPlace, listed, tellMove, upperFirst } from './speech'

const NEARLY_ALWAYS = 0.95
const ofTen = (share: number) => `${Math.round(share * 100) / 10} of ten`

/** The loss of worth from which on a move is given up, in a sentence. */
export function sayGiveUp(chart: Chart, { move, position, wrong, limit, instead }: GiveUp): string {
  const name = lookUp(chart.moves, move)?.name ?? ''
  const place = inPlace(lookUp(chart.positions, position)?.name ?? '')
  const now = `${upperFirst(name)}, ${place}, goes wrong ${ofTen(wrong)} now`
  if (limit === null) return `${now}; nothing else there is better however often it does.`
  const does =
    instead === 'wait' ? 'hold still' : instead ? tellMove(lookUp(chart.moves, instead)?.name ?? '') : 'do nothing'
  if (limit > NEARLY_ALWAYS) return `${now}; only where it nearly always does, ${does} instead.`
  return `${now}; from ${ofTen(limit)} on, ${does} instead.`
}

/** A position counts as lost when letting go there is worth this much less than at the start. */
const LOST = 0.03

/**
 * From which step of a run on letting go loses the position: from there to its end it is worth clearly less than
 * letting go at the start; steps before where it dips are named. `letGo`: by step, the start first; `stepName`: what a
 * step is called. `say`: a worth in words.
 */
export function sayLetGo(
  letGo: readonly (number | null)[],
  stepName: (step: number) => string,
  say: (worth: number) => string,
): string {
  const [first] = letGo
  if (first === null || first === undefined) return ''
  const loses = (worth: number | null) => worth !== null && worth < first - LOST
  const dips = letGo.flatMap((worth, step) => (loses(worth) ? [step] : []))
  if (!dips.length) return `It can be let go at any step for what that is worth at its start, ${say(first)}, or more.`
  const lastKept = letGo.findLastIndex((worth) => worth !== null && !loses(worth))
  const from = dips.find((step) => step > lastKept)
  const named = (step: number) => `step ${step}, “${stepName(step)}”`
  const early = dips.filter((step) => step < lastKept)
  const but = early.length
    ? `, but not at ${listed(early.map((step) => `${named(step)} (${say(present(letGo[step]))})`))}`
    : ''
  if (from === undefined) return `It can be let go for what that is worth at its start, ${say(first)}, or more${but}.`
  const before = from === 1 ? 'Only before its first step' : `Up to step ${from - 1}`
  return `${before} it can be let go as at its start, for ${say(first)}${but}; from ${named(from)} on, letting go loses the position: ${say(present(letGo[from]))}.`
}
