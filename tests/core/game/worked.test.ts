import { readChart } from '../../../src/core/files/chartFile'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf } from '../../../src/core/game/scenario'
import { Dealer } from '../../../src/core/solve/deal'
import { solve } from '../../../src/core/solve/solve'
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
