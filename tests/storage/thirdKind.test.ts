import 'fake-indexeddb/auto'
import { Equals } from 'class-validator'
import { IsRecordId, IsWord, Records } from '../../src/core/document/constraints'
import type { DocumentKind } from '../../src/core/document/kind'
import { makeDocument, parseDocument } from '../../src/core/document/read'
import { openDatabase } from '../../src/storage/database'
import { DocumentEditor } from '../../src/storage/documentEditor'
import { addDocument, readKept } from '../../src/storage/documents'
import { taken } from '../reference/taken'
import { storeOf, tabName } from './storeOf'

/** A kind of document that no part of the product knows: two lists, one migration. */
class Mat {
  @IsRecordId() id!: string
  @IsWord() name!: string
}
class Place {
  @IsRecordId() id!: string
  @IsRecordId() mat!: string
}
class Hall {
  @Equals('test-hall') format!: string
  @Equals(2) version!: number
  @IsRecordId() id!: string
  @IsWord() title!: string
  @Records(() => Mat) mats!: Mat[]
  @Records(() => Place) places!: Place[]
}
const HALL: DocumentKind<Hall> = {
  ...{ name: 'hall', format: 'test-hall', version: 2, extension: '.hall.json', root: Hall },
  lists: { mats: Mat, places: Place },
  migrations: [({ rooms, ...rest }) => ({ ...rest, mats: rooms })],
  normalisers: [],
  checkReferences: ({ mats, places }) =>
    places.flatMap(({ mat }, i) =>
      mats.some(({ id }) => id === mat)
        ? []
        : [{ code: 'unknown-reference' as const, path: ['places', i, 'mat'], message: `there is no mat "${mat}"` }],
    ),
  sizeOf: ({ mats }) => mats.length,
}
const OLD = {
  format: 'test-hall',
  version: 1,
  id: 'north',
  title: 'North',
  rooms: [{ id: 'a', name: 'A' }],
  places: [],
}

const refused: string[] = []
const events = { changed() {}, saving() {}, lost() {}, refused: (label: string) => void refused.push(label) }
const clock = { now: () => 1, later: () => undefined, announce() {} }

test('a third kind of document is migrated, edited, undone, kept in two tabs, exported and taken in', async () => {
  const db = await openDatabase('halls')
  const open = async () => taken((await readKept(db, HALL, 'north'))!)
  const tab = async () => new DocumentEditor(storeOf(db), HALL, await open(), events, { ...clock, tab: tabName() })
  await addDocument(db, HALL, taken(parseDocument(HALL, JSON.stringify(OLD))), 1)
  const [first, second] = [await tab(), await tab()]
  first.edit('A place', (hall) => void hall.places.push({ id: 'edge', mat: 'a' }))
  second.edit('Rename', (hall) => void (hall.mats[0]!.name = 'Main'))
  await Promise.all([first.flush(), second.flush()])
  await first.refresh()
  expect(first.document).toEqual(second.document)
  expect(first.document).toMatchObject({ mats: [{ name: 'Main' }], places: [{ id: 'edge' }] })
  expect(first.edit('No mat', (hall) => void (hall.mats = []))).toBe(false)
  expect(refused).toEqual(['No mat'])
  expect([first.undo(), first.document.places, first.document.mats[0]?.name]).toEqual([true, [], 'Main'])
  expect(taken(parseDocument(HALL, makeDocument(first.document)))).toEqual(first.document)
  db.close()
})
