import { handlerOf } from '../../../components/events'
import { present } from '../../../core/sure'
import { useDebounceFn, useEventListener, useResizeObserver } from '@vueuse/core'
import { select } from 'd3-selection'
import { zoom, zoomIdentity, type D3ZoomEvent, type ZoomTransform } from 'd3-zoom'
import { onMounted, ref, shallowRef, type Ref } from 'vue'

/** Below this zoom names can no longer be read, and below the next one values stand on each other. */
const READABLE = 0.6
const TINY = 0.24
const READING = 0.72
const LEAST_ZOOM = 0.03
const MAX_ZOOM = 3
/** The largest zoom at which the picture is fitted into the window. */
const MAX_FIT = 1.25
/** The drawn area grows in steps of so many pixels, so that a pan seldom needs a new drawing. */
const STEP = 400

/** The window is drawn again after so many milliseconds without a pan. */
const SETTLED_MS = 160

export interface Window {
  left: number
  top: number
  right: number
  bottom: number
}

/** What is in the window, in pixels of the picture and coarse steps, with room around. */
function windowOf(transform: ZoomTransform, { width, height }: { width: number; height: number }): Window {
  const step = STEP / transform.k
  const down = (n: number) => Math.floor(n / step - 0.5) * step
  const [left, top] = transform.invert([0, 0])
  const box = { left: down(left), top: down(top) }
  return {
    ...box,
    right: box.left + (Math.ceil(width / STEP) + 2) * step,
    bottom: box.top + (Math.ceil(height / STEP) + 2) * step,
  }
}

/** A wheel zooms; a trackpad's sideways stroke, or Shift, pans; a pinch comes as a wheel with Ctrl. */
function turn(
  event: WheelEvent,
  pan: (x: number, y: number) => unknown,
  by: (n: number, at: [number, number]) => unknown,
) {
  const { deltaX, deltaY, shiftKey, ctrlKey } = event
  const { left, top } = handlerOf(event).getBoundingClientRect()
  if (shiftKey) pan(-deltaX || -deltaY, 0)
  else if (!ctrlKey && Math.abs(deltaX) > Math.abs(deltaY)) pan(-deltaX, -deltaY)
  else by(2 ** (-deltaY * (ctrlKey ? 0.01 : 0.002)), [event.clientX - left, event.clientY - top])
}

/**
 * Applies a transform directly to the elements. Only the level of detail and, in coarse steps, the visible window are
 * reactive.
 */
function useDrawing(root: Ref<HTMLElement | undefined>, size: Ref<{ width: number; height: number }>) {
  const transform = shallowRef<ZoomTransform>(zoomIdentity)
  const level = ref<'near' | 'far' | 'tiny'>('near')
  const window = ref<Window>({ left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity })
  /** The transform of the last drawing; the element may have been shifted since. */
  let drawn: ZoomTransform = zoomIdentity

  function show(next: ZoomTransform) {
    transform.value = next
    if (!root.value) return
    const [x, y] = [next.x - drawn.x, next.y - drawn.y]
    root.value.querySelector('.heads')?.setAttribute('transform', `translate(0 ${next.y}) scale(${next.k})`)
    root.value.classList.toggle('panned', next.x < -4)
    if (next.k !== drawn.k || Math.max(Math.abs(x), Math.abs(y)) > STEP / 2) return void draw()
    present(root.value.querySelector<HTMLElement>('.layer')).style.transform = `translate(${x}px, ${y}px)`
    void drawSoon()
  }

  /** Draws what is in the window now. Until then the last drawing is only shifted, which is cheap. */
  function draw() {
    const { value: next } = transform
    drawn = next
    if (!root.value) return
    root.value.querySelector('.moving')?.setAttribute('transform', next.toString())
    present(root.value.querySelector<HTMLElement>('.layer')).style.transform = ''
    root.value.style.setProperty('--zoom', String(next.k))
    level.value = next.k < TINY ? 'tiny' : next.k < READABLE ? 'far' : 'near'
    const box = windowOf(next, size.value)
    if (box.left !== window.value.left || box.top !== window.value.top || box.right !== window.value.right) {
      window.value = box
    }
  }
  const drawSoon = useDebounceFn(draw, SETTLED_MS)

  return { transform, level, window, show }
}

/** Pan and zoom with wheel, trackpad, touch and keys. `canPan`: whether what was pressed there begins a pan. */
export function useCamera(root: Ref<HTMLElement | undefined>, canPan: (event: Event) => boolean) {
  const size = ref({ width: 0, height: 0 })
  const { transform, level, window, show } = useDrawing(root, size)
  let extent = { width: 1, height: 1 }
  let isMoved = false

  const behaviour = zoom<HTMLElement, unknown>()
    .scaleExtent([LEAST_ZOOM, MAX_ZOOM])
    .filter((event: Event) => event.type !== 'wheel' && event.type !== 'dblclick' && canPan(event))
    .on('zoom', ({ transform: next, sourceEvent }: D3ZoomEvent<HTMLElement, unknown>) => {
      isMoved ||= Boolean(sourceEvent)
      show(next)
    })

  const apply = (next: ZoomTransform) => root.value && behaviour.transform(select(root.value), next)
  const by = (factor: number, at?: [number, number]) => {
    isMoved = true
    if (root.value) behaviour.scaleBy(select(root.value), factor, at)
  }
  const pan = (x: number, y: number) => {
    isMoved = true
    if (root.value) behaviour.translateBy(select(root.value), x / transform.value.k, y / transform.value.k)
  }

  /** Shows a part of the picture whole, or all of it. */
  function fit(box: Window = { left: 0, top: 0, right: extent.width, bottom: extent.height }) {
    const { width, height } = size.value
    if (!width || !height) return
    const k = Math.min(width / (box.right - box.left), height / (box.bottom - box.top), MAX_FIT)
    centre((box.left + box.right) / 2, (box.top + box.bottom) / 2, Math.max(k, LEAST_ZOOM))
  }

  function centre(x: number, y: number, k = transform.value.k) {
    const { width, height } = size.value
    apply(zoomIdentity.translate(width / 2 - x * k, height / 2 - y * k).scale(k))
  }

  /** Brings a box into the window if it is not in it. */
  function reveal({ left, top, right, bottom }: Window) {
    const [x0, y0] = transform.value.invert([30, 30])
    const [x1, y1] = transform.value.invert([size.value.width - 30, size.value.height - 30])
    if (left >= x0 && right <= x1 && top >= y0 && bottom <= y1) return
    centre((left + right) / 2, (top + bottom) / 2)
  }

  /**
   * Sets the size of the picture. Until the coach has panned or zoomed, all of it is shown, or (with `x`) a readable
   * part around x.
   */
  function frame(picture: { width: number; height: number }, x?: number) {
    extent = picture
    if (isMoved || !size.value.width) return
    fit()
    if (level.value === 'near' || x === undefined) return
    const half = Math.min(size.value.width / READING, picture.width) / 2
    // No further than its edge: beside it there is nothing to see.
    centre(Math.min(Math.max(x, half), picture.width - half), picture.height / 2, READING)
  }

  useResizeObserver(root, ([entry]) => {
    if (!entry) return
    const { contentRect } = entry
    size.value = { width: contentRect.width, height: contentRect.height }
    if (!isMoved) fit()
  })
  useEventListener(root, 'wheel', (event: WheelEvent) => {
    event.preventDefault()
    turn(event, pan, by)
  })
  onMounted(() => root.value && select(root.value).call(behaviour).on('dblclick.zoom', null))

  return { transform, level, window, size, by, pan, fit, reveal, frame, centre }
}
