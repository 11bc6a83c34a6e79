import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, setActivePinia } from 'pinia'
import { effectScope, nextTick, ref, watch } from 'vue'
import { setField } from '../../src/core/chart/edits/fields'
import type { Chart } from '../../src/core/chart/chart'
import { removeRun } from '../../src/core/chart/edits/runs'
import type { PositionId } from '../../src/core/chart/ids'
import { readChart } from '../../src/core/files/chartFile'
import { scenarioOf, underRules } from '../../src/core/game/scenario'
import { costsOf, figuresOf } from '../../src/core/insight/figures'
import { drillGains } from '../../src/core/questions/gains'
import { useCharts } from '../../src/stores/charts'
import { useFigures } from '../../src/stores/figures'
import { useQuestion } from '../../src/stores/questions'
import { useRange } from '../../src/stores/range'
import { useTrials, type TrialQuestion } from '../../src/stores/trials'
import { soundChart } from '../fixtures/brokenCharts'
import { demoPlan } from '../fixtures/demoPlan'
import { finished } from '../reference/finished'
import { taken } from '../reference/taken'
import { HostedWorker } from './hostedWorker'

const later = globalThis.setTimeout
Object.assign(globalThis, {
  Worker: HostedWorker,
  BroadcastChannel: undefined,
  requestAnimationFrame: (run: () => void) => later(run, 0),
  localStorage: { getItem: () => null, setItem: () => undefined },
})

/** Waits for a state, however slow the machine is. */
async function until(what: string, isSo: () => boolean): Promise<void> {
  for (let n = 0; n < 40_000; n++) {
    if (isSo()) return
    await new Promise((turn) => later(turn, 5))
  }
  throw new Error(`it never came about: ${what}`)
}

const demo = demoPlan()
const withFinish = (chart: ReturnType<typeof soundChart>) => ({
  ...chart,
  moves: [
    ...chart.moves,
    {
      ...{ id: 'kimura', name: 'Kimura', kind: 'submission', from: 'mount', to: 'finish' },
      tries: { lands: 3, stalls: 4, elsewhere: { side: 3 } },
    },
  ],
})
/** A chart that is solved at once. */
const small = taken(readChart(withFinish(soundChart())))
const HIPS = 'side-control-hips-low' as PositionId

async function openDemo(chart: Chart = demo) {
  globalThis.indexedDB = new IDBFactory()
  HostedWorker.all = []
  setActivePinia(createPinia())
  const charts = useCharts()
  await charts.start()
  await charts.add(chart)
  const figures = useFigures()
  await until('figures', () => figures.figures !== null && !figures.isBusy)
  return { charts, figures }
}
const inScope = <T>(make: () => T) => {
  const scope = effectScope()
  return { made: scope.run(make) as T, stop: () => scope.stop() }
}

describe('where workers die', () => {
  afterEach(() => void (HostedWorker.deadly = null))

  it('the figures from before stay, are said to be so, and are renewed as soon as that can be done', async () => {
    const { charts, figures } = await openDemo(small)
    const before = figures.figures
    HostedWorker.deadly = 'figures'
    figures.setScenario({ seconds: 60 })
    await until('stale', () => figures.stale !== null)
    expect([figures.stale, figures.problems]).toEqual([expect.stringContaining('out of memory'), []])
    expect(figures.costsLeft).toBe(0)
    expect(figures.figures).toBe(before)
    HostedWorker.deadly = null
    figures.solve()
    await until('fresh', () => figures.stale === null)
    expect(figures.figures).toEqual(taken(figuresOf(charts.chart!, scenarioOf(charts.chart!))).figures)
  })

  it('the answer from before stays', async () => {
    const { figures } = await openDemo(small)
    const { made, stop } = inScope(() => useQuestion(() => ({ of: 'gains' as const })))
    await until('gains', () => made.answer.value !== null)
    const before = made.answer.value
    HostedWorker.deadly = 'gains'
    figures.setScenario({ seconds: 60 })
    await until('stale', () => figures.stale !== null)
    expect([made.answer.value, made.progress.value]).toEqual([before, null])
    stop()
  })

  it('costs that are on their way when there are no figures any more are not heard', async () => {
    const { charts, figures } = await openDemo({ ...small, answers: [] })
    expect(figures.costs).toEqual([undefined])
    charts.edit('All', (draft) => {
      Object.assign(draft, { positions: [], moves: [], reactions: [], holds: [] })
    })
    await nextTick()
    for (let turn = 0; turn < 20; turn++) await new Promise((next) => later(next, 20))
    expect([figures.costs, figures.figures, figures.problems]).toEqual([[], null, []])
  })
})

describe('the figures of the open chart', () => {
  it('are those of the core, follow each edit and the scenario, and say what the start was worth before', async () => {
    const { charts, figures } = await openDemo()
    const solved = () => taken(figuresOf(charts.chart!, scenarioOf(charts.chart!))).figures
    expect(figures.figures).toEqual(solved())
    expect(figures.change).toBeNull()
    const before = figures.figures!.value
    figures.setScenario({ seconds: 60 })
    await until('other figures', () => figures.figures!.value !== before)
    expect(charts.steps.undo).toBe('Scenario')
    expect(figures.figures).toEqual(solved())
    expect(figures.change).toMatchObject({ from: before })
    charts.undo()
    await until('the first figures', () => figures.figures!.value === before)
    const { move, reaction } = figures.figures!.met.find((met) => met.move)!
    expect(figures.met(move!, reaction)).toMatchObject({ move, reaction })
    expect(figures.met('nothing', reaction)).toBeUndefined()
  })

  it('come with what loose ends cost, those met most first, and with points where the rules score', async () => {
    const { charts, figures } = await openDemo()
    await until('costs', () => figures.costsLeft === 0)
    const costOf = costsOf(demo, scenarioOf(demo), figures.figures!.value)
    expect(figures.costs).toEqual(figures.figures!.looseEnds.map((end) => costOf(end)))
    expect(figures.points).toBeNull()
    figures.setScenario({ rules: 'gi-points' })
    await until('points', () => figures.points !== null)
    expect(figures.points!.ours).toBeGreaterThan(0)
    expect(figures.rules?.id).toBe('gi-points')
    charts.undo()
  })

  it('are gone with the last position, and told why where there are none', async () => {
    const { charts, figures } = await openDemo()
    await charts.create('Empty')
    await until('nothing', () => figures.figures === null)
    expect([figures.costs, figures.problems, figures.isBusy]).toEqual([[], [], false])
    await charts.open(demo.id)
    await until('figures again', () => figures.figures !== null)
    charts.edit('No end', (draft) => {
      draft.settings = { ...draft.settings, breakUp: null, scenario: { ...draft.settings?.scenario, seconds: null } }
    })
    await until('a problem', () => figures.problems.length > 0)
    expect(figures.problems[0].code).toBe('needs-an-end')
    expect(figures.figures).toBeNull()
  })

  it('can be taken apart, walked along and told', async () => {
    const { figures } = await openDemo()
    const explained = await figures.explain({ of: 'position', position: HIPS })
    expect(explained!.total).toBeCloseTo(figures.figures!.positions[HIPS].value, 12)
    const [run] = demo.runs!
    expect((await figures.along(run))!).toHaveLength(run.steps.length + 1)
    expect((await figures.script(HIPS, { share: 0.5, steps: 4 }))!.steps.length).toBeLessThanOrEqual(4)
  })
})

describe('a question', () => {
  it('is asked once it is quiet, shows how far it is, and is asked anew with new figures', async () => {
    const { charts, figures } = await openDemo()
    const { made: question, stop } = inScope(() => useQuestion(() => ({ of: 'gains' as const })))
    expect(question.answer.value).toBeNull()
    const shares: number[] = []
    watch(question.progress, (share) => void (share !== null && shares.push(share)), { flush: 'sync' })
    await until('gains', () => question.answer.value !== null && question.progress.value === null)
    expect(question.answer.value).toEqual(finished(drillGains(demo, scenarioOf(demo))))
    expect(shares[0]).toBe(0)
    expect(shares.some((share) => share > 0 && share <= 1)).toBe(true)
    expect(shares).toEqual(shares.toSorted((a, b) => a - b))
    const times = () => HostedWorker.asked.filter((one) => one === 'gains').length
    const before = times()
    charts.edit('Slower', (draft) => setField(draft, 'moves', 'americana', 'seconds', 20))
    await until('asked again', () => times() > before)
    stop()
    await nextTick()
    expect(question.progress.value).toBeNull()
    expect(figures.problems).toEqual([])
  })

  it('of null asks nothing and has no answer, and one that is given up is not answered', async () => {
    await openDemo()
    const isAsked = ref(false)
    const { made: question, stop } = inScope(() => useQuestion(() => (isAsked.value ? { of: 'gains' as const } : null)))
    await new Promise((turn) => later(turn, 300))
    expect([question.answer.value, HostedWorker.asked.includes('gains')]).toEqual([null, false])
    isAsked.value = true
    await until('asked', () => question.progress.value !== null)
    question.cancel()
    expect(HostedWorker.all.some(({ heard }) => heard.some((one) => one.kind === 'stop'))).toBe(true)
    await new Promise((turn) => later(turn, 100))
    expect([question.progress.value, question.answer.value]).toEqual([null, null])
    isAsked.value = false
    await nextTick()
    isAsked.value = true
    await until('answered', () => question.answer.value !== null)
    isAsked.value = false
    await until('gone', () => question.answer.value === null)
    stop()
  })
})

describe('trials', () => {
  it('are worth what the chart would be, under other rules too, also after a chart without runs', async () => {
    const { charts, figures } = await openDemo()
    const toTry = (): TrialQuestion | null =>
      charts.chart && {
        chart: charts.chart,
        position: HIPS,
        trials: [
          { key: 'as it is', chart: charts.chart },
          { key: 'juniors', chart: charts.chart, instead: underRules(charts.chart, 'juniors') },
        ],
      }
    const { made: worths, stop } = inScope(() => useTrials(toTry))
    await until('both', () => worths.size === 2)
    expect(worths.get('as it is')!.start).toBe(figures.figures!.value)
    const juniors = { ...scenarioOf(demo), ...underRules(demo, 'juniors') }
    expect(worths.get('juniors')!.start).toBe(taken(figuresOf(demo, juniors)).figures.value)
    charts.edit('No runs', (draft) => demo.runs!.forEach(({ id }) => removeRun(draft, id)))
    charts.edit('Less', (draft) => setField(draft, 'positions', HIPS, 'endWorth', -1))
    await until('anew', () => worths.size === 2 && worths.get('as it is')!.start === figures.figures!.value)
    stop()
  })
})

describe('how sure the headline is', () => {
  it('is asked in equal parts, with the places that are visited most', async () => {
    const { figures } = await openDemo()
    const range = useRange()
    void range.ask()
    const asked = HostedWorker.all.flatMap(({ heard }) =>
      heard.flatMap((one) => (one.kind === 'ask' && one.question.of === 'range' ? [one.question] : [])),
    )
    range.stop()
    const { positions } = figures.figures!
    const visits = (id: string) => positions[id as PositionId].visits
    const visited = Object.keys(positions).filter((id) => visits(id) > 0)
    expect(asked.length).toBeGreaterThan(1)
    expect(asked.map(({ part }) => part)).toEqual(asked.map((_, from) => ({ from, every: asked.length })))
    for (const { places } of asked) {
      expect(places).toHaveLength(Math.min(12, visited.length))
      expect(places).toEqual(places.toSorted((a, b) => visits(b) - visits(a)))
      expect(places.every((id) => visits(id) > 0)).toBe(true)
    }
  })

  it('is worked out when asked, can be given up, and is gone once anything changes', async () => {
    const { charts, figures } = await openDemo(small)
    const range = useRange()
    void range.ask()
    expect(range.progress).toBe(0)
    range.stop()
    expect([range.progress, range.range]).toEqual([null, null])
    void range.ask()
    await until('known', () => range.range !== null)
    const { kept, samples } = range.range!
    expect(samples).toBe(400)
    expect(kept.low).toBeLessThan(figures.figures!.value)
    expect(kept.high).toBeGreaterThan(kept.low)
    charts.edit('Slower', (draft) => setField(draft, 'moves', 'step', 'seconds', 20))
    await until('gone', () => range.range === null)
    expect(range.progress).toBeNull()
  })
})
