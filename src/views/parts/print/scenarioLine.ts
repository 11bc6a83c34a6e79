import { timeText } from '../../../stores/settings'
import { whoPlays } from '../../../stores/estimates'
import type { Chart } from '../../../core/chart/chart'
import { ruleSetOf } from '../../../core/chart/rules/ruleSets'
import { lookUp } from '../../../core/chart/lookUp'
import { keptNow } from '../../../core/game/keptScenarios'
import { scenarioOf, type Scenario } from '../../../core/game/scenario'
import { scoreText } from './scoreText'
import { t } from '../../../words'

/** "Ada against Ben", where somebody is named. */
function whoAgainst(): string[] {
  if (!whoPlays.value) return []
  const { us, them } = whoPlays.value
  const somebody = t('print.somebody')
  return [t('print.usAgainstThem', { us: us || somebody, them: them || somebody })]
}

const goalOf = (chart: Chart, goal: readonly string[]) =>
  goal.length
    ? [t('common.toGoal', { goal: goal.map((id) => lookUp(chart.positions, id)?.name).join(t('print.or')) })]
    : []

function counts({ objective, score }: Scenario, usual: string[]): string[] {
  if (objective === 'finish') return [t('print.onlyFinishesCount')]
  if (objective === 'careful') return usual
  return [t('print.toWinScore', { score: scoreText(score) })]
}

/** The scenario on which the numbers of a printed sheet depend, in one line. */
export function scenarioLine(chart: Chart, isFlipped: boolean, saysWho = true): string {
  const scenario = scenarioOf(chart)
  const { start, goal, seconds, sharpness, breakUp, rules, probe } = scenario
  const ruleSet = ruleSetOf(rules, chart.settings?.ruleSets)
  const kept = keptNow(chart)
  return [
    chart.title,
    ...(saysWho ? whoAgainst() : []),
    ...(kept ? [kept.name] : []),
    t('common.fromFrom', { from: lookUp(chart.positions, start)?.name ?? '' }),
    ...goalOf(chart, goal),
    seconds === null ? t('print.noClock') : timeText(seconds),
    t('common.theySeeItComingSharpness', { sharpness: Math.round(sharpness * 100) }),
    breakUp === null ? t('print.nothingBreaksItUp') : t('print.somethingBreaksItUpAfterAbout', { breakUp }),
    ...counts(scenario, [t('print.finishAndPositionCount')]),
    ...(probe ? [t('print.weMayOnlyShowAMove')] : []),
    ...(ruleSet ? [t('print.rulesRuleSet', { ruleSet: ruleSet.name })] : []),
    isFlipped ? t('print.mirrored') : t('print.ownSide'),
  ].join(' · ')
}

/** The same for the top of the screen: its name, if it has one, and what is not as usual. */
export function scenarioShort(chart: Chart, isFlipped: boolean): { name: string; says: string } {
  const scenario = scenarioOf(chart)
  const { start, goal, seconds, sharpness, rules, probe } = scenario
  const says = [
    ...whoAgainst(),
    lookUp(chart.positions, start)?.name ?? '',
    ...goalOf(chart, goal),
    seconds === null ? t('print.noClock') : timeText(seconds),
    t('frame.seeItComingSharpness', { sharpness: Math.round(sharpness * 100) }),
    ...counts(scenario, []),
    ...(probe ? [t('print.weMayOnlyShowAMove')] : []),
    ruleSetOf(rules, chart.settings?.ruleSets)?.name ?? t('print.allIsAllowed'),
    ...(isFlipped ? [t('print.mirrored')] : []),
  ]
  return { name: keptNow(chart)?.name ?? '', says: says.join(' · ') }
}
