import { produce } from 'immer'
import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { HoldTable } from '../../src/core/holds/holdTable'
import { linesOf, stretches } from '../../src/core/limbScore/bars'
import { costsOf } from '../../src/core/limbScore/costs'
import { setBar } from '../../src/core/limbScore/edits/editBars'
import { armsFree, controlsOf, holdsOf, limbState } from '../../src/core/limbScore/limbs'
import { play } from '../../src/core/limbScore/play'
import { remarksOn } from '../../src/core/limbScore/remarks'
import { ROWS, rowsWith, type Row } from '../../src/core/limbScore/rows'
import { mirrorChart, mirrorText } from '../../src/core/sides/mirror'
import { demoPlan } from '../fixtures/demoPlan'
import { soundSequence } from '../fixtures/sequences'

const demo = demoPlan()
/** The demo plan's runs and some random ones. */
const sequences: { chart: Chart; id: string }[] = [
  ...demo.runs!.map(({ id }) => ({ chart: demo, id })),
  ...[1, 2, 3, 4, 5, 6].map((seed) => ({ chart: soundSequence(seeded(seed), 7).chart, id: 'run' })),
]
const runOf = (chart: Chart, id: string) => chart.runs!.find((run) => run.id === id)!
const mirrored = (orientation: object) =>
  Object.fromEntries(Object.entries(orientation).map(([key, value]) => [key, mirrorText(String(value))]))

describe.each(sequences)('a run from the other side: $id', ({ chart, id }) => {
  const seen = mirrorChart(chart)
  const here = play(chart, runOf(chart, id)).beats
  const there = play(seen, runOf(seen, id)).beats

  it('has the same holds on at the same time, with every side the other', () => {
    expect(there.map(({ holds }) => holds)).toEqual(here.map(({ holds }) => holds))
    expect(there.map(({ orientation }) => orientation)).toEqual(here.map(({ orientation }) => mirrored(orientation)))
    expect(there.map(({ seconds }) => seconds)).toEqual(here.map(({ seconds }) => seconds))
  })

  it('leaves the other limbs in the same states, and as many arms', () => {
    here.forEach(({ holds }, i) => {
      const [on, other] = [holdsOf(chart, holds), holdsOf(seen, there[i].holds)]
      expect(armsFree(other)).toEqual(armsFree(on))
      for (const row of ROWS) {
        const across = ROWS.find((one) => one.by === row.by && one.limb === mirrorText(row.limb))!
        expect(limbState(across, other)).toBe(limbState(row, on))
      }
      expect(controlsOf(new HoldTable(seen.holds!), there[i].holds)).toEqual(
        controlsOf(new HoldTable(chart.holds!), holds),
      )
    })
  })

  it('is remarked on alike', () => {
    const keys = (of: Chart) => remarksOn(of, runOf(of, id)).map(({ kind, step, key }) => ({ kind, step, key }))
    expect(keys(seen)).toEqual(keys(chart))
  })

  it('is edited alike: dragging there and turning over is turning over and dragging here', () => {
    const random = seeded(id.length)
    for (let n = 0; n < 12; n++) {
      const hold = chart.holds![Math.floor(random() * chart.holds!.length)].id
      const [before = null] = stretches(here, hold)
      const a = Math.floor(random() * here.length)
      const want = { from: a, to: Math.min(here.length - 1, a + Math.floor(random() * 3)) }
      const drag = (of: Chart) => {
        try {
          return produce(of, (draft) => setBar(draft, id, hold, before, want))
        } catch (error) {
          return (error as Error).message
        }
      }
      const [one, other] = [drag(chart), drag(seen)]
      if (typeof one === 'string') expect(other).toBe(mirrorText(one))
      else expect(mirrorChart(other as Chart)).toEqual(one)
    }
  })
})

describe.each(sequences)('the lines of a score: $id', ({ chart, id }) => {
  const { beats } = play(chart, runOf(chart, id))

  it('show every hold that is on, on each limb that does it and on the one that it is done to, without overlap', () => {
    const lines = linesOf(chart, beats, () => false)
    beats.forEach(({ holds }, beat) => {
      for (const hold of holdsOf(chart, holds)) {
        const { holds: doing, held } = rowsWith(hold)
        const shown = lines.filter(({ bars }) =>
          bars.some((bar) => bar.hold.id === hold.id && bar.from <= beat && beat <= bar.to),
        )
        const names = (rows: readonly Row[]) => [...new Set(rows.map(({ by, limb }) => `${by} ${limb}`))].sort()
        expect(names(shown.map(({ row }) => row))).toEqual(names([...doing, ...(held ? [held] : [])]))
      }
    })
    for (const { bars, lanes } of lines) {
      for (const one of bars) {
        expect(one.lane).toBeLessThan(lanes)
        const clash = bars.filter(
          (other) => other !== one && other.lane === one.lane && other.from <= one.to && one.from <= other.to,
        )
        expect(clash).toEqual([])
      }
    }
  })

  it('say what a step gives back as the holds that are on say it', () => {
    const table = new HoldTable(chart.holds!)
    costsOf(chart, beats).forEach((costs, beat) => {
      for (const { capability, before, after } of costs) {
        expect(after - before).toBeGreaterThanOrEqual(0.1 - 1e-9)
        expect(before).toBeCloseTo(table.capabilityLeft(capability, table.setOf(beats[beat - 1].holds), 'ours'))
        expect(after).toBeCloseTo(table.capabilityLeft(capability, table.setOf(beats[beat].holds), 'ours'))
      }
    })
  })
})
