import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import type { Mat } from '../../../core/club/live/liveRecords'
import { lastOf } from '../../../core/sure'
import { standingOf } from '../../../core/club/live/pressLog'
import type { TryOutcome } from '../../../core/match/tryLog'
import { t } from '../../../words/train'

/** The last entry of a mat, in a few words; empty where there is nothing to take back. */
export function lastPressed(chart: Chart | null, { round, last }: Mat): string {
  if (!chart) return ''
  if (!round) return last ? t('train.theRoundIsOver') : ''
  if (round.course.length < 2) return ''
  const { move, asks, isUnseen } = standingOf(round)
  if (isUnseen) return t('train.didNotSee')
  if (move && !asks) return lookUp(chart.moves, move)?.name ?? ''
  const tried = lastOf(round.tries)
  const name = lookUp(chart.moves, tried?.move)?.name ?? ''
  return tried ? `${name}: ${outcomeText(chart, tried.outcome)}` : t('train.theOtherAttacks')
}

function outcomeText(chart: Chart, outcome: TryOutcome): string {
  if (outcome === 'lands') return t('train.landed')
  if (typeof outcome === 'object' && 'reaction' in outcome)
    return lookUp(chart.reactions, outcome.reaction)?.name ?? t('train.nothing')
  return t('train.nothing')
}
