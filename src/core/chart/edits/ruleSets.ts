import { BUILT_IN_RULES } from '../rules/builtInRules'
import type { Chart } from '../chart'
import { idFromName } from '../ids'
import type { RuleSet } from '../rules/ruleSet'
import { ruleSetOf } from '../rules/ruleSets'

/** Copies a set, built-in or the chart's own, as one of the chart's own that can be changed; returns its id. */
export function copyRuleSet(chart: Chart, id: string): string {
  const own = chart.settings?.ruleSets ?? []
  const set = ruleSetOf(id, own)
  if (!set) throw new Error(`there is no rule set "${id}"`)
  const name = `${set.name}, copy`
  const copy = idFromName(name, new Set([...own, ...BUILT_IN_RULES].map((one) => one.id)))
  const copied = { ...(JSON.parse(JSON.stringify(set)) as RuleSet), id: copy, name }
  chart.settings = { ...chart.settings, ruleSets: [...own, copied] }
  return copy
}

/** Changes one of the chart's own sets. */
export function changeRuleSet(chart: Chart, id: string, change: (set: RuleSet) => void): void {
  const set = chart.settings?.ruleSets?.find((one) => one.id === id)
  if (!set) throw new Error(`the chart has no rule set "${id}"`)
  change(set)
}

/** Takes one of the chart's own sets away; where it was in force, none is. */
export function removeRuleSet(chart: Chart, id: string): void {
  const { settings = {} } = chart
  chart.settings = { ...settings, ruleSets: (settings.ruleSets ?? []).filter((one) => one.id !== id) }
  if (settings.scenario?.rules === id) chart.settings.scenario = { ...settings.scenario, rules: undefined }
}
