import { produce } from 'immer'
import { seeded } from '../../../bench/generate'
import type { Chart } from '../../../src/core/chart/chart'
import { addHold } from '../../../src/core/chart/edits/holds'
import { lookUp } from '../../../src/core/chart/lookUp'
import { checkReferences } from '../../../src/core/chart/references'
import { stretches } from '../../../src/core/limbScore/bars'
import { setBar, type Stretch } from '../../../src/core/limbScore/edits/editBars'
import { play } from '../../../src/core/limbScore/play'
import { demoPlan } from '../../fixtures/demoPlan'
import { soundSequence } from '../../fixtures/sequences'

const demo = demoPlan()
const RUN = 'two-arms-then-the-choke'
const beatsOf = (chart: Chart, run = RUN) => play(chart, lookUp(chart.runs, run)!).beats
const bars = (chart: Chart, hold: string, run = RUN) => stretches(beatsOf(chart, run), hold)
const set = (chart: Chart, hold: string, before: Stretch | null, want: Stretch | null, run = RUN) =>
  produce(chart, (draft) => setBar(draft, run, hold, before, want))
const move = (chart: Chart, id: string) => lookUp(chart.moves, id)!

describe('a bar of the score', () => {
  it('that ends earlier is let go of by the step after it', () => {
    const [bar] = bars(demo, 'right-leg-over-the-right-arm')
    expect(bar).toEqual({ from: 3, to: 8 })
    const chart = set(demo, 'right-leg-over-the-right-arm', bar, { from: 3, to: 6 })
    expect(bars(chart, 'right-leg-over-the-right-arm')).toEqual([{ from: 3, to: 6 }])
    expect(move(chart, 'arm-behind-the-head').drops).toContain('right-leg-over-the-right-arm')
    expect(checkReferences(chart)).toEqual([])
  })

  it('that ends later is no longer let go of', () => {
    const [bar] = bars(demo, 'right-hook')
    expect(bar).toEqual({ from: 0, to: 1 })
    const chart = set(demo, 'right-hook', bar, { from: 0, to: 3 })
    expect(move(chart, 'lift-the-top-elbow').drops).toEqual(['left-hand-on-the-right-wrist'])
    expect(bars(chart, 'right-hook')).toEqual([{ from: 0, to: 3 }])
    expect(() => set(demo, 'right-hook', bar, { from: 0, to: 4 })).toThrow(
      '“Right hook” cannot be on after step 4: the same limb does “Feet crossed above the hips” there',
    )
  })

  it('that begins earlier or later is taken by another step', () => {
    const [bar] = bars(demo, 'left-hand-on-the-left-wrist')
    const later = set(demo, 'left-hand-on-the-left-wrist', bar, { from: 6, to: 6 })
    expect(bars(later, 'left-hand-on-the-left-wrist')).toEqual([{ from: 6, to: 6 }])
    expect(move(later, 'hand-to-the-neck').adds).toContain('left-hand-on-the-left-wrist')
    expect(move(later, 'hand-the-wrist-over').adds).toBeUndefined()
    const earlier = set(demo, 'left-hand-on-the-left-wrist', bar, { from: 4, to: 6 })
    expect(bars(earlier, 'left-hand-on-the-left-wrist')).toEqual([{ from: 4, to: 6 }])
    expect(move(earlier, 'lock-the-legs').adds).toContain('left-hand-on-the-left-wrist')
    expect(() => set(demo, 'left-hand-on-the-left-wrist', bar, { from: 2, to: 6 })).toThrow(/with the same limb/)
  })

  it('can be put on anew and taken away', () => {
    let id = ''
    const known = produce(
      demo,
      (draft) => void (id = addHold(draft, { name: 'Head beneath theirs', limbs: ['head'], on: 'neck' })),
    )
    const on = set(known, id, null, { from: 0, to: 8 })
    expect(bars(on, id)).toEqual([{ from: 0, to: 8 }])
    expect(lookUp(on.positions, 'back-under-side')!.holds).toContain(id)
    const off = set(on, id, { from: 0, to: 8 }, null)
    expect(bars(off, id)).toEqual([])
    expect(set(known, id, null, { from: 2, to: 2 }).moves).not.toEqual(known.moves)
  })

  it('of theirs is put on by what they do, and stripped by what we do', () => {
    const run = 'out'
    const chart = produce(demo, (draft) => {
      draft.runs!.push({
        id: run,
        name: 'Out',
        start: 'they-have-our-back' as never,
        steps: [
          { move: 'walk-the-hips-high', reaction: 'crosses-the-legs' },
          {},
          { move: 'hands-to-the-top-wrist' },
        ] as never,
      })
    })
    expect(bars(chart, 'their-crossed-legs', run)).toEqual([{ from: 1, to: 3 }])
    const stripped = set(chart, 'their-crossed-legs', { from: 1, to: 3 }, { from: 1, to: 2 }, run)
    expect(move(stripped, 'hands-to-the-top-wrist').strips).toEqual(['their-crossed-legs'])
    expect(bars(stripped, 'their-crossed-legs', run)).toEqual([{ from: 1, to: 2 }])
    expect(() => set(chart, 'their-crossed-legs', { from: 1, to: 3 }, { from: 3, to: 3 }, run)).toThrow(/theirs/)
    expect(() => set(chart, 'seatbelt', null, { from: 2, to: 3 }, run)).toThrow(/a move that lands/)
  })

  it('that is asked for where there is no step is refused, and nothing changes', () => {
    expect(() => set(demo, 'right-hook', { from: 0, to: 1 }, { from: 0, to: 99 })).toThrow('there is no such step')
    expect(() => set(demo, 'right-hook', null, { from: 3, to: 2 })).toThrow('there is no such step')
  })

  it('of a random sequence is where it was dragged, or the edit says why not', () => {
    const random = seeded(77)
    const tally = { done: 0, refused: 0 }
    for (let n = 0; n < 120; n++) {
      const { chart, run } = soundSequence(random, 6)
      const hold = chart.holds![Math.floor(random() * 6)].id
      const [before] = bars(chart, hold, run.id)
      const [a, b] = [Math.floor(random() * 7), Math.floor(random() * 7)]
      const want = { from: Math.min(a, b), to: Math.max(a, b) }
      try {
        const changed = set(chart, hold, before, want, run.id)
        expect(bars(changed, hold, run.id)).toEqual([want])
        expect(checkReferences(changed)).toEqual([])
        expect(bars(set(changed, hold, want, null, run.id), hold, run.id)).toEqual([])
        tally.done++
      } catch (error) {
        expect((error as Error).message).toMatch(/“Hold \d”/)
        tally.refused++
      }
    }
    expect(Math.min(tally.done, tally.refused)).toBeGreaterThan(10)
  })
})
