import { sure, present } from '../sure'
import { holder, type Hold } from '../chart/hold'
import type { Limb, Person } from '../chart/words'
import { theirKey, type Orientation } from '../sides/frames'
import { partHeld } from '../limbScore/rows'
import { HEIGHT, POSES, WIDTH, type FramePoses, type Point, type Pose } from './poses'

/** One person as drawn, in pixels of the figure: a head, a trunk, and limbs of three points each. */
export interface Body {
  by: Person
  head: Point
  trunk: Point[]
  /** Left arm, right arm, left leg, right leg: from the trunk to the hand or foot. */
  limbs: [Point, Point, Point][]
}

/** The numbered mark of a hold, at its point of contact. */
export interface Mark {
  n: number
  hold: Hold
  at: Point
}

export interface Figure {
  ours: Body
  theirs: Body
  /** The person in control, drawn last; on the back, their trunk is drawn first and only their limbs last. */
  over: Person
  isBehind: boolean
  marks: Mark[]
  /** On the back: the side of the figure on which the mat is; null where they do not lie on a side. */
  mat: 'left' | 'right' | null
}

interface Shown {
  frame: string | undefined
  orientation: Orientation
  /** The person in control. */
  over: Person
  /** The holds that are on; the first is number 1. */
  holds: readonly Hold[]
}

/** Both people with the marks of the holds, seen from the frame's fixed view; null where the frame has no figure. */
export function figureOf({ frame, orientation, over, holds }: Shown): Figure | null {
  const poses = POSES[frame ?? '']
  if (!poses) return null
  const under: Person = over === 'ours' ? 'theirs' : 'ours'
  const rest = {
    [over]: posed(poses, poses.over, orientation, over, over),
    [under]: posed(poses, poses.under, orientation, under, over),
  } as Record<Person, Pose>
  // First who is controlled, so that what holds their limbs goes to where these are.
  const bodies = {} as Record<Person, Body>
  bodies[under] = bodyOf(under, rest[under], holds, { [over]: resting(over, rest[over]) })
  bodies[over] = bodyOf(over, rest[over], holds, bodies)
  const marks = apart(holds.map((hold, i) => ({ n: i + 1, hold, at: contact(hold, bodies) })))
  const mat = poses.isBehind && (orientation.down === 'left' || orientation.down === 'right') ? orientation.down : null
  return { ours: bodies.ours, theirs: bodies.theirs, over, isBehind: Boolean(poses.isBehind), marks, mat }
}

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

/** Least distance between two marks, in pixels. */
const MARK = 18

/** The pose for this orientation: mirrored over the frame's axis, with left and right swapped, for the other side. */
function posed({ turns, leads }: FramePoses, pose: Pose, orientation: Orientation, by: Person, over: Person): Pose {
  if (leads) return orientation[by === 'ours' ? 'lead' : 'theirLead'] === 'left' ? turnedOver(pose, 'y') : pose
  const side = turns && orientation[over === 'ours' ? turns.fact : theirKey(turns.fact)]
  return side && side !== turns.drawnFor ? turnedOver(pose, turns.axis) : pose
}

function turnedOver({ head, shoulders, hips, hands, feet, ...rest }: Pose, axis: 'x' | 'y'): Pose {
  const over = ([x, y]: Point): Point => (axis === 'x' ? [2 * 160 - x, y] : [x, HEIGHT - y])
  const pair = ([left, right]: Pose['hands']): Pose['hands'] => [over(right), over(left)]
  return {
    ...rest,
    head: over(head),
    shoulders: pair(shoulders),
    hips: pair(hips),
    hands: pair(hands),
    feet: pair(feet),
  }
}

const resting = (by: Person, pose: Pose): Body => bodyOf(by, pose, [], {})

/** Length of each of the two bones of an arm and of a leg, in pixels; `standing`: of a leg seen from above. */
const BONES = { arm: 34, leg: 46, standing: 22 }

function bodyOf(by: Person, pose: Pose, holds: readonly Hold[], others: Partial<Record<Person, Body>>): Body {
  const own = holds.filter((hold) => holder(hold) === by)
  const other = others[by === 'ours' ? 'theirs' : 'ours']
  const middle = mean(...pose.shoulders, ...pose.hips)
  const limb = (side: 0 | 1, kind: 'arm' | 'leg'): [Point, Point, Point] => {
    const name = side === 0 ? 'left' : 'right'
    const bone = BONES[pose.stands && kind === 'leg' ? 'standing' : kind]
    const [joint, end] = kind === 'arm' ? ['elbow', 'hand'] : ['knee', 'foot']
    const root = (kind === 'arm' ? pose.shoulders : pose.hips)[side]
    const rest = (kind === 'arm' ? pose.hands : pose.feet)[side]
    const at = (part: string) => {
      const hold = own.find(({ limbs }) => limbs.some((limb) => limb === `${name}-${part}`))
      const point = hold && other && pointOn(hold.on, other)
      // A hand or knee on the trunk stays on its own side of it.
      return point && partHeld(hold.on) === 'chest' ? between(point, end === part ? rest : pose.hips[side], 0.3) : point
    }
    const tip = at(end) ?? rest
    const bent = at(joint)
    if (bent && !at(end)) return [root, bent, beyond(bent, tip, bone)]
    return [root, bent ?? bend(root, tip, middle, bone), tip]
  }
  return {
    ...{ by, head: pose.head },
    trunk: [pose.shoulders[0], pose.shoulders[1], pose.hips[1], pose.hips[0]],
    limbs: [limb(0, 'arm'), limb(1, 'arm'), limb(0, 'leg'), limb(1, 'leg')],
  }
}

/** The joint between two bones of length `bone`, on the side away from `middle`. */
function bend(from: Point, to: Point, middle: Point, bone: number): Point {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const distance = Math.hypot(dx, dy) || 1
  const half = distance / 2
  const out = Math.sqrt(Math.max(0, bone * bone - half * half))
  const [mx, my] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
  const [nx, ny] = [-dy / distance, dx / distance]
  const away = (mx - middle[0]) * nx + (my - middle[1]) * ny >= 0 ? 1 : -1
  return within([mx + away * out * nx, my + away * out * ny])
}

/** The end of a limb whose joint is fixed: one bone's length from the joint towards the point `rest`. */
function beyond(joint: Point, rest: Point, bone: number): Point {
  const [dx, dy] = [rest[0] - joint[0], rest[1] - joint[1]]
  const distance = Math.hypot(dx, dy) || 1
  const reach = Math.min(bone, distance)
  return within([joint[0] + (dx / distance) * reach, joint[1] + (dy / distance) * reach])
}

const within = ([x, y]: Point): Point => [Math.max(6, Math.min(WIDTH - 6, x)), Math.max(6, Math.min(HEIGHT - 6, y))]
const mean = (...points: Point[]): Point => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
]
const between = ([ax, ay]: Point, [bx, by]: Point, share = 0.5): Point => [
  ax + (bx - ax) * share,
  ay + (by - ay) * share,
]

/** The point of contact of a hold: the part of the other person that it is on, or else the limb that takes it. */
function contact(hold: Hold, bodies: Record<Person, Body>): Point {
  const by = holder(hold)
  return pointOn(hold.on, bodies[by === 'ours' ? 'theirs' : 'ours']) ?? limbPoint(sure(hold.limbs[0]), bodies[by])
}

function limbPoint(limb: Limb, { head, trunk, limbs }: Body): Point {
  if (limb === 'head') return head
  if (limb === 'chest') return between(mean(sure(trunk[0]), sure(trunk[1])), mean(sure(trunk[2]), sure(trunk[3])), 0.3)
  const [side, part = ''] = limb.split('-')
  const right = side === 'right' ? 1 : 0
  const arm = ['hand', 'elbow', 'shoulder'].indexOf(part)
  return arm >= 0
    ? sure(sure(limbs[right])[2 - arm])
    : sure(sure(limbs[2 + right])[2 - ['foot', 'knee', 'hip'].indexOf(part)])
}

/** The point of a body for the word that a hold is on; undefined for an unknown word. */
function pointOn(on: string | undefined, body: Body): Point | undefined {
  const held = partHeld(on)
  if (!held) return undefined
  const word = present(on).replace(/^(left|right)-/, '')
  const [side] = held.split('-')
  const [shoulders, hips] = [
    mean(sure(body.trunk[0]), sure(body.trunk[1])),
    mean(sure(body.trunk[2]), sure(body.trunk[3])),
  ]
  if (held === 'head')
    return word === 'neck' || word === 'throat' || word === 'collar' ? between(body.head, shoulders, 0.55) : body.head
  if (held === 'chest')
    return trunkPoint(word, present(on).startsWith('left'), present(on).startsWith('right'), body, shoulders, hips)
  const [arm, thigh] = [sure(body.limbs[side === 'right' ? 1 : 0]), sure(body.limbs[side === 'right' ? 3 : 2])]
  if (word === 'thigh') return between(sure(thigh[0]), sure(thigh[1]), 0.6)
  if (word === 'wrist') return between(sure(arm[2]), sure(arm[1]), 0.15)
  if (word === 'biceps' || word === 'triceps') return between(sure(arm[0]), sure(arm[1]))
  return limbPoint(held, body)
}

function trunkPoint(word: string, isLeft: boolean, isRight: boolean, body: Body, shoulders: Point, hips: Point): Point {
  if (word === 'armpit' && (isLeft || isRight))
    return between(sure(body.trunk[isLeft ? 0 : 1]), sure(body.trunk[isLeft ? 3 : 2]), 0.25)
  const down = { belly: 0.6, waist: 0.75, belt: 0.8, hips: 0.95, ribs: 0.45, back: 0.4, spine: 0.4 }[word] ?? 0.3
  return between(shoulders, hips, down)
}
