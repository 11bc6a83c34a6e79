import type { Chart } from '../../../src/core/chart/chart'
import type { MoveId, PositionId, ReactionId } from '../../../src/core/chart/ids'
import { totalOf, triesOf } from '../../../src/core/chart/tries'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { beatenBy, isPlaced, keyOfWay, withMore, type Beaten } from '../../../src/core/questions/beat'
import { withDrilled, withNewAnswer } from '../../../src/core/questions/gains'
import { allMet, keyOfMet, usedMore, withUsedMore, timesPossible } from '../../../src/core/questions/met'
import { allPlaced } from '../../../src/core/questions/placed'
import type { MetWhere } from '../../../src/core/insight/looseEnds'
import { sayBeaten } from '../../../src/core/say/beaten'
import { solve } from '../../../src/core/solve/solve'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const minute = scenarioOf(demo, { seconds: 60 })
const worth = (chart: Chart, scenario: Scenario) => {
  const game = taken(compileGame(chart, scenario))
  return taken(solve(game)).values[game.start]
}

describe('a reaction that is used more', () => {
  it('takes from their other choices, never from what lands or ends elsewhere', () => {
    const tries = { lands: 3, stalls: 2, elsewhere: { p: 1 }, reactions: { a: 2, b: 2 } }
    expect(usedMore(tries, 'a', 2)).toEqual({ lands: 3, stalls: 1, elsewhere: { p: 1 }, reactions: { a: 4, b: 1 } })
    expect(usedMore(tries, 'a', 9)).toEqual({ lands: 3, stalls: 0, elsewhere: { p: 1 }, reactions: { a: 6, b: 0 } })
    expect(usedMore({ lands: 5, reactions: { a: 5 } }, 'a', 2)).toEqual({ lands: 5, reactions: { a: 5 } })
    expect(usedMore(tries, 'c', 2)).toBe(tries)
  })

  it.each([1, 2, 3, 4, 5])('keeps all tries of every move and answer of chart %i', (seed) => {
    const chart = randomChart(seed, false)
    for (const met of allMet(chart)) {
      const other = withUsedMore(chart, met, 2)
      other.moves.forEach((move, i) => expect(totalOf(triesOf(move))).toBeCloseTo(totalOf(triesOf(chart.moves[i])), 9))
    }
    expect(new Set(allMet(chart).map(keyOfMet)).size).toBe(allMet(chart).length)
  })

  it('unprompted comes twice as often a second, the others as before', () => {
    const position = { ...demo.positions[0], unprompted: { every: 10, reactions: { a: 2, b: 3 } } }
    const met = { met: { by: 'unprompted' }, position: position.id, reaction: 'a' as ReactionId } as MetWhere
    const [after] = withUsedMore({ ...demo, positions: [position] }, met, 2).positions
    const rate = ({ every, reactions }: typeof position.unprompted, id: 'a' | 'b') => reactions[id] / 5 / every
    const { every, reactions } = after.unprompted!
    expect(reactions.a / (reactions.a + reactions.b) / every).toBeCloseTo(2 * rate(position.unprompted, 'a'), 12)
    expect(reactions.b / (reactions.a + reactions.b) / every).toBeCloseTo(rate(position.unprompted, 'b'), 12)
  })
})

/** What each reaction and each place costs when it is used twice as often, all of them solved one by one. */
const everyBlow = (chart: Chart, scenario: Scenario) =>
  [...allMet(chart), ...allPlaced(chart)].map((way) => ({
    key: keyOfWay(way),
    cost: worth(chart, scenario) - worth(withMore(chart, way, 2), scenario),
  }))

describe('how they would beat us', () => {
  it.each([1, 4, 8, 13, 20, 27, 34])('begins with what costs most of all, on chart %i', (seed) => {
    const chart = randomChart(seed, seed % 2 === 0)
    const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), sharpness: 0 })
    const beaten = finished(beatenBy(chart, scenario))!
    expect(beaten.worth).toBeCloseTo(worth(chart, scenario), 12)
    const most = Math.max(0, ...everyBlow(chart, scenario).map(({ cost }) => cost))
    expect(beaten.blows[0]?.cost ?? 0).toBeGreaterThanOrEqual(most - 5e-4)
    let [now, before] = [chart, beaten.worth]
    for (const blow of beaten.blows) {
      now = withMore(now, blow, 2)
      expect(blow.worth).toBeCloseTo(worth(now, scenario), 9)
      expect(blow.cost).toBeCloseTo(before - blow.worth, 12)
      before = blow.worth
    }
  })

  const beaten: Beaten = finished(beatenBy(demo, minute))!

  it('in the demo plan takes three different things, and names the repair that brings back most', () => {
    expect(new Set(beaten.blows.map(keyOfWay)).size).toBe(3)
    const attacked = beaten.blows.reduce((chart, blow) => withMore(chart, blow, 2), demo)
    const met = beaten.blows.flatMap((blow) => (isPlaced(blow) ? [] : [blow]))
    const repairs = met.flatMap((blow) => [
      withNewAnswer(attacked, blow),
      ...attacked.answers.flatMap((answer, i) =>
        answer.reaction === blow.reaction
          ? [withDrilled(attacked, answer.tries ? { of: 'answer', answer: i } : { of: 'move', move: answer.move })]
          : [],
      ),
    ])
    const gains = repairs.map((chart) => worth(chart, minute) - beaten.blows[2].worth)
    expect(gains.some((gain) => Math.abs(gain - beaten.repair!.gain) < 1e-9)).toBe(true)
    expect(beaten.repair!.gain).toBeGreaterThan(0)
  })

  it('names what costs most when it is done whatever we do, of those that promise most', () => {
    const everywhere = (id: ReactionId) => {
      const chart = allMet(demo).reduce((now, met) => (met.reaction === id ? withUsedMore(now, met, 2) : now), demo)
      return worth(demo, minute) - worth(chart, minute)
    }
    const { reaction, cost } = beaten.shift!
    expect(cost).toBeCloseTo(everywhere(reaction), 9)
    const most = Math.max(...demo.reactions.map(({ id }) => everywhere(id)))
    expect(cost).toBeGreaterThan(most - 0.005)
  })

  it('says how much more often where twice is not possible', () => {
    for (const met of allMet(demo)) {
      const times = timesPossible(demo, met, 2)
      expect(times).toBeGreaterThanOrEqual(1)
      expect(times).toBeLessThanOrEqual(2)
    }
    const one = beaten.blows[0]
    const said = sayBeaten(demo, { ...beaten, blows: [{ ...one, times: 1.44 }] }, String)
    expect(said[0]).toContain('1.4 times as often, which is all there is to it,')
  })

  it('is said in six sentences', () => {
    const said = sayBeaten(demo, beaten, (value) => (value * 100).toFixed(1))
    expect(said).toHaveLength(6)
    expect(said[4]).toMatch(/^If they [a-z ]+ twice as often whatever we do, that costs us \d+\.\d\.$/)
    expect(said[0]).toMatch(/^First they [a-z ]+ twice as often (against|while) .+: that costs us \d+\.\d\.$/)
    expect(said[3]).toMatch(
      /^With all of it the start is worth \d+\.\d instead of \d+\.\d, as well as we can play it\.$/,
    )
    expect(said[5]).toMatch(
      /^What would cost them most of our answers to these: (drilling|an answer to) “.+ brings back \d+\.\d while they do this\.$|^None of our answers to these brings much back\.$/,
    )
    const nothing = { worth: 0.4, blows: [], shift: null, repair: null }
    expect(sayBeaten(demo, nothing, String)).toEqual([expect.stringContaining('Nothing that they already do')])
    const one = { ...beaten, blows: beaten.blows.slice(0, 1), shift: null, repair: null }
    expect(sayBeaten(demo, one, String).slice(1)).toEqual([
      expect.stringMatching(/^With that the start/),
      expect.stringMatching(/^None of our answers to these/),
    ])
  })

  it('finds nothing where nothing can be computed, and no blow where nothing is met', () => {
    expect(finished(beatenBy(demo, scenarioOf(demo, { seconds: null, breakUp: null })))).toBeNull()
    const alone = {
      ...demo,
      moves: [{ ...demo.moves[0], id: 'm' as MoveId, to: 'finish' as const, tries: { lands: 1, stalls: 1 } }],
      answers: [],
      positions: demo.positions.map(({ unprompted: _, ...one }) => one),
    }
    const from = scenarioOf(alone, { start: alone.moves[0].from as PositionId, seconds: 20 })
    expect(finished(beatenBy(alone, from))).toMatchObject({ blows: [], repair: null })
  })
})
