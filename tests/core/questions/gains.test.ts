import { totalOf, triesOf, type Tries } from '../../../src/core/chart/tries'
import type { Chart } from '../../../src/core/chart/chart'
import { lookUp } from '../../../src/core/chart/lookUp'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { costsOf, figuresOf } from '../../../src/core/insight/figures'
import { drilledTries, drillGains, withNewAnswer, type Gain } from '../../../src/core/questions/gains'
import { changeInWords, placeOfGain, sayGain } from '../../../src/core/say/gain'
import { solve } from '../../../src/core/solve/solve'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const demo = demoPlan()
/** A minute, so that solving everything one by one does not take long. */
const minute = scenarioOf(demo, { seconds: 60 })
const demoGains = finished(drillGains(demo, minute))
const worth = (chart: Chart, scenario: Scenario) => {
  const game = taken(compileGame(chart, scenario))
  return taken(solve(game)).values[game.start]
}

/** One more of ten lands, written out: every other outcome gives its part of a tenth of all tries. */
function byHand(tries: Tries): Tries {
  const total = totalOf(tries)
  const rest = total - (tries.lands ?? 0)
  const part = (n: number) => n - (Math.min(total / 10, rest) * n) / rest
  const each = (map: Record<string, number> | undefined) =>
    Object.fromEntries(Object.entries(map ?? {}).map(([id, n]) => [id, part(n)]))
  return {
    lands: (tries.lands ?? 0) + Math.min(total / 10, rest),
    stalls: part(tries.stalls ?? 0),
    elsewhere: each(tries.elsewhere),
    reactions: each(tries.reactions),
  }
}

describe('what one more of ten landing is', () => {
  it('takes a tenth of all tries from the others in proportion', () => {
    expect(drilledTries({ lands: 2, stalls: 4, reactions: { a: 3, b: 1 } })).toEqual({
      lands: 3,
      stalls: 3.5,
      reactions: { a: 2.625, b: 0.875 },
    })
    expect(drilledTries({ lands: 19, stalls: 1 })).toEqual({ lands: 20, stalls: 0 })
    expect(drilledTries({ lands: 10 })).toEqual({ lands: 10, stalls: 0 })
    expect(drilledTries({ stalls: 5, elsewhere: { p: 5 }, weight: 3 })).toEqual({
      lands: 1,
      stalls: 4.5,
      elsewhere: { p: 4.5 },
      weight: 3,
    })
  })

  it.each([1, 2, 3, 4, 5, 6])('keeps how many tries there are, on chart %i', (seed) => {
    for (const tries of randomChart(seed, false).moves.map(triesOf)) {
      expect(totalOf(drilledTries(tries))).toBeCloseTo(totalOf(tries), 9)
    }
  })
})

/** The start's value with each move, and each answer with tries of its own, drilled: all of them, solved one by one. */
function everyDrill(chart: Chart, scenario: Scenario): { key: string; gain: number }[] {
  const now = worth(chart, scenario)
  const moves = chart.moves
    .filter(({ tries }) => tries)
    .map((move) => ({
      key: `move ${move.id}`,
      gain:
        worth(
          { ...chart, moves: chart.moves.map((one) => (one === move ? { ...one, tries: byHand(one.tries!) } : one)) },
          scenario,
        ) - now,
    }))
  const answers = chart.answers.flatMap((answer, i) =>
    answer.tries
      ? [
          {
            key: `answer ${i}`,
            gain:
              worth(
                { ...chart, answers: chart.answers.with(i, { ...answer, tries: byHand(answer.tries) }) },
                scenario,
              ) - now,
          },
        ]
      : [],
  )
  return [...moves, ...answers]
}

const keyOf = (gain: Gain) =>
  gain.of === 'drill' ? (gain.target.of === 'move' ? `move ${gain.target.move}` : `answer ${gain.target.answer}`) : ''

describe('what to drill', () => {
  it.each([1, 4, 7, 12, 19, 26, 33])('is as much as solving again says, and misses nothing, on chart %i', (seed) => {
    const chart = randomChart(seed, seed % 2 === 0)
    const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), sharpness: 0 })
    const gains = finished(drillGains(chart, scenario))
    const every = everyDrill(chart, scenario)
    for (const gain of gains.filter(({ of }) => of === 'drill')) {
      expect(gain.gain).toBeCloseTo(every.find(({ key }) => key === keyOf(gain))!.gain, 9)
    }
    const most = Math.max(0, ...every.map(({ gain }) => gain))
    const found = Math.max(0, ...gains.filter(({ of }) => of === 'drill').map(({ gain }) => gain))
    expect(found).toBeGreaterThanOrEqual(most - 1e-9)
    expect([...gains].sort((a, b) => b.gain - a.gain)).toEqual(gains)
  })

  it('in the demo plan begins with what buys the most of all', () => {
    const every = everyDrill(demo, minute).sort((a, b) => b.gain - a.gain)
    expect(demoGains[0].gain).toBeCloseTo(every[0].gain, 9)
    const five = demoGains
      .filter(({ of }) => of === 'drill')
      .slice(0, 5)
      .map(keyOf)
    expect(five).toEqual(every.slice(0, 5).map(({ key }) => key))
  })

  it('takes a new answer to land half of the time, never worth less than nothing', () => {
    const { figures } = taken(figuresOf(demo, minute))
    const gains = demoGains.filter((gain) => gain.of === 'new answer')
    expect(gains.length).toBeGreaterThan(3)
    for (const { gain, end } of gains) {
      expect(gain).toBeCloseTo(worth(withNewAnswer(demo, end), minute) - figures.value, 9)
      expect(gain).toBeGreaterThan(-1e-9)
      expect(costsOf(demo, minute, figures.value)(end)).toBeGreaterThan(-0.01)
    }
  })

  it('finds nothing where nothing can be computed', () => {
    expect(finished(drillGains(demo, scenarioOf(demo, { seconds: null, breakUp: null })))).toEqual([])
  })
})

describe('a gain in words', () => {
  const said = demoGains.map((gain) => ({ gain, ...sayGain(demo, gain) }))

  it('says what lands now, what they do and how often, and where the hold goes', () => {
    const drill = said.find(({ head }) => head === 'Arm-in choke')!
    expect(drill.detail).toBe('lands once in ten now; one more of ten')
    const end = said.find(({ gain }) => gain.of === 'new answer' && gain.end.reaction === 'steps-around')!
    expect(end).toMatchObject({
      head: 'Steps around',
      detail: expect.stringMatching(
        /^to Snap from the underhook (\d times of|once in) ten and you have nothing; an answer that lands half of the time$/,
      ),
    })
    const hold = said.find(({ gain }) => gain.of === 'hold')!
    expect(hold.detail).toMatch(/^one more hold in \w/)
    for (const { head, detail, gain } of said)
      expect([head.length > 2, detail.length > 10, changeInWords(gain).length > 10]).toEqual([true, true, true])
  })

  it('leads to where it is worked on', () => {
    for (const { gain } of said) {
      const { position, move, hold } = placeOfGain(demo, gain)
      expect(lookUp(demo.positions, position)).toBeDefined()
      if (move) expect(lookUp(demo.moves, move)!.from).toBe(position)
      if (hold) expect(lookUp(demo.holds, hold)).toBeDefined()
    }
  })
})
