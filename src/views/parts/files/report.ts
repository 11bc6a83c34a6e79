import { shallowRef } from 'vue'
import type { Problem } from '../../../core/problem'
import type { Imported } from '../../../stores/importing'

/** The last imported file, where the coach has to be told of it or to decide. */
export interface Report {
  file: string
  problems?: Problem[]
  taken?: Extract<Imported, { state: 'taken' }>
}

const report = shallowRef<Report | null>(null)
export const useReport = () => ({ report, close: () => (report.value = null) })
