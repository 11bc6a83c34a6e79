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
/** Publishes what no other edition is there of, and returns its id. */
async function published(store: Awaited<ReturnType<typeof openTab>>, title: string, about = {}): Promise<string> {
  const shelf = await store.publishFrom(demo, PLACES, title, about)
  if (shelf.state !== 'added') throw new Error(shelf.state)
  return shelf.id
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
    const id = await published(store, 'Our top game')
    const again = await published(store, 'Our other game')
    expect([id, again]).toEqual(['our-top-game', 'our-other-game'])
    expect(store.own.map(({ title }) => title).sort()).toEqual(['Our other game', 'Our top game'])
    const moves = store.own.flatMap((region) => ids(region.moves))
    expect(new Set(moves).size).toBe(moves.length)
    expect(ids(store.shelf!.regions)).toEqual(expect.arrayContaining([id, again]))
    expect(store.index!.search('top game')).toBeDefined()
    const next = await openTab()
    expect(ids(next.own).sort()).toEqual([again, id])
    expect(next.own.find((one) => one.id === id)).toEqual(store.own.find((one) => one.id === id))
  })

  it('keeps one in the bin, brings it back, and forgets it; ids in the bin stay taken', async () => {
    const store = await openTab()
    const id = await published(store, 'Top')
    await store.remove(id)
    expect([ids(store.own), ids(store.bin), ids(store.shelf!.regions).includes(id)]).toEqual([[], [id], false])
    expect(await published(store, 'Top')).toBe('top-2')
    await store.bringBack(id)
    expect([ids(store.own).sort(), ids(store.bin)]).toEqual([['top', 'top-2'], []])
    await store.forget(id)
    expect([ids(store.own), ids((await openTab()).own)]).toEqual([['top-2'], ['top-2']])
  })

  it('goes out as a file and comes in again under other ids; a broken file changes nothing', async () => {
    const store = await openTab()
    const about = { author: 'A coach of two evenings a week', licence: 'Use it, and say where it is from', edition: 2 }
    const id = await published(store, 'Top', about)
    const text = store.exportText(id)
    expect(JSON.parse(text)).toMatchObject({ format: 'ataque-shelf', id, title: 'Top', ...about })
    expect(store.exportText('nothing')).toBe('')
    // Its own file brings nothing; beside it, on purpose, it stands under other ids.
    expect(taken((await store.importText(text))!)).toEqual({ state: 'known', id })
    expect(await store.keepBeside(JSON.parse(text))).toBe('top-2')
    expect(store.own.find((one) => one.id === 'top-2')).toMatchObject(about)
    const broken = await store.importText(text.replace('"ataque-shelf"', '"recipe"'))
    expect(broken).toMatchObject({ ok: false, problems: [{ code: 'not-a-shelf' }] })
    expect(ids(store.own).sort()).toEqual(['top', 'top-2'])
    globalThis.indexedDB = new IDBFactory()
    const elsewhere = await openTab()
    expect(taken((await elsewhere.importText(text))!)).toEqual({ state: 'added', id: 'top' })
    expect(elsewhere.own[0].moves).toEqual(store.own.find((one) => one.id === id)!.moves)
  })

  it('shows another edition before it takes the place of the one before, which can be brought back', async () => {
    const store = await openTab()
    const id = await published(store, 'Top', { edition: 1 })
    const moves = ids(store.own[0]!.moves)
    const offered = await store.publishFrom(demo, PLACES.slice(0, 1), 'Top', { edition: 2 })
    if (offered.state !== 'edition') throw new Error(offered.state)
    expect([ids(store.own), offered.old.edition, offered.fresh.edition]).toEqual([[id], 1, 2])
    const second = await store.replace(offered)
    expect([ids(store.own), ids(store.bin)]).toEqual([[second], [id]])
    expect(moves).toEqual(expect.arrayContaining(ids(store.own[0]!.moves)))
    const next = await openTab()
    expect([ids(next.own), ids(next.bin)]).toEqual([[second], [id]])
    await next.bringBack(id)
    expect([next.own.map(({ edition }) => edition).sort(), next.bin]).toEqual([[1, 2], []])
    const [one, other] = next.own.map((region) => ids([...region.positions, ...region.moves]))
    expect(one!.filter((entry) => other!.includes(entry))).toEqual([])
  })

  it('is seen in another tab that is open', async () => {
    const [one, other] = [await openTab(), await openTab()]
    const id = await published(one, 'Top')
    await LocalChannel.settled()
    expect(ids(other.own)).toEqual([id])
    await one.remove(id)
    await LocalChannel.settled()
    expect([ids(other.own), ids(other.bin)]).toEqual([[], [id]])
  })

  it('works for as long as the page where the browser keeps nothing', async () => {
    globalThis.indexedDB = noDatabase
    const store = await openTab()
    const id = await published(store, 'Top')
    const region = publish(demo, PLACES, 'Top')
    expect(store.own[0].positions.length).toBe(region.positions.length)
    await store.remove(id)
    expect([ids(store.own), ids(store.bin)]).toEqual([[], [id]])
    await store.bringBack(id)
    expect(ids(store.own)).toEqual([id])
    await store.forget(id)
    expect([ids(store.own), ids(store.bin)]).toEqual([[], []])
  })
})
