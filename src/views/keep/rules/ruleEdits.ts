import { setRule } from '../../../core/chart/edits/ruleSets'
import type { RuleSet } from '../../../core/chart/rules/ruleSet'
import { useCharts } from '../../../stores/charts'

/** Changes a field of one of the chart's own sets, as a step that can be undone; undefined takes it away. */
export function useRuleEdits(set: () => RuleSet) {
  const charts = useCharts()
  return function change<F extends Exclude<keyof RuleSet, 'id'>>(
    label: string,
    field: F,
    value: RuleSet[F] | undefined,
  ): void {
    const { id, name } = set()
    charts.edit(`${label}, ${name}`, (draft) => setRule(draft, id, field, value))
  }
}
