import { copyOf } from '../../typed'
import { Refusal } from '../../problem'
import { BUILT_IN_RULES } from '../rules/builtInRules'
import type { Chart } from '../chart'
import { putField } from '../../document/fields'
import { idFromName } from '../../document/ids'
import type { RuleSet, ScoringAction } from '../rules/ruleSet'
import { ruleSetOf } from '../rules/ruleSets'

/** Copies a set, built-in or the chart's own, as one of the chart's own that can be changed; returns its id. */
export function copyRuleSet(chart: Chart, id: string): string {
  const own = chart.settings?.ruleSets ?? []
  const set = ruleSetOf(id, own)
  if (!set) throw new Refusal(`there is no rule set "${id}"`)
  const name = `${set.name}, copy`
  const copy = idFromName(name, new Set([...own, ...BUILT_IN_RULES].map((one) => one.id)))
  const copied = { ...copyOf(set), id: copy, name }
  chart.settings = { ...chart.settings, ruleSets: [...own, copied] }
  return copy
}

function ownSet(chart: Chart, id: string): RuleSet {
  const set = chart.settings?.ruleSets?.find((one) => one.id === id)
  if (!set) throw new Refusal(`the chart has no rule set "${id}"`, 'gone')
  return set
}

/** Sets one field of one of the chart's own sets, or (undefined, or an empty text) takes it away. */
export function setRule<F extends Exclude<keyof RuleSet, 'id'>>(
  chart: Chart,
  id: string,
  field: F,
  value: RuleSet[F] | undefined,
): void {
  putField(ownSet(chart, id), field, value)
}

/** What a scoring action gives under one of the chart's own sets. */
export function setPoints(chart: Chart, id: string, action: ScoringAction, points: number): void {
  const set = ownSet(chart, id)
  set.points = { ...set.points, [action]: points }
}

/** Whether one of the chart's own sets forbids what has a tag. */
export function setForbidden(chart: Chart, id: string, tag: string, isForbidden: boolean): void {
  const set = ownSet(chart, id)
  const others = set.forbids.filter((one) => one !== tag)
  set.forbids = isForbidden ? [...others, tag] : others
}

/** Takes one of the chart's own sets away; where it was in force, none is. */
export function removeRuleSet(chart: Chart, id: string): void {
  const { settings = {} } = chart
  chart.settings = { ...settings, ruleSets: (settings.ruleSets ?? []).filter((one) => one.id !== id) }
  if (settings.scenario?.rules === id) chart.settings.scenario = { ...settings.scenario, rules: undefined }
}
