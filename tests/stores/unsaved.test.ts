import 'fake-indexeddb/auto'
import type { Chart } from '../../src/core/chart/chart'
import { noDatabase } from './noDatabase'
import { beginTest, openTab, sound, titles, turns } from './tab'

beforeEach(beginTest)

describe('where nothing can be kept', () => {
  it('charts are worked on all the same, are there as long as the page, and can be exported', async () => {
    globalThis.indexedDB = noDatabase
    const charts = await openTab()
    expect(charts.trouble).toMatchObject({ trouble: 'missing', message: 'this browser keeps no data here (no)' })
    await charts.add(sound())
    charts.edit('Rename', (draft) => void (draft.title = 'Renamed'))
    expect(charts.exportText()).toContain('Renamed')
    await turns()
    expect(charts.saving).toMatchObject({ state: 'failed', message: 'this browser keeps no data here (no)' })
    charts.undo()
    expect(charts.chart?.title).toBe('Sound')
    charts.redo()
    expect(await charts.create('Other')).toBe('other')
    expect([charts.chart?.title, titles(charts)]).toEqual(['Other', ['Other', 'Sound']])
    expect(charts.unsaved.map(({ title }) => title).sort()).toEqual(['Other', 'Renamed'])
    expect([await charts.open('sound'), charts.chart?.title]).toEqual([true, 'Renamed'])
    expect(await charts.viewOf('sound')).toBeUndefined()
  })

  it('and then it can: all of it is kept', async () => {
    const works = globalThis.indexedDB
    globalThis.indexedDB = noDatabase
    const charts = await openTab()
    await charts.add(sound())
    charts.edit('Rename', (draft) => void (draft.title = 'Renamed'))
    await turns()
    globalThis.indexedDB = works
    await charts.retry()
    expect([charts.trouble, charts.unsaved, charts.saving.state]).toEqual([null, [], 'saved'])
    expect((await openTab()).chart?.title).toBe('Renamed')
  })
})

describe('a chart that could not be saved', () => {
  /** Lets no chart of this title be written until it is mended. */
  function breakFor(title: string) {
    const { put } = IDBObjectStore.prototype
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, row: { document?: Chart }) {
      if (row.document?.title === title) throw new DOMException('the disk is full', 'QuotaExceededError')
      return put.call(this, row)
    }
    return () => void (IDBObjectStore.prototype.put = put)
  }

  it('stays open behind another, is shown as it stands, and is kept as soon as that can be done', async () => {
    const charts = await openTab()
    await charts.add(sound())
    const mend = breakFor('Renamed')
    charts.edit('Rename', (draft) => void (draft.title = 'Renamed'))
    await charts.create('Other')
    expect(charts.saving.state).toBe('saved')
    expect(charts.unsaved).toMatchObject([{ id: 'sound', title: 'Renamed', saving: { state: 'failed' } }])
    await charts.open('sound')
    expect([charts.chart?.title, charts.steps.undo, charts.saving.state]).toEqual(['Renamed', 'Rename', 'failed'])
    await charts.open('other')
    mend()
    await charts.retry()
    expect([charts.unsaved, titles(charts)]).toEqual([[], ['Other', 'Renamed']])
    expect(charts.chart?.id).toBe('other')
    await charts.open('sound')
    expect([charts.chart?.title, charts.steps.undo]).toEqual(['Renamed', 'Rename'])
  })

  it('is there, open, where it is new', async () => {
    const charts = await openTab()
    const mend = breakFor('Other')
    expect(await charts.create('Other')).toBe('other')
    expect([charts.chart?.title, charts.saving.state, titles(charts)]).toEqual(['Other', 'failed', ['Other']])
    expect([await charts.remove('other'), charts.chart?.title]).toEqual([false, 'Other'])
    expect(charts.news?.text).toBe('This cannot be put in the bin now: it is not saved.')
    mend()
    await charts.retry()
    expect([charts.unsaved, titles(await openTab())]).toEqual([[], ['Other']])
  })

  it('does not go to the bin by half: it is said, and nothing has changed', async () => {
    const charts = await openTab()
    await charts.add(sound())
    const mend = breakFor('Sound')
    expect(await charts.remove('sound')).toBe(false)
    expect(charts.news).toMatchObject({ kind: 'warning', text: 'This cannot be put in the bin now: the disk is full.' })
    expect([charts.chart?.id, charts.bin]).toEqual(['sound', []])
    mend()
  })
})
