import type { Chart } from '../core/chart/chart'
import { markOf, type Exchanged } from '../core/chart/shared'
import { statesOf, type Database, type StoredDocument } from './database'
import { inTransaction } from './transaction'

/*
 * States of charts that were given away or taken in, beside the charts: what comes back is held against them. Rows of
 * kinds of their own among the documents.
 */

type Direction = keyof Exchanged

/** So many of the newest are kept, and the first that was given away: it is what most files go back to. */
const MOST = 5

const idOf = (chart: string, mark: string) => `${chart} ${mark}`

const oldestFirst = (rows: readonly StoredDocument[]) => rows.toSorted((a, b) => a.savedAt - b.savedAt)

/** The states of a chart that were exchanged, the oldest first. */
export async function readExchanged(db: Database, chart: string): Promise<Exchanged> {
  const of = async (direction: Direction) =>
    oldestFirst(await db.getAll('documents', statesOf(direction, chart))).map(({ document }) => document as Chart)
  return { given: await of('given'), taken: await of('taken') }
}

/** Keeps a state of a chart, by the id that the chart has here; one that is kept already is the newest from now on. */
export async function keepExchanged(
  db: Database,
  direction: Direction,
  chart: string,
  state: Chart,
  now: number,
): Promise<void> {
  await inTransaction(db, ['documents'], async (tx, write) => {
    const documents = tx.objectStore('documents')
    const id = idOf(chart, markOf(state))
    const before = oldestFirst(await documents.getAll(statesOf(direction, chart)))
    const [first, ...others] = before.filter((row) => row.id !== id)
    if (before[0]?.id === id && direction === 'given') return
    write(documents.put({ kind: direction, id, document: state, revision: 1, savedAt: now, done: 0 }))
    const olds = direction === 'given' || !first ? others : [first, ...others]
    for (const row of olds.slice(0, Math.max(0, olds.length - MOST + 1))) write(documents.delete([row.kind, row.id]))
  })
}
