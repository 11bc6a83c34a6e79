import { present } from '../../../core/sure'
import { computed, inject, provide, type ComputedRef, type InjectionKey } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { letterOf, type TryPart } from '../../../components/tryParts'
import { changedSince, touchesPlan } from '../../../core/chart/changes'
import type { Chart } from '../../../core/chart/chart'
import { partCount, partsOf, setTries, withPart, type Part, type TriesOwner } from '../../../core/chart/edits/tries'
import type { MoveId, ReactionId } from '../../../core/chart/ids'
import type { Move } from '../../../core/chart/move'
import type { Position } from '../../../core/chart/position'
import type { Reaction } from '../../../core/chart/reaction'
import { comesToSomething, reactionsMet, type Whole } from '../../../core/chart/tries'
import { lookUp } from '../../../core/chart/lookUp'
import { placeName } from '../../../core/chart/placeNames'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { t } from '../../../words/inspector'

interface Worksheet {
  chart: ComputedRef<Chart>
  position: ComputedRef<Position | undefined>
  moves: ComputedRef<Move[]>
  /** What the inspector shows, and whether it opens with the choice of an answer. */
  selected: ComputedRef<{ move?: Move | undefined; reaction?: Reaction | undefined; picksAnswer: boolean }>
  letters: ComputedRef<Map<string, string>>
  /** How many moves meet a reaction. */
  timesMet: ComputedRef<Map<string, number>>
  nameOf: (place: string) => string
  select: (move?: MoveId, reaction?: ReactionId, picksAnswer?: boolean) => void
  setCounts: (owner: TriesOwner, tries: Whole, counts: Record<string, number>, label: string, join?: string) => void
  stripOf: (tries: Whole) => TryPart[]
}

const KEY: InjectionKey<Worksheet> = Symbol('worksheet')

/** The selection: a position, and perhaps a move and a reaction. */
interface LooksAt {
  position: () => string | undefined
  move: () => string | undefined
  reaction: () => string | undefined
  picksAnswer: () => boolean
  select: (move?: MoveId, reaction?: ReactionId, picksAnswer?: boolean) => void
}

/** The selection of the Worksheet, kept in the address so that links and Back work. */
export function provideWorksheet(): Worksheet {
  const route = useRoute()
  const router = useRouter()
  const figures = useFigures()
  const word = (value: unknown) => (typeof value === 'string' && value ? value : undefined)
  const sheet = provideSheet({
    position: () => word(route.params.position) ?? figures.scenario?.start,
    move: () => word(route.query.move),
    reaction: () => word(route.query.reaction),
    picksAnswer: () => route.query.answer === '1',
    select(move, reaction, picksAnswer = false) {
      const query = {
        ...(move ? { move } : {}),
        ...(reaction ? { reaction } : {}),
        ...(picksAnswer ? { answer: '1' } : {}),
        ...(route.query.part ? { part: route.query.part } : {}),
      }
      void router.replace({ path: `/worksheet/${sheet.position.value?.id ?? ''}`, query })
    },
  })
  return sheet
}

/** The selection shared by the parts of a sheet; other screens provide their own to the same parts. */
export function provideSheet(looksAt: LooksAt): Worksheet {
  const charts = useCharts()
  const chart = useSteadyChart()
  const position = computed(() => {
    const { positions } = chart.value
    return lookUp(positions, looksAt.position()) ?? positions[0]
  })
  const moves = computed(() => chart.value.moves.filter(({ from }) => from === position.value?.id))
  const selected = computed(() => ({
    move: moves.value.find(({ id }) => id === looksAt.move()),
    reaction: lookUp(chart.value.reactions, looksAt.reaction()),
    picksAnswer: looksAt.picksAnswer(),
  }))
  const { select } = looksAt

  const letters = computed(() => {
    const met = [...moves.value.flatMap(reactionsMet), ...Object.keys(position.value?.unprompted?.reactions ?? {})]
    return new Map([...new Set(met)].map((id, i) => [id, letterOf(i)]))
  })

  const timesMet = computed(() => {
    const times = new Map<string, number>()
    for (const move of chart.value.moves) {
      for (const id of reactionsMet(move)) times.set(id, (times.get(id) ?? 0) + 1)
    }
    return times
  })

  const nameOf = (place: string) => placeName(chart.value.positions, place)
  const stripOf = (tries: Whole) => stripIn(chart.value, tries, letters.value)

  function setCounts(owner: TriesOwner, tries: Whole, counts: Record<string, number>, label: string, join?: string) {
    const parts = new Map(partsOf(tries).map((part) => [keyOf(part), part]))
    const next = Object.entries(counts).reduce(
      (all, [key, count]) => withPart(all, present(parts.get(key)), count),
      tries,
    )
    if (!comesToSomething(next)) return void charts.tell(t('inspector.atLeastOneTryMustLand'), 'warning')
    const strip = owner.of === 'move' ? owner.move : `${owner.answer.reaction} ${owner.answer.move}`
    charts.edit(
      t('common.triesOfName', { name: label }),
      (draft) => setTries(draft, owner, next),
      join && `${strip} ${join}`,
    )
  }

  const worksheet = { chart, position, moves, selected, letters, timesMet, nameOf, select, setCounts, stripOf }
  provide(KEY, worksheet)
  return worksheet
}

/** The parts of tries as they are shown, with the letters of their reactions. */
export function stripIn(chart: Chart, tries: Whole, letters: ReadonlyMap<string, string>): TryPart[] {
  const named = (part: Part): { label: string; letter?: string } => {
    if (part.part === 'lands') return { label: t('common.lands') }
    if (part.part === 'stalls') return { label: t('common.nothing') }
    if (part.part === 'race') return { label: t('common.aRace') }
    if (part.part === 'elsewhere')
      return { label: t('common.endsInEndsIn', { endsIn: placeName(chart.positions, part.place) }) }
    const label = lookUp(chart.reactions, part.reaction)?.name ?? part.reaction
    return { label, letter: letters.get(part.reaction) ?? '·' }
  }
  return partsOf(tries).map((part) => ({
    key: keyOf(part),
    kind: part.part,
    count: partCount(tries, part),
    ...named(part),
  }))
}

export function useWorksheet(): Worksheet {
  return present(inject(KEY))
}

/** The open chart as the same object while only the scenario changes, so that nothing renders before new figures. */
export function useSteadyChart(): ComputedRef<Chart> {
  const charts = useCharts()
  return computed((before) => {
    const now = present(charts.chart)
    return before && !touchesPlan(changedSince(before, now)) ? before : now
  })
}

const keyOf = (part: Part) =>
  part.part === 'reaction'
    ? `reaction ${part.reaction}`
    : part.part === 'elsewhere'
      ? `elsewhere ${part.place}`
      : part.part

/** Moves the focus with the arrow keys from row to row, in reading order. */
export function goToRow(from: HTMLElement, by: 1 | -1): void {
  const rows = [...document.querySelectorAll<HTMLElement>('[data-row]')]
  rows[rows.indexOf(from) + by]?.focus()
}
