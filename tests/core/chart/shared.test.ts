import { produce } from 'immer'
import type { Chart } from '../../../src/core/chart/chart'
import { setField } from '../../../src/core/chart/edits/fields'
import { mergeCharts } from '../../../src/core/chart/mergeCharts'
import {
  bareChart,
  commonBase,
  forFile,
  fromFile,
  lineageOf,
  markOf,
  type Exchanged,
} from '../../../src/core/chart/shared'
import { makeChart, parseChart, readChart } from '../../../src/core/files/chartFile'
import { randomChart } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

/** A coach with a chart, who gives it away as a file and merges what comes back, as the application does. */
class Coach {
  constructor(
    public chart: Chart,
    private exchanged: Exchanged = { given: [], taken: [] },
  ) {}

  static from(file: Chart): Coach {
    return new Coach(fromFile(file), { given: [], taken: [bareChart(file)] })
  }

  give(): Chart {
    const file = taken(parseChart(makeChart(forFile(this.chart, this.exchanged))))
    this.exchanged = { ...this.exchanged, given: [...this.exchanged.given, bareChart(this.chart)] }
    return file
  }

  /** What both began as, as this coach sees it; the chart is then the merged one. Nothing is asked for. */
  merge(file: Chart): Chart | null {
    const ancestor = file.shared?.ancestor ? taken(readChart(file.shared.ancestor)) : null
    const base = commonBase(this.chart, this.exchanged, file, ancestor)
    this.chart = mergeCharts(base, this.chart, file, ({ id }) => {
      throw new Error(`${id} is asked for`)
    }).document
    this.exchanged = { ...this.exchanged, taken: [...this.exchanged.taken, bareChart(file)] }
    return base
  }

  name(position: number, name: string): void {
    this.chart = produce(this.chart, (draft) =>
      setField(draft, 'positions', draft.positions[position]!.id, 'name', name),
    )
  }

  get names(): string[] {
    return this.chart.positions.map(({ name }) => name)
  }
}

const first = randomChart(3, true)
const [p, q, r, s] = first.positions.map(({ name }) => name)
const rest = first.positions.slice(4).map(({ name }) => name)

test('a chart goes to and fro between two coaches, and each keeps what the other has done', () => {
  const ann = new Coach(first)
  const bea = Coach.from(ann.give())
  bea.name(0, 'Of Bea')
  ann.name(1, 'Of Ann')
  expect(ann.merge(bea.give())).toEqual(first)
  expect(ann.names).toEqual(['Of Bea', 'Of Ann', r, s, ...rest])
  // She has named it anew since then; what comes is held against what she gave, not against the first.
  bea.name(0, 'Of Bea again')
  ann.name(2, 'Of Ann too')
  expect(bea.merge(ann.give())?.positions[0]!.name).toBe('Of Bea')
  expect(bea.names).toEqual(['Of Bea again', 'Of Ann', 'Of Ann too', s, ...rest])
  // The same file again brings nothing.
  const file = bea.give()
  ann.merge(file)
  const before = ann.names
  ann.name(3, 'Last')
  ann.merge(file)
  expect(ann.names).toEqual([...before.slice(0, 3), 'Last', ...before.slice(4)])
})

test('a third coach loses nothing when a file comes with what the two others have merged', () => {
  const ann = new Coach(first)
  const [bea, cy] = [Coach.from(ann.give()), Coach.from(ann.give())]
  bea.name(0, 'Of Bea')
  cy.name(1, 'Of Cy')
  ann.merge(bea.give())
  expect(cy.merge(ann.give())).toEqual(first)
  expect(cy.names).toEqual(['Of Bea', 'Of Cy', r, s, ...rest])
})

test('what was merged and then undone is merged again', () => {
  const ann = new Coach(first)
  const bea = Coach.from(ann.give())
  bea.name(0, 'Of Bea')
  const file = bea.give()
  const before = ann.chart
  ann.merge(file)
  ann.chart = before
  expect(ann.names[0]).toBe(p)
  ann.merge(file)
  expect(ann.names[0]).toBe('Of Bea')
})

test('a file brings the state along that both have, unless it is what it is itself; strangers have none', () => {
  const ann = new Coach(first)
  const sent = ann.give()
  expect(sent.shared).toEqual({ lineage: [markOf(first)] })
  const bea = Coach.from(sent)
  bea.name(0, 'Of Bea')
  const back = bea.give()
  expect(back.shared?.ancestor).toEqual(first)
  expect(back.shared?.lineage).toEqual([markOf(first), markOf(bea.chart)])
  // Who has lost what he gave away merges by what the file brings.
  const nothing = { given: [], taken: [] }
  const known = { ...first, shared: { lineage: [markOf(first)] } }
  expect(commonBase(known, nothing, back, first)).toEqual(first)
  expect(commonBase(known, nothing, back, null)).toBeNull()
  expect(commonBase(randomChart(4, true), nothing, back, first)).toBeNull()
  expect(lineageOf(first, { given: [first], taken: [] })).toEqual([markOf(first)])
  expect(markOf({ ...first, title: 'Other' })).not.toBe(markOf(first))
  expect(q).toBeDefined()
})
