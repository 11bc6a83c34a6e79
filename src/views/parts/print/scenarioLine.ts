import { clockText } from '../../../core/say/figureText'
import type { Chart } from '../../../core/chart/chart'
import { ruleSetOf } from '../../../core/chart/rules/ruleSets'
import { lookUp } from '../../../core/chart/lookUp'
import { scenarioOf } from '../../../core/game/scenario'

/** The scenario on which the numbers of a printed sheet depend, in one line. */
export function scenarioLine(chart: Chart, isFlipped: boolean): string {
  const { start, goal, seconds, sharpness, objective, breakUp, rules, probe } = scenarioOf(chart)
  const ruleSet = ruleSetOf(rules, chart.settings?.ruleSets)
  return [
    chart.title,
    `from ${lookUp(chart.positions, start)?.name ?? ''}`,
    ...(goal.length ? [`to ${goal.map((id) => lookUp(chart.positions, id)?.name).join(' or ')}`] : []),
    seconds === null ? 'no clock' : clockText(seconds),
    `they see it coming ${Math.round(sharpness * 100)} %`,
    breakUp === null ? 'nothing breaks it up' : `something breaks it up after about ${breakUp} s`,
    objective === 'finish' ? 'only finishes count' : 'finish and position count',
    ...(probe ? ['we may only show a move'] : []),
    ...(ruleSet ? [`rules: ${ruleSet.name}`] : []),
    isFlipped ? 'mirrored' : 'own side',
  ].join(' · ')
}
