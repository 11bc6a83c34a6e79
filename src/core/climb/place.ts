import { sure } from '../sure'
import type { Climb, ClimbEnd, ClimbLedge, MoveRibbon, ReplyRibbon } from './climb'
import { NOTEWORTHY } from '../insight/nets'
import { scaleOf, type Scale } from './scale'

/** Width of a text in pixels, in the face of the names. */
export type Measure = (text: string) => number

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
  isTheirs: boolean
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
}
/** Start, two points that draw it, end: a cubic Bézier curve. */
export type Curve = readonly [Point, Point, Point, Point]
export type Point = readonly [x: number, y: number]

export interface ClimbPicture {
  width: number
  height: number
  scale: Scale
  ledges: PlacedLedge[]
  bars: EndBar[]
  ribbons: PlacedRibbon[]
}

/** The axis at the left, the column of bars at the right, and what is above and below. */
const [AXIS, COLUMN, TOP, FOOT] = [52, 210, 28, 56]
const [LINE, PADDING, GAP] = [18, 10, 12]
/** A bar of the column with its name; the one of what finishes most is so long. */
const [BAR, LONGEST] = [24, 150]
/** How wide a ribbon is for each try in a hundred, and at least and at most. */
const [PER_TRY, THINNEST, WIDEST] = [0.22, 1.5, 18]
/** Bars of the column; the others are one. */
const MOST_BARS = 7
/** Keys of the bars that are no single move. */
const [OTHERS, CAUGHT] = ['others', 'caught']

/** What is drawn where: left to right by when, height by worth, ribbons in an order of few crossings. */
export function placeClimb(climb: Climb, size: { width: number; height: number; measure: Measure }): ClimbPicture {
  const { width, height } = size
  const scale = scaleOf(
    climb.ledges.map(({ value }) => value),
    TOP,
    height - TOP - FOOT,
  )
  const ledges = placeLedges(climb.ledges, scale, size)
  const bars = placeBars(climb, width, height)
  return { width, height, scale, ledges, bars, ribbons: placeRibbons(climb, scale, ledges, bars) }
}

/** A name in one line or two of about the same width. */
export function inLines(name: string, measure: Measure): string[] {
  const words = name.split(' ')
  if (words.length < 3 || measure(name) < 110) return [name]
  const splits = words.slice(1).map((_, i) => [words.slice(0, i + 1).join(' '), words.slice(i + 1).join(' ')])
  return sure(
    splits.sort((a, b) => Math.max(...a.map((line) => measure(line))) - Math.max(...b.map((line) => measure(line))))[0],
  )
}

/** When the plan first comes somewhere; without a clock in the order of how often. */
const timeOf = ({ second }: ClimbLedge, i: number) => second ?? i

/**
 * The ledges from left to right by when. Each stands as far left as its time allows and where it hides no other; only
 * if the picture is too narrow for that does one leave its height.
 */
function placeLedges(
  all: readonly ClimbLedge[],
  { y: yOf }: Scale,
  { width, height, measure }: { width: number; height: number; measure: Measure },
): PlacedLedge[] {
  const sorted = all.map((ledge, i) => ({ ledge, time: timeOf(ledge, i) })).sort((a, b) => a.time - b.time)
  const latest = Math.max(1, ...sorted.map(({ time }) => time))
  const placed: PlacedLedge[] = []
  for (const { ledge, time } of sorted) {
    const lines = inLines(ledge.name, measure)
    const box = {
      width: Math.ceil(Math.max(64, ...lines.map((line) => measure(line)))) + 2 * PADDING,
      height: lines.length * LINE + PADDING,
    }
    const right = width - COLUMN - GAP - box.width
    const wanted = AXIS + GAP + ((right - AXIS - GAP) * time) / latest
    const middle = yOf(ledge.value) - box.height / 2
    placed.push({ ...ledge, lines, ...box, ...freePlace(placed, box, { wanted, middle, right, height }) })
  }
  return placed
}

interface Wanted {
  wanted: number
  middle: number
  right: number
  height: number
}

/** The place nearest to what is wanted that is free: moved in time rather than in worth. */
function freePlace(
  placed: readonly PlacedLedge[],
  box: { width: number; height: number },
  { wanted, middle, right, height }: Wanted,
): { x: number; y: number } {
  const isFree = (x: number, y: number) =>
    placed.every(
      (other) =>
        x >= other.x + other.width + GAP ||
        x + box.width + GAP <= other.x ||
        y >= other.y + other.height + GAP / 2 ||
        y + box.height + GAP / 2 <= other.y,
    )
  const shifts = Array.from({ length: 41 }, (_, i) => (i % 2 ? 1 : -1) * Math.ceil(i / 2) * GAP)
  const lifts = Array.from({ length: 25 }, (_, i) => (i % 2 ? 1 : -1) * Math.ceil(i / 2) * (GAP / 2))
  const within = (y: number) => Math.min(height - FOOT - box.height, Math.max(TOP, y))
  for (const lift of lifts)
    for (const shift of shifts) {
      const x = Math.min(right, Math.max(AXIS + GAP, wanted + shift))
      const y = within(middle + lift)
      if (isFree(x, y)) return { x, y }
    }
  return { x: Math.min(right, wanted), y: within(middle) }
}

/** What finishes, the most often first, from the top; what they do at the foot. */
function placeBars({ finishes, caught }: Climb, width: number, height: number): EndBar[] {
  const x = width - COLUMN
  const shown = finishes.slice(0, finishes.length > MOST_BARS ? MOST_BARS - 1 : MOST_BARS)
  const others = finishes.slice(shown.length).reduce((sum, { per }) => sum + per, 0)
  const most = Math.max(caught, others, ...shown.map(({ per }) => per))
  const length = (per: number) => Math.max(3, (LONGEST * per) / most)
  const bar = (key: string, name: string, per: number, y: number): EndBar => ({
    ...{ key, name, per, x, y, length: length(per), isTheirs: key === CAUGHT },
  })
  const rows = [...shown.map(({ move, name, per }) => [move, name, per] as const), [OTHERS, '', others] as const]
  const ours = rows.map(([key, name, per], i) => bar(key, name, per, TOP + i * (BAR + GAP)))
  return [...ours, bar(CAUGHT, '', caught, height - FOOT + GAP)].filter(({ per }) => per > 0)
}

const kindOf = (of: MoveRibbon | ReplyRibbon): RibbonKind => {
  if (!('net' in of)) return 'move'
  if (of.net <= -NOTEWORTHY) return 'fall'
  return of.net >= NOTEWORTHY ? 'rise' : 'even'
}

interface End {
  ribbon: { key: string; to?: Point; from: Point; width: number }
  of: MoveRibbon | ReplyRibbon
}

/**
 * Ribbons leave a ledge at its right and come in at the left of the next, at each side in the order in which the other
 * ends stand: the barycentre order (Sugiyama, Tagawa and Toda 1981) of fixed places, in which neighbours at a side do
 * not cross.
 */
function placeRibbons(
  climb: Climb,
  scale: Scale,
  ledges: readonly PlacedLedge[],
  bars: readonly EndBar[],
): PlacedRibbon[] {
  const all = [...climb.moves, ...climb.replies].flatMap((of): End[] => {
    const from = ledges.find(({ position }) => position === of.from)
    if (!from) return []
    const to = endOf(of.to, of, ledges, bars)
    const width = Math.min(WIDEST, Math.max(THINNEST, of.per * PER_TRY))
    const start: Point = [from.x + from.width, from.y + from.height / 2]
    return [{ of, ribbon: { key: of.key, from: start, width, ...(to ? { to } : {}) } }]
  })
  spread(all, ledges, 'from')
  spread(all, ledges, 'to')
  const knots: Point[] = []
  return all.flatMap(({ of, ribbon: { key, from, to, width } }): PlacedRibbon[] => {
    const ribbon = { key, of, kind: kindOf(of), width }
    if (!('net' in of)) return to ? [{ ...ribbon, curve: curveOf(from, to) }] : []
    const knot = freeKnot([from[0], scale.y(of.value)], ledges, knots)
    knots.push(knot)
    return [{ ...ribbon, curve: curveOf(from, knot), ...(to ? { onward: curveOf(knot, to) } : {}) }]
  })
}

/** How far a fall or a step up goes to the right, and how far it keeps from others. */
const [STEP_ASIDE, APART] = [34, 14]

/** The nearest place at a height, to the right of a ledge, that is on no ledge and on no other such place. */
function freeKnot([x, y]: Point, ledges: readonly PlacedLedge[], knots: readonly Point[]): Point {
  const isFree = (at: number) =>
    ledges.every(
      (one) =>
        at < one.x - APART || at > one.x + one.width + APART || y < one.y - APART || y > one.y + one.height + APART,
    ) && knots.every(([left, top]) => Math.abs(left - at) > APART || Math.abs(top - y) > APART)
  const places = Array.from({ length: 24 }, (_, i) => x + STEP_ASIDE + i * APART)
  return [places.find(isFree) ?? x + STEP_ASIDE, y]
}

/** Where a ribbon comes in; undefined where that is not in the picture, as where it is over. */
function endOf(
  to: ClimbEnd,
  of: MoveRibbon | ReplyRibbon,
  ledges: readonly PlacedLedge[],
  bars: readonly EndBar[],
): Point | undefined {
  const ledge = ledges.find(({ position }) => position === to)
  if (ledge) return [ledge.x, ledge.y + ledge.height / 2]
  if (to === 'finish') {
    const by = 'by' in of ? of.by : of.move
    return inBar(bars.find(({ key }) => key === by) ?? bars.find(({ key }) => key === OTHERS))
  }
  return to === 'caught' ? inBar(bars.find(({ isTheirs }) => isTheirs)) : undefined
}

const inBar = (bar: EndBar | undefined): Point | undefined => bar && [bar.x, bar.y + BAR / 2]

/** Gives the ribbons of each ledge places of their own along its side, in the order of where their other ends are. */
function spread(all: readonly End[], ledges: readonly PlacedLedge[], side: 'from' | 'to'): void {
  const other = side === 'from' ? 'to' : 'from'
  for (const ledge of ledges) {
    const here = all.filter(({ of }) => of[side] === ledge.position)
    const farY = ({ ribbon }: End) => (ribbon[other] ?? ribbon.from)[1]
    here.sort((a, b) => farY(a) - farY(b))
    const sum = here.reduce((total, { ribbon }) => total + ribbon.width + 2, 0)
    const room = Math.max(0, ledge.height - 6)
    const squeeze = sum > room ? room / sum : 1
    let y = ledge.y + ledge.height / 2 - (sum * squeeze) / 2
    for (const { ribbon } of here) {
      const step = (ribbon.width + 2) * squeeze
      ribbon[side] = [side === 'from' ? ledge.x + ledge.width : ledge.x, y + step / 2]
      y += step
    }
  }
}

/** A curve that leaves to the right and comes in from the left; one that goes back bends round. */
function curveOf(from: Point, to: Point): Curve {
  const across = to[0] - from[0]
  const reach = across > 0 ? Math.max(16, across * 0.45) : Math.max(40, -across * 0.3)
  return [from, [from[0] + reach, from[1]], [to[0] - reach, to[1]], to]
}

/** The point of a curve at a part of its way, 0 to 1. */
export function alongCurve([a, b, c, d]: Curve, part: number): Point {
  const rest = 1 - part
  const at = (i: 0 | 1) =>
    rest ** 3 * a[i] + 3 * rest ** 2 * part * b[i] + 3 * rest * part ** 2 * c[i] + part ** 3 * d[i]
  return [at(0), at(1)]
}
