import fc from 'fast-check'
import { Boxes, type Box } from '../../../src/core/slope/boxes'
import type { Ledge, RowBox } from '../../../src/core/slope/ledges'
import { bentPart, pointAt, routeWays, type Point, type Way } from '../../../src/core/slope/routes'

const box = fc
  .tuple(
    ...[0, 0].map(() => fc.integer({ min: -300, max: 900 })),
    ...[0, 0].map(() => fc.integer({ min: 1, max: 200 })),
  )
  .map(([x, y, width, height]): Box => [x, y, x + width, y + height])

test('a box is taken exactly where another lies', () => {
  fc.assert(
    fc.property(fc.array(box, { maxLength: 25 }), fc.array(box, { maxLength: 25 }), (added, asked) => {
      const taken = new Boxes()
      added.forEach((one) => taken.add(one))
      for (const [left, top, right, bottom] of asked) {
        const hits = added.some((one) => one[0] < right && left < one[2] && one[1] < bottom && top < one[3])
        expect(taken.hits([left, top, right, bottom])).toBe(hits)
      }
    }),
    { seed: 11, numRuns: 200 },
  )
})

/** Rows of ledges, generated: some full, some with one ledge. */
function rowsFrom(widths: number[][]): RowBox[] {
  return widths.map((row, r) => {
    let x = 110
    const ledges = row.map((width, i): Ledge => {
      const ledge = {
        id: `${r}-${i}`,
        kind: 'position',
        name: '',
        band: `${r}`,
        row: r,
        x,
        y: r * 60,
        width,
        height: 25,
        isTheirs: false,
        value: null,
      } as const
      x += width + 30
      return ledge
    })
    return { y: r * 60, height: 25, below: 35, ledges }
  })
}

describe('ways between ledges', () => {
  const widths = fc.array(fc.array(fc.integer({ min: 90, max: 200 }), { minLength: 1, maxLength: 5 }), {
    minLength: 2,
    maxLength: 6,
  })

  it('begin at one and end at the other, and pass every row on the way through a gap', () => {
    fc.assert(
      fc.property(widths, fc.array(fc.tuple(fc.nat(), fc.nat()), { minLength: 1, maxLength: 30 }), (rows_, pairs) => {
        const rows = rowsFrom(rows_)
        const ledges = rows.flatMap((row) => row.ledges)
        const ways = pairs.map(([a, b], i): Way => ({
          key: `${i}`,
          from: { ledge: ledges[a % ledges.length] },
          to: ledges[b % ledges.length],
        }))
        const routes = routeWays(ways, rows, 1500)
        ways.forEach(({ key, from, to }) => {
          const points = routes.get(key)!
          const { ledge } = from as { ledge: Ledge }
          expectOn(points[0], ledge)
          expectOn(points[points.length - 1], to)
          for (const row of rows) {
            if (row.ledges[0].row === ledge.row || row.ledges[0].row === to.row) continue
            for (const [x, y] of points) {
              const isWithin = y > row.y - 2 && y < row.y + row.height + 2
              if (isWithin) expect(row.ledges.every((one) => x <= one.x || x >= one.x + one.width)).toBe(true)
            }
          }
        })
      }),
      { seed: 2, numRuns: 120 },
    )
  })

  it('stay apart from each other in a gap', () => {
    const rows = rowsFrom([
      [120, 120],
      [150, 150],
      [120, 120],
    ])
    const [from, to] = [rows[2].ledges[0], rows[0].ledges[1]]
    const routes = routeWays(
      Array.from({ length: 4 }, (_, i): Way => ({ key: `${i}`, from: { ledge: from }, to })),
      rows,
      900,
    )
    const crossing = [...routes.values()].map((points) => points.find(([, y]) => y > 60 && y < 90)![0])
    expect(new Set(crossing).size).toBe(4)
    crossing.sort((a, b) => a - b).forEach((x, i) => i && expect(x - crossing[i - 1]).toBeGreaterThan(2))
  })
})

function expectOn([x, y]: Point, ledge: Ledge) {
  expect(x).toBeGreaterThanOrEqual(ledge.x)
  expect(x).toBeLessThanOrEqual(ledge.x + ledge.width)
  expect(y).toBeGreaterThanOrEqual(ledge.y)
  expect(y).toBeLessThanOrEqual(ledge.y + ledge.height)
}

test('a curve goes from one point to the other, and marks hang where it bends', () => {
  const [from, to] = [
    [10, 80],
    [60, 20],
  ] as const
  expect(pointAt(from, to, 0)).toEqual([10, 80])
  expect(pointAt(from, to, 1)).toEqual([60, 20])
  expect(pointAt(from, to, 0.5)).toEqual([35, 50])
  expect(
    bentPart([
      [10, 90],
      [10, 80],
      [60, 20],
    ]),
  ).toEqual([
    [10, 80],
    [60, 20],
  ])
  expect(
    bentPart([
      [10, 80],
      [60, 20],
    ]),
  ).toEqual([
    [10, 80],
    [60, 20],
  ])
})
