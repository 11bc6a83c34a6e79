import { toMoveId } from '../../../core/chart/ids'
import { present } from '../../../core/sure'
import { useEventListener } from '@vueuse/core'
import { ref, type Ref, type ShallowRef } from 'vue'
import type { ZoomTransform } from 'd3-zoom'
import type { Item } from '../../../core/slope/items'
import type { Scene } from '../../../core/slope/scene'
import type { Window } from './camera'

/** What is being dragged, in pixels of the picture. */
export interface Drag {
  kind: 'draw' | 'push' | 'mark'
  item: Item | undefined
  from: [number, number]
  to: [number, number]
}

interface Dragging {
  root: Ref<HTMLElement | undefined>
  transform: ShallowRef<ZoomTransform>
  scene: () => Scene | null
  /** A click: selects the item, or (with Shift) adds it to the selection. */
  click: (item: Item | undefined, also: boolean) => void
  /** The item under the pointer has changed. */
  hovered: (item: Item | undefined) => void
  /** A line was drawn from a position or an escape attempt to a place. */
  drawn: (item: Item, place: string) => void
  pushed: (item: Item & { kind: 'place' }, x: number, y: number) => void
  marked: (box: Window) => void
}

/** Pixels around a mark's centre that count as on it. */
const REACH = 11
/** Pixels that the pointer may move between press and release and still click. */
const TREMBLE = 5

/** The pointer's point in the picture, and the items there. */
function useFinding(task: Pick<Dragging, 'root' | 'transform' | 'scene'>) {
  function pointOf(event: MouseEvent): [number, number] {
    const { left, top } = present(task.root.value).getBoundingClientRect()
    return task.transform.value.invert([event.clientX - left, event.clientY - top])
  }

  /** The item at the point: the nearest mark, else the element drawn there, else the ledge whose box it is in. */
  function itemUnder(event: MouseEvent): Item | undefined {
    const scene = task.scene()
    const point = pointOf(event)
    const target = event.target instanceof Element ? event.target : null
    const place = target?.closest<SVGElement>('[data-place]')?.dataset.place
    const escape = place ? undefined : markUnder(scene, point, REACH / task.transform.value.k)?.escape
    if (escape) return { kind: 'escape', move: escape.move, position: escape.position, reaction: escape.reaction }
    const move = target?.closest<SVGElement>('[data-move]')?.dataset.move
    if (move && !place) return { kind: 'move', move: toMoveId(move) }
    const found = place ?? ledgeUnder(scene, point)?.id
    return found ? { kind: 'place', place: found } : undefined
  }

  return { pointOf, itemUnder }
}

/**
 * Pointer gestures on the Slope: a drag from ledge to ledge draws a move, from a mark an answer; a ledge can be dragged
 * to another place; with Shift several are selected.
 */
export function useDragging(task: Dragging) {
  const drag = ref<Drag | null>(null)
  let pressed: { item: Item | undefined; kind: Drag['kind'] | 'click'; x: number; y: number } | null = null

  const { pointOf, itemUnder } = useFinding(task)

  useEventListener(task.root, 'pointerdown', (event: PointerEvent) => {
    if (event.button !== 0) return
    const isHandle = event.target instanceof Element && event.target.closest('[data-handle]') !== null
    const item = itemUnder(event)
    const isPosition =
      item?.kind === 'place' && task.scene()?.ledges.find(({ id }) => id === item.place)?.kind === 'position'
    const kind = isHandle || item?.kind === 'escape' ? 'draw' : isPosition ? 'push' : 'click'
    pressed = {
      item,
      kind: kind === 'click' && !item && event.shiftKey ? 'mark' : kind,
      x: event.clientX,
      y: event.clientY,
    }
  })

  useEventListener(task.root, 'pointermove', (event: PointerEvent) => {
    if (!pressed && event.pointerType === 'mouse') task.hovered(itemUnder(event))
  })

  useEventListener(document, 'pointermove', (event: PointerEvent) => {
    if (!pressed || pressed.kind === 'click') return
    if (!drag.value) {
      if (Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y) < TREMBLE) return
      const { left, top } = present(task.root.value).getBoundingClientRect()
      const from = task.transform.value.invert([pressed.x - left, pressed.y - top])
      drag.value = { kind: pressed.kind, item: pressed.item, from, to: from }
    }
    drag.value = { ...drag.value, to: pointOf(event) }
  })

  useEventListener(document, 'pointerup', (event: PointerEvent) => {
    const was = pressed
    const done = drag.value
    pressed = drag.value = null
    if (!was) return
    const isClick = Math.hypot(event.clientX - was.x, event.clientY - was.y) < TREMBLE
    if (!done) return isClick ? void task.click(was.item, event.shiftKey || event.ctrlKey || event.metaKey) : undefined
    end(done)
  })

  function end({ kind, item, from, to }: Drag) {
    if (kind === 'push' && item?.kind === 'place') return void task.pushed(item, to[0] - from[0], to[1] - from[1])
    const box = {
      left: Math.min(from[0], to[0]),
      top: Math.min(from[1], to[1]),
      right: Math.max(from[0], to[0]),
      bottom: Math.max(from[1], to[1]),
    }
    if (kind === 'mark') return void task.marked(box)
    const place = placeUnder(task.scene(), to)
    if (item && place) task.drawn(item, place)
  }

  useEventListener(document, 'keydown', (event) => {
    if (event.key === 'Escape') pressed = drag.value = null
  })

  /** True where the item under the pointer can be dragged, so that the drag does not pan. */
  const isHeld = (event: Event): boolean => {
    const item = event instanceof MouseEvent ? itemUnder(event) : undefined
    return item?.kind === 'place' || item?.kind === 'escape'
  }
  return { drag, isHeld }
}

/** The ledge at a point, or within a few pixels of it. */
const ledgeUnder = (scene: Scene | null, [x, y]: [number, number]) =>
  scene?.ledges.find((one) => x > one.x - 8 && x < one.x + one.width + 8 && y > one.y - 8 && y < one.y + one.height + 8)

function markUnder(scene: Scene | null, [x, y]: [number, number], reach: number) {
  const near = (at: readonly [number, number]) => Math.hypot(at[0] - x, at[1] - y)
  const marks = scene?.marks.filter(({ at, size }) => near(at) <= Math.min(reach, size / 2 + REACH)) ?? []
  return marks.sort((a, b) => near(a.at) - near(b.at))[0]
}

/** The place at a point; any point in the crest counts as a finish. */
export function placeUnder(scene: Scene | null, point: [number, number]): string | undefined {
  const ledge = ledgeUnder(scene, point)
  if (ledge) return ledge.kind === 'finish' ? 'finish' : ledge.id
  const crest = scene?.bands.find(({ key }) => key === 'finishes')
  return crest && point[1] > crest.y && point[1] < crest.y + crest.height ? 'finish' : undefined
}
