import { inject, provide, type ComputedRef, type InjectionKey } from 'vue'
import { refusedInBlock, type Refused } from '../../../core/club/protect'
import type { Block, Session } from '../../../core/club/session'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'

interface OfClass {
  session: ComputedRef<Session | undefined>
  block: ComputedRef<Block | undefined>
  /** What of a block is refused for somebody who comes, and has not been opened. */
  refusedIn: (block: Block) => Refused[]
}
const KEY: InjectionKey<OfClass> = Symbol('class')

export function provideClass(session: OfClass['session'], block: OfClass['block']): void {
  const clubs = useClubs()
  const charts = useCharts()
  const refusedIn = (of: Block) => {
    const { value: one } = session
    return one && charts.chart ? refusedInBlock(present(clubs.club), one, charts.chart, of) : []
  }
  provide(KEY, { session, block, refusedIn })
}

export const useClass = (): OfClass => present(inject(KEY))
