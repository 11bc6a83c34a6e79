import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import type { Variant } from '../../../core/match/recordOf'
import { t } from '../../../words/learn'

/** What is tried, by name: a move, or a move against what they do. */
export function triedName(chart: Chart | undefined, { move, reply }: Variant): string {
  const name = lookUp(chart?.moves, move)?.name ?? move
  if (reply === undefined) return name
  return t('learn.nameAgainst', { name, reaction: lookUp(chart?.reactions, reply)?.name ?? reply })
}
