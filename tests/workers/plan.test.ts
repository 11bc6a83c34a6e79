import { scenarioOf } from '../../src/core/game/scenario'
import { drillGains } from '../../src/core/questions/gains'
import { PlanClient } from '../../src/workers/planClient'
import type { FromPlan, ToPlan } from '../../src/workers/planProtocol'
import { PlanWorker } from '../../src/workers/planWorker'
import { demoPlan } from '../fixtures/demoPlan'
import { randomChart } from '../reference/randomChart'
import { finished } from '../reference/finished'
import { fakeWorkers } from './fakeWorkers'

const chart = randomChart(4, true)
const scenario = scenarioOf(chart, { seconds: 20 })
const gains = { of: 'gains' } as const
const turn = () => new Promise<void>((resume) => setTimeout(resume))
const asked = (ticket: number): ToPlan => ({ kind: 'ask', ticket, changed: chart, scenario, question: gains })

describe('the worker for questions', () => {
  const made = () => {
    const sent: FromPlan[] = []
    return { sent, worker: new PlanWorker((message) => sent.push(message), turn) }
  }

  it('shows how far it is, and answers', async () => {
    const { sent, worker } = made()
    await worker.receive(asked(1))
    expect(sent.slice(0, -1).every(({ kind }) => kind === 'progress')).toBe(true)
    expect(sent.at(-1)).toEqual({ kind: 'answer', ticket: 1, answer: finished(drillGains(chart, scenario)) })
  })

  it('gives up for something newer, and when told to', async () => {
    const { sent, worker } = made()
    await Promise.all([worker.receive(asked(1)), worker.receive(asked(2))])
    expect(new Set(sent.map(({ ticket }) => ticket))).toEqual(new Set([2]))
    await Promise.all([worker.receive(asked(3)), worker.receive({ kind: 'stop' })])
    expect(sent.some(({ ticket }) => ticket === 3)).toBe(false)
  })

  it('answers a broken chart with nothing', async () => {
    const { sent, worker } = made()
    await worker.receive({ ...(asked(1) as ToPlan & { kind: 'ask' }), changed: { ...chart, reactions: [] } })
    expect(sent).toEqual([{ kind: 'answer', ticket: 1, answer: null }])
  })
})

describe('the client for questions', () => {
  const made = () => {
    const { workers, make } = fakeWorkers<ToPlan, FromPlan>()
    const heard: unknown[] = []
    const client = new PlanClient(make, {
      progress: (share) => heard.push(share),
      answer: (answer) => heard.push(answer),
    })
    return { workers, heard, client }
  }
  const say = (worker: { onmessage: unknown }, data: FromPlan) =>
    (worker.onmessage as (event: object) => void)({ data })

  it('hears of what it asked last only, sends what changed, and stops', () => {
    const { workers, heard, client } = made()
    const demo = demoPlan()
    client.ask(demo, scenario, gains)
    client.ask({ ...demo, title: 'Another' }, scenario, gains)
    expect(workers[0].asked[1]).toMatchObject({ ticket: 2, changed: { title: 'Another' } })
    expect(Object.keys((workers[0].asked[1] as { changed: object }).changed)).toEqual(['title'])
    say(workers[0], { kind: 'answer', ticket: 1, answer: [] })
    say(workers[0], { kind: 'progress', ticket: 2, progress: 0.5 })
    say(workers[0], { kind: 'answer', ticket: 2, answer: [] })
    expect(heard).toEqual([0, 0, 0.5, null, []])
    client.stop()
    say(workers[0], { kind: 'answer', ticket: 2, answer: [] })
    expect([heard.slice(5), workers[0].asked.at(-1)]).toEqual([[null], { kind: 'stop' }])
  })

  it('begins another worker when one dies, and knows no chart any more', () => {
    const { workers, heard, client } = made()
    client.ask(chart, scenario, gains)
    ;(workers[0].onerror as (event: object) => void)({})
    expect([heard.slice(1), workers[0].ended]).toEqual([[null, null], true])
    client.ask(chart, scenario, gains)
    expect(workers[1].asked[0]).toMatchObject({ changed: chart })
    client.end()
    expect(workers[1].ended).toBe(true)
  })
})
