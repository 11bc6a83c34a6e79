import { readFileSync } from 'node:fs'
import type { Chart } from '../../../src/core/chart/chart'
import { parseChart } from '../../../src/core/files/chartFile'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { beatenBy, isPlaced, keyOfWay } from '../../../src/core/questions/beat'
import { drillGains, withDrilled } from '../../../src/core/questions/gains'
import { allPlaced, keyOfPlaced, placedMore, placesPossible, withPlacedMore } from '../../../src/core/questions/placed'
import { supposed, whatIf } from '../../../src/core/questions/whatIf'
import { sayBeaten } from '../../../src/core/say/beaten'
import { solve } from '../../../src/core/solve/solve'
import { finished } from '../../reference/finished'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const seen: Chart = taken(
  parseChart(readFileSync(new URL('../../fixtures/cases/9-seen.json', import.meta.url), 'utf8')),
)
const scenario = scenarioOf(seen, { seconds: 60, sharpness: 0 })
const worth = (chart: Chart, how: Scenario = scenario) => {
  const game = taken(compileGame(chart, how))
  return taken(solve(game)).values[game.start]
}

describe('what they place', () => {
  it('gains what the others lose, as far as they go', () => {
    expect(placedMore({ a: 4, b: 3, nothing: 3 }, 'a', 2)).toEqual({ a: 8, b: 1, nothing: 1 })
    expect(placedMore({ a: 4, b: 3, nothing: 3 }, 'a', 9)).toEqual({ a: 10, b: 0, nothing: 0 })
    expect(placedMore({ a: 4, b: 3, nothing: 3 }, 'nothing', Infinity)).toEqual({ a: 0, b: 0, nothing: 10 })
    expect(placedMore({ a: 4, b: 6 }, 'a', 0)).toEqual({ a: 0, b: 10 })
    expect(placedMore({ a: 4 }, 'a', 0)).toEqual({ a: 4 })
  })

  it('is possible as often as something else is left', () => {
    const [where] = allPlaced(seen)
    const counts = seen.positions.find(({ id }) => id === where.position)!.seen!
    const all = Object.values(counts).reduce((sum, n) => sum + n)
    expect(placesPossible(seen, where, 100)).toBeCloseTo(all / counts[where.cue], 12)
    expect(placesPossible(seen, where, 1.01)).toBeCloseTo(1.01, 12)
  })

  it('always there is worth what the same position is worth where nothing else is ever seen', () => {
    for (const where of allPlaced(seen)) {
      const only: Chart = structuredClone(seen)
      for (const position of only.positions) if (position.id === where.position) position.seen = { [where.cue]: 7 }
      for (const move of only.moves) {
        if (move.from !== where.position || !move.when?.length) continue
        if (!move.when.some((cue) => cue === where.cue)) move.reply = true
        move.when = move.when.filter((cue) => cue === where.cue)
      }
      const told = finished(whatIf(seen, scenario, { placed: [{ where, times: Infinity }] }))!
      expect(told.then).toBeCloseTo(worth(only), 9)
      expect(told.now).toBeCloseTo(worth(seen), 9)
      expect(told.then).toBeCloseTo(worth(withPlacedMore(seen, where, Infinity)), 9)
    }
  })

  it('does not change the chart that was asked about', () => {
    const before = structuredClone(seen)
    supposed(seen, scenario, { placed: allPlaced(seen).map((where) => ({ where, times: 2 })) })
    expect(seen).toEqual(before)
  })
})

describe('how they would beat us', () => {
  it('by placing what costs most, where that costs more than all else that they do', () => {
    const costs = allPlaced(seen).map((where) => ({
      key: keyOfPlaced(where),
      cost: worth(seen) - worth(withPlacedMore(seen, where, 2)),
    }))
    const beaten = finished(beatenBy(seen, scenario))!
    const placed = beaten.blows.filter(isPlaced)
    expect(placed.length).toBeGreaterThan(0)
    const most = costs.toSorted((a, b) => b.cost - a.cost)[0]
    expect(keyOfWay(placed[0])).toBe(most.key)
    expect(sayBeaten(seen, beaten, String).join(' ')).toMatch(/they show us “.*” .*often/)
  })
})

describe('drilling what waits for something seen', () => {
  it('is worth what solving it again says, on any chart', () => {
    let compared = 0
    for (let seed = 1; seed <= 60; seed++) {
      const chart = randomChart(seed, seed % 2 === 0)
      const how = scenarioOf(chart, randomScenario(chart, seed, true))
      const waits = new Set(chart.moves.flatMap(({ id, when }) => (when?.length ? [id] : [])))
      const now = worth(chart, how)
      for (const gain of finished(drillGains(chart, how))) {
        if (gain.of !== 'drill' || gain.target.of !== 'move' || !waits.has(gain.target.move)) continue
        expect(gain.gain).toBeCloseTo(worth(withDrilled(chart, gain.target), how) - now, 9)
        compared++
      }
    }
    expect(compared).toBeGreaterThan(3)
  })
})
