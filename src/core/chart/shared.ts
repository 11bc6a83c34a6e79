import { makeDocument } from '../document/read'
import { seedOf } from '../seed'
import type { Chart } from './chart'
import type { Shared } from './lineage'

/*
 * Charts that go to and fro between two coaches. Each file says by marks which states of the chart it has in it, and
 * brings one of them along, so that whoever has changed the chart in the meantime can merge the two.
 */

/** So many marks are kept. */
const MOST_MARKS = 200
/** A file brings no larger state along. In characters of its text. */
const MOST_ANCESTOR = 2 * 1024 * 1024

/** The plan alone, without how it was exchanged. */
export function bareChart(chart: Chart): Chart {
  const { shared: _, ...bare } = chart
  return bare
}

/** Names a state of a chart: 64 bits of its text, the same for the same plan. */
export function markOf(chart: Chart): string {
  const text = makeDocument(bareChart(chart))
  return [text, `again ${text}`].map((one) => (seedOf(one) * 2 ** 32).toString(16).padStart(8, '0')).join('')
}

/** States of a chart that were exchanged and are kept here: given away, or taken in. */
export interface Exchanged {
  given: readonly Chart[]
  taken: readonly Chart[]
}

/** Marks of the states that are in a chart as it is here. */
export const lineageOf = ({ shared }: Chart, { given }: Exchanged): string[] => [
  ...new Set([...given.map(markOf), ...(shared?.lineage ?? [])]),
]

/** The chart as it goes into a file. */
export function forFile(chart: Chart, exchanged: Exchanged): Chart {
  const mark = markOf(chart)
  const lineage = [...lineageOf(chart, exchanged).filter((one) => one !== mark), mark].slice(-MOST_MARKS)
  const ancestor = exchanged.taken.findLast((one) => lineage.includes(markOf(one))) ?? exchanged.given[0]
  const isBrought = ancestor && markOf(ancestor) !== mark && makeDocument(ancestor).length <= MOST_ANCESTOR
  return { ...bareChart(chart), shared: { lineage, ...(isBrought ? { ancestor: bareChart(ancestor) } : {}) } }
}

/** A chart from a file as it is kept: it knows what it has in it, the file's own state too. */
export function fromFile(file: Chart): Chart {
  const lineage = [...(file.shared?.lineage ?? []).filter((one) => one !== markOf(file)), markOf(file)]
  return { ...bareChart(file), shared: { lineage: lineage.slice(-MOST_MARKS) } }
}

/**
 * What a chart and a file of it both began as: the newest state that is in both and that one of them has; null where
 * there is none. `ancestor`: that of the file, read.
 */
export function commonBase(chart: Chart, exchanged: Exchanged, file: Chart, ancestor: Chart | null): Chart | null {
  const here = new Set(lineageOf(chart, exchanged))
  const there = fromFile(file).shared?.lineage ?? []
  const known = new Map([...exchanged.given, ...exchanged.taken].map((one) => [markOf(one), one]))
  if (ancestor) known.set(markOf(ancestor), ancestor)
  if (here.has(markOf(file))) return bareChart(file)
  for (const mark of there.toReversed()) {
    const state = known.get(mark)
    if (state && here.has(mark)) return bareChart(state)
  }
  return null
}

/** The lineage after a file was merged in. */
export const mergedLineage = (chart: Chart, file: Chart): Shared => ({
  lineage: [...new Set([...(chart.shared?.lineage ?? []), ...(fromFile(file).shared?.lineage ?? [])])].slice(
    -MOST_MARKS,
  ),
})
