import type { Store } from '../../src/storage/connection'
import type { Database } from '../../src/storage/database'

/** A store whose database is open and stays so. */
export const storeOf = (db: Database): Store => ({ run: (work) => work(db) })

let tabs = 0
/** A name for a tab of the test's. */
export const tabName = (): string => `tab-${++tabs}`
