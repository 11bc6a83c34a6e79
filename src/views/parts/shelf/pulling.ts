import { present } from '../../../core/sure'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { lookUp } from '../../../core/chart/lookUp'
import { inChart, type Found } from '../../../core/shelf/search'
import { pullIn, type Wanted } from '../../../core/shelf/edits/pull'
import { useCharts } from '../../../stores/charts'
import { useShelf } from '../../../stores/shelf'
import type { Part } from '../layout/parts'
import { useSideBySide } from '../layout/room'
import { t } from '../../../words/shelf'

/** The state of the Shelf screen, kept in the address: a region, a search, and the entry shown in detail. */
export function useShelfPlace() {
  const route = useRoute()
  const router = useRouter()
  const isWide = useSideBySide()
  const word = (value: unknown) => (typeof value === 'string' ? value : '')
  const place = computed(() => ({
    region: word(route.query.region),
    text: word(route.query.q),
    attacks: word(route.query.attacks),
    needs: word(route.query.needs),
    at: word(route.query.at),
  }))

  /** Changes the place. `part`: what is then in view where only one part is, as a place of its own for Back. */
  function go(instead: Partial<(typeof place)['value']>, part?: Part) {
    const { region, text, attacks, needs, at } = { ...place.value, ...instead }
    const query = { region, q: text, attacks, needs, at, part: part ?? word(route.query.part) }
    const to = { path: '/shelf', query: Object.fromEntries(Object.entries(query).filter(([, one]) => one)) }
    void (part && !isWide.value ? router.push(to) : router.replace(to))
  }
  return { place, go }
}

export const keyOf = ({ kind, id }: Found): string => `${kind} ${id}`
export function foundOf(key: string): Found | null {
  const [kind, id = ''] = key.split(' ')
  return kind === 'position' || kind === 'move' || kind === 'reaction' ? { kind, id } : null
}

/** Copies entries of the Shelf into the open chart, as one step of undo. */
export function usePulling() {
  const charts = useCharts()
  const store = useShelf()

  function pull(name: string, wanted: Wanted) {
    const shelf = present(store.shelf)
    let came: string[] = []
    charts.edit(t('shelf.nameFromTheShelf', { name }), (draft) => void (came = pullIn(draft, shelf, wanted)))
    charts.tell(
      came.length
        ? t('shelf.movesCameInWithWhatThey', { moves: t('count.move', came.length) })
        : t('shelf.nameIsInTheChart', { name }),
      'info',
      ...(came.length ? (['undo'] as const) : []),
    )
  }

  /** Whether the open chart has the entry, by id or by name. */
  function isThere({ kind, id }: Found): boolean {
    const { chart } = charts
    if (!chart || !store.shelf) return false
    const record =
      kind === 'position'
        ? lookUp(store.shelf.positions, id)
        : kind === 'move'
          ? lookUp(store.shelf.moves, id)
          : lookUp(store.shelf.reactions, id)
    const records = kind === 'position' ? chart.positions : kind === 'move' ? chart.moves : chart.reactions
    return Boolean(record && inChart<{ id: string; name: string }>(records, record))
  }
  return { pull, isThere }
}
