import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { openDatabase } from '../../src/storage/database'
import { addShelf, forgetShelf, listShelves, setShelfRemoved } from '../../src/storage/ownShelves'
import { addChart, forgetChart, readStored } from '../../src/storage/charts'
import { demoPlan } from '../fixtures/demoPlan'

const chart = demoPlan()
const layout = { width: 900, places: { 'scarf-hold': { band: 'side', row: 0, x: 120 } } }

test('a store of the first version is taken over with all that is in it', async () => {
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
  const kept = await readStored(db, chart.id)
  expect(kept?.stored).toEqual({ id: chart.id, chart, revision: 7, savedAt: 5, done: 1 })
  expect(kept?.steps.map(({ label }) => label)).toEqual(['Rename'])
  await db.put('views', { chart: chart.id, layout, folded: ['mount'] })
  expect(await db.get('views', chart.id)).toEqual({ chart: chart.id, layout, folded: ['mount'] })
  db.close()
})

test('how a chart was looked at is forgotten with it, and with no other', async () => {
  const db = await openDatabase('views')
  await addChart(db, chart, 1)
  await addChart(db, { ...chart, id: 'other' }, 1)
  await db.put('views', { chart: chart.id, layout, folded: [] })
  await db.put('views', { chart: 'other', layout: null, folded: ['side'] })
  await forgetChart(db, chart.id)
  expect(await db.get('views', chart.id)).toBeUndefined()
  expect(await db.get('views', 'other')).toEqual({ chart: 'other', layout: null, folded: ['side'] })
  expect(await readStored(db, chart.id)).toBeNull()
  db.close()
})

test('a shelf of one’s own is kept, put in the bin, brought back and forgotten', async () => {
  const db = await openDatabase('own-shelves')
  const region = {
    id: 'mine',
    title: 'Mine',
    positions: [],
    holds: [],
    moves: [],
    reactions: [],
    answers: [],
    rules: [],
    variants: [],
    cautions: [],
  }
  await addShelf(db, region)
  await expect(addShelf(db, region)).rejects.toThrow()
  await setShelfRemoved(db, 'mine', 5)
  expect(await listShelves(db)).toEqual([{ id: 'mine', region, removedAt: 5 }])
  await setShelfRemoved(db, 'mine', null)
  await setShelfRemoved(db, 'nothing', 5)
  expect(await listShelves(db)).toEqual([{ id: 'mine', region }])
  await forgetShelf(db, 'mine')
  expect(await listShelves(db)).toEqual([])
  db.close()
})
