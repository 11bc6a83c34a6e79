import type { ClimbLedge, MoveRibbon, ReplyRibbon } from './climb'
import type { Curve, Point } from './curve'
import type { Scale } from './scale'

/** Width of a text in pixels, in the face of the names. */
export type Measure = (text: string) => number

/** The room for a picture, in pixels. */
export interface Size {
  width: number
  height: number
  measure: Measure
}

/** A ledge in the picture: its box in pixels, and its name in lines. */
export interface PlacedLedge extends ClimbLedge {
  x: number
  y: number
  width: number
  height: number
  lines: string[]
}

/** A bar at the end: what finishes, or that they do. */
export interface EndBar {
  key: string
  name: string
  per: number
  x: number
  y: number
  /** As long as it happens often. */
  length: number
  /** Where ribbons come in. */
  at: Point
  isTheirs: boolean
  isOthers: boolean
}

export interface ClimbPicture {
  width: number
  height: number
  scale: Scale
  ledges: PlacedLedge[]
  bars: EndBar[]
  ribbons: PlacedRibbon[]
}

export type RibbonKind = 'move' | 'fall' | 'rise' | 'even'

/** A ribbon as a curve from a ledge to where it leads. */
export interface PlacedRibbon {
  key: string
  kind: RibbonKind
  of: MoveRibbon | ReplyRibbon
  /** Of what we try: to where it lands. Of what they do: to the height of what it is worth then. */
  curve: Curve
  width: number
  /** Of what they do: from there to where our answer takes it. */
  onward?: Curve
  /** Drawn where no move is pointed at. */
  isAtRest: boolean
}
