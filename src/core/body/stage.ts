import type { Limb, Person } from '../chart/words'
import { JOINTS, pointOf, type Blend, type Joint, type Skeleton } from './skeleton'
import type { View } from './pairs'
import { rowOf } from '../limbScore/rows'
import { cross, dot, minus, plus, unit, type Vector } from './vector'

export type Flat = readonly [x: number, y: number]

/** The field of a figure, in pixels. */
export const [WIDTH, HEIGHT] = [330, 230]
/** Pixels a centimetre at most, and room at the edges of the field. */
const [LARGEST, EDGE] = [1.6, 14]

/** One stroke of a figure: a limb's bone, a trunk or a head. */
export interface Stroke {
  key: string
  by: Person
  kind: 'bone' | 'trunk' | 'head' | 'nose'
  points: Flat[]
  /** Thickness, in pixels. */
  width: number
  /** It is of the limb that moves. */
  isMoving: boolean
}

/** What is drawn of two bodies, the farthest first, with their shadows and the line of the mat. */
export interface Drawn {
  strokes: Stroke[]
  shadows: { points: Flat[]; width: number }[]
  /** The height at which the line of the mat is seen behind them. */
  mat: number
  /** Where a point in space is in the picture. */
  at: (point: Vector) => Flat
}

/** Bones as drawn, each with how thick it is, in centimetres, and the limb it is of. */
const DRAWN: readonly (readonly [from: Joint, to: Joint, thick: number, limb: string])[] = (
  ['left', 'right'] as const
).flatMap((side) => [
  [`${side}-shoulder`, `${side}-elbow`, 10, `${side}-arm`] as const,
  [`${side}-elbow`, `${side}-hand`, 8, `${side}-arm`] as const,
  [`${side}-hip`, `${side}-knee`, 14, `${side}-leg`] as const,
  [`${side}-knee`, `${side}-foot`, 10, `${side}-leg`] as const,
])
/** A hand and a foot are so long and thick beyond their bone. */
const ENDS: Record<string, readonly [long: number, thick: number]> = { hand: [4, 9], foot: [12, 8] }
const [HEAD, TRUNK] = [21, 16]
/** The nose is so far from the middle of the head. */
const NOSE = 12

/** Two bodies as strokes, seen from a fixed view, with the nearer over the farther. */
export function strokesOf(
  bodies: Record<Person, Skeleton>,
  view: View,
  moving: readonly { by: Person; limb: Limb }[],
): Drawn {
  const look = lookFrom(view)
  const flat = (['ours', 'theirs'] as const).flatMap((by) => JOINTS.map((joint) => look(bodies[by][joint])))
  const [xs, ys] = [flat.map(([x]) => x), flat.map(([, y]) => y)]
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const scale = Math.min(
    LARGEST,
    (WIDTH - 2 * EDGE - HEAD) / (right - left),
    (HEIGHT - 2 * EDGE - HEAD) / (bottom - top),
  )
  const at = (point: Vector): Flat => {
    const [x, y] = look(point)
    return [WIDTH / 2 + (x - (left + right) / 2) * scale, HEIGHT / 2 + (y - (top + bottom) / 2) * scale]
  }
  const isMoving = (by: Person, limb: string) =>
    moving.some((one) => one.by === by && rowOf(by, one.limb).limb === limb)
  const parts = (['ours', 'theirs'] as const).flatMap((by) => partsOf(bodies[by]).map((part) => ({ ...part, by })))
  const strokes = parts
    .sort((a, b) => look(b.middle)[2] - look(a.middle)[2])
    .map(({ key, by, kind, points, thick, limb }): Stroke => ({
      ...{ key: `${by} ${key}`, by, kind, points: points.map(at), width: thick * scale },
      isMoving: limb !== undefined && isMoving(by, limb),
    }))
  const onMat = ([x, y]: Vector): Vector => [x, y, 0]
  const shadows = parts
    .filter(({ kind }) => kind !== 'nose')
    .map(({ points, thick }) => ({ points: points.map((point) => at(onMat(point))), width: thick * scale }))
  return { strokes, shadows, mat: at([0, 0, 0])[1], at }
}

/** How a point is seen: across, down, and how far away it is. */
function lookFrom({ turned, above }: View): (point: Vector) => readonly [number, number, number] {
  const [t, a] = [(turned * Math.PI) / 180, (above * Math.PI) / 180]
  const [ct, st, ca, sa] = [Math.cos(t), Math.sin(t), Math.cos(a), Math.sin(a)]
  return ([x, y, z]) => {
    const [across, away] = [x * ct + y * st, y * ct - x * st]
    return [across, -(z * ca + away * sa), away * ca - z * sa]
  }
}

interface Part {
  key: string
  kind: Stroke['kind']
  points: Vector[]
  thick: number
  middle: Vector
  limb?: string
}

const TRUNK_CORNERS = ['left-shoulder', 'right-shoulder', 'right-hip', 'left-hip'] as const
const middleOf = (body: Skeleton, joints: readonly Joint[]): Vector =>
  pointOf(
    body,
    joints.map((joint): Blend[number] => [joint, 1 / joints.length]),
  )

function partsOf(body: Skeleton): Part[] {
  const corners = TRUNK_CORNERS.map((joint) => body[joint])
  const neck = middleOf(body, ['left-shoulder', 'right-shoulder'])
  const bones = DRAWN.flatMap(([from, to, thick, limb]): Part[] => {
    const [a, b] = [body[from], body[to]]
    const [, kind = ''] = to.split('-')
    const end = ENDS[kind]
    const bone: Part = { key: to, kind: 'bone', points: [a, b], thick, middle: middleOf(body, [from, to]), limb }
    if (!end) return [bone]
    const tip = plus(b, unit(kind === 'foot' ? toes(body, limb) : minus(b, a)), end[0])
    return [bone, { key: `${to}-end`, kind: 'bone', points: [b, tip], thick: end[1], middle: tip, limb }]
  })
  return [
    { key: 'trunk', kind: 'trunk', points: corners, thick: TRUNK, middle: middleOf(body, TRUNK_CORNERS) },
    {
      key: 'neck',
      kind: 'bone',
      points: [neck, body.head],
      thick: 9,
      middle: middleOf(body, ['head', 'left-shoulder', 'right-shoulder']),
    },
    { key: 'head', kind: 'head', points: [body.head], thick: HEAD, middle: body.head },
    noseOf(body),
    ...bones,
  ]
}

/** Toes point where the chest looks, less the part of that along the shin. */
function toes(body: Skeleton, limb: string): Vector {
  const side = limb.startsWith('left') ? 'left' : 'right'
  const foot = body[`${side}-foot`]
  const shin = unit(minus(foot, body[`${side}-knee`]))
  const front = frontOf(body)
  const across = plus(front, shin, -dot(front, shin))
  return foot[2] < FLAT && across[2] < -0.3 ? [across[0], across[1], 0] : across
}

/** The sole of a foot that is so low is on the mat. */
const FLAT = 8

/** The way the chest looks. */
function frontOf(body: Skeleton): Vector {
  const up = minus(middleOf(body, ['left-shoulder', 'right-shoulder']), middleOf(body, ['left-hip', 'right-hip']))
  return unit(cross(minus(body['left-shoulder'], body['right-shoulder']), up))
}

/** A small mark on the head that shows where it looks. */
function noseOf(body: Skeleton): Part {
  const tip = plus(body.head, frontOf(body), NOSE)
  return { key: 'nose', kind: 'nose', points: [tip], thick: 6, middle: tip }
}
