import { present } from '../../sure'
import type { Chart } from '../chart'
import type { PositionId } from '../ids'
import { idFromName } from '../../document/ids'
import type { Run, RunStep } from '../run'
import { Refusal } from '../../problem'
import { Gone, idsIn, moveBefore } from './find'

export function runIn(chart: Chart, id: string): Run {
  const run = chart.runs?.find((one) => one.id === id)
  if (!run) throw new Gone('run', id)
  return run
}

export function addRun(chart: Chart, name: string, start: PositionId, steps: RunStep[] = []): string {
  const id = idFromName(name, idsIn(chart.runs ?? []))
  chart.runs = [...(chart.runs ?? []), { id, name, start, steps }]
  return id
}

export function removeRun(chart: Chart, id: string): void {
  runIn(chart, id)
  chart.runs = present(chart.runs).filter((run) => run.id !== id)
  if (!chart.runs.length) delete chart.runs
}

/** Puts a run one place up or down among the runs; at the end it stays. */
export function shiftRun(chart: Chart, id: string, by: 1 | -1): void {
  runIn(chart, id)
  const runs = present(chart.runs)
  const at = runs.findIndex((run) => run.id === id)
  const to = at + by
  if (to < 0 || to >= runs.length) return
  moveBefore(runs, at, by < 0 ? to : to + 1)
}

/**
 * Ends a run after the steps `kept`, which are those that it began with when the coach looked at it, and goes on with
 * `next`, if there is one. Throws where the run no longer begins with them: another tab has led it another way.
 */
export function continueRun(chart: Chart, id: string, kept: readonly RunStep[], next?: RunStep): void {
  const run = runIn(chart, id)
  const isSame = kept.every((step, i) => JSON.stringify(step) === JSON.stringify(run.steps[i]))
  if (!isSame) throw new Refusal(`the run “${run.name}” goes another way by now`, 'gone')
  run.steps = [...kept.map((step) => ({ ...step })), ...(next ? [next] : [])]
}

/** Says of a remark that it is meant so, and why; without a reason it is a remark again. */
export function intend(chart: Chart, id: string, remark: string, reason: string): void {
  const run = runIn(chart, id)
  const others = (run.intended ?? []).filter((one) => one.remark !== remark)
  const intended = reason.trim() ? [...others, { remark, reason: reason.trim() }] : others
  if (intended.length) run.intended = intended
  else delete run.intended
}

/** Ends every run before its first step of which `isGone` is true: what comes after would have nothing to follow. */
export function cutRuns(chart: Chart, isGone: (step: RunStep) => boolean): void {
  for (const run of chart.runs ?? []) {
    const at = run.steps.findIndex(isGone)
    if (at >= 0) run.steps = run.steps.slice(0, at)
  }
}
