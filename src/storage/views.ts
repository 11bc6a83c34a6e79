import type { Database, StoredView } from './database'

/* How charts are looked at: kept beside them, by their ids. */

/** How a chart was last looked at; undefined where nobody has. */
export const readView = (db: Database, chart: string): Promise<StoredView | undefined> => db.get('views', chart)

export async function keepView(db: Database, view: StoredView): Promise<void> {
  await db.put('views', view)
}
