import { toPositionId, type MoveId, type PositionId, type ReactionId } from '../../../core/chart/ids'
import { sure } from '../../../core/sure'
import { ref } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import { addNewAnswer, removeAnswer } from '../../../core/chart/edits/answers'
import {
  addMove,
  addPosition,
  dropUnprompted,
  removeMove,
  removePosition,
  rename,
  unmeetReaction,
} from '../../../core/chart/edits/records'
import { putByHand } from '../../../core/chart/edits/slope'
import { lookUp } from '../../../core/chart/lookUp'
import { COLD_GUESS, newMove, positionFromName } from '../../../core/chart/guesses'
import { placeName } from '../../../core/say/slopeItem'
import { wholeOfItem, type Item } from '../../../core/slope/items'
import type { SlopeLayout } from '../../../core/slope/places'
import { useCharts } from '../../../stores/charts'
import { useRemoving } from '../../parts/removing'
import type { useSlope } from './slope'
import { t } from '../../../words/slope'

/** The form that is open beside the picture. `to`: key of the place where the new move or answer lands, once chosen. */
export type Asking =
  | { for: 'say' | 'answer' | 'reaction' | 'position' | 'rename'; item: Item | undefined }
  | { for: 'landing' | 'name'; item: Item; to?: string }

type Slope = Pick<ReturnType<typeof useSlope>, 'chart' | 'at' | 'goTo' | 'selection' | 'layout'>

/** The edits of the chart on the Slope; each is one step of undo. */
export function useSlopeEdits({ chart, at, goTo, selection, layout }: Slope) {
  const charts = useCharts()
  const removing = useRemoving()
  const asking = ref<Asking | null>(null)

  function nameOf(item: Item): string {
    if (item.kind === 'place') return placeName(chart.value, item.place)
    const record =
      item.kind === 'escape'
        ? lookUp(chart.value.reactions, item.reaction)
        : lookUp(chart.value.moves, item.kind === 'move' ? item.move : item.answer)
    return record?.name ?? ''
  }

  function newPosition(name: string, family: string | undefined) {
    let id: PositionId | undefined
    charts.edit(
      t('common.newPositionName', { name }),
      (draft) => (id = addPosition(draft, positionFromName(name, family))),
    )
    if (id) goTo({ kind: 'place', place: id })
  }

  /** Adds a move from a position, or an answer to an attempt, that lands in a position or a finish. */
  function draw(item: Item, to: string, name: string) {
    if (item.kind === 'escape') return void drawAnswer(item.reaction, to, name, item)
    if (item.kind !== 'place') return
    const kind = to === 'finish' ? ('submission' as const) : ('advance' as const)
    let id: MoveId | undefined
    charts.edit(t('slope.newMoveName', { name }), (draft) => {
      const from = toPositionId(item.place)
      id = addMove(draft, newMove({ name, kind, from, to: toPositionId(to), tries: { ...COLD_GUESS } }))
    })
    if (id) goTo({ kind: 'move', move: id })
  }

  function drawAnswer(reaction: ReactionId, to: string, name: string, item: Item) {
    const landing = toPositionId(to)
    charts.edit(
      t('common.answerReactionWithValue', { reaction: nameOf(item), value: name }),
      (draft) => void addNewAnswer(draft, reaction, name, landing),
    )
    goTo(item)
  }

  function renameTo(item: Item, name: string) {
    const [list, id] = recordOf(item)
    charts.edit(t('slope.renameName', { name }), (draft) => rename(draft, list, id, name))
  }

  /** Removes the selected places, or else the current item. */
  function remove() {
    const item = at.value
    const places = [...selection.value]
    if (places.length) {
      const name = t('count.position', places.length)
      removing({ id: places, name }, (draft) => places.forEach((id) => removePosition(draft, toPositionId(id))))
      selection.value = new Set()
      return
    }
    if (!item) return
    const whole = wholeOfItem(chart.value, item)
    if (removing({ id: idOf(item), name: nameOf(item) }, (draft) => removeItem(draft, item))) goTo(whole ?? item)
  }

  /** Moves the selected places, or `place`, or the current one, by pixels sideways and by rows. */
  function push(x: number, row: number, join?: string, place?: string) {
    const item = at.value
    const one = place ?? (item?.kind === 'place' ? item.place : undefined)
    const isSelected = selection.value.size > 0 && (!place || selection.value.has(place))
    const ids = isSelected ? [...selection.value] : one ? [one] : []
    const places = pushed(layout.value?.places ?? {}, ids, x, row)
    if (Object.keys(places).length) charts.edit(t('slope.putByHand'), (draft) => putByHand(draft, places), join)
  }

  return { asking, nameOf, newPosition, draw, renameTo, remove, push }
}

/** The record that an item of the picture shows. */
function recordOf(item: Item): ['positions' | 'moves' | 'reactions', string] {
  if (item.kind === 'place') return ['positions', item.place]
  if (item.kind === 'escape') return ['reactions', item.reaction]
  return ['moves', item.kind === 'move' ? item.move : item.answer]
}

/** The moved places; none goes beyond the left edge or above its band. */
function pushed(known: SlopeLayout['places'], ids: readonly string[], x: number, row: number) {
  const there = ids.filter((id) => known[id])
  return Object.fromEntries(
    there.map((id) => {
      const place = sure(known[id])
      return [id, { row: Math.max(0, place.row + row), x: Math.max(0, Math.round(place.x + x)) }]
    }),
  )
}

function removeItem(draft: Chart, item: Item): void {
  if (item.kind === 'place') {
    if (draft.positions.some(({ id }) => id === item.place)) removePosition(draft, toPositionId(item.place))
  } else if (item.kind === 'move') removeMove(draft, item.move)
  else if (item.kind === 'answer') removeAnswer(draft, { reaction: item.reaction, move: item.answer })
  else if (item.move) unmeetReaction(draft, item.move, item.reaction)
  else dropUnprompted(draft, item.position, item.reaction)
}

/** The record that goes with an item; of an answer, the reaction that it answers. */
const idOf = (item: Item): string =>
  item.kind === 'place' ? item.place : item.kind === 'move' ? item.move : item.reaction
