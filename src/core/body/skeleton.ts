import { sure } from '../sure'
import type { Limb } from '../chart/words'
import { cross, dot, length, minus, plus, unit, type Vector } from './vector'

/** The points of a body, in the order in which they are kept. */
export const JOINTS = [
  'head',
  'left-shoulder',
  'right-shoulder',
  'left-hip',
  'right-hip',
  'left-elbow',
  'right-elbow',
  'left-hand',
  'right-hand',
  'left-knee',
  'right-knee',
  'left-foot',
  'right-foot',
] as const
export type Joint = (typeof JOINTS)[number]

/** A body: one point a joint. */
export type Skeleton = Record<Joint, Vector>

/** Lengths of the bones of a grown body of 170, in centimetres. */
export const BONES = { upperArm: 29, forearm: 27, thigh: 42, shin: 41, spine: 48, shoulders: 34, hips: 20, neck: 21 }

/** Every bone that keeps its length: its two ends. A limb has two, the trunk is held by six and the head by two. */
export const STIFF: readonly (readonly [Joint, Joint, number])[] = [
  ...(['left', 'right'] as const).flatMap((side) => [
    [`${side}-shoulder`, `${side}-elbow`, BONES.upperArm] as const,
    [`${side}-elbow`, `${side}-hand`, BONES.forearm] as const,
    [`${side}-hip`, `${side}-knee`, BONES.thigh] as const,
    [`${side}-knee`, `${side}-foot`, BONES.shin] as const,
    [`${side}-shoulder`, `${side}-hip`, Math.hypot(BONES.spine, (BONES.shoulders - BONES.hips) / 2)] as const,
    ['head', `${side}-shoulder`, Math.hypot(BONES.neck, BONES.shoulders / 2)] as const,
  ]),
  ['left-shoulder', 'right-shoulder', BONES.shoulders],
  ['left-hip', 'right-hip', BONES.hips],
  ['left-shoulder', 'right-hip', Math.hypot(BONES.spine, (BONES.shoulders + BONES.hips) / 2)],
  ['right-shoulder', 'left-hip', Math.hypot(BONES.spine, (BONES.shoulders + BONES.hips) / 2)],
]

type Pair<T> = readonly [left: T, right: T]

/** A point or a direction of the left, then one of the right. */
type Both = readonly [lx: number, ly: number, lz: number, rx: number, ry: number, rz: number]
const partOf = (both: Both, i: 0 | 1): Vector => (i ? [both[3], both[4], both[5]] : [both[0], both[1], both[2]])

/** How a body lies or stands: where the hips are, where the trunk goes and looks, and where hands and feet are. */
export interface Pose {
  /** Between the hips. */
  hips: Vector
  /** From the hips to the neck, and to where the chest looks. */
  spine: Vector
  front: Vector
  /** From the neck to the head; as the spine where it is not said. */
  head?: Vector
  hands: Both
  feet: Both
  /** Where elbows and knees point; outwards and down, and forwards where it is not said. */
  elbows?: Both
  knees?: Both
}

/** The body of a pose: every bone of its length, elbows and knees where they point. */
export function skeletonOf({ hips, spine, front, head, hands, feet, elbows, knees }: Pose): Skeleton {
  const up = unit(spine)
  const left = unit(cross(up, front))
  const ahead = unit(cross(left, up))
  const neck = plus(hips, up, BONES.spine)
  const at = (middle: Vector, half: number): Pair<Vector> => [plus(middle, left, half), plus(middle, left, -half)]
  const [shoulders, pelvis] = [at(neck, BONES.shoulders / 2), at(hips, BONES.hips / 2)]
  const down: Vector = [0, 0, -1]
  const aside = (i: 0 | 1): Vector => plus(plus(down, left, i ? -0.7 : 0.7), ahead, -0.3)
  const arm = (i: 0 | 1) =>
    bent(shoulders[i], partOf(hands, i), [BONES.upperArm, BONES.forearm], elbows ? partOf(elbows, i) : aside(i))
  const leg = (i: 0 | 1) =>
    bent(
      pelvis[i],
      partOf(feet, i),
      [BONES.thigh, BONES.shin],
      knees ? partOf(knees, i) : plus(ahead, left, i ? -0.4 : 0.4),
    )
  const [[leftElbow, leftHand], [rightElbow, rightHand]] = [arm(0), arm(1)]
  const [[leftKnee, leftFoot], [rightKnee, rightFoot]] = [leg(0), leg(1)]
  return {
    head: plus(neck, unit(head ?? up), BONES.neck),
    ...{ 'left-shoulder': shoulders[0], 'right-shoulder': shoulders[1], 'left-hip': pelvis[0], 'right-hip': pelvis[1] },
    ...{ 'left-elbow': leftElbow, 'right-elbow': rightElbow, 'left-hand': leftHand, 'right-hand': rightHand },
    ...{ 'left-knee': leftKnee, 'right-knee': rightKnee, 'left-foot': leftFoot, 'right-foot': rightFoot },
  }
}

/** Joint and end of a limb of two bones that reaches for a point: as far as it goes, bent towards `pole`. */
function bent(root: Vector, goal: Vector, [upper, lower]: Pair<number>, pole: Vector): [Vector, Vector] {
  const way = minus(goal, root)
  const reach = Math.min(length(way), (upper + lower) * 0.995)
  const along = unit(way)
  const far = Math.max(reach, Math.abs(upper - lower) + 1)
  const part = (upper * upper - lower * lower + far * far) / (2 * far)
  const out = Math.sqrt(Math.max(0, upper * upper - part * part))
  const aside = unit(minus(pole, scaled(along, dot(pole, along))))
  return [plus(plus(root, along, part), aside, out), plus(root, along, far)]
}

const scaled = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by]

/** A point of a body as parts of its joints, which sum to 1. */
export type Blend = readonly (readonly [Joint, number])[]

export const pointOf = (body: Skeleton, blend: Blend): Vector =>
  blend.reduce<Vector>((sum, [joint, part]) => plus(sum, body[joint], part), [0, 0, 0])

const mid = (a: Joint, b: Joint, part = 0.5): Blend => [
  [a, 1 - part],
  [b, part],
]

/** So far down the trunk is what a word names, from the shoulders to the hips. */
const DOWN: Record<string, number> = {
  belly: 0.6,
  waist: 0.75,
  belt: 0.8,
  hips: 0.95,
  ribs: 0.45,
  back: 0.35,
  spine: 0.4,
}

/** Where on a body the part is that a hold is on: `left-wrist`, `neck`, `ribs`; undefined for an unknown word. */
export function blendOf(on: string, held: Limb): Blend {
  const [, side, word = ''] = /^(?:(left|right)-)?(.+)$/.exec(on) ?? []
  if (held === 'head')
    return ['neck', 'throat', 'collar'].includes(word)
      ? [
          ['head', 0.4],
          ['left-shoulder', 0.3],
          ['right-shoulder', 0.3],
        ]
      : [['head', 1]]
  if (held === 'chest') return trunk(word === 'armpit' ? 0.2 : (DOWN[word] ?? 0.25), side)
  const own = side === 'right' ? 'right' : 'left'
  if (word === 'thigh') return mid(`${own}-hip`, `${own}-knee`, 0.6)
  if (word === 'shin' || word === 'calf') return mid(`${own}-knee`, `${own}-foot`)
  if (word === 'wrist' || word === 'sleeve') return mid(`${own}-hand`, `${own}-elbow`, 0.15)
  if (word === 'forearm') return mid(`${own}-hand`, `${own}-elbow`)
  if (['biceps', 'triceps', 'arm', 'upper-arm'].includes(word)) return mid(`${own}-shoulder`, `${own}-elbow`)
  return [[sure(jointOf(held)), 1]]
}

function trunk(down: number, side: string | undefined): Blend {
  const left = side === 'left' ? 1 : side === 'right' ? 0 : 0.5
  return [
    ['left-shoulder', (1 - down) * left],
    ['right-shoulder', (1 - down) * (1 - left)],
    ['left-hip', down * left],
    ['right-hip', down * (1 - left)],
  ]
}

/** The point of a limb with which it holds. */
export const holdingPoint = (limb: Limb): Blend =>
  limb === 'chest' ? trunk(0.25, undefined) : [[sure(jointOf(limb)), 1]]

const jointOf = (limb: Limb): Joint | undefined => JOINTS.find((joint) => joint === limb)
