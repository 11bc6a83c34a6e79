import type { Chart } from '../../src/core/chart/chart'
import { expectedScoreIn } from '../../src/core/insight/points'
import { scenarioOf, type Scenario } from '../../src/core/game/scenario'
import { readChart } from '../../src/core/files/chartFile'
import { costsOf, figuresOf, type Figures } from '../../src/core/insight/figures'
import { CostsClient } from '../../src/workers/costsClient'
import { CostsWorker } from '../../src/workers/costsWorker'
import type { FromCosts, FromSolver, ToCosts, ToSolver } from '../../src/workers/protocol'
import { SolverClient } from '../../src/workers/solverClient'
import { SolverWorker } from '../../src/workers/solverWorker'
import type { WorkerLike } from '../../src/workers/workerLike'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'

const open = () => {
  const chart = soundChart()
  chart.answers = []
  return taken(readChart(chart))
}
const scenario = scenarioOf(open(), { seconds: 30 })
const turn = () => new Promise<void>((resume) => setImmediate(resume))

function solver() {
  const sent: FromSolver[] = []
  const worker = new SolverWorker((message) => sent.push(message))
  let ticket = 0
  const solve = (changed: Partial<Chart>, in_: Scenario) => {
    worker.receive({ kind: 'solve', ticket: ++ticket, changed, scenario: in_ })
    return sent[sent.length - 1]
  }
  return { worker, sent, solve }
}

describe('the solver', () => {
  it('sends figures, and takes one of them apart when asked', () => {
    const { worker, sent, solve } = solver()
    expect(solve(open(), scenario)).toMatchObject({ kind: 'figures', ticket: 1 })
    worker.receive({ kind: 'explain', ticket: 2, question: { of: 'move', move: 'step' as never } })
    expect(sent[1]).toMatchObject({ kind: 'explanation', ticket: 2, explanation: { action: 'step' } })
  })

  it('keeps the chart, and finds the same whether it hears all of it or only what changed', () => {
    const { solve } = solver()
    solve(open(), scenario)
    const others: Partial<Scenario>[] = [
      { seconds: 20 },
      { sharpness: 0.3 },
      { sharpness: 0.6 },
      { sharpness: 0 },
      { seconds: null },
      { objective: 'finish' },
    ]
    for (const other of others) {
      const wanted = { ...scenario, ...other }
      const { figures } = taken(figuresOf(open(), wanted))
      expect(solve({ settings: {} }, wanted)).toMatchObject({ kind: 'figures', figures })
    }
    const moves = open().moves.map((move) => ({ ...move, tries: { lands: 10 } }))
    const { figures } = taken(figuresOf({ ...open(), moves }, scenario))
    expect(solve({ moves }, scenario)).toMatchObject({ kind: 'figures', figures })
  })

  it('answers a chart or scenario that cannot be computed with its problems, and recovers', () => {
    const { solve } = solver()
    expect(solve({ ...open(), reactions: [] }, scenario)).toMatchObject({ problems: [{ code: 'unknown-reference' }] })
    const reactions = open().reactions
    expect(solve({ reactions }, { ...scenario, sharpness: 4 })).toMatchObject({ problems: [{ code: 'bad-scenario' }] })
    expect(solve({}, scenario)).toMatchObject({ kind: 'figures' })
  })
})

const solvedFigures = (): Figures => taken(figuresOf(open(), scenario)).figures

describe('the worker for costs', () => {
  const ask = (ticket: number): ToCosts => {
    const { looseEnds, value } = solvedFigures()
    const ends = looseEnds.map((looseEnd, end) => ({ end, looseEnd }))
    return { kind: 'costs', ticket, changed: open(), scenario, costing: { ends, value, scores: false } }
  }
  const worker = () => {
    const sent: FromCosts[] = []
    return { sent, worker: new CostsWorker((message) => sent.push(message), turn) }
  }

  it('says what each loose end costs, of the plan as it has become', async () => {
    const { sent, worker: made } = worker()
    await made.receive(ask(1))
    expect(sent).toEqual([{ kind: 'cost', ticket: 1, end: 0, cost: 0, left: 0 }])
    const chart = taken(
      readChart({
        ...soundChart(),
        positions: soundChart().positions.map((position) => ({ ...position, ahead: 'theirs' })),
        moves: soundChart().moves.map((move) => ({ ...move, to: 'finish' })),
        reactions: soundChart().reactions.map((reaction) => ({ ...reaction, endsIn: 'mount' })),
        answers: [],
      }),
    )
    const { figures } = taken(figuresOf(chart, scenario))
    const ends = figures.looseEnds.map((looseEnd, end) => ({ end, looseEnd }))
    const costing = { ends, value: figures.value, scores: false }
    await made.receive({ kind: 'costs', ticket: 2, changed: chart, scenario, costing })
    const costs = ends.map(({ looseEnd }) => costsOf(chart, scenario, figures.value)(looseEnd)!)
    expect(sent.slice(1).map((message) => message.kind === 'cost' && message.cost)).toEqual(costs)
    expect(costs[0]).toBeGreaterThan(0.01)
  })

  it('says what an exchange scores first, where it is asked', async () => {
    const { sent, worker: made } = worker()
    const asked = ask(1) as ToCosts & { kind: 'costs' }
    await made.receive({ ...asked, costing: { ...asked.costing, scores: true } })
    expect(sent.map(({ kind }) => kind)).toEqual(['scored', 'cost'])
    expect(sent[0]).toMatchObject({ scored: taken(expectedScoreIn(open(), scenario)) })
  })

  it('stops as soon as something newer is asked, or when told to', async () => {
    const { sent, worker: made } = worker()
    const first = made.receive(ask(1))
    await Promise.all([first, made.receive(ask(2))])
    expect(sent.map(({ ticket }) => ticket)).toEqual([2])
    const third = made.receive(ask(3))
    await Promise.all([third, made.receive({ kind: 'stop' })])
    expect(sent).toHaveLength(1)
  })
})

class StubWorker<To, From> implements WorkerLike<To, From> {
  asked: To[] = []
  ended = false
  onmessage: WorkerLike<To, From>['onmessage'] = null
  onerror: WorkerLike<To, From>['onerror'] = null
  postMessage = (message: To) => void this.asked.push(message)
  terminate = () => void (this.ended = true)
  say = (data: From) => this.onmessage!({ data } as MessageEvent<From>)
}

function client() {
  const workers: StubWorker<ToSolver, FromSolver>[] = []
  const heard: string[] = []
  let now = 0
  const made = new SolverClient(
    () => {
      workers.push(new StubWorker())
      return workers[workers.length - 1]
    },
    {
      figures: (_, of) => heard.push(`figures ${of.scenario.seconds}`),
      problems: ([{ code }]) => heard.push(code),
      busy: (is) => heard.push(is ? 'busy' : 'idle'),
    },
    () => now,
  )
  return { made, workers, heard, wait: (ms: number) => (now += ms) }
}

const figures = (ticket: number): FromSolver => ({ kind: 'figures', ticket, figures: {} as never, ms: ticket })

describe('the client', () => {
  it('asks one question at a time, and then only the newest', () => {
    const { made, workers, heard } = client()
    for (const seconds of [1, 2, 3]) made.solve(open(), { ...scenario, seconds })
    expect(workers[0].asked).toHaveLength(1)
    workers[0].say(figures(1))
    expect(workers[0].asked[1]).toMatchObject({ scenario: { seconds: 3 } })
    workers[0].say(figures(1))
    workers[0].say(figures(2))
    expect(heard.filter((text) => text !== 'busy')).toEqual(['figures 1', 'figures 3', 'idle'])
  })

  it('sends only what changed, and all of it to a new worker', () => {
    const { made, workers } = client()
    const chart = open()
    const changed = (worker: number) => Object.keys((workers[worker].asked.at(-1) as { changed: object }).changed)
    made.solve(chart, scenario)
    expect(changed(0)).toEqual(Object.keys(chart))
    workers[0].say(figures(1))
    const { notes, ...rest } = { ...chart, notes: 'x', answers: [...chart.answers] }
    made.solve({ ...rest, notes }, scenario)
    expect(changed(0).sort()).toEqual(['answers', 'notes'])
    workers[0].say(figures(2))
    made.solve(rest, scenario)
    expect(workers[0].asked.at(-1)).toMatchObject({ changed: { notes: undefined } })
    workers[0].onerror!({ message: 'out of memory' } as ErrorEvent)
    made.solve(rest, scenario)
    expect(changed(1)).toEqual(Object.keys(rest))
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

describe('the client for costs', () => {
  function costs() {
    const workers: StubWorker<ToCosts, FromCosts>[] = []
    const heard: number[] = []
    let due: (() => void) | null = null
    const made = new CostsClient(
      () => {
        workers.push(new StubWorker())
        return workers[workers.length - 1]
      },
      (message) => message.kind === 'cost' && heard.push(message.end),
      (run) => {
        due = run
        return () => (due = null)
      },
    )
    return { made, workers, heard, quiet: () => due?.() }
  }

  it('asks once nothing has changed for a while, and hears only what it asked last', () => {
    const { made, workers, heard, quiet } = costs()
    made.ask(open(), scenario, solvedFigures())
    made.stop()
    quiet()
    expect(workers).toHaveLength(0)
    made.ask(open(), scenario, solvedFigures())
    quiet()
    const { ticket } = workers[0].asked[0] as { ticket: number }
    workers[0].say({ kind: 'cost', ticket, end: 0, cost: 0.1, left: 0 })
    made.stop()
    workers[0].say({ kind: 'cost', ticket, end: 0, cost: 0.1, left: 0 })
    expect(heard).toEqual([0])
    expect(workers[0].asked.at(-1)).toEqual({ kind: 'stop' })
  })

  it('asks what is scored only where the rules score', () => {
    const { made, workers, quiet } = costs()
    const asked = (rules: string) => {
      made.ask(open(), { ...scenario, rules }, { ...solvedFigures(), looseEnds: [] })
      quiet()
      return workers[0]?.asked.filter(({ kind }) => kind === 'costs').length ?? 0
    }
    expect([asked('submission-only'), asked('gi-points')]).toEqual([0, 1])
    expect(workers[0].asked.find(({ kind }) => kind === 'costs')).toMatchObject({ costing: { scores: true } })
  })

  it('begins another worker when one dies', () => {
    const { made, workers, quiet } = costs()
    made.ask(open(), scenario, solvedFigures())
    quiet()
    workers[0].onerror!({} as ErrorEvent)
    made.ask(open(), scenario, solvedFigures())
    quiet()
    expect([workers.length, workers[0].ended]).toEqual([2, true])
  })
})

describe('what a run is worth', () => {
  const run = { start: 'side' as never, steps: [{ move: 'step' as never }] }

  it('is told step by step of the newest solved chart, and not of none', () => {
    const { worker, sent, solve } = solver()
    worker.receive({ kind: 'along', ticket: 9, run })
    expect(sent.pop()).toEqual({ kind: 'worths', ticket: 9, worths: null })
    const figures = solve(open(), scenario)
    worker.receive({ kind: 'along', ticket: 10, run })
    const { positions } = (figures as { figures: Figures }).figures
    expect(sent.pop()).toEqual({
      kind: 'worths',
      ticket: 10,
      worths: [positions['side' as never].value, expect.any(Number)],
    })
  })

  it('is heard by who asked, and by nobody once the worker has gone', async () => {
    const asked: ToSolver[] = []
    const worker: WorkerLike<ToSolver, FromSolver> = {
      postMessage: (message) => void asked.push(message),
      terminate: () => undefined,
      onmessage: null,
      onerror: null,
    }
    const client = new SolverClient(() => worker, {
      figures: () => undefined,
      problems: () => undefined,
      busy: () => undefined,
    })
    const heard = client.along(run)
    const { ticket } = asked[0]
    worker.onmessage!({ data: { kind: 'worths', ticket, worths: [0.5, 0.75] } } as MessageEvent<FromSolver>)
    expect(await heard).toEqual([0.5, 0.75])
    const lost = client.along(run)
    worker.onerror!({ message: 'gone' } as ErrorEvent)
    expect(await lost).toBeNull()
  })
})
