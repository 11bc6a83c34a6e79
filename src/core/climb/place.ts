import { sure } from '../sure'
import type { Climb, ClimbLedge } from './climb'
import type { ClimbPicture, EndBar, Measure, PlacedLedge, Size } from './picture'
import { placeRibbons } from './ribbons'
import { scaleOf, type Scale } from './scale'

/** The axis at the left, the column of bars at the right, and what is above and below. */
const [AXIS, COLUMN, TOP, FOOT] = [52, 210, 28, 56]
const [LINE, PADDING, GAP] = [18, 10, 12]
/** A bar of the column with its name; the one of what finishes most is so long. */
const [BAR, LONGEST] = [24, 150]
/** Bars of the column; the others are one. */
const MOST_BARS = 7
/** Keys of the bars that are no single move. */
const [OTHERS, CAUGHT] = ['others', 'caught']

/**
 * What is drawn where: left to right by when, height by worth, ribbons in an order of few crossings. `under`: another
 * climb that is to have room on the same axis.
 */
export function placeClimb(climb: Climb, size: Size, under: Climb | null = null): ClimbPicture {
  const { width, height } = size
  const scale = scaleOf(
    [...climb.ledges, ...(under?.ledges ?? [])].map(({ value }) => value),
    TOP,
    height - TOP - FOOT,
  )
  const ledges = placeLedges(climb.ledges, scale, size)
  const bars = placeBars(climb, ledges, width, height)
  return { width, height, scale, ledges, bars, ribbons: placeRibbons(climb, { scale, ledges, bars }) }
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
export function placeLedges(
  all: readonly ClimbLedge[],
  { y: yOf }: Scale,
  { width, height, measure }: Size,
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

/**
 * What finishes most often, in the order of the heights that it is reached from, so that ribbons cross little; what
 * they do stands at the foot.
 */
function placeBars(climb: Climb, ledges: readonly PlacedLedge[], width: number, height: number): EndBar[] {
  const { finishes, caught } = climb
  const x = width - COLUMN
  const shown = finishes.slice(0, finishes.length > MOST_BARS ? MOST_BARS - 1 : MOST_BARS)
  const others = finishes.slice(shown.length).reduce((sum, { per }) => sum + per, 0)
  const most = Math.max(caught, others, ...shown.map(({ per }) => per))
  const length = (per: number) => Math.max(3, (LONGEST * per) / most)
  const bar = (key: string, name: string, per: number, y: number): EndBar => ({
    ...{ key, name, per, x, y, length: length(per), at: [x, y + BAR / 2] },
    ...{ isTheirs: key === CAUGHT, isOthers: key === OTHERS },
  })
  const fromOf = heightsOf(climb, ledges)
  const sorted = shown.toSorted((a, b) => (fromOf(a.move) ?? height) - (fromOf(b.move) ?? height))
  const rows = [...sorted.map(({ move, name, per }) => [move, name, per] as const), [OTHERS, '', others] as const]
  const ours = rows.map(([key, name, per], i) => bar(key, name, per, TOP + i * (BAR + GAP)))
  return [...ours, bar(CAUGHT, '', caught, height - FOOT + GAP)].filter(({ per }) => per > 0)
}

/** The mean height of the ledges from which a move finishes. */
function heightsOf({ moves, replies }: Climb, ledges: readonly PlacedLedge[]): (move: string) => number | undefined {
  const yOf = new Map(ledges.map(({ position, y }) => [position, y]))
  return (move) => {
    const by = [...moves.filter((one) => one.move === move), ...replies.filter((one) => one.by === move)]
      .filter(({ to }) => to === 'finish')
      .flatMap(({ from, per }) => (yOf.has(from) ? [{ y: sure(yOf.get(from)), per }] : []))
    const all = by.reduce((sum, { per }) => sum + per, 0)
    return all ? by.reduce((sum, { y, per }) => sum + y * per, 0) / all : undefined
  }
}
