import type { Chart } from '../../../src/core/chart/chart'
import { climbOf } from '../../../src/core/climb/climb'
import { comingsOf } from '../../../src/core/climb/comings'
import { crossingsOf, goesThrough, lineOf, type Point } from '../../../src/core/climb/curve'
import { boxOf, labelsOf } from '../../../src/core/climb/labels'
import { placeClimb } from '../../../src/core/climb/place'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { generateChart, seeded } from '../../../bench/generate'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const measure = (text: string) => 7 * text.length

const CHARTS: [string, () => Chart][] = [
  ['the demo', demoPlan],
  ['three hundred positions', () => generateChart({ positions: 300, moves: 900, reactions: 1_800, seed: 1 })],
  ['three positions', () => generateChart({ positions: 3, moves: 12, reactions: 12, seed: 3 })],
]

describe.each(CHARTS)('the climb of %s', (_, chartOf) => {
  const chart = chartOf()
  const start = chart.positions[0].id
  const { figures, solution } = taken(figuresOf(chart, scenarioOf(chart, { start })))
  const picture = placeClimb(climbOf(chart, figures, comingsOf(solution)), { width: 1160, height: 655, measure })
  const rest = picture.ribbons.filter(({ isAtRest }) => isAtRest)
  const says = ({ of }: (typeof rest)[number]) => [`${of.name} 12`, '12'].map((text) => ({ text, badge: '' }))

  it('has at most 12 ledges, 25 ribbons and 15 crossings at rest', () => {
    expect(picture.ledges.length).toBeGreaterThan(0)
    expect(picture.ledges.length).toBeLessThanOrEqual(12)
    expect(rest.length).toBeGreaterThan(0)
    expect(rest.length).toBeLessThanOrEqual(25)
    expect(plainCrossings(rest.map(({ curve }) => lineOf(curve, 60)))).toBeLessThanOrEqual(15)
  })

  it('lets no text stand on another, on a ledge or under a line that is not its own', () => {
    const labels = labelsOf({ picture, ribbons: rest, lines: rest, says, measure })
    expect(labels.length).toBeGreaterThan(rest.length / 2)
    const boxes = labels.map((label) => boxOf(label, measure))
    for (const [i, box] of boxes.entries()) {
      const others = boxes.filter((_, j) => j !== i)
      const ledges = picture.ledges.map(({ x, y, width, height }) => [x, y, x + width, y + height] as const)
      for (const other of [...others, ...ledges]) {
        const apart = box[2] <= other[0] || other[2] <= box[0] || box[3] <= other[1] || other[3] <= box[1]
        expect([labels[i].text, apart]).toEqual([labels[i].text, true])
      }
      const isIn = ([x, y]: Point) => x > box[0] + 1 && x < box[2] - 1 && y > box[1] + 1 && y < box[3] - 1
      for (const { of, curve } of rest.filter((one) => one !== labels[i].ribbon))
        expect([labels[i].text, of.name, lineOf(curve, 30).some(isIn)]).toEqual([labels[i].text, of.name, false])
      for (const { lead } of labels)
        if (lead) expect(Array.from({ length: 50 }, (_, k) => between(lead, k / 49)).filter(isIn)).toEqual([])
    }
  })

  it('names of what is drawn the most', () => {
    const labels = labelsOf({ picture, ribbons: rest, lines: rest, says, measure })
    const heaviest = rest.filter(({ kind }) => kind === 'move').sort((a, b) => b.of.per - a.of.per)[0]
    expect(labels.find(({ ribbon }) => ribbon === heaviest)?.text).toBe(`${heaviest.of.name} 12`)
  })
})

const between = ([a, b]: readonly [Point, Point], part: number): Point => [
  a[0] + (b[0] - a[0]) * part,
  a[1] + (b[1] - a[1]) * part,
]

/** How many pairs of lines cross, and how often: where straight pieces meet, by solving for both parameters. */
function plainCrossings(lines: readonly Point[][]): number {
  let count = 0
  lines.forEach((one, i) =>
    lines.slice(i + 1).forEach((other) => {
      count += plain(one, other)
    }),
  )
  return count
}

function plain(one: readonly Point[], other: readonly Point[]): number {
  let count = 0
  for (let i = 1; i < one.length; i++)
    for (let j = 1; j < other.length; j++) {
      const [p, q, r, s] = [one[i - 1], one[i], other[j - 1], other[j]]
      const [a, b, c, d] = [q[0] - p[0], r[0] - s[0], q[1] - p[1], r[1] - s[1]]
      const [e, f, det] = [r[0] - p[0], r[1] - p[1], a * d - b * c]
      const [t, u] = [(e * d - b * f) / det, (a * f - e * c) / det]
      if (det !== 0 && t > 0 && t < 1 && u > 0 && u < 1) count++
    }
  return count
}

test('crossings and what goes through a box are found as by plain means, on random lines', () => {
  const random = seeded(9)
  const line = (n: number): Point[] => Array.from({ length: n }, () => [random() * 100, random() * 100])
  for (let i = 0; i < 200; i++) {
    const [one, other] = [line(4), line(5)]
    expect(crossingsOf(one, other)).toBe(plain(one, other))
    const [x, y] = [random() * 60, random() * 60]
    const fine = one.flatMap((from, k) =>
      k < 3 ? Array.from({ length: 400 }, (_, part) => between([from, one[k + 1]], part / 400)) : [],
    )
    const isIn = fine.some(([at, down]) => at > x && at < x + 30 && down > y && down < y + 20)
    if (isIn) expect(goesThrough(one, [x, y, x + 30, y + 20])).toBe(true)
    else expect(goesThrough(one, [x + 0.5, y + 0.5, x + 29.5, y + 19.5])).toBe(false)
  }
})
