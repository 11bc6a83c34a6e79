import 'fake-indexeddb/auto'
import { emptyChart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { openDatabase } from '../../src/storage/database'
import { addDocument, forgetDocument, listDocuments } from '../../src/storage/documents'
import { keepExchanged, readExchanged } from '../../src/storage/exchanged'

test('the first state that was given away and the newest ones stay, until the chart is forgotten', async () => {
  const db = await openDatabase('exchanged')
  const state = (n: number) => emptyChart('plan', `State ${n}`)
  await addDocument(db, CHART_KIND, state(0), 0)
  for (let n = 1; n <= 9; n++) await keepExchanged(db, 'given', 'plan', state(n), n)
  await keepExchanged(db, 'given', 'plan', state(1), 20)
  await keepExchanged(db, 'given', 'plan', state(6), 21)
  for (let n = 1; n <= 9; n++) await keepExchanged(db, 'taken', 'plan', state(n), n)
  await keepExchanged(db, 'taken', 'plan-b', state(1), 1)
  const titles = async (id: string) => {
    const { given, taken } = await readExchanged(db, id)
    return [given, taken].map((states) => states.map(({ title }) => Number(title.split(' ')[1])))
  }
  expect(await titles('plan')).toEqual([
    [1, 5, 7, 8, 9, 6],
    [5, 6, 7, 8, 9],
  ])
  expect(await listDocuments(db, CHART_KIND)).toHaveLength(1)
  await forgetDocument(db, CHART_KIND, 'plan')
  expect(await titles('plan')).toEqual([[], []])
  expect(await titles('plan-b')).toEqual([[], [1]])
})
