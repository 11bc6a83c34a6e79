import 'fake-indexeddb/auto'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { setField } from '../../src/core/chart/edits/fields'
import type { Edit } from '../../src/core/document/history'
import { forgetDocument, readKept } from '../../src/storage/documents'
import { taken } from '../reference/taken'
import { kept, lands, landsIn, open, type Watched } from './watched'

const share = async () => {
  const db = await kept()
  return [await open(db), await open(db)] as const
}
const answerIn = (chart: Chart) => chart.answers[0]
const answered =
  (landing: number): Edit<Chart> =>
  (chart) =>
    void (answerIn(chart).tries = { lands: landing, stalls: 1 })

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
    const [here, there] = await share()
    here.editor.edit('land', lands(8))
    await here.editor.flush()
    there.editor.edit('land otherwise', lands(2))
    there.editor.edit('rename', (chart) => setField(chart, 'moves', 'step', 'name', 'Mount up'))
    await there.editor.flush()
    expect(there.lost).toEqual(['land otherwise: another tab has changed the same'])
    expect(there.editor.document.moves[0]).toMatchObject({ name: 'Mount up', tries: { lands: 8 } })
  })

  it('is fine where both set the same', async () => {
    const [here, there] = await share()
    here.editor.edit('land', lands(8))
    await here.editor.flush()
    there.editor.edit('land', lands(8))
    await there.editor.flush()
    expect([there.lost, landsIn(there), there.editor.isDirty]).toEqual([[], 8, false])
  })

  it('is told, too, where one took away the group that it is in', async () => {
    const [here, there] = await share()
    here.editor.edit('how often', answered(2))
    await here.editor.flush()
    await there.editor.refresh()
    here.editor.edit('how often', answered(3))
    await here.editor.flush()
    there.editor.edit('as ever', (chart) => delete answerIn(chart).tries)
    await there.editor.flush()
    expect(there.lost).toEqual(['as ever: another tab has changed the same'])
    expect(answerIn(there.editor.document).tries).toEqual({ lands: 3, stalls: 1 })
  })

  it('is not missed where the second took it back before either was written', async () => {
    const [here, there] = await share()
    here.editor.edit('land', lands(8))
    await here.editor.flush()
    there.editor.edit('land otherwise', lands(2))
    there.editor.undo()
    await there.editor.flush()
    expect([there.lost, landsIn(there)]).toEqual([[], 8])
    there.editor.edit('land', lands(7))
    await there.editor.flush()
    here.editor.edit('land otherwise', lands(3))
    here.editor.undo()
    here.editor.redo()
    await here.editor.flush()
    expect([here.lost.length, here.lost[0]?.startsWith('Redo: land otherwise'), landsIn(here)]).toEqual([1, true, 7])
  })

  it('is taken back alone where the second set the same, and more', async () => {
    const [here, there] = await share()
    here.editor.edit('land', lands(8))
    await here.editor.flush()
    there.editor.edit('land and rename', (chart) => {
      lands(8)(chart)
      setField(chart, 'moves', 'step', 'name', 'Mount up')
    })
    there.editor.undo()
    await there.editor.flush()
    expect(there.lost).toEqual([])
    expect(there.editor.document.moves[0]).toMatchObject({ name: 'Step over', tries: { lands: 8 } })
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
