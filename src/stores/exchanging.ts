import type { Chart } from '../core/chart/chart'
import { bareChart, commonBase, forFile, fromFile, type Exchanged } from '../core/chart/shared'
import { makeDocument } from '../core/document/read'
import { readChart } from '../core/files/chartFile'
import type { Store } from '../storage/connection'
import { keepExchanged, readExchanged } from '../storage/exchanged'

const NOTHING: Exchanged = { given: [], taken: [] }

/**
 * Charts that go to others and come back: what was exchanged is remembered beside them. Where that cannot be read or
 * kept, a file is as good, and more has to be asked when it comes back.
 */
export function useExchanging(store: Store) {
  const exchangedOf = (id: string) => store.run((db) => readExchanged(db, id)).catch(() => NOTHING)
  const remember = (direction: keyof Exchanged, id: string, state: Chart) =>
    store.run((db) => keepExchanged(db, direction, id, bareChart(state), Date.now())).catch(() => undefined)

  /** The text of a chart's file, and that it was given away. */
  async function fileOf(chart: Chart): Promise<string> {
    const file = forFile(chart, await exchangedOf(chart.id))
    await remember('given', chart.id, chart)
    return makeDocument(file)
  }

  /** A chart from a file as it is kept, under this id. */
  async function takenIn(file: Chart, id: string): Promise<Chart> {
    await remember('taken', id, file)
    return { ...fromFile(file), id }
  }

  /** What a chart and a file of it began as; null where nobody knows. */
  async function baseOf(chart: Chart, file: Chart): Promise<Chart | null> {
    const ancestor = file.shared?.ancestor ? readChart(file.shared.ancestor) : null
    return commonBase(chart, await exchangedOf(chart.id), file, ancestor?.ok ? ancestor.value : null)
  }

  return { fileOf, takenIn, baseOf }
}
