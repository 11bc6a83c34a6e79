import type { Verdict, Way } from '../../../core/club/trial'
import { MOST_WEEKS, type TrialNow } from '../../../core/learn/trials'
import { t } from '../../../words/learn'

/** What was found on the day, once. */
export function judged({ better, chance }: Verdict, names: Record<Way, string>): string {
  if (!better) return t('learn.notSettled')
  const sure = better === 'first' ? chance : 1 - chance
  return t('learn.wasBetter', { name: names[better], chance: String(Math.round(sure * 100)) })
}

/**
 * Where it stands before its day, without saying which way is ahead: who sees that looks again until it fits. How many
 * tries it still takes, in weeks at the pace so far.
 */
export function standing({ compared, weeks }: TrialNow): string {
  if (compared.better) return t('learn.couldBeJudged')
  if (compared.more === null || (weeks !== null && weeks > MOST_WEEKS)) return t('learn.neverSettled')
  if (weeks === null) return t('learn.notEnoughYet', { more: compared.more })
  return t('learn.notEnoughWeeks', { more: compared.more, weeks: t('learn.nWeeks', weeks) })
}
