import { present } from '../../../core/sure'
import { computed, inject, provide, ref, shallowRef, watch, type ComputedRef, type InjectionKey, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { hundred, signed } from '../../../core/say/figureText'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import { escapesOf, type Escape } from '../../../core/slope/escapes'
import { inFocus, type Focus, type InFocus } from '../../../core/slope/focus'
import { slopeGraph, type SlopeGraph } from '../../../core/slope/graph'
import { itemKey, itemOf, type Item } from '../../../core/slope/items'
import { ON_PLAN, type MoveLine } from '../../../core/slope/lines'
import { drawScene, groundOf, type Scene } from '../../../core/slope/scene'
import { useCharts } from '../../../stores/charts'
import { waitsFor } from '../../../core/say/seen'
import { useFigures } from '../../../stores/figures'
import { useSteadyChart } from '../../parts/inspectors/sheet'
import { focusQuery, readFocus } from './focusQuery'
import { useLayout } from './layout'
import { measureText } from './measureText'

interface Slope extends Pick<ReturnType<typeof useLayout>, 'layout' | 'folded' | 'toggleFold' | 'tidy'> {
  chart: ComputedRef<Chart>
  graph: ComputedRef<SlopeGraph>
  scene: ComputedRef<Scene | null>
  escapes: ComputedRef<Escape[]>
  focus: ComputedRef<Focus>
  /** The items in focus; null where nothing is faded. */
  seen: ComputedRef<InFocus | null>
  at: ComputedRef<Item | undefined>
  /** Ids of the places that are selected. */
  selection: Ref<Set<string>>
  /** How much is drawn: an outline of a large chart from afar. */
  detail: Ref<'full' | 'outline'>
  /** Lines that nothing in the plan uses are drawn as well. */
  showsUnused: Ref<boolean>
  /** Whether the line of a move is drawn: in the plan, in focus, where one stands, or asked for. */
  isDrawn: (line: MoveLine) => boolean
  goTo: (item: Item | undefined) => void
  setFocus: (focus: Focus) => void
}

const KEY: InjectionKey<Slope> = Symbol('slope')
/** Least visits per exchange of an attempt whose line is drawn in the whole picture. */
const OFTEN = 0.02
/** A chart with more positions is drawn in outline when zoomed out. */
export const MANY = 400
/** How many of the costliest attempts of a kind, and of the plan's moves, are named in the whole picture. */
const NAMED_ESCAPES = 4
const NAMED_MOVES = 12

export function provideSlope(): Slope {
  const store = useFigures()
  const route = useRoute()
  const router = useRouter()
  const charts = useCharts()
  const steady = useSteadyChart()
  const drawn = computed(() => charts.chart?.settings?.slope)
  const chart = computed((): Chart => {
    const { slope: _, ...settings } = steady.value.settings ?? {}
    return { ...steady.value, settings: drawn.value ? { ...settings, slope: drawn.value } : settings }
  })
  const graph = computed(() => slopeGraph(chart.value))
  const { layout, folded, toggleFold, tidy } = useLayout(chart, graph)
  const selection = ref(new Set<string>())
  const detail = ref<'full' | 'outline'>(chart.value.positions.length > MANY ? 'outline' : 'full')

  const at = computed(() => itemOf(chart.value, String(route.query.at ?? '')))
  const focus = computed(() => readFocus(chart.value, route.query))
  const query = (item: Item | undefined, on: Focus) => ({
    show: 'all',
    ...(item ? { at: itemKey(item) } : {}),
    ...focusQuery(on),
  })
  const goTo = (item: Item | undefined) => void router.replace({ path: '/slope', query: query(item, focus.value) })
  const setFocus = (next: Focus) => void router.replace({ path: '/slope', query: query(at.value, next) })

  const costs = useSettledCosts()
  const escapes = computed(() => (store.figures ? escapesOf(chart.value, store.figures, costs.value) : []))
  const seen = computed(() => (store.figures ? inFocus(chart.value, store.figures, escapes.value, focus.value) : null))
  const ground = computed(() =>
    layout.value
      ? groundOf(chart.value, graph.value, layout.value, { measure: measureText, folded: folded.value })
      : null,
  )
  const scene = computed((): Scene | null => {
    if (!ground.value) return null
    const words = wordsOf(chart.value, escapes.value, seen.value)
    const task = { ground: ground.value, figures: store.figures, escapes: escapes.value, detail: detail.value }
    return drawScene({ ...task, ...words, measure: measureText })
  })
  watch(chart, ({ positions }) => {
    const left = [...selection.value].filter((id) => lookUp(positions, id))
    if (left.length !== selection.value.size) selection.value = new Set(left)
  })

  const showsUnused = ref(false)
  function isDrawn({ uses, move, from, to }: MoveLine): boolean {
    const here = at.value?.kind === 'place' ? at.value.place : undefined
    if (showsUnused.value || uses >= ON_PLAN || !store.figures) return true
    return Boolean(seen.value?.moves.has(move)) || here === from || here === to || moveAt(at.value) === move
  }

  const slope: Slope = {
    ...{ chart, graph, scene, escapes, focus, seen, at, selection, detail, goTo, setFocus, showsUnused, isDrawn },
    ...{ layout, folded, toggleFold, tidy },
  }
  provide(KEY, slope)
  return slope
}

/** The move that one stands at, or at a reaction to. */
const moveAt = (item: Item | undefined) => (item && item.kind !== 'place' ? item.move : undefined)

export const useSlope = (): Slope => present(inject(KEY))

/** The costs of loose ends once all are known, so that marks do not move while costs arrive. */
function useSettledCosts() {
  const store = useFigures()
  const settled = shallowRef<(number | null | undefined)[]>([])
  watch(
    () => [store.costsLeft, store.figures] as const,
    ([left, figures]) => {
      if (left === 0 || settled.value.length !== figures?.looseEnds.length) settled.value = store.costs
    },
    { immediate: true },
  )
  return settled
}

/** The items that are named and drawn in full: those in focus, or else those that weigh most. */
function wordsOf(chart: Chart, escapes: readonly Escape[], seen: InFocus | null) {
  const most = new Set(
    (['loose', 'leak', 'trap'] as const).flatMap((kind) =>
      escapes
        .filter((escape) => escape.kind === kind)
        .slice(0, NAMED_ESCAPES)
        .map(({ key }) => key),
    ),
  )
  const isNamed = ({ key }: Escape) => (seen ? seen.escapes.has(key) : most.has(key))
  let named = 0
  return {
    isNamed: (line: MoveLine) => (seen ? seen.moves.has(line.move) : line.uses >= ON_PLAN && named++ < NAMED_MOVES),
    isInFocus: ({ key }: Escape) => !seen || seen.escapes.has(key),
    isWhole: (escape: Escape) => (seen ? seen.escapes.has(escape.key) : escape.visits >= OFTEN || most.has(escape.key)),
    escapeTexts: (escape: Escape) => {
      if (seen && !seen.escapes.has(escape.key)) return []
      const says = seen || (escape.visits >= ON_PLAN && escape.kind !== 'even')
      const net = says && escape.kind !== 'loose' ? signed(escape.net) : ''
      return [...(isNamed(escape) ? [`${escape.name} ${net}`.trim()] : []), ...(net ? [net] : [])]
    },
    lineText: ({ move, name, waits, uses }: MoveLine) => {
      const record = waits ? lookUp(chart.moves, move) : undefined
      const said = record ? `${name} (${waitsFor(chart, record)})` : name
      return uses >= ON_PLAN ? `${said} ${hundred(uses)}` : said
    },
  }
}
