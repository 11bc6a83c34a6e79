import { NOTEWORTHY } from '../insight/nets'
import { sure } from '../sure'
import type { Climb, ClimbEnd, MoveRibbon, ReplyRibbon } from './climb'
import { crossingsOf, curveOf, dropOf, lineOf, type Point } from './curve'
import type { EndBar, PlacedLedge, PlacedRibbon, RibbonKind } from './picture'
import type { Scale } from './scale'
import { THEIR_ENDS } from './theirs'

/** What stands in the picture already. */
interface Places {
  scale: Scale
  ledges: readonly PlacedLedge[]
  bars: readonly EndBar[]
}
type Of = MoveRibbon | ReplyRibbon

/** How wide a ribbon is for each try in a hundred, and at least and at most. */
const [PER_TRY, THINNEST, WIDEST] = [0.22, 1.5, 18]
/** So many ribbons at most at rest, that cross at most so often: the least is folded first. */
const [MOST_RIBBONS, MOST_CROSSINGS] = [25, 15]
/** Straight pieces of a curve, where each of its crossings is to be found. */
const FINE = 60
/** What a reply costs or brings in a hundred exchanges weighs as much as so many tries. */
const TRIES_A_COST = 20

/**
 * The ribbons of a climb. What is drawn at rest has its places first; the rest of a fork is laid over it when the fork
 * is pointed at.
 */
export function placeRibbons(climb: Climb, places: Places): PlacedRibbon[] {
  const all: Of[] = [...climb.moves, ...climb.replies]
  const { folded } = climb
  let kept = all
    .filter((of) => kindOf(of) !== 'even')
    .sort((a, b) => weightOf(b) - weightOf(a))
    .slice(0, MOST_RIBBONS)
  let rest = placed(kept, places, true)
  for (let least = leastCrossing(rest); least; least = leastCrossing(rest)) {
    const folded = least
    kept = kept.filter((of) => of !== folded)
    rest = placed(kept, places, true)
  }
  const others = [...all, ...folded.moves, ...folded.replies].filter((of) => !rest.some((one) => one.of === of))
  return [...rest, ...placed(others, places, false)]
}

/** How much a ribbon weighs, in tries in a hundred exchanges. */
export const weightOf = (of: Of) => ('net' in of ? Math.abs(of.cost) * TRIES_A_COST : of.per)

/** Where there are too many crossings: the lightest ribbon that crosses another. */
function leastCrossing(ribbons: readonly PlacedRibbon[]): Of | undefined {
  const lines = ribbons.map(({ curve }) => lineOf(curve, FINE))
  const counts = lines.map(() => 0)
  lines.forEach((line, i) => {
    for (let j = i + 1; j < lines.length; j++) {
      const crossings = crossingsOf(line, sure(lines[j]))
      counts[i] = sure(counts[i]) + crossings
      counts[j] = sure(counts[j]) + crossings
    }
  })
  if (counts.reduce((sum, one) => sum + one, 0) <= 2 * MOST_CROSSINGS) return undefined
  return ribbons.filter((_, i) => sure(counts[i]) > 0).sort((a, b) => weightOf(a.of) - weightOf(b.of))[0]?.of
}

function kindOf(of: Of): RibbonKind {
  if (!('net' in of)) return 'move'
  if (of.net <= -NOTEWORTHY) return 'fall'
  return of.net >= NOTEWORTHY ? 'rise' : 'even'
}

interface End {
  ribbon: { key: string; to?: Point; from: Point; width: number }
  of: Of
}

function placed(all: readonly Of[], places: Places, isAtRest: boolean): PlacedRibbon[] {
  const { scale, ledges } = places
  const ends = all.flatMap((of) => endsOf(of, places))
  const goAcross = ends.filter(({ of }) => !('net' in of) || kindOf(of) === 'even')
  orderSides(goAcross, ledges)
  const knots: Point[] = []
  const ribbonOf = ({ of, ribbon: { key, from, to, width } }: End, knot?: Point): PlacedRibbon[] => {
    const ribbon = { key, of, kind: kindOf(of), width, isAtRest }
    if (!('net' in of)) return to ? [{ ...ribbon, curve: curveOf(from, to) }] : []
    const end = knot ?? freeKnot([from[0], scale.y(of.value)], ledges, knots)
    knots.push(end)
    const curve = knot ? dropOf(from, end) : curveOf(from, end)
    return [{ ...ribbon, curve, ...(to ? { onward: curveOf(end, to) } : {}) }]
  }
  const across = goAcross.flatMap((end) => ribbonOf(end))
  const lines = across.map(({ curve }) => lineOf(curve))
  return [
    ...across,
    ...ends
      .filter((end) => !goAcross.includes(end))
      .flatMap((end) => {
        const drop = freeDrop(end, places, lines, knots)
        if (drop) end.ribbon.from = drop[0]
        const made = ribbonOf(end, drop?.[1])
        lines.push(...made.map(({ curve }) => lineOf(curve)))
        return made
      }),
  ]
}

function endsOf(of: Of, { ledges, bars, scale }: Places): End[] {
  const from = ledges.find(({ position }) => position === of.from)
  if (!from) return []
  const start: Point = [from.x + from.width, from.y + from.height / 2]
  const beside = 'net' in of ? undefined : of.beside
  const to = beside ? freeKnot([start[0], scale.y(beside.value)], ledges, []) : endOf(of.to, of, ledges, bars)
  const width = Math.min(WIDEST, Math.max(THINNEST, of.per * PER_TRY))
  return [{ of, ribbon: { key: of.key, from: start, width, ...(to ? { to } : {}) } }]
}

/** How far a fall or a step up goes to the right, and how far it keeps from others. */
const [STEP_ASIDE, APART] = [34, 14]

/** The nearest place at a height, to the right of a ledge, that is on no ledge and on no other such place. */
function freeKnot([x, y]: Point, ledges: readonly PlacedLedge[], knots: readonly Point[]): Point {
  const isFree = (at: number) => ledges.every((one) => isBeside(one, [at, y])) && keepsApart([at, y], knots)
  const places = Array.from({ length: 24 }, (_, i) => x + STEP_ASIDE + i * APART)
  return [places.find(isFree) ?? x + STEP_ASIDE, y]
}

const isBeside = (one: PlacedLedge, [x, y]: Point) =>
  x < one.x - APART || x > one.x + one.width + APART || y < one.y - APART || y > one.y + one.height + APART
const keepsApart = ([x, y]: Point, knots: readonly Point[]) =>
  knots.every(([left, top]) => Math.abs(left - x) > APART || Math.abs(top - y) > APART)

/** A drop so short would be hidden at the side of its ledge. */
const SHORTEST = 12

/**
 * A fall from the foot of its ledge, or a step up from its head, as straight as what is there allows and where it
 * crosses least; undefined where it ends beside the ledge.
 */
function freeDrop(
  { of }: End,
  { ledges, scale }: Places,
  lines: readonly Point[][],
  knots: readonly Point[],
): [Point, Point] | undefined {
  const ledge = ledges.find(({ position }) => position === of.from)
  if (!ledge || !('net' in of)) return undefined
  const y = scale.y(of.value)
  const isDown = y > ledge.y + ledge.height / 2
  const from = isDown ? ledge.y + ledge.height : ledge.y
  if ((isDown ? y - from : from - y) < SHORTEST) return undefined
  // Above a ledge its worth and whether we begin there are written at its ends.
  const tries = (isDown ? [0.8, 0.6, 0.4, 0.2] : [0.5, 0.42, 0.58]).flatMap((part) =>
    [0, 16, 32, 48, -16, -32].map((aside): [Point, Point] => {
      const x = ledge.x + part * ledge.width
      return [
        [x, from],
        [x + aside, y],
      ]
    }),
  )
  const free = tries
    .filter(([, end]) => ledges.every((one) => isBeside(one, end)) && keepsApart(end, knots))
    .map((drop) => ({ drop, line: lineOf(dropOf(...drop)) }))
    .filter(({ line }) => ledges.every((one) => one === ledge || line.every((point) => isBeside(one, point))))
    .map(({ drop, line }) => ({ drop, crosses: lines.reduce((sum, other) => sum + crossingsOf(line, other), 0) }))
  return free.sort((a, b) => a.crosses - b.crosses)[0]?.drop
}

/** Where a ribbon comes in; undefined where that is not in the picture, as where it is over. */
function endOf(to: ClimbEnd, of: Of, ledges: readonly PlacedLedge[], bars: readonly EndBar[]): Point | undefined {
  const ledge = ledges.find(({ position }) => position === to)
  if (ledge) return [ledge.x, ledge.y + ledge.height / 2]
  if (to === 'finish') {
    const by = 'by' in of ? of.by : of.theirs ? THEIR_ENDS[0] : of.move
    return (bars.find(({ key }) => key === by) ?? bars.find(({ isOthers }) => isOthers))?.at
  }
  return to === 'caught' ? bars.find(({ isTheirs }) => isTheirs)?.at : undefined
}

/**
 * Ribbons leave a ledge at its right and come in at the left of the next, at each side in an order of few crossings:
 * that of where the other ends stand (the barycentre order of Sugiyama, Tagawa and Toda 1981, in places that are
 * fixed), then every swap of two neighbours that takes a crossing away.
 */
function orderSides(all: readonly End[], ledges: readonly PlacedLedge[]): void {
  const orders = ledges.flatMap((ledge) =>
    SIDES.map((side) => ({ ledge, side, here: all.filter(({ of }) => of[side] === ledge.position) })),
  )
  for (const { ledge, side, here } of orders) {
    const farY = ({ ribbon }: End) => (ribbon[side === 'from' ? 'to' : 'from'] ?? ribbon.from)[1]
    here.sort((a, b) => farY(a) - farY(b))
    spread(here, ledge, side)
  }
  const lineAt = ({ ribbon: { from, to } }: End) => (to ? lineOf(curveOf(from, to)) : [])
  const lines = new Map(all.map((end) => [end, lineAt(end)]))
  /** How often these cross any; only they have moved since. */
  const crossed = (ones: readonly End[]) => {
    for (const one of ones) lines.set(one, lineAt(one))
    return ones.reduce(
      (sum, one) =>
        sum + all.reduce((more, other) => more + crossingsOf(sure(lines.get(one)), sure(lines.get(other))), 0),
      0,
    )
  }
  for (const { ledge, side, here } of orders)
    for (let i = 1; i < here.length; i++) {
      const [upper, lower] = [sure(here[i - 1]), sure(here[i])]
      const swap = (first: End, second: End) => {
        ;[here[i - 1], here[i]] = [first, second]
        spread(here, ledge, side)
        return crossed(here)
      }
      const before = crossed(here)
      if (swap(lower, upper) >= before) swap(upper, lower)
    }
}

const SIDES = ['from', 'to'] as const

/** Gives ribbons their places along a side of their ledge, from the top down. */
function spread(here: readonly End[], ledge: PlacedLedge, side: 'from' | 'to'): void {
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
