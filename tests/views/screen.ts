import { mount, type DOMWrapper, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { defineComponent, h, nextTick, type Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { performance } from 'node:perf_hooks'
import { deserialize, serialize } from 'node:v8'
import type { Chart } from '../../src/core/chart/chart'
import { useCharts } from '../../src/stores/charts'
import { provideAsking } from '../../src/views/parts/figures/ask'
import { provideSheet } from '../../src/views/parts/inspectors/sheet'
import { demoPlan } from '../fixtures/demoPlan'

/** A worker that never answers: what a screen shows before there are figures. */
class SilentWorker {
  postMessage = () => undefined
  terminate = () => undefined
}
for (const name of ['mark', 'measure', 'clearMarks', 'getEntriesByName'] as const) {
  Object.defineProperty(globalThis.performance, name, { value: performance[name].bind(performance) })
}
Object.assign(globalThis, {
  Worker: SilentWorker,
  structuredClone: (value: unknown) => deserialize(serialize(value)) as unknown,
})

export interface Looking {
  position?: string
  move?: string
  reaction?: string
}

/** A part of a screen with the demo plan open, nothing kept and nothing solved. */
export async function onScreen(part: Component, props: (chart: Chart) => object, looking: Looking = {}) {
  setActivePinia(createPinia())
  const charts = useCharts()
  await charts.start()
  await charts.add(demoPlan())
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { render: () => null } }],
  })
  const Screen = defineComponent(() => {
    provideAsking()
    provideSheet({
      position: () => looking.position,
      move: () => looking.move,
      reaction: () => looking.reaction,
      picksAnswer: () => false,
      select: () => undefined,
    })
    return () => h(part, props(charts.chart!))
  })
  const wrapper = mount(Screen, { global: { plugins: [router] }, attachTo: document.body })
  await nextTick()
  return { wrapper, charts, router, chart: () => charts.chart! }
}

/** Edits a text where it stands, as a coach does. */
export async function retype(wrapper: VueWrapper | DOMWrapper<Element>, label: string, text: string): Promise<void> {
  await wrapper.get(`[role=button][aria-label^="${label}: "]`).trigger('click')
  const field = wrapper.get<HTMLInputElement>(`input[aria-label="${label}"], textarea[aria-label="${label}"]`)
  await field.setValue(text)
  await field.trigger('keydown', { key: 'Enter' })
  await nextTick()
}

/** The field under a label that begins with these words. */
export const labelled = (wrapper: VueWrapper, words: string) => {
  const label = wrapper.findAll('label').find((one) => one.text().startsWith(words))
  if (!label) throw new Error(`no field is called "${words}"`)
  return label.get<HTMLInputElement>('input, select')
}
