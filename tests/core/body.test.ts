import { figureOf } from '../../src/core/body/body'
import { HEIGHT, POSES, WIDTH } from '../../src/core/body/poses'
import { FRAMES, whoControls } from '../../src/core/sides/frames'
import { mirrorChart } from '../../src/core/sides/mirror'
import type { Chart } from '../../src/core/chart/chart'
import type { Position } from '../../src/core/chart/position'
import { holdsOf } from '../../src/core/limbScore/limbs'
import { demoPlan } from '../fixtures/demoPlan'

const demo = demoPlan()
const seen = mirrorChart(demo)
const figure = (chart: Chart, { frame, orientation = {}, ahead, holds = [] }: Position) =>
  figureOf({ frame, orientation, over: whoControls({ ahead, orientation }), holds: holdsOf(chart, holds) })

describe('the figure of a position', () => {
  it('is there for every frame of the table, and for no other', () => {
    for (const { id } of FRAMES)
      expect(figureOf({ frame: id, orientation: {}, over: 'ours', holds: [] })).not.toBeNull()
    expect(Object.keys(POSES).sort()).toEqual(FRAMES.map(({ id }) => id).sort())
    expect(figureOf({ frame: 'their own', orientation: {}, over: 'ours', holds: [] })).toBeNull()
  })

  it('keeps everything within its field, and numbers apart', () => {
    for (const position of demo.positions) {
      const drawn = figure(demo, position)
      if (!drawn) continue
      const points = [drawn.ours, drawn.theirs].flatMap(({ head, trunk, limbs }) => [head, ...trunk, ...limbs.flat()])
      for (const [x, y] of [...points, ...drawn.marks.map(({ at }) => at)]) {
        expect(x).toBeGreaterThanOrEqual(0)
        expect(x).toBeLessThanOrEqual(WIDTH)
        expect(y).toBeGreaterThanOrEqual(0)
        expect(y).toBeLessThanOrEqual(HEIGHT)
      }
      const [marks] = [drawn.marks]
      marks.forEach(({ at }, i) => {
        for (const other of marks.slice(i + 1))
          expect(Math.hypot(at[0] - other.at[0], at[1] - other.at[1])).toBeGreaterThan(8)
      })
    }
  })

  it('brings the hand to the wrist that it holds, and the knee to the elbow', () => {
    const drawn = figure(
      demo,
      demo.positions.find(({ id }) => id === 'back-top-arm-trapped')!,
    )!
    const [, theirRight] = drawn.theirs.limbs
    const [, ourRight, , ourRightLeg] = drawn.ours.limbs
    const wrist = drawn.theirs.limbs[0][2]
    expect(Math.hypot(ourRight[2][0] - wrist[0], ourRight[2][1] - wrist[1])).toBeLessThan(12)
    expect(ourRightLeg[1]).toEqual(theirRight[1])
    expect(drawn.mat).toBe('left')
  })

  it('is the other side of itself where the chart is: what is right is left, and where it was', () => {
    for (const [i, position] of demo.positions.entries()) {
      const [one, other] = [figure(demo, position), figure(seen, seen.positions[i])]
      if (!one || !other) continue
      expect(other.marks.map(({ n, hold }) => [n, hold.id])).toEqual(one.marks.map(({ n, hold }) => [n, hold.id]))
      const lengths = (body: typeof one.ours) =>
        body.limbs.map(([a, , b]) => Math.round(Math.hypot(a[0] - b[0], a[1] - b[1]))).sort((a, b) => a - b)
      if (position.frame === 'side' || position.frame === 'back') expect(lengths(other.ours)).toEqual(lengths(one.ours))
    }
  })

  it('has who is below drawn below', () => {
    const guard = demo.positions.find(({ id }) => id === 'our-closed-guard')!
    expect(figure(demo, guard)!.over).toBe('theirs')
    expect(
      figure(
        demo,
        demo.positions.find(({ id }) => id === 'in-their-closed-guard')!,
      )!.over,
    ).toBe('ours')
    expect(
      figure(
        demo,
        demo.positions.find(({ id }) => id === 'they-have-our-back')!,
      )!.over,
    ).toBe('theirs')
  })
})
