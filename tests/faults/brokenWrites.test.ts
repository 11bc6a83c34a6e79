import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { openDB } from 'idb'
import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { setTitle } from '../../src/core/chart/edits/fields'
import { openDatabase, type Database } from '../../src/storage/database'
import { DocumentEditor } from '../../src/storage/documentEditor'
import { addDocument, forgetDocument, readKept, setRemoved } from '../../src/storage/documents'
import { everythingKept } from '../../src/storage/everything'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'
import { storeOf, tabName } from '../storage/storeOf'
import { amount, report } from './amount'

/* Whatever call of a write throws: all of the write is kept afterwards, or nothing of it. */

const CALLS = ['put', 'add', 'delete', 'get', 'getAll'] as const
const real = Object.fromEntries(CALLS.map((call) => [call, IDBObjectStore.prototype[call]]))
const chart = soundChart() as unknown as Chart

/** Lets calls to stores throw where `throws` says so, by their number. Returns what stops it and counts them. */
function breakCalls(throws: (call: number, store: IDBObjectStore) => boolean): () => number {
  let calls = 0
  for (const call of CALLS) {
    Object.assign(IDBObjectStore.prototype, {
      [call](this: IDBObjectStore, ...args: unknown[]) {
        if (throws(calls++, this)) throw new DOMException(`call ${calls} failed`, 'UnknownError')
        return (real[call] as (...all: unknown[]) => unknown).apply(this, args)
      },
    })
  }
  return () => {
    Object.assign(IDBObjectStore.prototype, real)
    return calls
  }
}

const events = { changed() {}, saving() {}, refused() {}, lost() {} }
const clock = { now: () => 1, later: () => undefined, announce() {} }
const editorOf = async (db: Database) =>
  new DocumentEditor(storeOf(db), CHART_KIND, taken((await readKept(db, CHART_KIND, 'sound'))!), events, {
    ...{ ...clock, tab: tabName() },
  })

/** A store as it is before the write that is tried, made anew each time. */
async function fresh(): Promise<Database> {
  globalThis.indexedDB = new IDBFactory()
  const db = await openDatabase()
  await addDocument(db, CHART_KIND, chart, 1)
  const editor = await editorOf(db)
  for (const title of ['One', 'Two', 'Three']) editor.edit(title, (draft) => setTitle(draft, title))
  await editor.flush()
  editor.undo()
  await editor.flush()
  return db
}

const WRITES: [name: string, write: (db: Database) => Promise<unknown>][] = [
  [
    'an edit after a step that was undone',
    async (db) => {
      const editor = await editorOf(db)
      editor.edit('Four', (draft) => setTitle(draft, 'Four'))
      await editor.flush()
    },
  ],
  ['a chart that goes to the bin', (db) => setRemoved(db, CHART_KIND, 'sound', 5)],
  ['a chart that is forgotten', (db) => forgetDocument(db, CHART_KIND, 'sound')],
]

describe.each(WRITES)('a call that throws in the writing of %s', (_, write) => {
  it('leaves all of it or nothing, whichever call it is', async () => {
    const before = await snapshot(await fresh())
    const db = await fresh()
    const stop = breakCalls(() => false)
    await write(db)
    const calls = stop()
    const after = await snapshot(db)
    expect(after).not.toEqual(before)
    expect(calls).toBeGreaterThan(1)
    for (let broken = 0; broken < calls; broken++) {
      const tried = await fresh()
      const mend = breakCalls((call) => call === broken)
      await write(tried).catch(() => undefined)
      mend()
      expect([before, after]).toContainEqual(await snapshot(tried))
    }
  })
})

it('a store of an earlier build stays as it was where a call of its renewal throws', async () => {
  const old = async () => {
    globalThis.indexedDB = new IDBFactory()
    const db = await openDB('ataque', 3, {
      upgrade(made) {
        made.createObjectStore('charts', { keyPath: 'id' })
        made.createObjectStore('steps', { keyPath: ['chart', 'number'] })
        made.createObjectStore('views', { keyPath: 'chart' })
        made.createObjectStore('shelves', { keyPath: 'id' })
      },
    })
    await db.put('charts', { id: 'sound', chart, revision: 1, savedAt: 1, done: 1 })
    await db.put('steps', { chart: 'sound', number: 0, label: 'Rename', diff: { lists: {}, fields: {} } })
    db.close()
  }
  await old()
  const before = await everythingKept()
  for (let broken = 0; broken < 5; broken++) {
    await old()
    const mend = breakCalls((call) => call === broken)
    await expect(openDatabase()).rejects.toThrow()
    mend()
    expect(await everythingKept()).toBe(before)
    const db = await openDatabase()
    expect(taken((await readKept(db, CHART_KIND, 'sound'))!)).toMatchObject({ document: chart, done: 1 })
    db.close()
  }
})

/** Makes calls to stores throw, or end their transaction first, as `random` draws. Returns what stops it. */
function breakAtRandom(random: () => number): () => void {
  const { transaction } = Object.getOwnPropertyDescriptors(IDBObjectStore.prototype)
  return breakCalls((_, store) => {
    const draw = random()
    if (draw < 0.05) (transaction!.get!.call(store) as IDBTransaction).abort()
    return draw < 0.15
  })
}

const SERIES = amount(2, 4)
const EDITS = 50
let broken = 0
let sound = 0
afterAll(() =>
  report(
    'writes that throw or are cut off',
    SERIES * EDITS,
    (SERIES - sound) * EDITS,
    `${broken} broken, all done in the end`,
  ),
)

it.each(Array.from({ length: SERIES }, (_, i) => i + 1))(
  'edits with calls that throw, or are cut off, now and then can all be undone: %i',
  async (seed) => {
    const random = seeded(seed)
    globalThis.indexedDB = new IDBFactory()
    const db = await openDatabase()
    await addDocument(db, CHART_KIND, chart, 1)
    const editor = await editorOf(db)
    const mend = breakAtRandom(random)
    for (let n = 0; n < EDITS; n++) {
      editor.edit(`edit ${n}`, (draft) => setTitle(draft, `Title ${n}`))
      if (random() < 0.7) await editor.flush()
      if (editor.isDirty) broken++
      const kept = await readKept(db, CHART_KIND, 'sound').catch(() => null)
      if (kept && !editor.isDirty) expect(taken(kept).document).toEqual(editor.document)
    }
    mend()
    await editor.flush()
    const later = await editorOf(db)
    expect(later.document.title).toBe(`Title ${EDITS - 1}`)
    for (let n = EDITS - 2; n >= 0; n--) {
      expect(later.undo()).toBe(true)
      expect(later.document.title).toBe(`Title ${n}`)
    }
    expect([later.undo(), later.document]).toEqual([true, chart])
    await later.flush()
    db.close()
    sound++
  },
)

/** All that is kept, without the times and the names of tabs. */
async function snapshot(db: Database): Promise<unknown> {
  const [documents, steps] = [await db.getAll('documents'), await db.getAll('steps')]
  db.close()
  return { documents, steps: steps.map(({ mark: _, ...step }) => step) }
}
