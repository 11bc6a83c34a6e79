import 'fake-indexeddb/auto'
import { nextTick } from 'vue'
import { makeChart } from '../../src/core/files/chartFile'
import type { Chart } from '../../src/core/chart/chart'
import { setField } from '../../src/core/chart/edits/fields'
import { mergeCharts } from '../../src/core/chart/mergeCharts'
import { bareChart, markOf } from '../../src/core/chart/shared'
import { toMoveId } from '../../src/core/chart/ids'
import { removeMove } from '../../src/core/chart/edits/records'
import { Refusal } from '../../src/core/problem'
import { openDatabase } from '../../src/storage/database'
import { LocalChannel } from './localChannel'
import { beginTest, openTab, sound, titles, turns } from './tab'

beforeEach(beginTest)

describe('the charts', () => {
  it('begin with none, and the new one is open', async () => {
    const charts = await openTab()
    expect([charts.isReady, charts.chart, charts.kept]).toEqual([true, null, []])
    await charts.create('Thursday')
    expect(charts.chart).toMatchObject({ title: 'Thursday', id: 'thursday', positions: [] })
    await charts.create('Thursday')
    expect(charts.chart?.id).toBe('thursday-2')
  })

  it('are there in the next tab, with the last one open and its steps', async () => {
    const first = await openTab()
    await first.add(sound())
    await first.create('Other')
    await first.open('sound')
    first.edit('Rename', (draft) => void (draft.title = 'Renamed'))
    await turns()
    expect(first.saving.state).toBe('saved')
    const second = await openTab()
    expect(second.chart?.title).toBe('Renamed')
    expect(second.steps.undo).toBe('Rename')
    second.undo()
    expect([second.chart?.title, second.steps.redo]).toEqual(['Sound', 'Rename'])
    second.redo()
    expect(titles(second)).toEqual(['Other', 'Renamed'])
  })

  it('list the title at once when it is saved', async () => {
    const charts = await openTab()
    await charts.add(sound())
    charts.edit('Rename', (draft) => void (draft.title = 'Renamed'))
    await turns()
    expect(titles(charts)).toEqual(['Renamed'])
  })

  it('can be duplicated, removed and brought back', async () => {
    const charts = await openTab()
    await charts.add(sound())
    await charts.duplicate('sound')
    expect(charts.chart).toMatchObject({ title: 'Sound (copy)', moves: sound().moves })
    await charts.remove('sound-copy')
    expect([charts.chart?.id, charts.bin.map(({ id }) => id)]).toEqual(['sound', ['sound-copy']])
    await charts.remove('sound')
    expect([charts.chart, charts.kept]).toEqual([null, []])
    await charts.restore('sound')
    expect(charts.chart?.id).toBe('sound')
    await charts.forget('sound-copy')
    expect(charts.bin).toEqual([])
  })

  it('tell why an edit was refused, and are as they were', async () => {
    const charts = await openTab()
    await charts.add(sound())
    const isDone = charts.edit('Fail', () => {
      throw new Refusal('the move "fly" is no longer there', 'gone')
    })
    const problems = [{ code: 'gone', path: [], message: 'the move "fly" is no longer there' }]
    expect([isDone, charts.refused]).toEqual([false, { label: 'Fail', problems, at: expect.any(Number) }])
    expect(charts.chart).toEqual(sound())
  })
})

describe('a chart in two tabs', () => {
  const share = async () => {
    Object.assign(globalThis, { BroadcastChannel: LocalChannel })
    LocalChannel.all = []
    const one = await openTab()
    await one.add(sound())
    return [one, await openTab()] as const
  }
  afterEach(() => void Object.assign(globalThis, { BroadcastChannel: undefined }))

  it('is shown in each as the other left it, and says so', async () => {
    const [one, other] = await share()
    one.edit('Rename', (draft) => void (draft.title = 'Renamed'))
    await turns()
    expect([other.chart?.title, other.steps.undo, titles(other)]).toEqual(['Renamed', undefined, ['Renamed']])
    expect(other.news).toMatchObject({
      kind: 'info',
      text: 'Another tab changed this chart: you see it as it is now.',
    })
    expect(one.news).toBeNull()
    await one.create('Other')
    await turns()
    expect([other.chart?.id, titles(other)]).toEqual(['sound', ['Other', 'Renamed']])
  })

  it('is told when it is put in the bin elsewhere', async () => {
    const [one, other] = await share()
    await one.remove('sound')
    await turns()
    expect(other.news).toMatchObject({ kind: 'warning', text: 'This chart was put in the bin in another tab.' })
    expect([other.bin.map(({ id }) => id), other.chart?.id]).toEqual([['sound'], 'sound'])
  })

  it('can be kept as a new one where it is forgotten for good elsewhere', async () => {
    const [one, other] = await share()
    await one.remove('sound')
    await one.forget('sound')
    await turns()
    expect([other.saving.state, other.unsaved.map(({ id }) => id)]).toEqual(['forgotten', ['sound']])
    other.edit('Rename', (draft) => void (draft.title = 'Mine'))
    await other.keepAsNew()
    expect([other.chart?.id, other.unsaved, titles(other)]).toEqual(['mine', [], ['Mine']])
    await turns()
    expect(titles(one)).toEqual(['Mine'])
  })

  it('can be let go of there, too', async () => {
    const [one, other] = await share()
    await one.create('Other')
    await one.remove('sound')
    await one.forget('sound')
    await turns()
    await other.letGo()
    expect([other.chart?.title, other.unsaved, titles(other)]).toEqual(['Other', [], ['Other']])
  })

  it('loses an edit that no longer fits, and says which', async () => {
    const [one, other] = await share()
    LocalChannel.all = []
    one.edit('Remove it', (draft) => removeMove(draft, toMoveId('step')))
    await turns()
    other.edit('Slower', (draft) => setField(draft, 'moves', 'step', 'seconds', 9))
    await turns()
    expect(other.news).toMatchObject({ kind: 'warning', text: expect.stringContaining('“Slower” could not be kept: ') })
    expect(other.chart).toEqual(one.chart)
  })
})

describe('a chart that is kept and not sound', () => {
  it('is not opened: another is, and what is kept of it can be saved', async () => {
    const first = await openTab()
    await first.add(sound())
    await first.create('Other')
    const db = await openDatabase()
    const row = (await db.get('documents', ['chart', 'sound']))!
    const broken = { ...sound(), positions: [{ id: 'side', name: 5 }] }
    await db.put('documents', { ...row, document: broken as unknown as Chart })
    const charts = await openTab()
    expect([charts.chart?.title, charts.unreadable]).toEqual(['Other', null])
    expect(await charts.open('sound')).toBe(false)
    expect(charts.chart?.title).toBe('Other')
    expect(charts.unreadable).toMatchObject({ id: 'sound', text: JSON.stringify(broken, null, 2) })
    expect(charts.unreadable!.problems.length).toBeGreaterThan(0)
    await charts.duplicate('sound')
    expect(charts.kept).toHaveLength(2)
    expect(await charts.open('nothing')).toBe(false)
  })
})

describe('an import', () => {
  it('that is broken changes nothing', async () => {
    const charts = await openTab()
    await charts.add(sound())
    const refused = await charts.importText('{ "format": "recipe" }')
    expect(refused).toMatchObject({ state: 'refused', problems: [{ code: 'not-a-chart' }] })
    expect(charts.chart).toEqual(sound())
  })

  it('is added, and comes out as it came in', async () => {
    const charts = await openTab()
    const text = makeChart(sound())
    expect(await charts.importText(text)).toEqual({ state: 'added', id: 'sound' })
    const { shared, ...plan } = JSON.parse(await charts.fileText())
    expect(`${JSON.stringify(plan, null, 2)}\n`).toBe(text)
    expect(shared).toEqual({ lineage: [markOf(sound())] })
  })

  it('of a chart that is here already asks first', async () => {
    const charts = await openTab()
    await charts.add(sound())
    const other = { ...sound(), title: 'Changed' }
    const asked = await charts.importText(makeChart(other))
    expect(asked).toMatchObject({ state: 'taken', title: 'Sound' })
    expect(charts.chart?.title).toBe('Sound')
    await charts.importBeside(other)
    expect([charts.chart?.id, titles(charts)]).toEqual(['sound-2', ['Changed', 'Sound']])
    await charts.importOver(other)
    expect(charts.chart).toMatchObject({ id: 'sound', title: 'Changed' })
    charts.undo()
    await nextTick()
    expect(charts.chart).toEqual(sound())
  })

  it('of a chart that was given away is merged against what was given, in one step', async () => {
    const charts = await openTab()
    await charts.add(sound())
    const given = JSON.parse(await charts.fileText()) as Chart
    charts.edit('Rename', (draft) => void (draft.title = 'Mine'))
    const back = { ...given, notes: 'Theirs' }
    const asked = await charts.importText(makeChart(back))
    expect(asked).toMatchObject({ state: 'taken' })
    const base = await charts.openToMerge(back)
    expect(base).toEqual(sound())
    const never = () => {
      throw new Error('nothing collides')
    }
    const merged = mergeCharts(base!, charts.keptChart!, back, never).document
    expect(await charts.takeMerged(back, merged)).toBe(true)
    expect(charts.chart).toMatchObject({ title: 'Mine', notes: 'Theirs' })
    // What came is known from now on: the same file brings nothing more.
    expect(await charts.openToMerge(back)).toEqual(bareChart(back))
    charts.undo()
    await nextTick()
    expect(charts.chart).toEqual({ ...sound(), title: 'Mine' })
    expect(await charts.openToMerge(back)).toEqual(sound())
    expect(await charts.openToMerge({ ...back, id: 'not-here' })).toBeUndefined()
  })

  it('of a chart in the bin takes its place', async () => {
    const charts = await openTab()
    await charts.add(sound())
    await charts.remove('sound')
    expect(await charts.importText(makeChart(sound()))).toEqual({ state: 'added', id: 'sound' })
    expect(charts.bin).toEqual([])
  })
})

describe('the chart seen from the other side', () => {
  const sided = (): Chart => {
    const chart = sound()
    chart.positions[0].name = 'Left side control'
    chart.positions[0].notes = 'Right knee first.'
    return chart
  }

  it('is shown, edited there, and kept and exported as charted', async () => {
    const charts = await openTab()
    await charts.add(sided())
    charts.isFlipped = true
    await nextTick()
    expect(charts.chart!.positions[0]).toMatchObject({ name: 'Right side control', notes: 'Left knee first.' })
    expect(charts.edit('Rename', (draft) => void (draft.positions[0].name = 'Right side, hips left'))).toBe(true)
    expect(charts.chart!.positions[0].name).toBe('Right side, hips left')
    expect(JSON.parse(charts.exportText()).positions[0]).toMatchObject({
      ...{ name: 'Left side, hips right', notes: 'Right knee first.' },
    })
    charts.isFlipped = false
    await nextTick()
    expect(charts.chart!.positions[0].name).toBe('Left side, hips right')
    await charts.retry()

    const later = await openTab()
    expect(later.chart!.positions[0].name).toBe('Left side, hips right')
    later.undo()
    expect(later.chart!.positions[0].name).toBe('Left side control')
  })

  it('is undone and done again from either side', async () => {
    const charts = await openTab()
    await charts.add(sided())
    charts.edit('Rename', (draft) => void (draft.positions[0].name = 'Left hip'))
    charts.isFlipped = true
    await nextTick()
    expect(charts.steps.undo).toBe('Rename')
    charts.undo()
    expect(charts.chart!.positions[0].name).toBe('Right side control')
    charts.redo()
    expect(charts.chart!.positions[0].name).toBe('Right hip')
    charts.isFlipped = false
    await nextTick()
    expect(charts.chart!.positions[0].name).toBe('Left hip')
  })

  it('takes a file in as it was charted, and says nothing of an edit that changes nothing', async () => {
    const charts = await openTab()
    await charts.add(sided())
    charts.isFlipped = true
    await nextTick()
    const file = { ...sided(), title: 'From a file' }
    await charts.importOver(file)
    expect(charts.chart!.positions[0].name).toBe('Right side control')
    expect(bareChart(JSON.parse(charts.exportText()))).toEqual(JSON.parse(makeChart(file)))
    const before = charts.steps.undo
    expect(charts.edit('Nothing', () => undefined)).toBe(false)
    expect(charts.steps.undo).toBe(before)
    charts.isFlipped = false
    await nextTick()
  })
})

describe('how a chart was looked at', () => {
  it('is kept beside it, and is there in another tab', async () => {
    const charts = await openTab()
    const id = await charts.add(sound())
    expect(await charts.viewOf(id)).toBeUndefined()
    const view = { chart: id, layout: { width: 900, places: {} }, folded: ['mount'] }
    await charts.keepView(view)
    expect(charts.steps.undo).toBeUndefined()
    const other = await openTab()
    expect(await other.viewOf(id)).toEqual(view)
    await other.remove(id)
    await other.forget(id)
    expect(await other.viewOf(id)).toBeUndefined()
  })
})
