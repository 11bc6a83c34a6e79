import type { Chart } from '../../../src/core/chart/chart'
import type { Hold } from '../../../src/core/chart/hold'
import type { HoldId, ReactionId } from '../../../src/core/chart/ids'
import { chanceFirst, normal } from '../../../src/core/chart/race'
import { readChart } from '../../../src/core/files/chartFile'
import { compileGame } from '../../../src/core/game/compileGame'
import { indexChart } from '../../../src/core/game/chartIndex'
import { sharesOf } from '../../../src/core/game/rules'
import { scenarioOf } from '../../../src/core/game/scenario'
import { Dealer } from '../../../src/core/solve/deal'
import { solve } from '../../../src/core/solve/solve'
import { normal as bySteps } from '../../reference/normal'
import { taken } from '../../reference/taken'

/** The worked examples of docs/method.md. */
const chart = taken(
  readChart({
    ...{ format: 'ataque-chart', version: 1, id: 'worked', title: 'Worked' },
    positions: [{ id: 'side', name: 'Side control', family: 'side', ahead: 'ours' }],
    moves: [
      {
        id: 'americana',
        name: 'Americana',
        kind: 'submission',
        from: 'side',
        to: 'finish',
        tries: { lands: 3, stalls: 7 },
      },
    ],
    reactions: [],
    answers: [],
  }),
)

function worth(seconds: number): number {
  const game = taken(compileGame(chart, scenarioOf(chart, { seconds })))
  return taken(solve(game)).values[game.start]
}

describe('the worked examples', () => {
  it('one move', () => expect(worth(5)).toBeCloseTo(0.42066, 5))

  it('being known', () => expect(worth(10)).toBeCloseTo(0.49166, 4))

  it('a race', () => {
    expect(chanceFirst({ ours: 2.5, theirs: 2, spread: 0.3 })).toBeCloseTo(0.2995, 4)
    const triceps: Hold = { id: 'triceps' as HoldId, name: 'Triceps', limbs: ['left-hand'] }
    const race = { reaction: 'gets-up' as ReactionId, ours: 2.5, theirs: 2, tries: 10 }
    const getsUp = { id: race.reaction, name: 'Gets up', uses: ['stand'], endsIn: chart.positions[0].id }
    const raced: Chart = { ...chart, moves: [{ ...chart.moves[0], tries: {}, race }], reactions: [getsUp] }
    const lands = (of: Chart) => {
      const index = indexChart(of)
      return sharesOf(index, index.moves[0], index.moves[0].tries, index.positions[0].own)!.lands
    }
    expect(lands(raced)).toBeCloseTo(0.2995, 4)
    const slowed = { ...triceps, denies: [{ capability: 'stand', strength: 0.5 }] }
    const positions = [{ ...chart.positions[0], holds: [triceps.id] }]
    expect(lands({ ...raced, holds: [slowed], positions })).toBeCloseTo(0.866, 3)
  })

  it('a sharp defender', () => {
    const dealer = new Dealer(Int32Array.of(0, 1), Float64Array.of(0.2, 0.2), 0.5)
    expect(dealer.deal(Float64Array.of(0.1, 0.5), 0, 0, 2, 0.4, 0.3)).toBeCloseTo(0.04, 12)
  })

  it('a sharp defender to whom it is all the same takes them in the order of the chart, nothing last', () => {
    const dealer = new Dealer(Int32Array.of(0, 1), Float64Array.of(0.2, 0.2), 0.5)
    for (const noise of [0, 1e-15, -1e-15]) {
      dealer.deal(Float64Array.of(0.1, 0.1 + noise), 0, 0, 2, 0.4, 0.1 - noise)
      expect([...dealer.dealt.slice(0, 2), dealer.nothing]).toEqual([0.4, 0, 0])
    }
  })
})

describe('the normal distribution', () => {
  it('is as in the tables', () => {
    expect(normal(0)).toBe(0.5)
    expect(normal(1.96)).toBeCloseTo(0.9750021048517795, 14)
    expect(normal(-3)).toBeCloseTo(0.0013498980316300957, 14)
    expect([normal(-40), normal(40)]).toEqual([0, 1])
  })

  it('is what its density sums to', () => {
    for (let x = -8.5; x < 8.6; x += 0.37) expect(normal(x)).toBeCloseTo(bySteps(x), 12)
  })
})
