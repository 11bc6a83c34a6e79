import { JOINTS, pointOf, STIFF, type Blend, type Joint, type Skeleton } from './skeleton'
import { length, minus, plus, type Vector } from './vector'

/** A part of one body that is to touch a part of another, no farther apart than `within`, in centimetres. */
export interface Contact {
  from: 'over' | 'under'
  part: Blend
  on: Blend
  within: number
}

export interface Pair {
  over: Skeleton
  under: Skeleton
}

/** How far from the mat a joint stays, in centimetres. */
const THICK: Record<string, number> = { head: 10, shoulder: 8, hip: 9, elbow: 4, hand: 3, knee: 6, foot: 4 }
/** How easily a joint gives way to a contact or a bone: hands and feet more easily than the trunk. */
const LIGHT: Record<string, number> = { head: 0.5, shoulder: 0.25, hip: 0.2, elbow: 0.9, hand: 1, knee: 0.7, foot: 0.8 }
const kindOf = (joint: Joint) => joint.replace(/^(left|right)-/, '')
const lightOf = (joint: Joint) => LIGHT[kindOf(joint)] ?? 1

/** Rounds in which the pose still draws the bodies back, and rounds in which only bones and contacts count. */
const [SOFT_ROUNDS, HARD_ROUNDS] = [60, 60]
/** The part of the way back to its pose that a joint goes in a round. */
const BACK = 0.03

/**
 * Two bodies in their poses, drawn together until their contacts touch while bones keep their lengths and nothing is
 * under the mat. Each condition is met in turn, over and over, as by position based dynamics (Müller et al. 2007).
 */
export function broughtTogether(rest: Pair, contacts: readonly Contact[]): Pair {
  const now: Pair = { over: { ...rest.over }, under: { ...rest.under } }
  for (let round = 0; round < SOFT_ROUNDS + HARD_ROUNDS; round++) {
    if (round < SOFT_ROUNDS) drawBack(now, rest)
    for (const contact of contacts) touch(now, contact)
    for (const body of [now.over, now.under]) {
      for (const [a, b, bone] of STIFF) keepLength(body, a, b, bone)
      stayOnMat(body)
    }
  }
  for (const body of [now.over, now.under]) straighten(body)
  return now
}

function drawBack(now: Pair, rest: Pair): void {
  for (const who of ['over', 'under'] as const)
    for (const joint of JOINTS)
      now[who][joint] = plus(now[who][joint], minus(rest[who][joint], now[who][joint]), BACK / lightOf(joint) / 2)
}

function touch(now: Pair, { from, part, on, within }: Contact): void {
  const [holder, held] = from === 'over' ? [now.over, now.under] : [now.under, now.over]
  const gap = minus(pointOf(held, on), pointOf(holder, part))
  const apart = length(gap)
  if (apart <= within) return
  const share = (blend: Blend) => blend.reduce((sum, [joint, by]) => sum + lightOf(joint) * by * by, 0)
  const step = (apart - within) / apart / (share(part) + share(on))
  for (const [joint, by] of part) holder[joint] = plus(holder[joint], gap, step * lightOf(joint) * by)
  for (const [joint, by] of on) held[joint] = plus(held[joint], gap, -step * lightOf(joint) * by)
}

function keepLength(body: Skeleton, a: Joint, b: Joint, bone: number): void {
  const way = minus(body[b], body[a])
  const now = length(way)
  if (now < 1e-6) return
  const off = (now - bone) / now / (lightOf(a) + lightOf(b))
  body[a] = plus(body[a], way, off * lightOf(a))
  body[b] = plus(body[b], way, -off * lightOf(b))
}

function stayOnMat(body: Skeleton): void {
  for (const joint of JOINTS) {
    const [x, y, z] = body[joint]
    body[joint] = [x, y, Math.max(THICK[kindOf(joint)] ?? 0, z)] satisfies Vector
  }
}

/** Limbs keep the lengths of their bones to the last: from the trunk outwards. */
function straighten(body: Skeleton): void {
  for (const [a, b, bone] of STIFF) {
    const isLimb = /elbow|hand|knee|foot/.test(b)
    if (!isLimb) continue
    const way = minus(body[b], body[a])
    const now = length(way)
    if (now > bone) body[b] = plus(body[a], way, bone / now)
  }
}
