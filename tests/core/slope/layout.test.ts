import fc from 'fast-check'
import { produce } from 'immer'
import { generateChart } from '../../../bench/generate'
import { FOOT } from '../../../src/core/chart/bands'
import { addMove, addPosition } from '../../../src/core/chart/edits/records'
import type { PositionId } from '../../../src/core/chart/ids'
import { countCrossings, cross, meanLength, type Segment } from '../../../src/core/slope/crossings'
import { CREST, slopeGraph } from '../../../src/core/slope/graph'
import { layOutSlope } from '../../../src/core/slope/layout'
import { layoutTask, standLedges } from '../../../src/core/slope/ledges'
import type { SlopeLayout } from '../../../src/core/slope/places'
import { spread } from '../../../src/core/slope/spread'
import { demoPlan } from '../../fixtures/demoPlan'

const measure = (text: string) => text.length * 6.5
const chart = demoPlan()
const laidOut = (of = chart, known?: SlopeLayout) => layOutSlope(layoutTask(of, slopeGraph(of), measure, known))
const layout = laidOut()

function segmentsOf(of: typeof chart, { places }: SlopeLayout): Segment[] {
  const bands = slopeGraph(of).bands.map(({ key }) => key)
  const height = (id: string) => bands.indexOf(places[id].band) * 100 + places[id].row * 20
  return slopeGraph(of).edges.map(({ from, to }) => ({
    ...{ ax: places[from].x, ay: height(from), bx: places[to].x, by: height(to) },
  }))
}

/** No two places of a row touch. */
function expectApart(of: typeof chart, given: SlopeLayout) {
  const { rows } = standLedges(of, slopeGraph(of), given, { measure, folded: new Set() })
  for (const { ledges } of rows) {
    ledges.forEach(({ x }, i) => i && expect(x).toBeGreaterThanOrEqual(ledges[i - 1].x + ledges[i - 1].width))
  }
}

describe('the bands of the picture', () => {
  it('go from the finishes down to what is theirs', () => {
    const names = slopeGraph(chart).bands.map(({ name }) => name)
    expect(names[0]).toBe('Finishes')
    expect(names.slice(1, 4)).toEqual(['Back, crucifix', 'Mount', 'Knee on belly, north-south'])
    expect(names.slice(-2)).toEqual(['Guards', 'Theirs'])
  })

  it('can be ordered, but for the crest and the foot', () => {
    const order = [FOOT, 'mount', 'guard', 'nonsense', 'back']
    const keys = slopeGraph({ ...chart, settings: { slope: { bands: order } } }).bands.map(({ key }) => key)
    expect(keys[0]).toBe(CREST)
    expect(keys[keys.length - 1]).toBe(FOOT)
    expect(keys.indexOf('mount')).toBeLessThan(keys.indexOf('back'))
    expect([...keys].sort()).toEqual(
      slopeGraph(chart)
        .bands.map(({ key }) => key)
        .sort(),
    )
  })

  it('make room for being finished and for families that nobody knows', () => {
    const odd = produce(chart, (draft) => {
      addPosition(draft, { name: 'Cradle', family: 'cradle', ahead: 'ours' })
      draft.reactions[0].endsIn = 'caught'
    })
    const { bands } = slopeGraph(odd)
    expect(bands[bands.length - 1].places).toContain('caught')
    expect(bands[bands.findIndex(({ key }) => key === 'half-guard') - 1]).toMatchObject({ name: 'Cradle' })
  })
})

describe('a layout', () => {
  it('has fewer crossings than the order of the file, and shorter lines', () => {
    const inFile: SlopeLayout = {
      width: layout.width,
      places: Object.fromEntries(
        slopeGraph(chart).bands.flatMap(({ key, places }) =>
          places.map((id, i) => [id, { band: key, row: 0, x: ((i + 0.5) * layout.width) / places.length }]),
        ),
      ),
    }
    const [before, after] = [segmentsOf(chart, inFile), segmentsOf(chart, layout)]
    expect(countCrossings(after)).toBeLessThan(countCrossings(before) * 0.8)
    expect(meanLength(after)).toBeLessThan(meanLength(before))
  })

  it('is the same whenever it is made, and keeps places apart', () => {
    expect(laidOut()).toEqual(layout)
    expectApart(chart, layout)
  })

  it('does not move anything when moves, positions and finishes are added', () => {
    const more = produce(chart, (draft) => {
      const id = addPosition(draft, { name: 'Knee cut', family: 'side', ahead: 'ours' })
      const tries = { lands: 3, stalls: 7 }
      addMove(draft, { name: 'Cut', kind: 'pass', from: 'half-guard-on-top' as PositionId, to: id, tries })
      addMove(draft, { name: 'Knee-cut choke', kind: 'submission', from: id, to: 'finish', tries })
      addMove(draft, { name: 'Step back', kind: 'advance', from: id, to: 'north-south' as PositionId, tries })
    })
    const grown = laidOut(more, layout)
    for (const [id, place] of Object.entries(layout.places)) expect(grown.places[id]).toEqual(place)
    expect(grown.places['knee-cut'].band).toBe('side')
    expect(grown.places['finish knee-cut choke'].band).toBe(CREST)
    expectApart(more, grown)
  })

  it('lets a place stand where it was put by hand, and the others give way', () => {
    const { x, row } = layout.places['scarf-hold']
    const byHand = { 'two-on-the-far-arm': { row, x: x + 10 } }
    const put = { ...chart, settings: { ...chart.settings, slope: { places: byHand } } }
    const moved = laidOut(put, layout)
    expect(Math.abs(moved.places['two-on-the-far-arm'].x - (x + 10))).toBeLessThan(1)
    expectApart(put, moved)
    expect(laidOut(put).places['two-on-the-far-arm'].row).toBe(row)
  })

  it('puts a place whose band is another now into that band', () => {
    const turned = produce(chart, (draft) => {
      draft.positions.find(({ id }) => id === 'scarf-hold')!.ahead = 'theirs'
    })
    expect(laidOut(turned, layout).places['scarf-hold'].band).toBe(FOOT)
  })

  it('gives large charts rows, with every place in one', () => {
    const large = generateChart({ positions: 300, moves: 1200, reactions: 500, seed: 7 })
    const made = laidOut(large)
    expect(Object.keys(made.places)).toHaveLength(slopeGraph(large).bands.flatMap(({ places }) => places).length)
    expectApart(large, made)
    expect(Math.max(...Object.values(made.places).map(({ row }) => row))).toBeGreaterThan(1)
  })
})

describe('places in a row', () => {
  const places = fc.array(
    fc.record({ wish: fc.integer({ min: -200, max: 1200 }), width: fc.integer({ min: 10, max: 90 }) }),
    { minLength: 1, maxLength: 12 },
  )

  it('keep their order and distance, and stay within the width where they fit', () => {
    fc.assert(
      fc.property(places, (row) => {
        const need = row.reduce((sum, { width }) => sum + width + 8, -8)
        const width = Math.max(need, 900)
        const centres = spread(row, 8, width)
        centres.forEach((x, i) => {
          expect(x - row[i].width / 2).toBeGreaterThan(-1e-6)
          expect(x + row[i].width / 2).toBeLessThan(width + 1e-6)
          if (i) expect(x - centres[i - 1]).toBeGreaterThan((row[i].width + row[i - 1].width) / 2 + 8 - 1e-6)
        })
      }),
      { seed: 5, numRuns: 200 },
    )
  })

  it('stand where they wish when nothing is in the way, and share when it is', () => {
    expect(
      spread(
        [
          { wish: 50, width: 20 },
          { wish: 200, width: 20 },
        ],
        8,
        900,
      ),
    ).toEqual([50, 200])
    expect(
      spread(
        [
          { wish: 100, width: 20 },
          { wish: 100, width: 20 },
        ],
        10,
        900,
      ),
    ).toEqual([85, 115])
    const [still] = spread(
      [
        { wish: 100, width: 20, still: true },
        { wish: 100, width: 20 },
      ],
      10,
      900,
    )
    expect(Math.abs(still - 100)).toBeLessThan(0.1)
  })
})

describe('crossings', () => {
  const line = (ax: number, ay: number, bx: number, by: number): Segment => ({ ax, ay, bx, by })
  const points = fc.tuple(...([0, 0, 0, 0] as const).map(() => fc.integer({ min: 0, max: 9 })))

  it('are where lines cross between their ends', () => {
    expect(cross(line(0, 0, 2, 2), line(0, 2, 2, 0))).toBe(true)
    expect(cross(line(0, 0, 2, 2), line(2, 2, 4, 0))).toBe(false)
    expect(cross(line(0, 0, 1, 1), line(5, 0, 6, 9))).toBe(false)
    expect(meanLength([line(0, 0, 3, 4), line(0, 0, 0, 1)])).toBe(3)
  })

  it('are counted as by comparing every pair', () => {
    fc.assert(
      fc.property(fc.array(points, { maxLength: 25 }), (drawn) => {
        const lines = drawn.map(([ax, ay, bx, by]) => line(ax, ay, bx, by))
        let pairs = 0
        lines.forEach((one, i) => lines.slice(i + 1).forEach((other) => (pairs += Number(cross(one, other)))))
        expect(countCrossings(lines)).toBe(pairs)
      }),
      { seed: 9, numRuns: 150 },
    )
  })
})
