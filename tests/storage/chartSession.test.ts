import 'fake-indexeddb/auto'
import type { Chart } from '../../src/core/chart/chart'
import { moveIn } from '../../src/core/chart/edits/find'
import { readChart } from '../../src/core/files/chartFile'
import { ChartSession, MAX_STEPS, type Edit, type Saving } from '../../src/storage/chartSession'
import { openDatabase, type Database } from '../../src/storage/database'
import { addChart, forgetChart, listCharts, readStored, setRemoved } from '../../src/storage/charts'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'

let count = 0
const fresh = () => openDatabase(`test-${++count}`)
const sound = (): Chart => taken(readChart(soundChart()))

interface Watched {
  session: ChartSession
  savings: Saving[]
  lost: string[]
  from: string[]
  retries: (() => void)[]
}

async function open(db: Database, id = 'sound', others: Watched[] = []): Promise<Watched> {
  const watched: Omit<Watched, 'session'> = { savings: [], lost: [], from: [], retries: [] }
  const events = {
    changed: (by: string) => watched.from.push(by),
    saving: (status: Saving) => watched.savings.push(status),
    lost: (label: string, reason: string) => watched.lost.push(`${label}: ${reason}`),
  }
  const surroundings = {
    now: () => 1_700_000_000_000,
    later: (run: () => void) => watched.retries.push(run),
    announce: () => others.forEach(({ session }) => void session.refresh()),
  }
  const session = new ChartSession(db, (await readStored(db, id))!, events, surroundings)
  return { ...watched, session }
}

async function kept(): Promise<Database> {
  const db = await fresh()
  await addChart(db, sound(), 1)
  return db
}

const lands =
  (n: number): Edit =>
  (chart) =>
    void (moveIn(chart, 'step' as never).tries.lands = n)
const landsIn = ({ session }: Watched) => session.chart.moves[0].tries.lands

describe('a session', () => {
  it('keeps every edit, and undo and redo survive a reload', async () => {
    const db = await kept()
    const first = await open(db)
    for (let n = 1; n <= 250; n++) first.session.edit(`land ${n}`, lands(n / 10))
    await first.session.flush()
    expect(first.savings.at(-1)).toEqual({ state: 'saved', at: 1_700_000_000_000 })

    const second = await open(db)
    expect(landsIn(second)).toBe(25)
    for (let n = 0; n < 249; n++) expect(second.session.undo()).toBe(true)
    expect(landsIn(second)).toBe(0.1)
    await second.session.flush()

    const third = await open(db)
    expect([third.session.undoLabel, third.session.redoLabel]).toEqual(['land 1', 'land 2'])
    for (let n = 0; n < 249; n++) expect(third.session.redo()).toBe(true)
    expect([landsIn(third), third.session.redo()]).toEqual([25, false])
    third.session.undo()
    third.session.edit('other', lands(9))
    expect(third.session.redoLabel).toBeUndefined()
  })

  it('forgets only the oldest steps', async () => {
    const db = await kept()
    const { session } = await open(db)
    for (let n = 1; n <= MAX_STEPS + 20; n++) session.edit('land', lands(n))
    await session.flush()
    const { steps } = (await readStored(db, 'sound'))!
    expect([steps.length, steps[0].number]).toEqual([MAX_STEPS, 20])
  })

  it('makes one step of a drag, and none of an edit that changes nothing or fails', async () => {
    const watched = await open(await kept())
    const { session } = watched
    for (const n of [1, 2, 3]) session.edit('land', lands(n), 'drag 1')
    session.edit('land', lands(4), 'drag 2')
    expect(session.edit('land', lands(4))).toBe(false)
    expect(() => session.edit('gone', (chart) => void moveIn(chart, 'fly' as never))).toThrow('no longer there')
    session.undo()
    expect(landsIn(watched)).toBe(3)
    session.undo()
    expect([landsIn(watched), session.undo()]).toEqual([5, false])
  })

  it('says that a write failed, tries again, and has lost nothing', async () => {
    const db = await kept()
    const watched = await open(db)
    const transaction = db.transaction.bind(db)
    let isFull = true
    Object.assign(db, {
      transaction: (...args: Parameters<typeof transaction>) => {
        if (isFull) throw new DOMException('the disk is full', 'QuotaExceededError')
        return transaction(...args)
      },
    })
    watched.session.edit('land', lands(7))
    await watched.session.flush()
    expect(watched.savings.at(-1)).toMatchObject({ state: 'failed', message: 'the disk is full' })
    expect(landsIn(watched)).toBe(7)
    isFull = false
    watched.retries.at(-1)!()
    await watched.session.flush()
    expect(watched.savings.at(-1)).toMatchObject({ state: 'saved' })
    expect((await readStored(db, 'sound'))!.stored.chart.moves[0].tries.lands).toBe(7)
  })
})

describe('two tabs', () => {
  it('see what the other one does', async () => {
    const db = await kept()
    const second = await open(db)
    const first = await open(db, 'sound', [second])
    first.session.edit('land', lands(8))
    await first.session.flush()
    await second.session.refresh()
    expect([landsIn(second), second.from, second.session.undoLabel]).toEqual([8, ['another tab'], 'land'])
  })

  it('lose nothing when they write at the same time', async () => {
    const db = await kept()
    const [first, second] = [await open(db), await open(db)]
    first.session.edit('land', lands(8))
    second.session.edit('rename', (chart) => void (chart.moves[0].name = 'Mount up'))
    await Promise.all([first.session.flush(), second.session.flush()])
    await first.session.refresh()
    const { stored, steps } = (await readStored(db, 'sound'))!
    expect(stored.chart.moves[0]).toMatchObject({ name: 'Mount up', tries: { lands: 8 } })
    expect(steps.map(({ label }) => label)).toEqual(['land', 'rename'])
    expect(first.session.chart).toEqual(second.session.chart)
  })

  it('say when an edit no longer fits', async () => {
    const db = await kept()
    const [first, second] = [await open(db), await open(db)]
    first.session.edit('remove', (chart) => {
      chart.moves = []
      chart.answers = []
    })
    await first.session.flush()
    second.session.edit('land', lands(2))
    await second.session.flush()
    expect(second.lost).toEqual(['land: the move "step" is no longer there'])
    expect(second.session.chart.moves).toEqual([])
  })
})

describe('several charts', () => {
  it('are listed, put in the bin, taken out and forgotten', async () => {
    const db = await kept()
    await addChart(db, { ...sound(), id: 'other', title: 'Other' }, 2)
    await expect(addChart(db, sound(), 3)).rejects.toThrow()
    await setRemoved(db, 'sound', 4)
    expect((await listCharts(db)).map(({ id, removedAt }) => [id, removedAt])).toEqual([
      ['other', undefined],
      ['sound', 4],
    ])
    await setRemoved(db, 'sound', null)
    await forgetChart(db, 'other')
    expect((await listCharts(db)).map(({ id, removedAt }) => [id, removedAt])).toEqual([['sound', undefined]])
    expect(await readStored(db, 'other')).toBeNull()
  })
})
