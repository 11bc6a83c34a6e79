import { mergeCharts } from '../core/chart/mergeCharts'
import type { Chart } from '../core/chart/chart'
import { bareChart, commonBase, markOf } from '../core/chart/shared'
import { makeChart, readChart } from '../core/files/chartFile'
import { problemText } from '../core/problem'
import { sayConflict } from '../core/say/merge'
import { write } from './convert'
import { filesAndOptions, readChartFile, UsageError } from './usage'

const OPTIONS = {
  base: { type: 'string' },
  choose: { type: 'string' },
  out: { type: 'string' },
} as const

/** `merge MINE THEIRS [--base FILE] [--choose mine|theirs]`: two charts that began as one, as one again. */
export function mergeCommand(args: string[]): number {
  const { files, values } = filesAndOptions(args, OPTIONS, 2)
  const { choose } = values
  if (choose !== undefined && choose !== 'mine' && choose !== 'theirs')
    throw new UsageError(`--choose wants mine or theirs, not "${choose}"`)
  const read = [...files, ...(values.base === undefined ? [] : [values.base])].map((file) => readChartFile(file))
  const problems = read.flatMap((one) => (one.ok ? [] : one.problems))
  const [mine, theirs, given] = read.map((one) => (one.ok ? one.value : null))
  if (problems.length || !mine || !theirs) {
    problems.forEach((problem) => console.error(problemText(problem)))
    return 1
  }
  const merged = mergeCharts(given ?? baseIn(mine, theirs), mine, theirs, () =>
    choose === 'theirs' ? 'theirs' : 'mine',
  )
  for (const conflict of choose === undefined ? merged.conflicts : []) {
    const { about, mine: ours, theirs: others } = sayConflict(conflict, mine, theirs)
    console.error(`${about}: ${ours} | ${others}`)
  }
  merged.problems.forEach((problem) => console.error(problemText(problem)))
  if (merged.problems.length || (choose === undefined && merged.conflicts.length)) return 1
  write(makeChart(merged.document), values.out)
  return 0
}

/** What both began as, as far as the files say it. */
function baseIn(mine: Chart, theirs: Chart): Chart | null {
  const known = [mine, theirs].flatMap(({ shared }) => {
    const read = shared?.ancestor ? readChart(shared.ancestor) : null
    return read?.ok ? [read.value] : []
  })
  const own = { ...mine, shared: { lineage: [...(mine.shared?.lineage ?? []), markOf(mine)] } }
  return commonBase(own, { given: [], taken: known.map(bareChart) }, theirs, null)
}
