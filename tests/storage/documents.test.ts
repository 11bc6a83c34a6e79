import 'fake-indexeddb/auto'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import type { Database } from '../../src/storage/database'
import { addDocument, forgetDocument, listDocuments, readKept, setRemoved } from '../../src/storage/documents'
import { taken } from '../reference/taken'
import { kept, lands, open, sound } from './watched'

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
    expect(taken((await readKept(db, CHART_KIND, 'sound'))!).document.moves[0].tries!.lands).toBe(8)
  })
})
