import { present } from '../../../core/sure'
import {
  computed,
  inject,
  provide,
  ref,
  shallowRef,
  watch,
  type ComputedRef,
  type InjectionKey,
  type Ref,
  type ShallowRef,
} from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import type { Run } from '../../../core/chart/run'
import { linesOf, type Bar, type ScoreLine } from '../../../core/limbScore/bars'
import { setBar, type Stretch } from '../../../core/limbScore/edits/editBars'
import { play, type Played } from '../../../core/limbScore/play'
import { remarksOn } from '../../../core/limbScore/remarks'
import type { Remark } from '../../../core/limbScore/remark'
import type { Row } from '../../../core/limbScore/rows'
import type { Vocabulary } from '../../../core/sides/vocabulary'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { t } from '../../../words/score'

interface Score {
  chart: ComputedRef<Chart>
  run: ComputedRef<Run | undefined>
  played: ComputedRef<Played>
  lines: ComputedRef<ScoreLine[]>
  remarks: ComputedRef<Remark[]>
  words: ComputedRef<Vocabulary>
  /** Index of the beat whose side words label the lines; 0 is the start. */
  beat: Ref<number>
  /** The worth of the state at each beat, −1 to 1, as far as it is known. */
  worths: ShallowRef<(number | null)[] | null>
  isOpen: (row: Row) => boolean
  toggle: (row: Row) => void
  open: (run: string | undefined) => void
  /** Changes the range of a hold; tells the coach where that cannot be. Returns whether it was done. */
  place: (bar: Pick<Bar, 'hold'>, before: Stretch | null, want: Stretch | null) => boolean
}

const KEY: InjectionKey<Score> = Symbol('score')

/** The state of the limb score screen; the run is in the address. */
export function provideScore(): Score {
  const charts = useCharts()
  const route = useRoute()
  const router = useRouter()
  const chart = computed(() => present(charts.chart))
  const run = computed(() => lookUp(chart.value.runs, String(route.params.run)) ?? chart.value.runs?.[0])
  const played = computed(() => (run.value ? play(chart.value, run.value) : { beats: [], broken: null }))
  const opened = ref(new Set<string>())
  const keyOf = ({ by, limb }: Row) => `${by} ${limb}`
  const isOpen = (row: Row) => opened.value.has(keyOf(row))
  const lines = computed(() => linesOf(chart.value, played.value.beats, isOpen))
  const remarks = computed(() => (run.value ? remarksOn(chart.value, run.value, played.value) : []))
  const words = computed(() => chart.value.settings?.words ?? {})
  const beat = ref(0)
  watch(
    () => [run.value?.id, played.value.beats.length] as const,
    ([id, length], [before]) => (beat.value = id === before ? Math.min(beat.value, length - 1) : 0),
  )

  function toggle(row: Row) {
    const next = new Set(opened.value)
    if (!next.delete(keyOf(row))) next.add(keyOf(row))
    opened.value = next
  }

  function place({ hold }: Pick<Bar, 'hold'>, before: Stretch | null, want: Stretch | null) {
    const id = present(run.value).id
    return charts.edit(t('score.valueInName', { value: hold.name, name: present(run.value).name }), (draft) =>
      setBar(draft, id, hold.id, before, want),
    )
  }

  const open = (id: string | undefined) => void router.push(`/score/${id ?? ''}`)
  const score = { chart, run, played, lines, remarks, words, beat, worths: useWorths(run), isOpen, toggle, open, place }
  provide(KEY, score)
  return score
}

export const useScore = (): Score => present(inject(KEY))

/** Asks the question again whenever there are new figures. */
function useWorths(run: ComputedRef<Run | undefined>) {
  const store = useFigures()
  const worths = shallowRef<(number | null)[] | null>(null)
  watch(
    () => [store.figures, run.value] as const,
    async ([figures, asked]) => {
      if (!figures || !asked) return (worths.value = null)
      const heard = await store.along(asked)
      if (asked === run.value) worths.value = heard
    },
    { immediate: true },
  )
  return worths
}
