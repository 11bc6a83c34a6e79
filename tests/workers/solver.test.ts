import { scenarioOf } from '../../src/core/game/scenario'
import { readChart } from '../../src/core/format/chartFile'
import type { FromWorker, ToWorker } from '../../src/workers/protocol'
import { SolverClient, type WorkerLike } from '../../src/workers/solverClient'
import { SolverWorker } from '../../src/workers/solverWorker'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'

const open = () => {
  const chart = soundChart()
  chart.answers = []
  return taken(readChart(chart))
}
const scenario = scenarioOf(open(), { seconds: 30 })
const turn = () => new Promise<void>((resume) => setImmediate(resume))

describe('the worker', () => {
  it('sends figures, then what each loose end costs', async () => {
    const sent: FromWorker[] = []
    const worker = new SolverWorker((message) => sent.push(message), turn)
    await worker.receive({ kind: 'solve', ticket: 1, chart: open(), scenario })
    expect(sent.map(({ kind, ticket }) => [kind, ticket])).toEqual([
      ['figures', 1],
      ['cost', 1],
    ])
    await worker.receive({ kind: 'explain', ticket: 2, question: { of: 'move', move: 'step' as never } })
    expect(sent[2]).toMatchObject({ kind: 'explanation', ticket: 2, explanation: { action: 'step' } })
  })

  it('leaves costs alone as soon as something newer is asked', async () => {
    const sent: FromWorker[] = []
    const worker = new SolverWorker((message) => sent.push(message), turn)
    const first = worker.receive({ kind: 'solve', ticket: 1, chart: open(), scenario })
    await Promise.all([first, worker.receive({ kind: 'solve', ticket: 2, chart: open(), scenario })])
    expect(sent.filter(({ kind }) => kind === 'cost').map(({ ticket }) => ticket)).toEqual([2])
  })

  it('answers a chart or scenario that cannot be computed with its problems', async () => {
    const sent: FromWorker[] = []
    const worker = new SolverWorker((message) => sent.push(message), turn)
    const broken = { ...open(), reactions: [] }
    await worker.receive({ kind: 'solve', ticket: 1, chart: broken, scenario })
    await worker.receive({ kind: 'solve', ticket: 2, chart: open(), scenario: { ...scenario, sharpness: 4 } })
    expect(sent).toMatchObject([
      { kind: 'problems', problems: [{ code: 'unknown-reference' }] },
      { kind: 'problems', problems: [{ code: 'bad-scenario' }] },
    ])
  })
})

class StubWorker implements WorkerLike {
  asked: ToWorker[] = []
  ended = false
  onmessage: WorkerLike['onmessage'] = null
  onerror: WorkerLike['onerror'] = null
  postMessage = (message: ToWorker) => void this.asked.push(message)
  terminate = () => void (this.ended = true)
  say = (data: FromWorker) => this.onmessage!({ data } as MessageEvent<FromWorker>)
}

function client() {
  const workers: StubWorker[] = []
  const heard: string[] = []
  let now = 0
  const made = new SolverClient(
    () => {
      workers.push(new StubWorker())
      return workers[workers.length - 1]
    },
    {
      figures: (_, ms) => heard.push(`figures ${ms}`),
      cost: (end) => heard.push(`cost ${end}`),
      problems: ([{ code }]) => heard.push(code),
      busy: (is) => heard.push(is ? 'busy' : 'idle'),
    },
    () => now,
  )
  return { made, workers, heard, wait: (ms: number) => (now += ms) }
}

const figures = (ticket: number): FromWorker => ({ kind: 'figures', ticket, figures: {} as never, ms: ticket })

describe('the client', () => {
  it('asks one question at a time, and then only the newest', () => {
    const { made, workers, heard } = client()
    for (const seconds of [1, 2, 3]) made.solve(open(), { ...scenario, seconds })
    expect(workers[0].asked).toHaveLength(1)
    workers[0].say(figures(1))
    expect(workers[0].asked[1]).toMatchObject({ scenario: { seconds: 3 } })
    workers[0].say({ kind: 'cost', ticket: 1, end: 0, cost: 0, left: 0 })
    workers[0].say(figures(2))
    workers[0].say({ kind: 'cost', ticket: 2, end: 0, cost: 0, left: 0 })
    expect(heard.filter((text) => text !== 'busy')).toEqual(['figures 1', 'figures 2', 'idle', 'cost 0'])
  })

  it('ends a worker that takes too long over something old', () => {
    const { made, workers, wait } = client()
    made.solve(open(), scenario)
    wait(5000)
    made.solve(open(), scenario)
    expect([workers.length, workers[0].ended, workers[1].asked.length]).toEqual([2, true, 1])
  })

  it('tells the caller when a worker dies, and begins another', async () => {
    const { made, workers, heard } = client()
    made.solve(open(), scenario)
    const explained = made.explain({ of: 'move', move: 'step' as never })
    workers[0].onerror!({ message: 'out of memory' } as ErrorEvent)
    expect(await explained).toBeNull()
    expect(heard.slice(-2)).toEqual(['worker-died', 'idle'])
    made.solve(open(), scenario)
    expect(workers).toHaveLength(2)
  })

  it('gives up when told to', () => {
    const { made, workers, heard } = client()
    made.solve(open(), scenario)
    made.cancel()
    expect([workers[0].ended, heard.at(-1)]).toEqual([true, 'idle'])
  })
})
