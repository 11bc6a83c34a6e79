import 'fake-indexeddb/auto'
import type { Chart } from '../../src/core/chart/chart'
import { moveIn } from '../../src/core/chart/edits/find'
import { readChart } from '../../src/core/files/chartFile'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { setField } from '../../src/core/chart/edits/fields'
import { MAX_STEPS, type Edit } from '../../src/core/document/history'
import { namedMessage, type Problem } from '../../src/core/problem'
import { openDatabase, type Database } from '../../src/storage/database'
import { DocumentEditor, type Saving } from '../../src/storage/documentEditor'
import {
  addDocument,
  forgetDocument,
  listDocuments,
  readKept,
  setRemoved,
  type Kept,
} from '../../src/storage/documents'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'
import { storeOf, tabName } from './storeOf'

let count = 0
const fresh = () => openDatabase(`test-${++count}`)
const sound = (): Chart => taken(readChart(soundChart()))

interface Watched {
  editor: DocumentEditor<Chart>
  refused: string[]
  savings: Saving[]
  lost: string[]
  from: string[]
  retries: (() => void)[]
}

async function open(db: Database, id = 'sound', others: Watched[] = [], kept?: Kept<Chart>): Promise<Watched> {
  const watched: Omit<Watched, 'editor'> = { savings: [], lost: [], from: [], retries: [], refused: [] }
  const events = {
    changed: (by: string) => watched.from.push(by),
    saving: (status: Saving) => watched.savings.push(status),
    refused: (label: string, problems: Problem[]) =>
      watched.refused.push(`${label}: ${problems.map(namedMessage).join('; ')}`),
    lost: (label: string, reason: string) => watched.lost.push(`${label}: ${reason}`),
  }
  const clock = {
    tab: tabName(),
    now: () => 1_700_000_000_000,
    later: (run: () => void) => watched.retries.push(run),
    announce: () => others.forEach(({ editor }) => void editor.refresh()),
  }
  const past = kept ?? taken((await readKept(db, CHART_KIND, id))!)
  const editor = new DocumentEditor(storeOf(db), CHART_KIND, past, events, clock)
  return { ...watched, editor }
}

async function kept(): Promise<Database> {
  const db = await fresh()
  await addDocument(db, CHART_KIND, sound(), 1)
  return db
}

const lands =
  (n: number): Edit<Chart> =>
  (chart) =>
    void (moveIn(chart, 'step' as never).tries.lands = n)
const landsIn = ({ editor }: Watched) => editor.document.moves[0].tries.lands

describe('a session', () => {
  it('keeps every edit, and undo and redo survive a reload', async () => {
    const db = await kept()
    const first = await open(db)
    for (let n = 1; n <= 250; n++) first.editor.edit(`land ${n}`, lands(n / 10))
    await first.editor.flush()
    expect(first.savings.at(-1)).toEqual({ state: 'saved', at: 1_700_000_000_000 })

    const second = await open(db)
    expect(landsIn(second)).toBe(25)
    for (let n = 0; n < 249; n++) expect(second.editor.undo()).toBe(true)
    expect(landsIn(second)).toBe(0.1)
    await second.editor.flush()

    const third = await open(db)
    expect([third.editor.undoLabel, third.editor.redoLabel]).toEqual(['land 1', 'land 2'])
    for (let n = 0; n < 249; n++) expect(third.editor.redo()).toBe(true)
    expect([landsIn(third), third.editor.redo()]).toEqual([25, false])
    third.editor.undo()
    third.editor.edit('other', lands(9))
    expect(third.editor.redoLabel).toBeUndefined()
  })

  it('forgets only the oldest steps', async () => {
    const db = await kept()
    const { editor } = await open(db)
    for (let n = 1; n <= MAX_STEPS + 20; n++) editor.edit('land', lands(n))
    await editor.flush()
    const { steps } = taken((await readKept(db, CHART_KIND, 'sound'))!)
    expect([steps.length, steps[0].number]).toEqual([MAX_STEPS, 20])
  })

  it('makes one step of a drag, and none of an edit that changes nothing or fails', async () => {
    const watched = await open(await kept())
    const { editor } = watched
    for (const n of [1, 2, 3]) editor.edit('land', lands(n), 'drag 1')
    editor.edit('land', lands(4), 'drag 2')
    expect(editor.edit('land', lands(4))).toBe(false)
    expect(editor.edit('gone', (chart) => void moveIn(chart, 'fly' as never))).toBe(false)
    expect(watched.refused).toEqual(['gone: the move "fly" is no longer there'])
    editor.undo()
    expect(landsIn(watched)).toBe(3)
    editor.undo()
    expect([landsIn(watched), editor.undo()]).toEqual([5, false])
  })

  it('is saved once all of it is kept, however many edits come in during a write', async () => {
    const watched = await open(await kept())
    watched.editor.edit('one', lands(1))
    watched.editor.edit('two', lands(2))
    await Promise.resolve()
    watched.editor.edit('three', lands(3))
    await watched.editor.flush()
    const states = watched.savings.map(({ state }) => state)
    expect([states.indexOf('saved'), states[0]]).toEqual([states.length - 1, 'saving'])
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
    watched.editor.edit('land', lands(7))
    await watched.editor.flush()
    expect(watched.savings.at(-1)).toMatchObject({ state: 'failed', message: 'the disk is full' })
    expect(landsIn(watched)).toBe(7)
    isFull = false
    watched.retries.at(-1)!()
    await watched.editor.flush()
    expect(watched.savings.at(-1)).toMatchObject({ state: 'saved' })
    expect(taken((await readKept(db, CHART_KIND, 'sound'))!).document.moves[0].tries.lands).toBe(7)
  })
})

describe('two tabs', () => {
  it('see what the other one does', async () => {
    const db = await kept()
    const second = await open(db)
    const first = await open(db, 'sound', [second])
    first.editor.edit('land', lands(8))
    await first.editor.flush()
    await second.editor.refresh()
    expect([landsIn(second), second.from, second.editor.undoLabel]).toEqual([8, ['another tab'], undefined])
  })

  it('lose nothing when they write at the same time', async () => {
    const db = await kept()
    const [first, second] = [await open(db), await open(db)]
    first.editor.edit('land', lands(8))
    second.editor.edit('rename', (chart) => void (chart.moves[0].name = 'Mount up'))
    await Promise.all([first.editor.flush(), second.editor.flush()])
    await first.editor.refresh()
    const { document, steps } = taken((await readKept(db, CHART_KIND, 'sound'))!)
    expect(document.moves[0]).toMatchObject({ name: 'Mount up', tries: { lands: 8 } })
    expect(steps.map(({ label }) => label)).toEqual(['land', 'rename'])
    expect(first.editor.document).toEqual(second.editor.document)
  })

  it('are saved where nothing is left of what was to be written', async () => {
    const db = await kept()
    const [one, two] = [await open(db), await open(db)]
    one.editor.edit('one', lands(1))
    two.editor.edit('two', lands(2))
    await one.editor.flush()
    await two.editor.flush()
    expect([two.lost.length, landsIn(two), two.savings.at(-1)?.state]).toEqual([1, 1, 'saved'])
  })

  it('say when an edit no longer fits', async () => {
    const db = await kept()
    const [first, second] = [await open(db), await open(db)]
    first.editor.edit('remove', (chart) => {
      chart.moves = []
      chart.answers = []
    })
    await first.editor.flush()
    second.editor.edit('land', lands(2))
    await second.editor.flush()
    expect(second.lost).toEqual(['land: the move "step" is no longer there'])
    expect(second.editor.document.moves).toEqual([])
  })
})

describe('undo in two tabs', () => {
  const renames =
    (name: string): Edit<Chart> =>
    (chart) =>
      setField(chart, 'positions', 'mount', 'name', name)
  const share = async () => {
    const db = await kept()
    return [await open(db), await open(db)] as const
  }
  const placeIn = ({ editor }: Watched) => editor.document.positions[1].name

  it('takes back what was done here, under what the other has done since, and does it again', async () => {
    const [here, there] = await share()
    here.editor.edit('land', lands(8))
    await here.editor.flush()
    there.editor.edit('rename', renames('High mount'))
    await there.editor.flush()
    await here.editor.refresh()
    expect([here.editor.undoLabel, here.editor.undo()]).toEqual(['land', true])
    expect([landsIn(here), placeIn(here)]).toEqual([5, 'High mount'])
    await here.editor.flush()
    await there.editor.refresh()
    expect([landsIn(there), there.editor.undo(), placeIn(there)]).toEqual([5, true, 'Mount'])
    await there.editor.flush()
    await here.editor.refresh()
    expect([here.editor.undoLabel, here.editor.undo()]).toEqual([undefined, false])
  })

  it('leaves both where the other has built on it, and says so', async () => {
    const [here, there] = await share()
    here.editor.edit('land', lands(8))
    await here.editor.flush()
    await there.editor.refresh()
    there.editor.edit('land more', lands(9))
    await there.editor.flush()
    await here.editor.refresh()
    expect(here.editor.undo()).toBe(false)
    expect(here.refused).toEqual(['Undo: land: another tab has built on “land”, so it stays'])
    expect(landsIn(here)).toBe(9)
  })

  it('leaves what the other was writing at the time', async () => {
    const [here, there] = await share()
    here.editor.edit('land', lands(8))
    await here.editor.flush()
    there.editor.edit('rename', renames('High mount'))
    here.editor.undo()
    await Promise.all([here.editor.flush(), there.editor.flush()])
    await Promise.all([here.editor.refresh(), there.editor.refresh()])
    expect([landsIn(here), placeIn(here)]).toEqual([5, 'High mount'])
    expect(here.editor.document).toEqual(there.editor.document)
  })

  it('says that it came too late where the other has taken the same back', async () => {
    const db = await kept()
    const first = await open(db)
    first.editor.edit('land', lands(8))
    await first.editor.flush()
    const [here, there] = [await open(db), await open(db)]
    there.editor.undo()
    await there.editor.flush()
    here.editor.undo()
    await here.editor.flush()
    expect(here.lost).toEqual(['Undo: land: another tab has built on “land”, so it stays'])
    expect([landsIn(here), here.editor.redoLabel]).toEqual([5, 'land'])
  })
})

describe('a value that two tabs set at the same time', () => {
  it('stays as the first left it, and the second is told', async () => {
    const db = await kept()
    const [here, there] = [await open(db), await open(db)]
    here.editor.edit('land', lands(8))
    await here.editor.flush()
    there.editor.edit('land otherwise', lands(2))
    there.editor.edit('rename', (chart) => setField(chart, 'moves', 'step', 'name', 'Mount up'))
    await there.editor.flush()
    expect(there.lost).toEqual(['land otherwise: another tab has changed the same'])
    expect(there.editor.document.moves[0]).toMatchObject({ name: 'Mount up', tries: { lands: 8 } })
  })

  it('is fine where both set the same', async () => {
    const db = await kept()
    const [here, there] = [await open(db), await open(db)]
    here.editor.edit('land', lands(8))
    await here.editor.flush()
    there.editor.edit('land', lands(8))
    await there.editor.flush()
    expect([there.lost, landsIn(there), there.editor.isDirty]).toEqual([[], 8, false])
  })
})

describe('a chart that another tab has forgotten for good', () => {
  it('is written no more, and the edits stay here', async () => {
    const db = await kept()
    const watched = await open(db)
    await forgetDocument(db, CHART_KIND, 'sound')
    watched.editor.edit('land', lands(8))
    await watched.editor.flush()
    watched.editor.edit('land', lands(9))
    await watched.editor.flush()
    expect(watched.savings.at(-1)).toEqual({ state: 'forgotten' })
    expect([landsIn(watched), await readKept(db, CHART_KIND, 'sound')]).toEqual([9, null])
  })

  it('is told at once where it has no edits', async () => {
    const db = await kept()
    const watched = await open(db)
    await forgetDocument(db, CHART_KIND, 'sound')
    await watched.editor.refresh()
    expect(watched.savings).toEqual([{ state: 'forgotten' }])
  })
})

describe('a chart that was never kept', () => {
  const unkept = { document: sound(), steps: [], done: 0, revision: 0, savedAt: 0, isModern: true }

  it('is kept when it is first written, with what was done to it', async () => {
    const db = await fresh()
    const watched = await open(db, 'sound', [], unkept)
    expect(watched.editor.isDirty).toBe(true)
    watched.editor.edit('land', lands(8))
    await watched.editor.flush()
    expect(watched.editor.isDirty).toBe(false)
    const { document, steps, revision } = taken((await readKept(db, CHART_KIND, 'sound'))!)
    expect([document.moves[0].tries.lands, steps.length, revision]).toEqual([8, 1, 1])
  })

  it('does not take the place of another of its name', async () => {
    const db = await kept()
    const watched = await open(db, 'sound', [], unkept)
    await watched.editor.flush()
    expect(watched.savings.at(-1)).toMatchObject({
      ...{ state: 'failed', message: 'another chart with this name was made in another tab' },
    })
    expect(watched.editor.isDirty).toBe(true)
  })
})

describe('an edit that would leave the chart unsound', () => {
  const refusals: [name: string, edit: Edit<Chart>, reason: string][] = [
    ['a count of 5,000', lands(5000), '(step) must be a number of tries from 0 to 1000'],
    ['a name of nothing', (chart) => setField(chart, 'positions', 'side', 'name', ''), '(side) is missing'],
    ['a landing nowhere', (chart) => setField(chart, 'moves', 'step', 'to', 'moon' as never), 'no position "moon"'],
    [
      'tries that come to nothing',
      (chart) => void (moveIn(chart, 'step' as never).tries = { stalls: 3 }),
      'needs a try',
    ],
    ['a move less that an answer names', (chart) => void (chart.moves = []), '(bridge > step) there is no move "step"'],
    [
      'no break-up ever, in words',
      (chart) => void (chart.settings = { breakUp: 'never' as never }),
      'or null for never',
    ],
    ['a chart without a title', (chart) => void (chart.title = ''), 'must be a text'],
  ]
  it.each(refusals)('is refused, and nothing is changed: %s', async (_, edit, reason) => {
    const db = await kept()
    const watched = await open(db)
    expect(watched.editor.edit('wrong', edit)).toBe(false)
    expect(watched.refused).toEqual([expect.stringContaining(reason)])
    expect(watched.editor.document).toEqual(sound())
    await watched.editor.flush()
    expect([watched.savings, watched.from, watched.editor.undoLabel]).toEqual([[], [], undefined])
    expect(taken((await readKept(db, CHART_KIND, 'sound'))!)).toMatchObject({ document: sound(), revision: 1 })
  })

  it('is a bug where it throws anything else, and is not swallowed', async () => {
    const { editor } = await open(await kept())
    expect(() => editor.edit('bug', () => (undefined as never as { a: { b: 1 } }).a.b)).toThrow(TypeError)
    expect(editor.document).toEqual(sound())
  })
})

describe('several charts', () => {
  const binned = async (db: Database) =>
    (await listDocuments(db, CHART_KIND)).map(({ id, removedAt }) => [id, removedAt])

  it('are listed, put in the bin, taken out and forgotten', async () => {
    const db = await kept()
    await addDocument(db, CHART_KIND, { ...sound(), id: 'other', title: 'Other' }, 2)
    await expect(addDocument(db, CHART_KIND, sound(), 3)).rejects.toThrow()
    await setRemoved(db, CHART_KIND, 'sound', 4)
    expect(await binned(db)).toEqual([
      ['other', undefined],
      ['sound', 4],
    ])
    await setRemoved(db, CHART_KIND, 'sound', null)
    await forgetDocument(db, CHART_KIND, 'other')
    expect(await binned(db)).toEqual([['sound', undefined]])
    expect(await readKept(db, CHART_KIND, 'other')).toBeNull()
  })

  it('stay in the bin when they are saved there, and come out as they were last saved', async () => {
    const db = await kept()
    const { editor } = await open(db)
    await setRemoved(db, CHART_KIND, 'sound', 4)
    editor.edit('land', lands(8))
    await editor.flush()
    expect(await binned(db)).toEqual([['sound', 4]])
    expect(taken((await readKept(db, CHART_KIND, 'sound'))!).document.moves[0].tries.lands).toBe(8)
  })
})
