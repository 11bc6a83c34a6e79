import { produce } from 'immer'
import { changedSince } from '../../src/core/chart/changes'
import { takeOff } from '../../src/core/chart/edits/holds'
import type { PositionId } from '../../src/core/chart/ids'
import { scenarioOf } from '../../src/core/game/scenario'
import { figuresOf } from '../../src/core/insight/figures'
import type { FromTrials, ToTrials } from '../../src/workers/protocol'
import { TrialsClient } from '../../src/workers/trialsClient'
import { TrialsWorker } from '../../src/workers/trialsWorker'
import { demoPlan } from '../fixtures/demoPlan'
import { taken } from '../reference/taken'
import { fakeWorkers } from './fakeWorkers'

const chart = demoPlan()
const scenario = scenarioOf(chart, { seconds: 60 })
const position = 'side-control-hips-low' as PositionId
const without = produce(chart, (draft) => takeOff(draft, position, 'left-knee-on-the-near-hip'))
const broken = produce(chart, (draft) => void (draft.moves[0].to = 'nowhere' as PositionId))

test('a trial is worth what the chart would be worth, and a broken one nothing', () => {
  const sent: FromTrials[] = []
  const worker = new TrialsWorker((message) => sent.push(message))
  const trials = [without, broken, chart].map((one, i) => ({ key: `${i}`, changed: changedSince(chart, one) }))
  const sharp = { key: 'sharp', changed: {}, instead: { sharpness: 0.9 } }
  worker.receive({ ticket: 3, changed: chart, scenario, position, trials: [...trials, sharp] })
  const worthOf = (one: typeof chart, sharpness = scenario.sharpness) => {
    const figures = taken(figuresOf(one, { ...scenario, sharpness })).figures
    const moves = one.moves.filter(({ from }) => from === position)
    return {
      ...{ start: figures.value, position: figures.positions[position].value },
      moves: Object.fromEntries(moves.map(({ id }) => [id, figures.moves[id].value])),
    }
  }
  expect(sent).toEqual([
    { ticket: 3, key: '0', worths: worthOf(without) },
    { ticket: 3, key: '1', worths: null },
    { ticket: 3, key: '2', worths: worthOf(chart) },
    { ticket: 3, key: 'sharp', worths: worthOf(chart, 0.9) },
  ])
  expect(sent[0].worths!.position).toBeLessThan(sent[2].worths!.position)
})

test('a newer question ends the older one, and what comes late is not heard', () => {
  const { workers, make } = fakeWorkers<ToTrials, FromTrials>()
  const heard: string[] = []
  const client = new TrialsClient(make, (key) => heard.push(key))
  const answer = (worker: (typeof workers)[number], of: number, key: string) =>
    worker.onmessage?.({ data: { ticket: worker.asked[of].ticket, key, worths: null } } as MessageEvent<FromTrials>)

  client.ask(chart, scenario, position, [{ key: 'old', chart: without }])
  client.ask(chart, scenario, position, [{ key: 'new', chart: without }])
  expect(workers.map(({ ended }) => ended)).toEqual([true, false])
  answer(workers[0], 0, 'old')
  answer(workers[1], 0, 'new')
  client.ask(chart, scenario, position, [{ key: 'next', chart }])
  answer(workers[1], 1, 'next')
  expect(heard).toEqual(['new', 'next'])
  expect(Object.keys(workers[1].asked[0].trials[0].changed)).toEqual(['positions'])
  workers[1].onerror?.({} as ErrorEvent)
  expect(workers[1].ended).toBe(true)
})
