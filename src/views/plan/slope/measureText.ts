import { ref } from 'vue'
import type { Measure } from '../../../core/slope/ledges'

export const LEDGE_FONT = "650 15px 'Sofia Sans Condensed Variable', sans-serif"

/** Counts up when the shipped faces are there and texts have other widths than with the system's. */
export const facesLoaded = ref(0)
const known = new Map<string, number>()
let pencil: CanvasRenderingContext2D | null = null

void document.fonts.load(LEDGE_FONT).then(() => {
  known.clear()
  facesLoaded.value++
})

/** Width of a text in the face that ledges are named in. */
export const measureText: Measure = (text) => {
  const before = known.get(text)
  if (before !== undefined) return before
  pencil ??= document.createElement('canvas').getContext('2d')
  if (!pencil) return text.length * 7
  pencil.font = LEDGE_FONT
  const { width } = pencil.measureText(text)
  known.set(text, width)
  return width
}
