import { seeded } from '../../bench/generate'
import { holder } from '../../src/core/chart/hold'
import { checkReferences } from '../../src/core/chart/references'
import { HoldTable } from '../../src/core/holds/holdTable'
import { stretches } from '../../src/core/limbScore/bars'
import { play } from '../../src/core/limbScore/play'
import { remarksOn } from '../../src/core/limbScore/remarks'
import type { RemarkKind } from '../../src/core/limbScore/remark'
import { meet, position, soundSequence, type Sequence } from '../fixtures/sequences'

const LENGTH = 7
const draw = (seed: number) => {
  const random = seeded(seed)
  return { random, sequence: soundSequence(random, LENGTH) }
}
const found = ({ chart, run }: Sequence) => remarksOn(chart, run).map(({ kind, step }) => `${kind} ${step}`)

/**
 * Each puts one fault into a sequence and says what must be found, and at which step; or null where there is no place.
 */
const FAULTS: Record<Exclude<RemarkKind, 'sides'>, (sequence: Sequence) => string | null> = {
  'two-jobs': ({ chart }) => {
    const n = chart.moves.findIndex(({ drops }) => drops?.length)
    if (n < 0) return null
    delete chart.moves[n].drops
    return `two-jobs ${n + 1}`
  },
  missing: ({ chart, on }) => {
    const n = on.findIndex(
      (holds, i) =>
        i > 1 && i < LENGTH && holds.some((id) => on[i - 1].includes(id) && !chart.moves[i].needs?.includes(id)),
    )
    if (n < 0) return null
    const lost = on[n].find((id) => on[n - 1].includes(id) && !chart.moves[n].needs?.includes(id))!
    chart.moves[n - 1].drops = [...(chart.moves[n - 1].drops ?? []), lost]
    for (const { needs } of chart.moves.slice(n)) if (needs?.[0] === lost) needs.pop()
    chart.moves[n].needs = [lost]
    return `missing ${n + 1}`
  },
  'needs-nothing': ({ chart }) => {
    const last = chart.moves[LENGTH - 1]
    last.to = 'finish'
    delete last.needs
    return `needs-nothing ${LENGTH}`
  },
  'too-early': ({ chart }) => {
    const n = chart.moves.findIndex(({ drops }, i) => drops?.length && i < LENGTH - 1)
    if (n < 0) return null
    const [hold] = chart.moves[n].drops!
    chart.moves[n].checkpoints = [{ id: 'early', text: 'Too early', gate: { hold, next: chart.moves[n + 1].adds![0] } }]
    return `too-early ${n + 1}`
  },
  frame: ({ chart, on }) => {
    const legs = (id: string) => {
      const { limbs, on: part } = chart.holds!.find((hold) => hold.id === id)!
      return limbs.some((limb) => /knee|foot|hip/.test(limb)) && /^(left|right)-/.test(part!)
    }
    const n = on.findIndex((holds, i) => i > 0 && i < LENGTH && holds.some((id) => legs(id) && on[i + 1]?.includes(id)))
    if (n < 0) return null
    for (const one of chart.positions.slice(n + 1)) one.frame = 'side'
    chart.moves[n].keeps = [...on[n]]
    return `frame ${n + 1}`
  },
  impossible: ({ chart, run, on }) => {
    const n = on.findIndex((holds, i) => i < LENGTH && holds.some((id) => !chart.moves[i].drops?.includes(id)))
    if (n < 0) return null
    const holds = on[n].filter((id) => !chart.moves[n].drops?.includes(id))
    chart.holds!.find(({ id }) => id === holds[0])!.denies = [{ capability: 'right-leg', strength: 1 }]
    const reaction = meet(chart, chart.moves[n], ['right-leg'])
    run.steps = [...run.steps.slice(0, n), { move: chart.moves[n].id, reaction }]
    return `impossible ${n + 1}`
  },
  reopened: ({ chart }) => {
    const n = chart.moves.findIndex(({ drops }) => drops?.length)
    if (n < 0 || n > LENGTH - 2) return null
    chart.holds!.find(({ id }) => id === chart.moves[n].drops![0])!.denies = [{ capability: 'hip-out', strength: 0.9 }]
    meet(chart, chart.moves[n + 1], ['hip-out'])
    return `reopened ${n + 1}`
  },
  broken: ({ run }) => {
    run.steps.splice(2, 1)
    return 'broken 3'
  },
}

describe('the check of a score', () => {
  it('finds nothing in 20 sound sequences', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const { sequence } = draw(seed)
      expect(checkReferences(sequence.chart)).toEqual([])
      expect(found(sequence)).toEqual([])
    }
  })

  it.each(Object.keys(FAULTS) as (keyof typeof FAULTS)[])('finds each of 20 faults: %s', (kind) => {
    let seeds = 0
    for (let seed = 100; seeds < 20; seed++) {
      const { sequence } = draw(seed)
      const expected = FAULTS[kind](sequence)
      if (!expected) continue
      seeds++
      expect(checkReferences(sequence.chart)).toEqual([])
      expect(found(sequence)).toContain(expected)
    }
  })
})

describe('a run that is played through', () => {
  it('never leaves a limb with two holds', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const { sequence, random } = draw(seed)
      // Nothing is said of what is let go: settling alone must see to it.
      for (const one of sequence.chart.moves) delete one.drops
      for (const one of sequence.chart.positions)
        if (random() < 0.3) one.holds = [sequence.chart.holds![Math.floor(random() * LENGTH)].id]
      for (const { holds } of play(sequence.chart, sequence.run).beats) {
        const limbs = holds.flatMap((id) => {
          const hold = sequence.chart.holds!.find((one) => one.id === id)!
          return hold.limbs.map((limb) => `${holder(hold)} ${limb}`)
        })
        expect(new Set(limbs).size).toBe(limbs.length)
      }
    }
  })

  it('has on after each step what the sequence put on, in one bar for each stretch', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const { sequence } = draw(seed)
      const { beats, broken } = play(sequence.chart, sequence.run)
      expect(broken).toBeNull()
      expect(beats.map(({ holds }) => [...holds].sort())).toEqual(sequence.on.map((holds) => [...holds].sort()))
      for (const { id } of sequence.chart.holds!) {
        const length = stretches(beats, id).reduce((sum, { from, to }) => sum + to - from + 1, 0)
        expect(length).toBe(beats.filter(({ holds }) => holds.includes(id)).length)
      }
    }
  })
})

test('settling any two sets leaves no limb with two holds, and all of what was added', () => {
  const random = seeded(5)
  for (let n = 0; n < 200; n++) {
    const { chart } = soundSequence(random, 9)
    const table = new HoldTable(chart.holds!)
    const compatible = (bits: number) => {
      let set = 0n
      chart.holds!.forEach(({ id }, i) => {
        const one = table.setOf([id])
        if (bits & (1 << i) && !(table.sharingLimbs(one) & set)) set |= one
      })
      return set
    }
    const [before, added] = [compatible(Math.floor(random() * 512)), compatible(Math.floor(random() * 512))]
    const settled = table.settle(before, added)
    expect(settled & added).toBe(added)
    const limbs = table.idsOf(settled).flatMap((id) => chart.holds!.find((hold) => hold.id === id)!.limbs)
    expect(new Set(limbs).size).toBe(limbs.length)
  }
})

test('a run that has nothing to play is only its start', () => {
  const { sequence } = draw(3)
  expect(play(sequence.chart, { ...sequence.run, steps: [] })).toMatchObject({
    beats: [{ step: null, place: { kind: 'position', id: position(0) }, seconds: 0 }],
    broken: null,
  })
})
