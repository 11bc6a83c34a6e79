import { produce } from 'immer'
import { changedSince } from '../../src/core/chart/changes'
import type { Chart } from '../../src/core/chart/chart'
import { removeRun } from '../../src/core/chart/edits/runs'
import { takeOff } from '../../src/core/chart/edits/holds'
import type { PositionId } from '../../src/core/chart/ids'
import { readChart } from '../../src/core/files/chartFile'
import { scenarioOf, type Scenario } from '../../src/core/game/scenario'
import { costsOf, figuresOf, type Figures } from '../../src/core/insight/figures'
import { expectedScoreIn } from '../../src/core/insight/points/scoringPass'
import { drillGains } from '../../src/core/questions/gains'
import { layOutSlope } from '../../src/core/slope/layout'
import { WorkerHost } from '../../src/workers/host'
import { JOBS, type Question } from '../../src/workers/jobs'
import type { ChartNews, FromWorker } from '../../src/workers/protocol'
import { soundChart } from '../fixtures/brokenCharts'
import { demoPlan } from '../fixtures/demoPlan'
import { finished } from '../reference/finished'
import { taken } from '../reference/taken'

const open = () => taken(readChart({ ...soundChart(), answers: [] }))
const scenario = scenarioOf(open(), { seconds: 30 })
const turn = () => new Promise<void>((resume) => setImmediate(resume))

function host() {
  const sent: FromWorker[] = []
  const made = new WorkerHost((message) => sent.push(message), turn)
  let ticket = 0
  /** What was sent for a question, once it is done. */
  async function ask(question: Question, chart?: ChartNews): Promise<FromWorker[]> {
    const mine = ++ticket
    await made.receive({ kind: 'ask', ticket: mine, question, ...(chart ? { chart } : {}) })
    return sent.filter((message) => 'ticket' in message && message.ticket === mine)
  }
  const last = async (question: Question, chart?: ChartNews) => (await ask(question, chart)).at(-1)!
  return { made, sent, ask, last }
}

describe('the host', () => {
  it('answers with figures, and takes one of them apart when asked', async () => {
    const { last } = host()
    const { figures } = taken(figuresOf(open(), scenario))
    expect(await last({ of: 'figures', scenario }, { whole: open() })).toMatchObject({
      kind: 'answer',
      answer: { figures },
    })
    const explained = await last({ of: 'explanation', question: { of: 'move', move: 'step' as never } })
    expect(explained).toMatchObject({ kind: 'answer', answer: { action: 'step' } })
  })

  it('keeps the chart, and finds the same whether it hears all of it or only what changed', async () => {
    const { last } = host()
    await last({ of: 'figures', scenario }, { whole: open() })
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
      const answer = await last({ of: 'figures', scenario: wanted }, { changed: { settings: {} } })
      expect(answer).toMatchObject({ kind: 'answer', answer: { figures } })
    }
    const moves = open().moves.map((move) => ({ ...move, tries: { lands: 10 } }))
    const { figures } = taken(figuresOf({ ...open(), moves }, scenario))
    expect(await last({ of: 'figures', scenario }, { changed: { moves } })).toMatchObject({ answer: { figures } })
  })

  it('forgets fields that a whole chart, or a change, no longer has', async () => {
    const { last } = host()
    const run = { id: 'up', name: 'Up', start: 'side', steps: [] }
    const withRun = { ...open(), runs: [{ ...run, start: 'moon' }] } as unknown as Chart
    expect(await last({ of: 'figures', scenario }, { whole: withRun })).toMatchObject({ kind: 'failed' })
    expect(await last({ of: 'figures', scenario }, { whole: open() })).toMatchObject({ kind: 'answer' })
    expect(await last({ of: 'figures', scenario }, { changed: { runs: withRun.runs } })).toMatchObject({
      kind: 'failed',
    })
    expect(await last({ of: 'figures', scenario }, { changed: { runs: undefined } })).toMatchObject({ kind: 'answer' })
  })

  it('says why a chart or a scenario cannot be computed, and recovers', async () => {
    const { last } = host()
    const problems = async (sharp: number, chart: ChartNews) => {
      const message = await last({ of: 'figures', scenario: { ...scenario, sharpness: sharp } }, chart)
      return message.kind === 'failed' ? message.problems.map(({ code }) => code) : message.kind
    }
    expect(await last({ of: 'gains', scenario })).toMatchObject({ kind: 'failed', problems: [{ code: 'missing' }] })
    expect(await problems(0, { whole: { ...open(), reactions: [] } })).toEqual(['unknown-reference'])
    expect(await last({ of: 'explanation', question: { of: 'move', move: 'step' as never } })).toMatchObject({
      answer: null,
    })
    expect(await problems(4, { changed: { reactions: open().reactions } })).toEqual(['bad-scenario'])
    expect(await problems(0, { changed: {} })).toBe('answer')
  })

  it('does not take a question that it does not know for another, nor a message', async () => {
    const { last, made, sent } = host()
    const unknown = { of: 'weather', scenario } as unknown as Question
    expect(await last(unknown, { whole: open() })).toMatchObject({
      kind: 'failed',
      problems: [{ code: 'unknown-question' }],
    })
    expect(await last({ of: 'toString' } as unknown as Question)).toMatchObject({ kind: 'failed' })
    await made.receive({ kind: 'shout' } as never)
    expect(sent.at(-1)).toMatchObject({ kind: 'confused', problem: { code: 'unknown-question' } })
  })

  it('sends what a job throws, and goes on', async () => {
    const { last } = host()
    const { gains } = JOBS
    JOBS.gains = function* () {
      yield 0.5
      throw new Error('out of memory')
    }
    const failed = await last({ of: 'gains', scenario }, { whole: open() })
    JOBS.gains = gains
    const message = expect.stringContaining('out of memory')
    expect(failed).toMatchObject({ kind: 'failed', problems: [{ code: 'unexpected', message }] })
    expect(await last({ of: 'gains', scenario })).toMatchObject({ kind: 'answer' })
  })

  it('stops between two steps, says so once, and says nothing more of it', async () => {
    const { made, sent } = host()
    const ask = (ticket: number) =>
      made.receive({
        kind: 'ask',
        ticket,
        question: { of: 'gains', scenario: scenarioOf(demoPlan()) },
        chart: { whole: demoPlan() },
      })
    const working = ask(1)
    for (let n = 0; n < 4; n++) await turn()
    await made.receive({ kind: 'stop', ticket: 1 })
    await made.receive({ kind: 'stop', ticket: 1 })
    await working
    expect(sent.at(-1)).toEqual({ kind: 'stopped', ticket: 1 })
    expect(sent.filter(({ kind }) => kind === 'stopped')).toHaveLength(1)
    const second = ask(2)
    await made.receive({ kind: 'stop', ticket: 2 })
    await second
    expect(sent.at(-1)).toEqual({ kind: 'stopped', ticket: 2 })
    await made.receive({ kind: 'stop', ticket: 77 })
    expect(sent.at(-1)).toEqual({ kind: 'stopped', ticket: 2 })
  })

  it('works on several questions side by side, each on the chart that it was asked of', async () => {
    const { made, sent } = host()
    const [one, other] = [
      open(),
      { ...open(), moves: open().moves.map((move) => ({ ...move, tries: { lands: 9, stalls: 1 } })) },
    ]
    const question = { of: 'whatIf' as const, scenario, ifs: { sharpness: 0.5 } }
    await Promise.all([
      made.receive({ kind: 'ask', ticket: 1, question, chart: { whole: one } }),
      made.receive({ kind: 'ask', ticket: 2, question, chart: { changed: changedSince(one, other) } }),
    ])
    const now = (ticket: number) => {
      const found = sent.find((message) => message.kind === 'answer' && message.ticket === ticket)
      return (found as { answer: { now: number } }).answer.now
    }
    expect(now(2)).toBe(taken(figuresOf(other, scenario)).figures.value)
  })
})

describe('the questions', () => {
  const solved = (): Figures => taken(figuresOf(open(), scenario)).figures
  const endsOf = ({ looseEnds }: Figures) => looseEnds.map((looseEnd, end) => ({ end, looseEnd }))

  it('for costs say what an exchange scores first, then each loose end of the plan as it has become', async () => {
    const { ask } = host()
    const plain = { of: 'costs' as const, scenario, ends: endsOf(solved()), value: solved().value, scores: false }
    expect(await ask(plain, { whole: open() })).toMatchObject([
      { kind: 'part', part: { of: 'cost', end: 0, cost: 0, left: 0 } },
      { kind: 'answer', answer: null },
    ])
    const scored = await ask({ ...plain, scores: true })
    expect(scored[0]).toMatchObject({ part: { of: 'score', score: taken(expectedScoreIn(open(), scenario)) } })
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
    const later = { ...plain, ends: endsOf(figures), value: figures.value }
    const costs = figures.looseEnds.map((end) => costsOf(chart, scenario, figures.value)(end)!)
    expect(costs[0]).toBeGreaterThan(0.01)
    const parts = (await ask(later, { changed: changedSince(open(), chart) })).filter(({ kind }) => kind === 'part')
    expect(parts.map((message) => (message as { part: { cost: number } }).part.cost)).toEqual(costs)
  })

  it('for a trial say what the chart would be worth, and nothing of a broken one', async () => {
    const chart = demoPlan()
    const minute = scenarioOf(chart, { seconds: 60 })
    const position = 'side-control-hips-low' as PositionId
    const without = produce(chart, (draft) => takeOff(draft, position, 'left-knee-on-the-near-hip'))
    const broken = produce(chart, (draft) => void (draft.moves[0].to = 'nowhere' as PositionId))
    const { last } = host()
    const tried = async (other: Chart, sharpness = minute.sharpness) => {
      const changed = changedSince(chart, other)
      const question = { of: 'trial' as const, scenario: { ...minute, sharpness }, position, changed }
      return last(question, { whole: chart })
    }
    const worth = (other: Chart, sharpness = minute.sharpness) => {
      const { figures } = taken(figuresOf(other, { ...minute, sharpness }))
      return { start: figures.value, position: figures.positions[position].value }
    }
    expect(await tried(without)).toMatchObject({ answer: worth(without) })
    expect(await tried(chart, 0.9)).toMatchObject({ answer: worth(chart, 0.9) })
    expect(await tried(broken)).toMatchObject({ kind: 'answer', answer: null })
    const fewer = produce(chart, (draft) => draft.runs!.map(({ id }) => id).forEach((id) => removeRun(draft, id)))
    expect(await last({ of: 'trial', scenario: minute, position, changed: {} }, { whole: fewer })).toMatchObject({
      answer: worth(fewer),
    })
  })

  it('of the whole plan show how far they are, and find what the core finds', async () => {
    const { ask } = host()
    const chart = demoPlan()
    const asked = { of: 'gains' as const, scenario: scenarioOf(chart) }
    const sent = await ask(asked, { whole: chart })
    const shares = sent.flatMap((message) => (message.kind === 'progress' ? [message.share] : []))
    expect(shares.length).toBeGreaterThan(3)
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
    expect(sent.at(-1)).toMatchObject({ kind: 'answer', answer: finished(drillGains(chart, asked.scenario)) })
  })

  it('about a run are answered of the newest solved chart, and of none before', async () => {
    const { last } = host()
    const question = { of: 'along' as const, run: { start: 'side' as never, steps: [{ move: 'step' as never }] } }
    expect(await last(question)).toMatchObject({ kind: 'answer', answer: null })
    await last({ of: 'figures', scenario }, { whole: open() })
    const worths = [solved().positions['side' as never].value, expect.any(Number)]
    expect(await last(question)).toMatchObject({ answer: worths })
    const script = await last({ of: 'script', from: 'side' as never, length: { share: 0.8, steps: 5 } })
    expect(script).toMatchObject({ kind: 'answer', answer: { covered: expect.any(Number) } })
  })

  it('for a layout need no chart', async () => {
    const { last } = host()
    const task = { bands: [{ key: 'side', gap: 40, rowHeight: 60, places: [{ id: 'a', width: 80 }] }], edges: [] }
    expect(await last({ of: 'layout', task })).toMatchObject({ kind: 'answer', answer: layOutSlope(task) })
  })
})
