import { readChart } from '../../src/core/files/chartFile'
import { scenarioOf } from '../../src/core/game/scenario'
import { WorkerClient } from '../../src/workers/client'
import { Newest } from '../../src/workers/newest'
import { WorkerPool } from '../../src/workers/pool'
import { Solver } from '../../src/workers/solver'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'
import { fakeTimer, fakeWorkers } from './fakeWorkers'

const chart = taken(readChart(soundChart()))
const scenario = scenarioOf(chart, { seconds: 30 })
const gains = { of: 'gains' as const, scenario }

function client() {
  const { workers, make } = fakeWorkers()
  const { timer, due, pass } = fakeTimer()
  return { made: new WorkerClient(make, timer), workers, due, pass }
}

describe('the client', () => {
  it('hears progress, parts and the answer of what it asked, by ticket', async () => {
    const { made, workers } = client()
    const heard: unknown[] = []
    const events = { progress: (share: number) => heard.push(share), part: (part: unknown) => heard.push(part) }
    const first = made.ask({ of: 'costs', scenario, ends: [], value: 0, scores: false }, chart, events)
    const second = made.ask(gains, chart)
    expect(made.load).toBe(2)
    const [one, two] = workers[0].asked.map(({ ticket }) => ticket)
    workers[0].say({ kind: 'progress', ticket: one, share: 0.4 })
    workers[0].say({ kind: 'part', ticket: one, part: { of: 'score', score: null } })
    workers[0].say({ kind: 'answer', ticket: two, answer: [] })
    workers[0].say({ kind: 'answer', ticket: one, answer: null })
    workers[0].say({ kind: 'progress', ticket: one, share: 1 })
    expect(heard).toEqual([0.4, { of: 'score', score: null }])
    expect([await first.answer, await second.answer]).toEqual([
      { ok: true, value: null },
      { ok: true, value: [] },
    ])
    expect([made.load, workers.length]).toEqual([0, 1])
  })

  it('sends only what changed, what is gone too, and all of it to a new worker', () => {
    const { made, workers } = client()
    const { notes, ...rest } = { ...chart, notes: 'x', answers: [...chart.answers] }
    void made.ask(gains, chart)
    void made.ask(gains, { ...rest, notes })
    void made.ask(gains, rest)
    void made.ask({ of: 'layout', task: { bands: [], edges: [] } })
    workers[0].die('out of memory')
    void made.ask(gains, rest)
    expect(workers[0].asked.map(({ chart: news }) => news)).toEqual([
      { whole: chart },
      // The list is another, the answer in it is the one that the worker has.
      { changed: { answers: [0], notes: 'x' } },
      { changed: { notes: undefined } },
      undefined,
    ])
    expect(workers[0].asked[2].chart).toHaveProperty('changed.notes')
    expect(workers[1].asked[0].chart).toEqual({ whole: rest })
  })

  it('asks a new worker what one has died over, once, and then fails it', async () => {
    const { made, workers } = client()
    const asked = [made.ask(gains, chart), made.ask(gains, chart)]
    workers[0].die('out of memory')
    expect(workers[1].asked).toMatchObject([
      { ticket: 1, chart: { whole: chart } },
      { ticket: 2, chart: { changed: {} } },
    ])
    workers[1].say({ kind: 'answer', ticket: 1, answer: [] })
    expect(await asked[0].answer).toEqual({ ok: true, value: [] })
    workers[1].die('out of memory')
    const message = expect.stringContaining('out of memory')
    expect(await asked[1].answer).toEqual({ ok: false, problems: [{ code: 'worker-died', path: [], message }] })
    expect(workers.map(({ isEnded }) => isEnded)).toEqual([true, true])
    const again = made.ask(gains, chart)
    const problem = { code: 'unknown-question' as const, path: [], message: 'what?' }
    workers[2].say({ kind: 'confused', problem })
    workers[3].onmessageerror!({} as MessageEvent)
    expect(await again.answer).toMatchObject({ ok: false, problems: [{ code: 'worker-died' }] })
  })

  it('takes a worker that says nothing for long for dead', async () => {
    const { made, workers, due, pass } = client()
    const asked = made.ask(gains, chart)
    expect(due.map(({ ms }) => ms)).toEqual([20_000])
    workers[0].say({ kind: 'progress', ticket: 1, share: 0.5 })
    expect(due).toHaveLength(1)
    pass()
    expect([workers[0].isEnded, workers[1].asked.length]).toEqual([true, 1])
    pass()
    expect(await asked.answer).toMatchObject({
      ...{ ok: false, problems: [{ message: expect.stringContaining('has said nothing for 20 seconds') }] },
    })
    const answered = made.ask(gains, chart)
    workers[2].say({ kind: 'answer', ticket: 2, answer: [] })
    expect([await answered.answer, due]).toEqual([{ ok: true, value: [] }, []])
  })

  it('fails what is asked where no worker can be begun', async () => {
    const none = new WorkerClient(() => {
      throw new DOMException('no workers here', 'SecurityError')
    }, fakeTimer().timer)
    expect(await none.ask(gains, chart).answer).toMatchObject({
      ...{ ok: false, problems: [{ code: 'worker-died', message: expect.stringContaining('no workers here') }] },
    })
  })

  it('fails what cannot be sent, and what the worker says that it could not do', async () => {
    const { made, workers } = client()
    const asked = made.ask(gains, chart)
    const problems = [{ code: 'unexpected' as const, path: [], message: 'no' }]
    workers[0].say({ kind: 'failed', ticket: workers[0].asked[0].ticket, problems })
    expect(await asked.answer).toEqual({ ok: false, problems })
    const unheard = made.ask({ of: 'costs', scenario, ends: [], value: 0, scores: false }, chart)
    const { ticket } = workers[0].asked[1]
    workers[0].say({ kind: 'progress', ticket, share: 0.5 })
    workers[0].say({ kind: 'part', ticket, part: { of: 'score', score: null } })
    workers[0].say({ kind: 'answer', ticket, answer: null })
    expect(await unheard.answer).toEqual({ ok: true, value: null })
    workers[0].postMessage = () => {
      throw new DOMException('could not be cloned', 'DataCloneError')
    }
    const unsent = made.ask(gains, chart)
    workers[1].die('out of memory')
    expect(await unsent.answer).toMatchObject({ ok: false, problems: [{ code: 'worker-died' }] })
  })

  it('stops what is no longer wanted, and ends a worker that does not hear of it', async () => {
    const { made, workers, due, pass } = client()
    const first = made.ask(gains, chart)
    first.stop()
    first.stop()
    expect(await first.answer).toBeNull()
    expect(workers[0].heard.at(-1)).toEqual({ kind: 'stop', ticket: 1 })
    expect(due).toHaveLength(1)
    workers[0].say({ kind: 'stopped', ticket: 1 })
    expect(due).toHaveLength(0)

    const second = made.ask(gains, chart)
    second.stop()
    pass()
    expect(workers[0].isEnded).toBe(true)

    const third = made.ask(gains, chart)
    made.ask(gains, chart).stop()
    pass(1200)
    expect(workers[1].isEnded).toBe(false)
    workers[1].say({ kind: 'answer', ticket: workers[1].asked[0].ticket, answer: [] })
    expect(await third.answer).toEqual({ ok: true, value: [] })
  })

  it('answers nothing any more once it has ended', async () => {
    const { made, workers } = client()
    const asked = made.ask(gains, chart)
    made.end()
    expect(await asked.answer).toBeNull()
    expect(workers[0].isEnded).toBe(true)
  })
})

describe('the newest question', () => {
  it('is the only one that is answered', async () => {
    const { workers, make } = fakeWorkers()
    const newest = new Newest(new WorkerClient(make, fakeTimer().timer))
    const first = newest.ask(gains, chart)
    const second = newest.ask(gains, chart)
    expect(await first).toBeNull()
    expect(workers[0].heard.map(({ kind, ticket }) => `${kind} ${ticket}`)).toEqual(['ask 1', 'stop 1', 'ask 2'])
    workers[0].say({ kind: 'answer', ticket: 1, answer: [] })
    workers[0].say({ kind: 'answer', ticket: 2, answer: [] })
    expect([await first, await second]).toEqual([null, { ok: true, value: [] }])
    const third = newest.ask(gains, chart)
    newest.stop()
    expect(await third).toBeNull()
    const heard = workers[0].heard.length
    newest.stop()
    expect(workers[0].heard).toHaveLength(heard)
  })

  it('is stopped also after an older one has come to its end', async () => {
    const { workers, make } = fakeWorkers()
    const newest = new Newest(new WorkerClient(make, fakeTimer().timer))
    const older = newest.ask(gains, chart)
    void newest.ask(gains, chart)
    await older
    newest.stop()
    expect(workers[0].heard.at(-1)).toEqual({ kind: 'stop', ticket: 2 })
  })
})

describe('a pool', () => {
  it('gives each question to the worker that has least to do, and begins no more than it needs', async () => {
    const { workers, make } = fakeWorkers()
    const pool = new WorkerPool(make, 3, fakeTimer().timer)
    const first = pool.ask(gains, chart)
    expect(workers).toHaveLength(1)
    workers[0].say({ kind: 'answer', ticket: 1, answer: [] })
    await first.answer
    for (let n = 0; n < 7; n++) void pool.ask(gains, chart)
    expect(workers.map(({ asked }) => asked.length)).toEqual([4, 2, 2])
    expect(workers[1].asked.map(({ chart: news }) => Object.keys(news!))).toEqual([['whole'], ['changed']])
  })
})

describe('the solver', () => {
  function solver() {
    const { workers, make } = fakeWorkers()
    const heard: string[] = []
    let now = 1_000_000
    const made = new Solver(
      make,
      {
        figures: (_, of) => heard.push(`figures ${of.scenario.seconds}`),
        problems: ([{ code }]) => heard.push(code),
        busy: (is) => heard.push(is ? 'busy' : 'idle'),
      },
      () => now,
      fakeTimer().timer,
    )
    const answer = async (worker: number, ticket: number) => {
      workers[worker].say({ kind: 'answer', ticket, answer: { figures: {} as never, ms: 1 } })
      await turns()
    }
    return { made, workers, heard, answer, wait: (ms: number) => (now += ms) }
  }
  const turns = async () => {
    for (let n = 0; n < 5; n++) await Promise.resolve()
  }

  it('asks one question at a time, and then only the newest', async () => {
    const { made, workers, heard, answer } = solver()
    for (const seconds of [1, 2, 3]) made.solve(chart, { ...scenario, seconds })
    expect(workers[0].asked).toHaveLength(1)
    await answer(0, 1)
    expect(workers[0].questions[1]).toMatchObject({ scenario: { seconds: 3 } })
    await answer(0, 1)
    await answer(0, 2)
    expect(heard.filter((text) => text !== 'busy')).toEqual(['figures 1', 'figures 3', 'idle'])
  })

  it('ends a worker that takes too long over something old', () => {
    const { made, workers, wait } = solver()
    made.solve(chart, scenario)
    wait(1000)
    made.solve(chart, scenario)
    expect(workers).toHaveLength(1)
    wait(5000)
    made.solve(chart, scenario)
    expect([workers.length, workers[0].isEnded, workers[1].asked.length]).toEqual([2, true, 1])
  })

  it('tells why there are no figures, also when a worker dies, and begins another', async () => {
    const { made, workers, heard } = solver()
    made.solve(chart, scenario)
    const explained = made.explain({ of: 'move', move: 'step' as never })
    workers[0].die('out of memory')
    workers[1].die('out of memory')
    expect(await explained).toBeNull()
    await turns()
    expect(heard.slice(-2)).toEqual(['worker-died', 'idle'])
    made.solve(chart, scenario)
    expect(workers).toHaveLength(3)
    const problems = [{ code: 'bad-scenario' as const, path: [], message: 'no' }]
    workers[2].say({ kind: 'failed', ticket: workers[2].asked[0].ticket, problems })
    await turns()
    expect(heard.slice(-2)).toEqual(['bad-scenario', 'idle'])
  })

  it('does not tell why an older chart has no figures while a newer one waits', async () => {
    const { made, workers, heard, answer } = solver()
    made.solve(chart, scenario)
    made.solve(chart, { ...scenario, seconds: 3 })
    const problems = [{ code: 'bad-scenario' as const, path: [], message: 'no' }]
    workers[0].say({ kind: 'failed', ticket: workers[0].asked[0].ticket, problems })
    await turns()
    await answer(0, workers[0].asked[1].ticket)
    expect(heard.filter((text) => text !== 'busy')).toEqual(['figures 3', 'idle'])
  })

  it('answers beside a solve, and sends plain steps of a run', async () => {
    const { made, workers } = solver()
    made.solve(chart, scenario)
    const step = { move: 'step' as never }
    const along = made.along({ start: 'side' as never, steps: [step] })
    const script = made.script('side' as never, { share: 1, steps: 3 })
    expect(workers[0].questions.map(({ of }) => of)).toEqual(['figures', 'along', 'script'])
    workers[0].say({ kind: 'answer', ticket: 2, answer: [0.5, null] })
    workers[0].say({ kind: 'answer', ticket: 3, answer: null })
    expect([await along, await script]).toEqual([[0.5, null], null])
  })

  it('gives up when told to', async () => {
    const { made, workers, heard } = solver()
    made.cancel()
    expect(heard).toEqual([])
    made.solve(chart, scenario)
    made.solve(chart, { ...scenario, seconds: 3 })
    made.cancel()
    await turns()
    expect([workers[0].isEnded, heard.at(-1), workers.length]).toEqual([true, 'idle', 1])
  })
})
