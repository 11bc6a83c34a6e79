import { shallowRef } from 'vue'
import type { Backup } from '../../../core/files/backup'
import type { Incoming } from '../../../core/files/in/incoming'
import type { CellError } from '../../../core/files/in/readTable'
import type { Problem } from '../../../core/problem'
import type { Imported } from '../../../stores/importing'
import type { TakenShelf } from '../../../stores/ownShelves'

/** The last imported file, where the coach has to be told of it or to decide. */
export interface Report {
  file: string
  problems?: Problem[]
  taken?: Extract<Imported, { state: 'taken' }>
  /** What it brings, or what is wrong in it, where it is no document of ours. */
  incoming?: Incoming
  errors?: CellError[]
  backup?: Backup
  /** A shelf of which another edition is there. */
  edition?: Extract<TakenShelf, { state: 'edition' }>
}

const report = shallowRef<Report | null>(null)
export const useReport = () => ({ report, close: () => (report.value = null) })
