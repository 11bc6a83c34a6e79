import { createPinia, setActivePinia } from 'pinia'
import { generateChart } from '../../bench/generate'
import { makeChart, parseChart } from '../../src/core/files/chartFile'
import { useReading } from '../../src/stores/reading'
import { HostedWorker } from './hostedWorker'

/* Files are read in the background where they are large. */

const chart = generateChart({ positions: 400, moves: 1_600, reactions: 700, seed: 2 })
const large = makeChart(chart)
const small = makeChart(generateChart({ positions: 20, moves: 40, reactions: 10, seed: 2 }))

beforeEach(() => {
  setActivePinia(createPinia())
  Object.assign(HostedWorker, { all: [], deadly: null })
  Object.assign(globalThis, { Worker: HostedWorker })
})

it('a small file is read here, a large one in a worker, with the same outcome', async () => {
  const reading = useReading()
  expect(await reading.read('chart', small)).toEqual(parseChart(small))
  expect(HostedWorker.asked).toEqual([])
  const answer = reading.read('chart', large)
  expect(reading.progress).toBe(0)
  expect(await answer).toEqual(parseChart(large))
  expect([reading.progress, HostedWorker.asked]).toEqual([null, ['read']])
})

it('what is wrong in a large file is named', async () => {
  const broken = makeChart({ ...chart, title: '' })
  expect(await useReading().read('chart', broken)).toMatchObject({ ok: false, problems: [{ path: ['title'] }] })
  expect(await useReading().read('shelf', large)).toMatchObject({ ok: false, problems: [{ code: 'not-a-shelf' }] })
})

it('can be stopped, and another file takes its place', async () => {
  const reading = useReading()
  const first = reading.read('chart', large)
  const second = reading.read('chart', large)
  expect(await first).toBeNull()
  reading.stop()
  expect(await second).toBeNull()
  expect(reading.progress).toBeNull()
})

it('where no worker lives, it is read here all the same', async () => {
  HostedWorker.deadly = 'read'
  expect(await useReading().read('chart', large)).toEqual(parseChart(large))
})
