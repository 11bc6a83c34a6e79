import { clockText } from '../../../core/say/figureText'
import type { Chart } from '../../../core/chart/chart'
import { ruleSetOf } from '../../../core/chart/rules/ruleSets'
import { lookUp } from '../../../core/chart/lookUp'
import { scenarioOf } from '../../../core/game/scenario'
import { t } from '../../../words'

/** The scenario on which the numbers of a printed sheet depend, in one line. */
export function scenarioLine(chart: Chart, isFlipped: boolean): string {
  const { start, goal, seconds, sharpness, objective, breakUp, rules, probe } = scenarioOf(chart)
  const ruleSet = ruleSetOf(rules, chart.settings?.ruleSets)
  return [
    chart.title,
    t('common.fromFrom', { from: lookUp(chart.positions, start)?.name ?? '' }),
    ...(goal.length
      ? [t('common.toGoal', { goal: goal.map((id) => lookUp(chart.positions, id)?.name).join(t('print.or')) })]
      : []),
    seconds === null ? t('print.noClock') : clockText(seconds),
    t('common.theySeeItComingSharpness', { sharpness: Math.round(sharpness * 100) }),
    breakUp === null ? t('print.nothingBreaksItUp') : t('print.somethingBreaksItUpAfterAbout', { breakUp }),
    objective === 'finish' ? t('print.onlyFinishesCount') : t('print.finishAndPositionCount'),
    ...(probe ? [t('print.weMayOnlyShowAMove')] : []),
    ...(ruleSet ? [t('print.rulesRuleSet', { ruleSet: ruleSet.name })] : []),
    isFlipped ? t('print.mirrored') : t('print.ownSide'),
  ].join(' · ')
}
