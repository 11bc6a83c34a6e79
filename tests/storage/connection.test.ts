import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { openDB, unwrap } from 'idb'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { Connection, type StoreClosed } from '../../src/storage/connection'
import type { Database } from '../../src/storage/database'
import { addDocument, listDocuments } from '../../src/storage/documents'
import { everythingKept } from '../../src/storage/everything'
import { demoPlan } from '../fixtures/demoPlan'
import { noDatabase } from '../stores/noDatabase'

const chart = demoPlan()
const titles = (connection: Connection) =>
  connection.run(async (db) => (await listDocuments(db, CHART_KIND)).map(({ title }) => title))

/** A store with the demo plan in it, and the database that it works with. */
async function kept(isOpen?: () => void): Promise<[Connection, Database]> {
  const connection = new Connection(undefined, isOpen)
  await connection.run((db) => addDocument(db, CHART_KIND, chart, 1))
  return [connection, await connection.run(async (db) => db)]
}
const troubleOf = (work: Promise<unknown>) => work.then(() => null).catch((error: StoreClosed) => error.trouble)

beforeEach(() => void (globalThis.indexedDB = new IDBFactory()))

describe('the store', () => {
  it('is opened once, and again after it was closed under a work', async () => {
    const opens: number[] = []
    const [connection, db] = await kept(() => opens.push(1))
    expect([await titles(connection), opens.length]).toEqual([[chart.title], 1])
    db.close()
    expect([await titles(connection), opens.length]).toEqual([[chart.title], 2])
  })

  it('is opened again after the browser has closed it', async () => {
    const opens: number[] = []
    const [connection, db] = await kept(() => opens.push(1))
    // The only event that this IndexedDB lets one make.
    unwrap(db).dispatchEvent(new IDBVersionChangeEvent('close'))
    expect([await titles(connection), opens.length]).toEqual([[chart.title], 2])
  })

  it('passes on what goes wrong in the work itself, once', async () => {
    const [connection] = await kept()
    let times = 0
    const work = () => {
      times++
      return Promise.reject(new DOMException('the disk is full', 'QuotaExceededError'))
    }
    await expect(connection.run(work)).rejects.toThrow('the disk is full')
    expect(times).toBe(1)
  })

  it('lets a newer build have it, and says what to do then', async () => {
    const [connection] = await kept()
    const newer = await openDB('ataque', 99, { upgrade: (db) => void db.createObjectStore('more') })
    expect(await troubleOf(titles(connection))).toBe('newer')
    await expect(titles(connection)).rejects.toThrow('a newer Ataque has changed what is kept here')
    await newer.put('more', { what: 'else' }, 'one')
    newer.close()
    const all = JSON.parse(await everythingKept()) as Record<string, unknown>
    expect(all).toMatchObject({ version: 99, documents: [{ id: chart.id, document: chart }], more: [{ what: 'else' }] })
  })

  it('that another tab holds in an older form is said to be so, and opens as soon as that one lets go', async () => {
    const old = await openDB('ataque', 3, { upgrade: (db) => void db.createObjectStore('views', { keyPath: 'chart' }) })
    const opened = new Promise<void>((isOpen) => {
      const connection = new Connection(undefined, isOpen)
      void troubleOf(titles(connection)).then((trouble) => {
        expect(trouble).toBe('blocked')
        old.close()
      })
    })
    await opened
    expect(await titles(new Connection())).toEqual([])
  })

  it('is told to be missing where there is none, with the browser’s own words', async () => {
    globalThis.indexedDB = noDatabase
    const connection = new Connection()
    expect(await troubleOf(titles(connection))).toBe('missing')
    await expect(titles(connection)).rejects.toThrow('this browser keeps no data here (no)')
    globalThis.indexedDB = new IDBFactory()
    expect(await titles(connection)).toEqual([])
  })
})
