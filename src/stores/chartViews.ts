import type { Store } from '../storage/connection'
import type { StoredView } from '../storage/database'
import { keepView, readView } from '../storage/views'

/** How charts are looked at; what cannot be read or kept of it is no loss worth telling. */
export const useChartViews = (store: Store) => ({
  /** How a chart was last looked at, if the browser keeps it. */
  viewOf: (id: string) => store.run((db) => readView(db, id)).catch(() => undefined),
  keepView: (view: StoredView) => store.run((db) => keepView(db, view)).catch(() => undefined),
})
