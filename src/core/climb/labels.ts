import { Boxes, type Box } from '../slope/boxes'
import { alongCurve, boundsOf, doMeet, goesThrough, lineOf, type Point } from './curve'
import type { ClimbPicture, Measure, PlacedRibbon } from './picture'
import { weightOf } from './ribbons'

/** What a ribbon may say, from the longest to the shortest. */
export interface Saying {
  text: string
  badge: string
}

/** A text in the picture: its middle and its line, and from where a thin line leads to its ribbon. */
export interface Label extends Saying {
  ribbon: PlacedRibbon
  x: number
  y: number
  lead?: readonly [Point, Point]
}

interface Drawn {
  picture: ClimbPicture
  /** The ribbons that are to be named. */
  ribbons: readonly PlacedRibbon[]
  /** All that is drawn, also what is not named. */
  lines: readonly PlacedRibbon[]
  says: (ribbon: PlacedRibbon) => Saying[]
  measure: Measure
}

/** A ribbon as straight pieces. */
interface Line {
  ribbon: PlacedRibbon
  points: readonly Point[]
  bounds: Box
}

/** Above and below the line of a text, and air at its sides, in pixels. */
const [ABOVE, BELOW, AIR] = [11, 9, 4]
/** Room for the worth above a ledge and the name under a bar; and left of the axis there is no text. */
const [WORTH, BAR, EDGE] = [16, 28, 48]
const PARTS = [0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8]
/** How far from its ribbon a text may stand, with a line that leads to it. */
const LEADS = [26, 42, 58, 76, 94, 112]
  .flatMap((by) => [0, 40, -40, 80, -80, 120, -120].flatMap((dx) => [[dx, -by] as const, [dx, by] as const]))
  .sort((a, b) => Math.hypot(...a) - Math.hypot(...b))

/**
 * Names and numbers where there is room: on what we try, beside where what they do leads, or with a thin line to it.
 * No text stands on another or is crossed by a line that is not its own; where the name has no such place the number
 * alone is tried.
 */
export function labelsOf(drawn: Drawn): Label[] {
  const lines = drawn.lines.map((ribbon): Line => {
    const points = lineOf(ribbon.curve, 30)
    return { ribbon, points, bounds: boundsOf(points) }
  })
  let order = drawn.ribbons.toSorted((a, b) => weightOf(b.of) - weightOf(a.of))
  let best: { labels: Label[]; named: number } | undefined
  for (let i = 0; i < ATTEMPTS; i++) {
    const labels = inTurn(drawn, lines, order)
    const isNamed = (one: PlacedRibbon) => labels.some(({ ribbon, text }) => ribbon === one && /\p{L}/u.test(text))
    const named = order.filter(isNamed).reduce((sum, { of }) => sum + weightOf(of), 0)
    if (!best || named > best.named) best = { labels, named }
    const unnamed = order.filter((one) => !isNamed(one))
    if (!unnamed.length) break
    order = [...unnamed, ...order.filter(isNamed)]
  }
  return best?.labels ?? []
}

/** Those that found no place for their name go first in the next attempt; the attempt that names most is taken. */
const ATTEMPTS = 8

/** Texts in a given order, each in the best place that is left. */
function inTurn({ picture, says, measure }: Drawn, lines: readonly Line[], order: readonly PlacedRibbon[]): Label[] {
  const taken = new Boxes()
  for (const { x, y, width, height } of picture.ledges) taken.add([x, y - WORTH, x + width, y + height])
  for (const { x, y } of picture.bars) taken.add([x, y - 4, picture.width, y + BAR])
  const leads: Point[][] = []
  const labels: Label[] = []
  for (const ribbon of order) {
    const crosses = (box: Box, isOn: boolean) =>
      lines.some(
        (one) => !(isOn && one.ribbon === ribbon) && doMeet(one.bounds, box) && goesThrough(one.points, box),
      ) || leads.some((lead) => goesThrough(lead, box))
    const label = labelOf(ribbon, says(ribbon), { measure, places: placesOf(ribbon), isFree })
    if (label) {
      labels.push(label)
      taken.add(boxOf(label, measure))
      if (label.lead) leads.push([...label.lead])
    }
    function isFree(box: Box, isOn: boolean, lead?: readonly [Point, Point]) {
      const isWithin = box[0] >= EDGE && box[1] >= 4 && box[2] <= picture.width
      if (!isWithin || taken.hits(box) || crosses(box, isOn)) return false
      return !lead || !pointsOf(lead).some(([x, y]) => taken.hits([x - 1, y - 1, x + 1, y + 1]))
    }
  }
  return labels
}

/** The room that a text takes. */
export function boxOf({ text, badge, x, y }: Pick<Label, 'text' | 'badge' | 'x' | 'y'>, measure: Measure): Box {
  const half = measure(badge ? `${text} ${badge}` : text) / 2 + AIR
  return [x - half, y - ABOVE, x + half, y + BELOW]
}

interface Place {
  /** Where the middle of a text of a width stands. */
  at: (width: number) => Point
  /** The point of the ribbon to which a line leads, if the text does not stand at it. */
  from?: Point
  /** It stands on its ribbon. */
  isOn?: true
}

type IsFree = (box: Box, isOn: boolean, lead?: readonly [Point, Point]) => boolean

function labelOf(
  ribbon: PlacedRibbon,
  sayings: readonly Saying[],
  { measure, places, isFree }: { measure: Measure; places: readonly Place[]; isFree: IsFree },
): Label | undefined {
  for (const saying of sayings)
    for (const { at, from, isOn } of places) {
      const [x, y] = at(measure(saying.badge ? `${saying.text} ${saying.badge}` : saying.text))
      const label = { ribbon, ...saying, x, y }
      const box = boxOf(label, measure)
      const lead = from && ([from, nearest(box, from)] as const)
      if (isFree(box, isOn ?? false, lead)) return { ...label, ...(lead ? { lead } : {}) }
    }
  return undefined
}

/** Where the text of a ribbon may stand, the best first. */
function placesOf({ of, curve }: PlacedRibbon): Place[] {
  const led = (from: Point) => LEADS.map(([dx, dy]): Place => ({ at: () => [from[0] + dx, from[1] + dy], from }))
  if (!('net' in of) && !of.beside)
    return [
      ...PARTS.map((part): Place => ({ at: () => alongCurve(curve, part), isOn: true })),
      ...led(alongCurve(curve, 0.5)),
    ]
  const [x, y] = curve[3]
  const aside = [0, 12, -12, 22, -22].flatMap((by) => [
    (width: number): Point => [x + 9 + width / 2, y + by],
    (width: number): Point => [x - 9 - width / 2, y + by],
  ])
  const under = [20, -20].map((by) => (): Point => [x, y + by])
  return [...[...aside, ...under].map((at) => ({ at })), ...led(curve[3])]
}

/** The point of a box that is nearest to a point. */
const nearest = ([left, top, right, bottom]: Box, [x, y]: Point): Point => [
  Math.min(right, Math.max(left, x)),
  Math.min(bottom, Math.max(top, y)),
]

const pointsOf = ([a, b]: readonly [Point, Point]): Point[] =>
  Array.from({ length: 8 }, (_, i): Point => [a[0] + ((b[0] - a[0]) * i) / 9, a[1] + ((b[1] - a[1]) * i) / 9])
