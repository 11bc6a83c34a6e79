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
import { addDocument, forgetDocument, listDocuments, readKept, setRemoved } from '../../src/storage/documents'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'

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

async function open(db: Database, id = 'sound', others: Watched[] = []): Promise<Watched> {
  const watched: Omit<Watched, 'editor'> = { savings: [], lost: [], from: [], retries: [], refused: [] }
  const events = {
    changed: (by: string) => watched.from.push(by),
    saving: (status: Saving) => watched.savings.push(status),
    refused: (label: string, problems: Problem[]) =>
      watched.refused.push(`${label}: ${problems.map(namedMessage).join('; ')}`),
    lost: (label: string, reason: string) => watched.lost.push(`${label}: ${reason}`),
  }
  const clock = {
    now: () => 1_700_000_000_000,
    later: (run: () => void) => watched.retries.push(run),
    announce: () => others.forEach(({ editor }) => void editor.refresh()),
  }
  const editor = new DocumentEditor(db, CHART_KIND, taken((await readKept(db, CHART_KIND, id))!), events, clock)
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
    expect([landsIn(second), second.from, second.editor.undoLabel]).toEqual([8, ['another tab'], 'land'])
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
