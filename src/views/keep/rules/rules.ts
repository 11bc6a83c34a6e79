import type { Chart } from '../../../core/chart/chart'
import type { Move } from '../../../core/chart/move'
import type { RuleSet } from '../../../core/chart/rules/ruleSet'
import { timeText } from '../../../stores/settings'
import { t } from '../../../words/rules'

/** The moves of a chart that a set of rules does not allow. */
export const takenOut = ({ moves }: Chart, { forbids, noFinish }: RuleSet): Move[] =>
  moves.filter(({ tags, to }) => (noFinish && to === 'finish') || tags?.some((tag) => forbids.includes(tag)))

/** "one round of 6:00", "3 rounds of 5:00". */
export const roundsText = ({ rounds }: RuleSet): string =>
  rounds
    ? t('rules.roundsOfSeconds', { rounds: t('count.round', rounds.count), seconds: timeText(rounds.seconds) })
    : ''
