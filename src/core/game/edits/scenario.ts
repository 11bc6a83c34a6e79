import type { Chart } from '../../chart/chart'
import type { KeptScenario } from '../../chart/keptScenario'
import { idFromName } from '../../document/ids'
import { Refusal } from '../../problem'
import { copyOf } from '../../typed'
import { scenarioOf, type Scenario } from '../scenario'

/** Changes the scenario that the chart's settings describe, in the given parts. */
export function setScenario(chart: Chart, instead: Partial<Scenario>): void {
  const { start, goal, seconds, sharpness, objective, rules, probe, score, restart } = {
    ...scenarioOf(chart),
    ...instead,
  }
  chart.settings = {
    ...chart.settings,
    ...pick(instead),
    scenario: {
      ...chart.settings?.scenario,
      start,
      goal: [...goal],
      seconds,
      sharpness,
      objective,
      rules: rules ?? undefined,
      probes: probe ? true : undefined,
      score: score || undefined,
      restart: restart ?? undefined,
    },
  }
}

/** Keeps the scenario as it is under a name; one of that name is replaced. Returns its id. */
export function keepScenario(chart: Chart, name: string): string {
  setScenario(chart, {})
  const { settings = {} } = chart
  const before = settings.keptScenarios ?? []
  const same = before.find((one) => one.name.toLowerCase() === name.toLowerCase())
  const id = same?.id ?? idFromName(name, new Set(before.map((one) => one.id)))
  const kept = { id, name, ...pick(settings), scenario: copyOf(settings.scenario ?? {}) }
  const at = same ? before.indexOf(same) : before.length
  chart.settings = { ...settings, keptScenarios: before.toSpliced(at, 1, kept) }
  return id
}

/** Goes back to a scenario that was kept. Throws a `Refusal` where there is none of that id. */
export function goBackToScenario(chart: Chart, id: string): void {
  const kept = chart.settings?.keptScenarios?.find((one) => one.id === id)
  if (!kept) throw new Refusal(`there is no scenario "${id}"`, 'gone')
  const { breakUp: _, repeat: __, slips: ___, ...others } = chart.settings ?? {}
  chart.settings = { ...others, ...pick(kept), scenario: copyOf(kept.scenario) }
}

/** Forgets a scenario that was kept; what is looked at now stays. */
export function forgetScenario(chart: Chart, id: string): void {
  const left = chart.settings?.keptScenarios?.filter((one) => one.id !== id) ?? []
  const { keptScenarios: _, ...settings } = chart.settings ?? {}
  chart.settings = left.length ? { ...settings, keptScenarios: left } : settings
}

/** The numbers of a scenario that stand beside it, those that are said. */
function pick({ breakUp, repeat, slips }: Pick<KeptScenario, 'breakUp' | 'repeat' | 'slips'>) {
  return {
    ...(breakUp === undefined ? {} : { breakUp }),
    ...(repeat === undefined ? {} : { repeat }),
    ...(slips === undefined ? {} : { slips }),
  }
}
