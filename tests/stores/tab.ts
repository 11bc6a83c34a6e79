import { IDBFactory } from 'fake-indexeddb'
import { createPinia, setActivePinia } from 'pinia'
import type { Chart } from '../../src/core/chart/chart'
import { useCharts } from '../../src/stores/charts'
import { soundChart } from '../fixtures/brokenCharts'

/* Tabs of a browser, for tests of the charts' store. */

export const sound = () => soundChart() as unknown as Chart
const kept = new Map<string, string>()
/**
 * Timers that end with their test: a write that cannot be done is tried again for ever, and must find nothing of the
 * next test's.
 */
const later = globalThis.setTimeout
let test = 0
const inThisTest = (run: () => void) => {
  const begun = test
  return () => begun === test && run()
}
Object.assign(globalThis, {
  BroadcastChannel: undefined,
  setTimeout: (run: () => void, ms: number) => later(inThisTest(run), ms).unref(),
  localStorage: {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  },
})

/** A tab that was opened anew; the store of charts stays. */
export async function openTab() {
  setActivePinia(createPinia())
  const charts = useCharts()
  await charts.start()
  return charts
}

/** Before each test: an empty browser. */
export function beginTest(): void {
  test++
  globalThis.indexedDB = new IDBFactory()
  kept.clear()
}

export const titles = (charts: Awaited<ReturnType<typeof openTab>>) => charts.kept.map(({ title }) => title).sort()
export const turns = async () => {
  for (let i = 0; i < 60; i++) await new Promise((turn) => later(turn, 1))
}
