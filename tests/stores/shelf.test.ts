import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, setActivePinia } from 'pinia'
import { publish } from '../../src/core/shelf/publish'
import { useShelf } from '../../src/stores/shelf'
import { readRegions } from '../../scripts/shelfDoc'
import { demoPlan } from '../fixtures/demoPlan'
import { taken } from '../reference/taken'
import { LocalChannel } from './localChannel'
import { noDatabase } from './noDatabase'

const demo = demoPlan()
const PLACES = ['knee-on-belly', 'mount-head-and-arm']
Object.assign(globalThis, { BroadcastChannel: LocalChannel })

/** A tab that was opened anew; what is kept stays. */
async function openTab() {
  setActivePinia(createPinia())
  const store = useShelf()
  await store.load()
  return store
}
const ids = (regions: readonly { id: string }[]) => regions.map(({ id }) => id)

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
  LocalChannel.all = []
})

describe('the Shelf', () => {
  it('is nothing until it is asked for, then all regions from the feet to the back, read once', async () => {
    setActivePinia(createPinia())
    const store = useShelf()
    expect([store.shelf, store.index]).toEqual([null, null])
    await Promise.all([store.load(), store.load()])
    const once = store.shelf
    await store.load()
    expect(store.shelf).toBe(once)
    const regions = ids(store.shelf!.regions)
    expect([...regions].sort()).toEqual(ids(readRegions()).sort())
    expect([regions[0], regions[1], regions.at(-1)]).toEqual(['standing', 'front-headlock', 'kimura'])
    expect(regions.indexOf('back')).toBeLessThan(regions.indexOf('back-escapes'))
    expect(store.index!.search('americana').length).toBeGreaterThan(0)
    expect(store.principles.length).toBeGreaterThan(5)
  })

  it('takes a part of a chart as a shelf of one’s own, which is there in the next tab', async () => {
    const store = await openTab()
    const id = await store.publishFrom(demo, PLACES, 'Our top game')
    const again = await store.publishFrom(demo, PLACES, 'Our top game')
    expect([id, again]).toEqual(['our-top-game', 'our-top-game-2'])
    expect(store.own.map(({ title }) => title).sort()).toEqual(['Our top game', 'Our top game'])
    const moves = store.own.flatMap((region) => ids(region.moves))
    expect(new Set(moves).size).toBe(moves.length)
    expect(ids(store.shelf!.regions)).toEqual(expect.arrayContaining([id, again]))
    expect(store.index!.search('top game')).toBeDefined()
    const next = await openTab()
    expect(ids(next.own).sort()).toEqual([id, again])
    expect(next.own.find((one) => one.id === id)).toEqual(store.own.find((one) => one.id === id))
  })

  it('keeps one in the bin, brings it back, and forgets it; ids in the bin stay taken', async () => {
    const store = await openTab()
    const id = await store.publishFrom(demo, PLACES, 'Top')
    await store.remove(id, true)
    expect([ids(store.own), ids(store.bin), ids(store.shelf!.regions).includes(id)]).toEqual([[], [id], false])
    expect(await store.publishFrom(demo, PLACES, 'Top')).toBe('top-2')
    await store.remove(id, false)
    expect([ids(store.own).sort(), ids(store.bin)]).toEqual([['top', 'top-2'], []])
    await store.forget(id)
    expect([ids(store.own), ids((await openTab()).own)]).toEqual([['top-2'], ['top-2']])
  })

  it('goes out as a file and comes in again under other ids; a broken file changes nothing', async () => {
    const store = await openTab()
    const about = { author: 'A coach of two evenings a week', licence: 'Use it, and say where it is from', edition: 2 }
    const id = await store.publishFrom(demo, PLACES, 'Top', about)
    const text = store.exportText(id)
    expect(JSON.parse(text)).toMatchObject({ format: 'ataque-shelf', id, title: 'Top', ...about })
    expect(store.exportText('nothing')).toBe('')
    expect(taken((await store.importText(text))!)).toBe('top-2')
    expect(store.own.find((one) => one.id === 'top-2')).toMatchObject(about)
    const broken = await store.importText(text.replace('"ataque-shelf"', '"recipe"'))
    expect(broken).toMatchObject({ ok: false, problems: [{ code: 'not-a-shelf' }] })
    expect(ids(store.own).sort()).toEqual(['top', 'top-2'])
    globalThis.indexedDB = new IDBFactory()
    const elsewhere = await openTab()
    expect(taken((await elsewhere.importText(text))!)).toBe('top')
    expect(elsewhere.own[0].moves).toEqual(store.own.find((one) => one.id === id)!.moves)
  })

  it('is seen in another tab that is open', async () => {
    const [one, other] = [await openTab(), await openTab()]
    const id = await one.publishFrom(demo, PLACES, 'Top')
    await LocalChannel.settled()
    expect(ids(other.own)).toEqual([id])
    await one.remove(id, true)
    await LocalChannel.settled()
    expect([ids(other.own), ids(other.bin)]).toEqual([[], [id]])
  })

  it('works for as long as the page where the browser keeps nothing', async () => {
    globalThis.indexedDB = noDatabase
    const store = await openTab()
    const id = await store.publishFrom(demo, PLACES, 'Top')
    const region = publish(demo, PLACES, 'Top', new Set())
    expect(store.own[0].positions.length).toBe(region.positions.length)
    await store.remove(id, true)
    expect([ids(store.own), ids(store.bin)]).toEqual([[], [id]])
    await store.remove(id, false)
    expect(ids(store.own)).toEqual([id])
    await store.forget(id)
    expect([ids(store.own), ids(store.bin)]).toEqual([[], []])
  })
})
