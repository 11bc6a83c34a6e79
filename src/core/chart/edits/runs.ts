import type { Chart } from '../chart'
import { idFromName, type PositionId } from '../ids'
import type { Run, RunStep } from '../run'
import { Gone, idsIn } from './find'

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
  chart.runs = chart.runs!.filter((run) => run.id !== id)
  if (!chart.runs.length) delete chart.runs
}

/** Keeps the first `count` steps. */
export function shortenRun(chart: Chart, id: string, count: number): void {
  const run = runIn(chart, id)
  run.steps = run.steps.slice(0, count)
}

/** Keeps the first `count` steps and goes on with another. */
export function continueRun(chart: Chart, id: string, count: number, step: RunStep): void {
  const run = runIn(chart, id)
  run.steps = [...run.steps.slice(0, count), step]
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
