import 'fake-indexeddb/auto'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { setField } from '../../src/core/chart/edits/fields'
import { moveIn } from '../../src/core/chart/edits/find'
import { MAX_STEPS, type Edit } from '../../src/core/document/history'
import { readKept } from '../../src/storage/documents'
import { taken } from '../reference/taken'
import { fresh, kept, lands, landsIn, open, sound } from './watched'

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
    expect(taken((await readKept(db, CHART_KIND, 'sound'))!).document.moves[0].tries!.lands).toBe(7)
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
    expect([document.moves[0].tries!.lands, steps.length, revision]).toEqual([8, 1, 1])
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
