import { present } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { GiveUp } from '../questions/giveUp'
import { inPlace, tellMove, upperFirst } from './speech'

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
 * After which step of a run letting go loses the position: the first from which on it is worth clearly less than
 * letting go at the start, in a sentence. `letGo`: by step, the start first; `stepName`: what a step is called. `say`:
 * a worth in words.
 */
export function sayLetGo(
  letGo: readonly (number | null)[],
  stepName: (step: number) => string,
  say: (worth: number) => string,
): string {
  const [first] = letGo
  if (first === null || first === undefined) return ''
  const at = letGo.findIndex((worth) => worth !== null && worth < first - LOST)
  if (at < 0) return `It can be let go at any step for what that is worth at its start, ${say(first)}, or more.`
  const before = at === 1 ? 'Only before its first step' : `Up to step ${at - 1}`
  return `${before} it can be let go as at its start, for ${say(first)}; after step ${at}, “${stepName(at)}”, letting go loses the position: ${say(present(letGo[at]))}.`
}
