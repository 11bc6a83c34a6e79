import { ref } from 'vue'
import type { Measure } from '../../../core/slope/ledges'

export const LEDGE_FONT = "650 15px 'Sofia Sans Condensed Variable', sans-serif"

/** Increases when the shipped fonts have loaded, since texts then have other widths. */
export const facesLoaded = ref(0)
const known = new Map<string, number>()
let pencil: CanvasRenderingContext2D | null = null

void document.fonts.load(LEDGE_FONT).then(() => {
  known.clear()
  facesLoaded.value++
})

/** Width in pixels of a text in the font of the names of ledges. */
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
