import { holder, type Hold } from '../chart/hold'
import type { Limb, Person } from '../chart/words'
import { theirKey, type Orientation } from '../sides/frames'
import { partHeld } from '../limbScore/rows'
import { broughtTogether, type Contact, type Pair } from './contact'
import type { FramePoses } from './pairs'
import { poseFor } from './poses'
import { blendOf, holdingPoint, JOINTS, pointOf, skeletonOf, type Joint, type Skeleton } from './skeleton'
import { strokesOf, type Drawn } from './stage'
import type { Vector } from './vector'

/** The numbered mark of a hold, at its point of contact, in pixels of the figure. */
export interface Mark {
  n: number
  hold: Hold
  at: readonly [x: number, y: number]
}

/** Two people as drawn, from the farthest stroke to the nearest, with the marks of the holds. */
export interface Figure extends Drawn {
  marks: Mark[]
  /** The person in control. */
  over: Person
  /** Both bodies in space, in centimetres. */
  bodies: Record<Person, Skeleton>
}

interface Shown {
  frame: string | undefined
  /** Of the position: it tells how they are in the frame. */
  name?: string | undefined
  orientation: Orientation
  /** The person in control. */
  over: Person
  /** The holds that are on; the first is number 1. */
  holds: readonly Hold[]
  /** The limbs that are to stand out: of the hold that is being put on. */
  moving?: readonly { by: Person; limb: Limb }[] | undefined
}

/** Both people with the marks of the holds; null where the frame has no figure. */
export function figureOf({ frame, name, orientation, over, holds, moving = [] }: Shown): Figure | null {
  const poses = poseFor(frame, name)
  if (!poses) return null
  const isMirrored = isForOther(poses, orientation, over)
  const rest: Pair = { over: led(poses, 'over', orientation, over), under: led(poses, 'under', orientation, over) }
  const turned = isMirrored ? { over: mirrored(rest.over), under: mirrored(rest.under) } : rest
  const pair = broughtTogether(
    turned,
    holds.flatMap((hold) => contactsOf(hold, over)),
  )
  const tipped = poses.tips ? lyingOn(pair, orientation.down) : pair
  const under: Person = over === 'ours' ? 'theirs' : 'ours'
  const bodies = { [over]: tipped.over, [under]: tipped.under } as Record<Person, Skeleton>
  const drawn = strokesOf(
    bodies,
    { ...poses.view, turned: isMirrored ? -poses.view.turned : poses.view.turned },
    moving,
  )
  const marks = holds.map((hold, i) => ({ n: i + 1, hold, at: drawn.at(touched(hold, bodies)) }))
  return { ...drawn, bodies, over, marks: apart(marks) }
}

function isForOther({ drawnFor }: FramePoses, orientation: Orientation, over: Person): boolean {
  const side = drawnFor && orientation[over === 'ours' ? drawnFor.fact : theirKey(drawnFor.fact)]
  return (side === 'left' || side === 'right') && side !== drawnFor?.side
}

/** A body in its pose; standing, with the foot in front with which it leads. */
function led(poses: FramePoses, who: 'over' | 'under', orientation: Orientation, over: Person): Skeleton {
  const body = skeletonOf(poses[who])
  const isOurs = (who === 'over') === (over === 'ours')
  const leads = poses.leads && orientation[isOurs ? 'lead' : 'theirLead'] === 'right'
  return leads ? turnedOver(body, ([x, y, z]) => [x, -y, z]) : body
}

const mirrored = (body: Skeleton): Skeleton => turnedOver(body, ([x, y, z]) => [-x, y, z])

/** A body in a mirror: what was left is right. */
function turnedOver(body: Skeleton, over: (at: Vector) => Vector): Skeleton {
  const other = (joint: Joint) =>
    (joint.startsWith('left') ? joint.replace('left', 'right') : joint.replace('right', 'left')) as Joint
  return Object.fromEntries(JOINTS.map((joint) => [joint, over(body[other(joint)])])) as Skeleton
}

/** Both on the side that is down: turned on the line that they look along, and laid on the mat. */
function lyingOn(pair: Pair, down: unknown): Pair {
  if (down !== 'left' && down !== 'right') return pair
  const turn = (body: Skeleton) => turnedBy(body, down === 'left' ? 1 : -1)
  const [over, under] = [turn(pair.over), turn(pair.under)]
  const lowest = Math.min(...[over, under].flatMap((body) => JOINTS.map((joint) => body[joint][2])))
  const lower = (body: Skeleton) => moved(body, ([x, y, z]) => [x, y, z - lowest + LYING])
  return { over: lower(over), under: lower(under) }
}

/** On their side the lowest joint is so far above the mat; and how far they tip, of a right angle. */
const [LYING, TIPS] = [5, 0.86]

function turnedBy(body: Skeleton, way: 1 | -1): Skeleton {
  const angle = (way * TIPS * Math.PI) / 2
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  return moved(body, ([x, y, z]) => [x * cos + z * sin, y, -x * sin + z * cos])
}

const moved = (body: Skeleton, by: (at: Vector) => Vector): Skeleton =>
  Object.fromEntries(JOINTS.map((joint) => [joint, by(body[joint])])) as Skeleton

/** How close a holding limb is drawn to what it holds, in centimetres: a limb is thin, a trunk and a head are not. */
export const WITHIN = { limb: 7, head: 13, chest: 17, trunk: 24 }

/** What of a hold touches: each of its limbs and the part of the other that it is on. */
export function contactsOf(hold: Hold, over: Person): Contact[] {
  const held = partHeld(hold.on)
  if (!held) return []
  const from = holder(hold) === over ? 'over' : 'under'
  const on = blendOf((hold.on ?? '').trim().toLowerCase().replaceAll(' ', '-'), held)
  const isThick = held === 'chest' || held.endsWith('hip')
  return hold.limbs.map((limb) => ({
    ...{ from, part: holdingPoint(limb), on },
    within: limb === 'chest' ? WITHIN.trunk : isThick ? WITHIN.chest : held === 'head' ? WITHIN.head : WITHIN.limb,
  }))
}

/** Where a hold is marked: on the part that it is on, or else on the limb that takes it. */
function touched(hold: Hold, bodies: Record<Person, Skeleton>): Vector {
  const by = holder(hold)
  const held = partHeld(hold.on)
  const [limb = 'chest'] = hold.limbs
  if (!held) return pointOf(bodies[by], holdingPoint(limb))
  return pointOf(
    bodies[by === 'ours' ? 'theirs' : 'ours'],
    blendOf((hold.on ?? '').trim().toLowerCase().replaceAll(' ', '-'), held),
  )
}

/** Least distance between two marks, in pixels. */
const MARK = 18

/** Moves marks that overlap side by side. */
function apart(marks: Mark[]): Mark[] {
  const placed: Mark[] = []
  for (const mark of marks) {
    let { at } = mark
    while (placed.some((other) => Math.hypot(other.at[0] - at[0], other.at[1] - at[1]) < MARK))
      at = [at[0] + MARK, at[1]]
    placed.push({ ...mark, at })
  }
  return placed
}
