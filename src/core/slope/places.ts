import type { SlopeEdge } from './graph'

/** Where a place stands: its band, the row in it, and its centre in pixels from the left edge of the ledges. */
export interface Place {
  band: string
  row: number
  x: number
}

export interface SlopeLayout {
  /** Width of the widest row, in pixels. */
  width: number
  places: Record<string, Place>
}

/** What a layout is made of: places with the room that they need, the lines, and what stays where it is. */
export interface LayoutTask {
  bands: { key: string; gap: number; rowHeight: number; places: { id: string; width: number }[] }[]
  edges: SlopeEdge[]
  /** The layout of before: nothing in it is moved about by what is new. */
  known?: SlopeLayout
  /** Put by hand: these stand where they were put. */
  byHand?: Record<string, { row: number; x: number }>
}
