import type { Climb } from './climb'
import type { Curve, Point } from './curve'
import type { ClimbPicture, Measure, PlacedLedge } from './picture'
import { placeLedges } from './place'
import { placeRibbons } from './ribbons'

/**
 * Another climb in the places of a picture, on the same axis: a ledge that both have stands above or below itself, so
 * that what changed is seen as height; and the ribbons that are tried more or less often than before.
 */
export function laidUnder(picture: ClimbPicture, other: Climb, measure: Measure): ClimbPicture {
  const { scale, bars } = picture
  const ledges = placeLedges(other.ledges, scale, { ...picture, measure }).map((ledge): PlacedLedge => {
    const same = picture.ledges.find(({ position }) => position === ledge.position)
    const middle = scale.y(ledge.value)
    return same ? { ...ledge, x: same.x, width: same.width, height: same.height, y: middle - same.height / 2 } : ledge
  })
  const ribbons = placeRibbons(other, { scale, ledges, bars })
    .filter(({ isAtRest, kind }) => isAtRest && kind === 'move')
    .map((ribbon) => ({ ribbon, change: Math.abs(ribbon.of.per - perIn(picture, ribbon.key)) }))
    .filter(({ change }) => change >= LEAST_CHANGE)
    .sort((a, b) => b.change - a.change)
    .slice(0, MOST_CHANGED)
    .map(({ ribbon }) => ribbon)
  return { ...picture, ledges, ribbons }
}

/** So many ribbons, each with at least so many tries in a hundred more or less. */
const [MOST_CHANGED, LEAST_CHANGE] = [6, 5]
const perIn = ({ ribbons }: ClimbPicture, key: string) => ribbons.find((one) => one.key === key)?.of.per ?? 0

/** How much more a ledge is worth than in another climb; undefined where that does not come there. */
export function moreThan(other: Climb, position: string, value: number): number | undefined {
  const before = other.ledges.find((ledge) => ledge.position === position)?.value
  return before === undefined ? undefined : value - before
}

/** Whether two climbs are of other worths or other tries; names do not matter. */
export function isOtherThan(one: Climb, other: Climb): boolean {
  const figuresOf = ({ ledges, moves, replies }: Climb) => [
    ...ledges.map(({ position, value }) => [`ledge ${position}`, value] as const),
    ...moves.map(({ key, per }) => [`move ${key}`, per] as const),
    ...replies.map(({ key, cost }) => [`reply ${key}`, cost] as const),
  ]
  const before = new Map(figuresOf(other))
  const now = figuresOf(one)
  return (
    now.length !== before.size || now.some(([key, figure]) => Math.abs(figure - (before.get(key) ?? Infinity)) > SAME)
  )
}

/** Figures that differ by less are the same. */
const SAME = 1e-9

/** A picture on its way to another, 0 to 1: what both have moves, what is new is there at once. */
export function onTheWay(from: ClimbPicture, to: ClimbPicture, part: number): ClimbPicture {
  if (part >= 1) return to
  const mix = (a: number, b: number) => a + (b - a) * part
  const point = (a: Point, b: Point): Point => [mix(a[0], b[0]), mix(a[1], b[1])]
  const curve = (a: Curve, b: Curve): Curve => [
    point(a[0], b[0]),
    point(a[1], b[1]),
    point(a[2], b[2]),
    point(a[3], b[3]),
  ]
  return {
    ...to,
    ledges: to.ledges.map((ledge) => {
      const was = from.ledges.find(({ position }) => position === ledge.position)
      return was ? { ...ledge, x: mix(was.x, ledge.x), y: mix(was.y, ledge.y) } : ledge
    }),
    bars: to.bars.map((bar) => {
      const was = from.bars.find(({ key }) => key === bar.key)
      return was ? { ...bar, y: mix(was.y, bar.y), length: mix(was.length, bar.length) } : bar
    }),
    ribbons: to.ribbons.map((ribbon) => {
      const was = from.ribbons.find(({ key }) => key === ribbon.key)
      if (!was) return ribbon
      return { ...ribbon, curve: curve(was.curve, ribbon.curve), width: mix(was.width, ribbon.width) }
    }),
  }
}
