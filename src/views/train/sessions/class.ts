import { computed, inject, provide, type ComputedRef, type InjectionKey } from 'vue'
import { refusedFor, refusedOf, stillRefused, type Refused } from '../../../core/club/protect'
import { blockMoves } from '../../../core/club/blockMoves'
import { peopleOf } from '../../../core/club/whoIsThere'
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
  const refused = computed(() => {
    const { value: one } = session
    if (!one) return []
    return stillRefused(refusedFor(peopleOf(present(clubs.club), { people: one.people }), one.guests), one.opened)
  })
  const refusedIn = (of: Block) => {
    const moves = charts.chart ? blockMoves(charts.chart, of) : []
    const found = moves.flatMap((move) => refusedOf(move, refused.value))
    return [...new Map(found.map((one) => [`${one.tag} ${one.because}`, one])).values()]
  }
  provide(KEY, { session, block, refusedIn })
}

export const useClass = (): OfClass => present(inject(KEY))
