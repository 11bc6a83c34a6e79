import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { produce } from 'immer'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { DocumentEditor } from '../../src/storage/documentEditor'
import { openDatabase, type Database } from '../../src/storage/database'
import { addDocument, forgetDocument, listDocuments, rawDocument, readKept } from '../../src/storage/documents'
import { keepView, readView } from '../../src/storage/views'
import { SHELF_KIND } from '../../src/core/shelf/shelfKind'
import { demoPlan } from '../fixtures/demoPlan'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'
import { storeOf } from './storeOf'

const chart = demoPlan()
const layout = { width: 900, places: { 'scarf-hold': { band: 'side', row: 0, x: 120 } } }
const quiet = { changed() {}, saving() {}, refused() {}, lost() {} }
const clock = { tab: 'here', now: () => 9, later: () => undefined, announce() {} }
const editorOf = async (db: Database, id: string) =>
  new DocumentEditor(storeOf(db), CHART_KIND, taken((await readKept(db, CHART_KIND, id))!), quiet, clock)

/** A store as the builds before this one left it: a store a kind, and steps that name places in lists. */
async function storeOfVersion3(name: string, charts: object[], steps: object[], shelves: object[] = []) {
  const old = await openDB(name, 3, {
    upgrade(db) {
      db.createObjectStore('charts', { keyPath: 'id' })
      db.createObjectStore('steps', { keyPath: ['chart', 'number'] })
      db.createObjectStore('views', { keyPath: 'chart' })
      db.createObjectStore('shelves', { keyPath: 'id' })
    },
  })
  for (const row of charts) await old.put('charts', row)
  for (const row of steps) await old.put('steps', row)
  for (const row of shelves) await old.put('shelves', row)
  old.close()
}

describe('a store of an earlier build', () => {
  it('of the first version is taken over with all that is in it', async () => {
    const old = await openDB('from-one', 1, {
      upgrade(db) {
        db.createObjectStore('charts', { keyPath: 'id' })
        db.createObjectStore('steps', { keyPath: ['chart', 'number'] })
      },
    })
    await old.put('charts', { id: chart.id, chart, revision: 7, savedAt: 5, done: 1 })
    await old.put('steps', { chart: chart.id, number: 0, label: 'Rename', diff: { lists: {}, fields: {} } })
    old.close()

    const db = await openDatabase('from-one')
    const kept = taken((await readKept(db, CHART_KIND, chart.id))!)
    expect(kept).toMatchObject({ document: chart, revision: 7, savedAt: 5, done: 1, isModern: true })
    expect(kept.steps.map(({ label }) => label)).toEqual(['Rename'])
    await keepView(db, { chart: chart.id, layout, folded: ['mount'] })
    expect(await readView(db, chart.id)).toEqual({ chart: chart.id, layout, folded: ['mount'] })
    db.close()
  })

  it('keeps its bin and its shelves', async () => {
    const shelf = { id: 'mine', title: 'Mine', positions: [], holds: [], moves: [], reactions: [], answers: [] }
    await storeOfVersion3(
      'from-three',
      [{ id: chart.id, chart, revision: 2, savedAt: 5, done: 0, removedAt: 8 }],
      [],
      [{ id: 'mine', region: shelf, removedAt: 9 }],
    )
    const db = await openDatabase('from-three')
    expect(await listDocuments(db, CHART_KIND)).toMatchObject([{ id: chart.id, savedAt: 5, removedAt: 8 }])
    expect(await listDocuments(db, SHELF_KIND)).toMatchObject([{ id: 'mine', title: 'Mine', removedAt: 9 }])
    const { document } = taken((await readKept(db, SHELF_KIND, 'mine'))!)
    expect(document).toMatchObject({ ...shelf, format: 'ataque-shelf', version: 1, rules: [], variants: [] })
    db.close()
  })

  it('can undo and redo the steps that it kept by their places in lists', async () => {
    const now = soundChart()
    const [side, mount] = now.positions as object[]
    const low = { ...mount, name: 'Low mount' }
    const steps = [
      {
        chart: 'sound',
        number: 4,
        label: 'Name it',
        diff: { lists: { positions: { at: 1, removed: [low], added: [mount] } }, fields: {} },
      },
      {
        chart: 'sound',
        number: 5,
        label: 'Take notes',
        diff: { lists: {}, fields: { notes: { before: undefined, after: 'Tuesday' } } },
      },
      {
        chart: 'sound',
        number: 6,
        label: 'One less',
        diff: { lists: { positions: { at: 0, removed: [side], added: [] } }, fields: {} },
      },
    ]
    await storeOfVersion3(
      'old-steps',
      [{ id: 'sound', chart: { ...now, notes: 'Tuesday' }, revision: 3, savedAt: 1, done: 6 }],
      steps,
    )
    const db = await openDatabase('old-steps')
    const editor = await editorOf(db, 'sound')
    expect([editor.undoLabel, editor.redoLabel]).toEqual(['Take notes', 'One less'])
    expect(editor.redo()).toBe(false)
    editor.undo()
    expect(editor.document).not.toHaveProperty('notes')
    editor.undo()
    expect(editor.document.positions).toEqual([side, low])
    for (let n = 0; n < 2; n++) editor.redo()
    expect(editor.document).toEqual({ ...now, notes: 'Tuesday' })
    db.close()
  })
})

describe('a chart of an invented version 0 that is kept', () => {
  const { format: _, title, ...rest } = soundChart()
  const tries = { lands: 6, stalls: 4, rounds: { worked: 3, failed: 1 } }
  const before = { ...rest, version: 0, name: title, answers: [{ reaction: 'bridge', move: 'step', tries }] }
  const renamed = { lists: {}, fields: { name: { before: 'Once', after: title } } }
  const row = { id: 'sound', chart: before, revision: 3, savedAt: 1, done: 1 }

  it('is opened in today’s form, steps too, and written back whole', async () => {
    await storeOfVersion3('version-0', [row], [{ chart: 'sound', number: 0, label: 'Rename', diff: renamed }])
    const db = await openDatabase('version-0')
    expect(await rawDocument(db, CHART_KIND, 'sound')).toEqual(before)
    const editor = await editorOf(db, 'sound')
    const tallies = [
      { worked: true, weight: 3 },
      { worked: false, weight: 1 },
    ]
    expect(editor.document).toMatchObject({ format: 'ataque-chart', version: 1, title: 'Sound' })
    expect(editor.document.answers[0].tries).toEqual({ lands: 6, stalls: 4, tallies })
    expect(await rawDocument(db, CHART_KIND, 'sound')).toEqual(editor.document)
    editor.undo()
    expect(editor.document.title).toBe('Once')
    await editor.flush()
    expect((await editorOf(db, 'sound')).redoLabel).toBe('Rename')
    db.close()
  })

  it('stays as it is until it is written back, and is opened all the same where it cannot be', async () => {
    await storeOfVersion3('full', [row], [{ chart: 'sound', number: 0, label: 'Rename', diff: renamed }])
    const db = await openDatabase('full')
    const transaction = db.transaction.bind(db)
    let isFull = true
    Object.assign(db, {
      transaction: (...args: Parameters<typeof transaction>) => {
        if (isFull && args[1] === 'readwrite') throw new DOMException('the disk is full', 'QuotaExceededError')
        return transaction(...args)
      },
    })
    const editor = await editorOf(db, 'sound')
    expect(editor.document.title).toBe('Sound')
    expect(await rawDocument(db, CHART_KIND, 'sound')).toEqual(before)
    isFull = false
    editor.edit('Take notes', (draft) => void (draft.notes = 'Tuesday'))
    await editor.flush()
    const again = await editorOf(db, 'sound')
    expect([again.document.notes, again.undoLabel]).toEqual(['Tuesday', 'Take notes'])
    again.undo()
    again.undo()
    expect(again.document.title).toBe('Once')
    db.close()
  })

  it('that is not sound is refused by name, and stays as it is', async () => {
    const broken = produce(before as unknown as Chart, (draft) => void (draft.moves[0].to = 'moon' as never))
    await storeOfVersion3('broken', [{ ...row, chart: broken }], [])
    const db = await openDatabase('broken')
    const kept = (await readKept(db, CHART_KIND, 'sound'))!
    expect(kept.ok ? [] : kept.problems).toMatchObject([{ code: 'unknown-reference', path: ['moves', 0, 'to'] }])
    expect(await rawDocument(db, CHART_KIND, 'sound')).toEqual(broken)
    expect(await listDocuments(db, CHART_KIND)).toMatchObject([{ id: 'sound' }])
    db.close()
  })
})

test('how a chart was looked at is forgotten with it, and with no other', async () => {
  const db = await openDatabase('views')
  await addDocument(db, CHART_KIND, chart, 1)
  await addDocument(db, CHART_KIND, { ...chart, id: 'other' }, 1)
  await keepView(db, { chart: chart.id, layout, folded: [] })
  await keepView(db, { chart: 'other', layout: null, folded: ['side'] })
  await forgetDocument(db, CHART_KIND, chart.id)
  expect(await readView(db, chart.id)).toBeUndefined()
  expect(await readView(db, 'other')).toEqual({ chart: 'other', layout: null, folded: ['side'] })
  expect(await readKept(db, CHART_KIND, chart.id)).toBeNull()
  db.close()
})
