import { pathText, problemText } from '../core/problem'
import { fileAndOptions, readChartFile } from './usage'

/** `check FILE [--json]`: every problem of a chart, one a line. */
export function check(args: string[]): number {
  const { file, values } = fileAndOptions(args, { json: { type: 'boolean', default: false } })
  const chart = readChartFile(file)
  const problems = chart.ok ? [] : chart.problems
  if (values.json) {
    console.log(JSON.stringify({ ok: chart.ok, problems: problems.map((p) => ({ ...p, path: pathText(p.path) })) }))
  } else problems.forEach((problem) => console.log(problemText(problem)))
  return chart.ok ? 0 : 1
}
