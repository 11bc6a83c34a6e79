import { present } from '../../../core/sure'
import { computed, inject, onMounted, provide, shallowRef, type ComputedRef, type InjectionKey } from 'vue'
import { produce } from 'immer'
import { useRoute, useRouter } from 'vue-router'
import { putOnKnown, takeOff } from '../../../core/chart/edits/holds'
import { holder, type Hold } from '../../../core/chart/hold'
import { lookUp } from '../../../core/chart/lookUp'
import type { Chart } from '../../../core/chart/chart'
import type { Position } from '../../../core/chart/position'
import type { Worths } from '../../../core/insight/figures'
import { nextHolds, type NextHold } from '../../../core/holds/oneMore'
import { pinCheck, type PinCheck } from '../../../core/holds/pinCheck'
import { useFigures } from '../../../stores/figures'
import { holdsOnShelf } from '../../../core/shelf/additions'
import { useTrials, type Trial } from '../../../stores/trials'
import type { useShelf } from '../../../stores/shelf'
import { whenIdle } from '../../../components/later'
import { provideSheet } from '../../parts/inspectors/sheet'

interface Holds {
  chart: ComputedRef<Chart>
  position: ComputedRef<Position | undefined>
  /** The position's own holds. */
  on: ComputedRef<Hold[]>
  check: ComputedRef<PinCheck>
  next: ComputedRef<NextHold[]>
  /** Holds on the Shelf for this frame that the chart does not have. */
  more: ComputedRef<Hold[]>
  selected: ComputedRef<Hold | undefined>
  /** By id of a hold: the worth of the position and the start without it, or with it added; undefined until known. */
  worths: Map<string, Worths | null>
  select: (hold: string | undefined) => void
}

const KEY: InjectionKey<Holds> = Symbol('holds')
/** How many of the most promising holds are solved for. */
const TRIED = 4

/** The state of the Holds screen; the position is in the address, as on the Worksheet. */
export function provideHolds(): Holds {
  const route = useRoute()
  const router = useRouter()
  const figures = useFigures()
  const word = (value: unknown) => (typeof value === 'string' && value ? value : undefined)
  const sheet = provideSheet({
    position: () => word(route.params.position) ?? figures.scenario?.start,
    move: () => undefined,
    reaction: () => undefined,
    picksAnswer: () => false,
    select: () => undefined,
  })
  const { chart, position } = sheet
  const on = computed(() => (position.value?.holds ?? []).flatMap((id) => lookUp(chart.value.holds, id) ?? []))
  const check = computed(() =>
    position.value ? pinCheck(chart.value, position.value.id) : { capabilities: [], escapes: [] },
  )
  // What the Shelf would add comes after what is on.
  const shelf = shallowRef<ReturnType<typeof useShelf>>()
  onMounted(async () => {
    await whenIdle()
    const { useShelf } = await import('../../../stores/shelf')
    shelf.value = useShelf()
    await shelf.value.load()
  })
  const more = computed(() => {
    const known = shelf.value?.shelf
    return known && position.value ? holdsOnShelf(chart.value, known, position.value) : []
  })
  const next = computed(() => (position.value ? nextHolds(chart.value, position.value.id, more.value) : []))
  const selected = computed(() => lookUp(chart.value.holds, word(route.query.hold)))
  const worths = useTrials(
    () => {
      const id = position.value?.id
      const trials = id ? otherHolds(chart.value, id, on.value, next.value, more.value) : []
      return id ? { chart: chart.value, position: id, trials } : null
    },
    () => position.value?.id,
  )

  const select = (hold: string | undefined) =>
    void router.replace({ path: `/holds/${position.value?.id ?? ''}`, query: hold ? { hold } : {} })
  const holds: Holds = { chart, position, on, check, next, more, selected, worths, select }
  provide(KEY, holds)
  return holds
}

export const useHolds = (): Holds => present(inject(KEY))

/** One trial for each hold that is on, without it, and one for each of the best further holds, with it. */
function otherHolds(chart: Chart, id: Position['id'], on: Hold[], next: NextHold[], onShelf: Hold[]): Trial[] {
  const variant = (change: (draft: Chart) => void) => produce(chart, change)
  const without = on
    .filter((hold) => holder(hold) === 'ours')
    .map(({ id: hold }) => ({ key: hold, chart: variant((draft) => takeOff(draft, id, hold)) }))
  const more = next
    .slice(0, TRIED)
    .map(({ hold }) => ({ key: hold, chart: variant((draft) => putOnKnown(draft, id, hold, onShelf)) }))
  return [...without, ...more]
}
