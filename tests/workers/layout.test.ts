import { layOutSlope } from '../../src/core/slope/layout'
import type { LayoutTask, SlopeLayout } from '../../src/core/slope/places'
import { LayoutClient } from '../../src/workers/layoutClient'
import type { FromLayout, ToLayout } from '../../src/workers/protocol'
import { fakeWorkers } from './fakeWorkers'

const task = (ids: string[]): LayoutTask => ({
  bands: [{ key: 'side', gap: 40, rowHeight: 60, places: ids.map((id) => ({ id, width: 80 })) }],
  edges: [],
})

function setUp() {
  const { workers, make } = fakeWorkers<ToLayout, FromLayout>()
  const done: SlopeLayout[] = []
  const failed: string[] = []
  const client = new LayoutClient(
    make,
    (layout) => done.push(layout),
    (message) => failed.push(message),
  )
  const answer = (of: number, worker = workers[workers.length - 1]) => {
    const { ticket, task } = worker.asked[of]
    worker.onmessage?.({ data: { ticket, layout: layOutSlope(task) } } as MessageEvent<FromLayout>)
  }
  return { client, workers, done, failed, answer }
}

test('only the newest layout is taken', () => {
  const { client, done, answer } = setUp()
  client.ask(task(['a']))
  client.ask(task(['a', 'b']))
  answer(0)
  answer(1)
  expect(done).toEqual([layOutSlope(task(['a', 'b']))])
})

test('a worker that died is told of, and the next question gets a new one', () => {
  const { client, workers, done, failed, answer } = setUp()
  client.ask(task(['a']))
  workers[0].onerror?.({ message: 'out of memory' } as ErrorEvent)
  expect(failed).toEqual(['the picture could not be laid out: out of memory'])
  expect(workers[0].ended).toBe(true)
  client.ask(task(['a', 'b']))
  answer(0)
  expect(Object.keys(done[0].places)).toEqual(['a', 'b'])
})

test('a layout that nobody waits for any more is not taken', () => {
  const { client, workers, done, answer } = setUp()
  client.ask(task(['a']))
  client.stop()
  answer(0, workers[0])
  expect(done).toEqual([])
})
