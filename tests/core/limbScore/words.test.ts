import { produce } from 'immer'
import { lookUp } from '../../../src/core/chart/lookUp'
import type { Run } from '../../../src/core/chart/run'
import { addRun, continueRun, cutRuns, intend, removeRun, shiftRun } from '../../../src/core/chart/edits/runs'
import { removeMove, removePosition, removeReaction } from '../../../src/core/chart/edits/records'
import { removeHold } from '../../../src/core/chart/edits/holds'
import { checkReferences } from '../../../src/core/chart/references'
import { scenarioOf } from '../../../src/core/game/scenario'
import { bestRunFrom } from '../../../src/core/insight/bestRun'
import { figuresOf } from '../../../src/core/insight/figures'
import { linesOf } from '../../../src/core/limbScore/bars'
import { costsOf } from '../../../src/core/limbScore/costs'
import { nextSteps } from '../../../src/core/limbScore/nextSteps'
import { nowOrLater } from '../../../src/core/limbScore/nowOrLater'
import { play } from '../../../src/core/limbScore/play'
import { partHeld } from '../../../src/core/limbScore/rows'
import { barWords, rowName, rowWords } from '../../../src/core/say/bar'
import { stepName } from '../../../src/core/limbScore/steps'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const run = lookUp(demo.runs, 'two-arms-and-the-roll')!
const { beats } = play(demo, run)

describe('the words of a score', () => {
  const lines = linesOf(demo, beats, () => false)
  const bar = (limb: string, by: string, hold: string) =>
    lines.find(({ row }) => row.limb === limb && row.by === by)!.bars.find((one) => one.hold.id === hold)!

  it('call limbs by what they are then', () => {
    const wrist = bar('left-arm', 'ours', 'left-hand-on-the-left-wrist')
    expect(barWords(wrist, beats[5], {})).toBe('their bottom wrist')
    expect(barWords(wrist, beats[7], {})).toBe('their top wrist')
    expect(barWords(bar('right-arm', 'theirs', 'right-leg-over-the-right-arm'), beats[7], {})).toBe(
      'elbow, by our bottom knee',
    )
    expect(barWords(bar('trunk', 'theirs', 'feet-crossed-above-the-hips'), beats[4], {})).toBe(
      'waist, by both our feet',
    )
    expect(barWords(bar('head', 'theirs', 'right-forearm-round-the-neck'), beats[9], {})).toBe(
      'neck, by our choking arm',
    )
    const [row] = lines.map((line) => line.row)
    expect(rowName(row)).toBe('Our left arm')
    expect(rowWords(row, beats[0], { under: 'weak-side' })).toBe('weak-side, bottom')
  })

  it('open a limb into its parts, with what each of them does', () => {
    const open = linesOf(demo, beats, ({ limb, by }) => limb === 'right-arm' && by === 'ours')
    const parts = open.filter(({ part }) => part)
    expect(parts.map(({ part }) => part)).toEqual(['right-hand', 'right-elbow', 'right-shoulder'])
    expect(parts[1].bars.map(({ hold }) => hold.id)).toContain('right-arm-over-the-shoulder')
    expect(parts[0].bars.map(({ hold }) => hold.id)).not.toContain('right-arm-over-the-shoulder')
  })

  it('know the parts of a body that holds are on', () => {
    expect(
      ['left-wrist', 'neck', 'right thigh', 'armpit', 'left-armpit', 'waist', 'somewhere', undefined].map(partHeld),
    ).toEqual(['left-hand', 'head', 'right-knee', 'chest', 'chest', 'chest', undefined, undefined])
  })

  it('name steps, and say what each gives back', () => {
    expect(beats.map((beat) => stepName(demo, beat, run)).slice(0, 2)).toEqual(['Back, under side', 'Cross the wrists'])
    const back = costsOf(demo, beats)[2].find(({ capability }) => capability === 'hip-out')!
    expect([back.before, back.after].map((left) => left.toFixed(4))).toEqual(['0.5625', '0.7500'])
    expect(costsOf(demo, beats)[0]).toEqual([])
  })
})

describe('what comes next', () => {
  it('is every move and what meets it, then every answer, and nothing after a finish', () => {
    const after = (steps: Run['steps']) => nextSteps(demo, play(demo, { ...run, steps }).beats.at(-1), run)
    const first = after([])
    expect(first.map(({ says }) => says)).toEqual(expect.arrayContaining(['Cross the wrists', 'Pulls a wrist free']))
    for (const { step } of first) expect(play(demo, { ...run, steps: [step] }).broken).toBeNull()
    const met = [{ move: 'cross-the-wrists', reaction: 'pulls-a-wrist-free' }] as never
    for (const { step } of after(met))
      expect(play(demo, { ...run, steps: [...(met as Run['steps']), step] }).broken).toBeNull()
    expect(after(met).at(-1)).toMatchObject({ step: {}, says: 'We let it happen' })
    expect(after(run.steps)).toEqual([])
  })

  it('is by default what the plan holds best', () => {
    const { figures } = taken(figuresOf(demo, scenarioOf(demo)))
    for (const { id } of demo.positions) {
      const steps = bestRunFrom(demo, figures, id)
      expect(play(demo, { ...run, start: id, steps }).broken).toBeNull()
      const { best, seen = [] } = figures.positions[id]
      const [usual] = seen.toSorted((a, b) => b.share - a.share)
      expect(steps[0]?.move ?? 'wait').toBe(best ?? usual?.best ?? 'wait')
    }
  })
})

describe('now or later', () => {
  it('sets what the run does first against the finish at once, and says what is left of their answers', () => {
    const asked = nowOrLater(demo, run)!
    expect(asked.now.id).toBe('choke-from-the-under-side')
    expect(asked.met).toEqual([
      { name: 'Both hands on the choking arm', ofTen: 5, left: expect.closeTo(0.2) },
      { name: 'Tucks the chin', ofTen: 1, left: 1 },
    ])
    expect(asked.bait).toEqual({ name: 'Both hands on the choking arm', ofTen: 5, lands: 7, cold: 5 })
    expect(nowOrLater(demo, { ...run, steps: [] })).toBeNull()
    expect(nowOrLater(demo, { ...run, steps: [{ move: 'choke-from-the-under-side' as never }] })).toBeNull()
  })
})

describe('runs that are kept', () => {
  const done = (change: (draft: typeof demo) => unknown) => produce(demo, (draft) => void change(draft))

  it('are begun, gone on with, shortened and taken away', () => {
    const begun = done((draft) => addRun(draft, 'Mine', run.start))
    expect(lookUp(begun.runs, 'mine')).toEqual({ id: 'mine', name: 'Mine', start: run.start, steps: [] })
    const longer = produce(begun, (draft) => continueRun(draft, 'mine', [], { move: 'cross-the-wrists' as never }))
    expect(lookUp(longer.runs, 'mine')!.steps).toHaveLength(1)
    expect(lookUp(produce(longer, (draft) => continueRun(draft, 'mine', [])).runs, 'mine')!.steps).toEqual([])
    const other = [{ move: 'choke-from-the-under-side' as never }]
    expect(() => produce(longer, (draft) => continueRun(draft, 'mine', other))).toThrow('goes another way by now')
    expect(done((draft) => draft.runs!.map(({ id }) => removeRun(draft, id)))).not.toHaveProperty('runs')
    expect(() => done((draft) => continueRun(draft, 'gone', []))).toThrow('the run "gone" is no longer there')
  })

  it('are put in order by name, and one that is gone moves no other', () => {
    const order = (chart: typeof demo) => chart.runs!.map(({ id }) => id)
    const [first, second, ...rest] = order(demo)
    expect(order(done((draft) => shiftRun(draft, first, 1)))).toEqual([second, first, ...rest])
    expect(order(done((draft) => shiftRun(draft, second, -1)))).toEqual([second, first, ...rest])
    expect(order(done((draft) => shiftRun(draft, first, -1)))).toEqual(order(demo))
    expect(order(done((draft) => shiftRun(draft, order(demo).at(-1)!, 1)))).toEqual(order(demo))
    expect(() => done((draft) => shiftRun(draft, 'gone', 1))).toThrow('the run "gone" is no longer there')
  })

  it('keep why a remark is meant so, until it is looked at again', () => {
    const meant = done((draft) => intend(draft, run.id, 'reopened x', ' a bait '))
    expect(lookUp(meant.runs, run.id)!.intended).toEqual([{ remark: 'reopened x', reason: 'a bait' }])
    expect(lookUp(produce(meant, (draft) => intend(draft, run.id, 'reopened x', '')).runs, run.id)).not.toHaveProperty(
      'intended',
    )
  })

  it('end where something that they need is taken away', () => {
    expect(lookUp(done((draft) => removeMove(draft, 'lock-the-legs' as never)).runs, run.id)!.steps).toHaveLength(3)
    expect(done((draft) => removePosition(draft, run.start))).not.toHaveProperty('runs')
    const met = done(
      (draft) => (draft.runs![0].steps = [{ move: 'cross-the-wrists', reaction: 'pulls-a-wrist-free' } as never]),
    )
    expect(produce(met, (draft) => removeReaction(draft, 'pulls-a-wrist-free' as never)).runs![0].steps).toEqual([])
    for (const { id } of demo.holds!) expect(checkReferences(done((draft) => removeHold(draft, id)))).toEqual([])
    expect(done((draft) => cutRuns(draft, () => false)).runs).toEqual(demo.runs)
  })
})
