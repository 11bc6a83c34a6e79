import { readdirSync, readFileSync } from 'node:fs'
import { figureOf, type Figure } from '../../src/core/body/body'
import { figureOfPosition } from '../../src/core/body/ofPosition'
import { poseFor, POSES } from '../../src/core/body/poses'
import { BONES, JOINTS, skeletonOf, type Joint } from '../../src/core/body/skeleton'
import { HEIGHT, WIDTH } from '../../src/core/body/stage'
import { STARTS } from '../../src/core/body/starts'
import type { Vector } from '../../src/core/body/vector'
import type { Chart } from '../../src/core/chart/chart'
import { holder, type Hold } from '../../src/core/chart/hold'
import type { Position } from '../../src/core/chart/position'
import { holdsOf } from '../../src/core/limbScore/limbs'
import { FRAMES } from '../../src/core/sides/frames'
import { mirrorChart } from '../../src/core/sides/mirror'
import { demoPlan } from '../fixtures/demoPlan'

const SHELF = 'src/shelf'
const demo = demoPlan()
const regions = readdirSync(SHELF)
  .filter((name) => name.endsWith('.json'))
  .map((name) => JSON.parse(readFileSync(`${SHELF}/${name}`, 'utf8')) as Chart)
/** Every position of the demo and the Shelf, as charted and in the mirror. */
const all = [demo, ...regions].flatMap((chart) =>
  [chart, mirrorChart(chart)].flatMap((seen) => seen.positions.map((position) => ({ chart: seen, position }))),
)
const apart = (a: Vector, b: Vector) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
const frameOf = ({ frame, family }: Position) => frame ?? family

/** The nearest that a point comes to the line between two others. */
function toLine(point: Vector, a: Vector, b: Vector): number {
  const steps = Array.from({ length: 101 }, (_, i): Vector => {
    const [x, y, z] = [0, 1, 2].map((k) => a[k] + ((b[k] - a[k]) * i) / 100)
    return [x, y, z]
  })
  return Math.min(...steps.map((step) => apart(point, step)))
}

/** Between which joints the part lies that a hold is on, by its word. */
function linesOf(on: string): [Joint, Joint][] {
  const [, side, word = ''] = /^(?:(left|right)-)?(.+)$/.exec(on.trim().toLowerCase().replaceAll(' ', '-')) ?? []
  const at = (a: string, b: string): [Joint, Joint][] => [[`${side}-${a}`, `${side}-${b}`] as [Joint, Joint]]
  if (/^(wrist|hand|forearm|sleeve|thumb|fingers)$/.test(word)) return at('elbow', 'hand')
  if (/^(elbow|biceps|triceps|arm|upper-arm)$/.test(word)) return at('shoulder', 'elbow')
  if (/^(ankle|foot|heel|toes|shin|calf)$/.test(word)) return at('knee', 'foot')
  if (/^(knee|thigh|leg)$/.test(word)) return at('hip', 'knee')
  if (/^(head|neck|chin|face|jaw|nose|throat|collar)$/.test(word))
    return [
      ['head', 'left-shoulder'],
      ['head', 'right-shoulder'],
    ]
  if (side && /^(shoulder|armpit|hip)$/.test(word)) return at('shoulder', 'hip')
  return [
    ['left-shoulder', 'right-hip'],
    ['right-shoulder', 'left-hip'],
  ]
}

/** A limb that holds is drawn no farther from the part that it is on, in centimetres: as thick as the two are. */
const STATED = { limb: 9, trunk: 26 }
const isThick = (on: string) =>
  !/wrist|hand|forearm|sleeve|elbow|biceps|triceps|arm$|ankle|foot|knee|thigh|leg|shin/.test(on)

function gaps(figure: Figure, hold: Hold): { limb: string; gap: number }[] {
  const [own, other] = [figure.bodies[holder(hold)], figure.bodies[holder(hold) === 'ours' ? 'theirs' : 'ours']]
  return hold.limbs.flatMap((limb) => {
    const chest = JOINTS.slice(1, 5).reduce<Vector>(
      (sum, joint) => {
        const [x, y, z] = own[joint]
        const part = joint.endsWith('shoulder') ? 0.375 : 0.125
        return [sum[0] + x * part, sum[1] + y * part, sum[2] + z * part]
      },
      [0, 0, 0],
    )
    const from = limb === 'chest' ? chest : own[limb as Joint]
    const lines = linesOf(hold.on ?? '')
    return [{ limb, gap: Math.min(...lines.map(([a, b]) => toLine(from, other[a], other[b]))) }]
  })
}

describe('the figure of a position', () => {
  it('is there for every frame, of the table, the demo and the Shelf, with holds or none, whoever is in control', () => {
    const frames = new Set([...FRAMES.map(({ id }) => id), ...all.map(({ position }) => frameOf(position))])
    for (const frame of frames)
      for (const over of ['ours', 'theirs'] as const) {
        const figure = figureOf({ frame, orientation: {}, over, holds: [] })
        expect([frame, figure?.over]).toEqual([frame, over])
      }
    for (const { chart, position } of all)
      expect([position.name, figureOfPosition(chart, position)]).not.toEqual([position.name, null])
    for (const { name, frame, sides, over } of STARTS)
      expect(figureOf({ frame, name, orientation: sides, over, holds: [] })).not.toBeNull()
    for (const frame of ['their own', 'constructor', undefined])
      expect(figureOf({ frame, orientation: {}, over: 'ours', holds: [] })).toBeNull()
  })

  it('has each holding limb on the part that it holds, for every hold of demo and Shelf, on both sides', () => {
    let count = 0
    const off: string[] = []
    for (const { chart, position } of all) {
      const figure = figureOfPosition(chart, position)!
      for (const hold of holdsOf(chart, position.holds ?? [])) {
        if (!hold.on) continue
        const stated = isThick(hold.on) || hold.limbs.includes('chest') ? STATED.trunk : STATED.limb
        for (const { limb, gap } of gaps(figure, hold)) {
          count++
          if (gap > stated) off.push(`${position.name}: ${hold.name}, ${limb}, ${gap}`)
        }
      }
    }
    expect(off).toEqual([])
    expect(count).toBeGreaterThan(800)
  })

  it('has no limb longer than its bones, in space and as drawn, and nothing under the mat', () => {
    const lengths = { elbow: BONES.upperArm, hand: BONES.forearm, knee: BONES.thigh, foot: BONES.shin }
    for (const { chart, position } of all) {
      const { bodies, at } = figureOfPosition(chart, position)!
      const [a, b] = [at([0, 0, 0]), at([1, 0, 0])]
      const scale = Math.hypot(a[0] - b[0], a[1] - b[1])
      for (const body of [bodies.ours, bodies.theirs])
        for (const side of ['left', 'right'] as const)
          for (const [end, bone] of Object.entries(lengths)) {
            const from = { elbow: 'shoulder', hand: 'elbow', knee: 'hip', foot: 'knee' }[end]!
            const [p, q] = [body[`${side}-${from}` as Joint], body[`${side}-${end}` as Joint]]
            expect(apart(p, q)).toBeLessThanOrEqual(bone * 1.02)
            const [flatP, flatQ] = [at(p), at(q)]
            // Seen turned, a centimetre across is never longer than one that is seen straight.
            expect(Math.hypot(flatP[0] - flatQ[0], flatP[1] - flatQ[1])).toBeLessThanOrEqual(
              (bone * 1.02 * scale) / 0.88,
            )
            expect(q[2]).toBeGreaterThan(0)
          }
    }
  })

  it('keeps everything within its field, and numbers apart', () => {
    for (const { chart, position } of all) {
      const { strokes, marks } = figureOfPosition(chart, position)!
      const outside = strokes.filter(({ points }) => points.some(([x, y]) => x < 0 || x > WIDTH || y < 0 || y > HEIGHT))
      expect([position.name, outside.map(({ key }) => key)]).toEqual([position.name, []])
      marks.forEach(({ at }, i) => {
        for (const other of marks.slice(i + 1))
          expect(Math.hypot(at[0] - other.at[0], at[1] - other.at[1])).toBeGreaterThan(8)
      })
    }
  })

  it('is the mirror image where the chart is mirrored: what is right is left', () => {
    const seen = mirrorChart(demo)
    const off: string[] = []
    for (const [i, position] of demo.positions.entries()) {
      if (position.frame === 'standing') continue
      const [one, other] = [figureOfPosition(demo, position)!, figureOfPosition(seen, seen.positions[i])!]
      const facts = Object.values(position.orientation ?? {}).some((side) => side === 'left' || side === 'right')
      if (!facts) continue
      for (const by of ['ours', 'theirs'] as const)
        for (const joint of JOINTS) {
          const swapped = joint.replace(/^(left|right)/, (side) => (side === 'left' ? 'right' : 'left')) as Joint
          const [x, y, z] = one.bodies[by][joint]
          if (apart([-x, y, z], other.bodies[by][swapped]) > 3) off.push(`${position.name}: ${by} ${joint}`)
        }
    }
    expect(off).toEqual([])
  })
})

describe('how they are in their frames', () => {
  const bodies = (pose: string) => {
    const { over, under } = POSES[pose]
    return { over: skeletonOf(over), under: skeletonOf(under) }
  }
  const trunk = (body: ReturnType<typeof skeletonOf>, axis: 0 | 1 | 2) =>
    (body['left-shoulder'][axis] + body['right-shoulder'][axis]) / 2

  it('has who is on top on top', () => {
    for (const pose of [
      'side',
      'knee-ride',
      'mount',
      'north-south',
      'guard',
      'half-guard',
      'turtle',
      'ride',
      'prone',
    ]) {
      const { over, under } = bodies(pose)
      expect([pose, trunk(over, 2) > trunk(under, 2)]).toEqual([pose, true])
    }
  })

  it('tells headlock standing from kneeling, and half guard from closed guard', () => {
    expect(trunk(bodies('headlock-standing').over, 2)).toBeGreaterThan(trunk(bodies('headlock').over, 2) + 40)
    expect(poseFor('headlock', 'Front headlock, on the feet')).toBe(POSES['headlock-standing'])
    expect(poseFor('headlock', 'Front headlock, knees down')).toBe(POSES.headlock)
    expect(poseFor('guard', 'Half guard, on top')).toBe(POSES['half-guard'])
    expect(poseFor('crucifix', 'Kneeling crucifix')).toBe(POSES['crucifix-kneeling'])
  })

  it('has the knees of mount at their ribs, at both sides', () => {
    const { over, under } = bodies('mount')
    for (const side of ['left', 'right'] as const) {
      const [x, y] = over[`${side}-knee`]
      expect(x).toBeLessThan(under['left-hip'][0])
      expect(x).toBeGreaterThan(under['left-shoulder'][0] - 6)
      expect(Math.abs(y)).toBeGreaterThan(14)
    }
  })

  it('has a knee on the belly, the underhook close, and the leg of half guard between theirs', () => {
    const ride = bodies('knee-ride')
    const belly: Vector = [0, 1, 2].map(
      (k) => (ride.under['left-hip'][k] + ride.under['right-shoulder'][k]) / 2,
    ) as never
    expect(apart(ride.over['left-knee'], belly)).toBeLessThan(30)
    const clinch = bodies('clinch')
    expect(Math.abs(trunk(clinch.over, 0) - trunk(clinch.under, 0))).toBeLessThan(40)
    const half = bodies('half-guard')
    const [left, right] = [half.under['left-foot'], half.under['right-foot']]
    const shin = half.over['left-foot']
    expect(
      Math.min(toLine(left, half.over['left-knee'], shin), toLine(right, half.over['left-knee'], shin)),
    ).toBeLessThan(24)
  })
})
