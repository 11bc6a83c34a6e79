import 'fake-indexeddb/auto'
import { seeded } from '../../bench/generate'
import { setTitle } from '../../src/core/chart/edits/fields'
import { noDatabase } from '../stores/noDatabase'
import { beginTest, openTab, sound, turns } from '../stores/tab'
import { amount, report } from './amount'

/* The browser's store is closed, full or not there, at any moment: what was shown as saved is there afterwards. */

const { put } = IDBObjectStore.prototype
const { transaction } = IDBDatabase.prototype
let used: IDBDatabase | null = null
const uses = (db: IDBDatabase) => (used = db)
// The connections that a tab opens are its own affair; which one it uses shows here.
IDBDatabase.prototype.transaction = function (this: IDBDatabase, ...args: Parameters<typeof transaction>) {
  return transaction.apply(uses(this), args)
}

/** Brings a trouble about; returns what ends it. */
const TROUBLES: Record<'closed' | 'full' | 'missing', () => () => void> = {
  closed: () => {
    used?.close()
    return () => undefined
  },
  full: () => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('the disk is full', 'QuotaExceededError')
    }
    return () => void (IDBObjectStore.prototype.put = put)
  },
  missing: () => {
    const works = globalThis.indexedDB
    used?.close()
    globalThis.indexedDB = noDatabase
    return () => void (globalThis.indexedDB = works)
  },
}

const ROUNDS = amount(6, 60)
const EDITS = 6
let behind = 0
let well = 0
afterAll(() =>
  report(
    'a store closed, full or missing',
    ROUNDS * EDITS,
    (ROUNDS - well) * EDITS,
    `${behind} edits told as not saved`,
  ),
)

beforeEach(beginTest)

it.each(Array.from({ length: ROUNDS }, (_, i) => i + 1))(
  'nothing that was shown as saved is lost: %i',
  async (seed) => {
    const random = seeded(seed)
    const troubles = Object.values(TROUBLES)
    const charts = await openTab()
    await charts.add(sound())
    let end = () => {}
    let saved = -1
    for (let n = 0; n < EDITS; n++) {
      end()
      end = random() < 0.6 ? troubles[Math.floor(random() * troubles.length)]!() : () => {}
      charts.edit('Rename', (draft) => setTitle(draft, String(n)))
      expect(charts.saving.state).not.toBe('saved')
      await turns()
      if (charts.saving.state === 'saved') saved = n
      else expect(charts.saving).toMatchObject({ message: expect.stringMatching(/disk is full|keeps no data here/) })
      behind = Math.max(behind, n - saved)
    }
    end()
    if (random() < 0.5) {
      await charts.retry()
      expect([charts.saving.state, charts.unsaved]).toEqual(['saved', []])
      saved = EDITS - 1
    }
    const { title } = (await openTab()).chart!
    expect(title === 'Sound' ? -1 : Number(title)).toBeGreaterThanOrEqual(saved)
    well++
  },
)
