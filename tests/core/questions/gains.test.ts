import { produce } from 'immer'
import type { Race } from '../../../src/core/chart/race'
import { isOwn, totalOf, triesOf, wholeOf, type Goes, type Tries } from '../../../src/core/chart/tries'
import type { Chart } from '../../../src/core/chart/chart'
import { lookUp } from '../../../src/core/chart/lookUp'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { costsOf, figuresOf } from '../../../src/core/insight/figures'
import { drillGains, withDrilled, withNewAnswer, type Gain } from '../../../src/core/questions/gains'
import { stepped } from '../../../src/core/questions/shifted'
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

/** Landing one step up, written out: its odds are e^0.4 times as good, the rest of the tries keeps its proportions. */
function byHand({ tries = {}, race }: Goes): { tries: Tries; race?: Race } {
  const total = totalOf(tries) + (race?.tries ?? 0)
  const counted = Math.max(0.02, (tries.lands ?? 0) / total)
  const odds = (counted / (1 - counted)) * Math.exp(0.4)
  const lands = counted === 1 ? total : (total * odds) / (1 + odds)
  const keep = lands === total ? 0 : (total - lands) / (total - (tries.lands ?? 0))
  const each = (map: Record<string, number> | undefined) =>
    Object.fromEntries(Object.entries(map ?? {}).map(([id, n]) => [id, keep * n]))
  const [stalls, elsewhere, reactions] = [keep * (tries.stalls ?? 0), each(tries.elsewhere), each(tries.reactions)]
  return {
    tries: { lands, stalls, elsewhere, reactions },
    ...(race ? { race: { ...race, tries: keep * race.tries } } : {}),
  }
}

describe('what a drill does to the tries', () => {
  const LANDS = { of: 'lands' } as const
  const landing = (lands: number) => stepped({ lands, stalls: 10 - lands }, LANDS, 0.4).lands!

  it('is a step in the log-odds: four of ten become five, one 1.4, eight 8.6', () => {
    expect([4, 1, 8].map((lands) => Math.round(landing(lands) * 10) / 10)).toEqual([5, 1.4, 8.6])
    expect(landing(10)).toBe(10)
    expect(landing(0)).toBeCloseTo(landing(0.2), 12)
    expect(stepped({ lands: 2, stalls: 4, reactions: { a: 3, b: 1 } }, LANDS, 0.4)).toEqual({
      lands: expect.closeTo(2.7164, 4),
      stalls: expect.closeTo(3.6418, 4),
      reactions: { a: expect.closeTo(2.7313, 4), b: expect.closeTo(0.9104, 4) },
    })
    expect(stepped({ lands: 0.1, stalls: 9.9 }, LANDS, -0.4).lands).toBeCloseTo(0.1, 12)
  })

  it('is another where the chart or the kind of move says so', () => {
    const chart = produce(demo, (draft) => void (draft.settings = { ...draft.settings, drillStep: 0.2 }))
    const one = chart.moves.find(({ tries, kind }) => tries && kind === 'submission')!
    const share = (of: Chart) => triesOf(lookUp(withDrilled(of, { of: 'move', move: one.id }).moves, one.id)!)
    expect(share(chart)).toEqual(stepped(one.tries!, LANDS, 0.2))
    const kinds = produce(chart, (draft) => void (draft.settings!.drillSteps = { submission: 0.7 }))
    expect(share(kinds)).toEqual(stepped(one.tries!, LANDS, 0.7))
  })

  it.each([1, 2, 3, 4, 5, 6])('keeps how many tries there are, on chart %i', (seed) => {
    for (const whole of randomChart(seed, false).moves.filter(isOwn).map(wholeOf)) {
      expect(totalOf(stepped(whole, LANDS, 0.4))).toBeCloseTo(totalOf(whole), 9)
    }
  })
})

/** The start's value with each move, and each answer with tries of its own, drilled: all of them, solved one by one. */
function everyDrill(chart: Chart, scenario: Scenario): { key: string; gain: number }[] {
  const now = worth(chart, scenario)
  const moves = chart.moves.filter(isOwn).map((move) => ({
    key: `move ${move.id}`,
    gain:
      worth(
        { ...chart, moves: chart.moves.map((one) => (one === move ? { ...one, ...byHand(one) } : one)) },
        scenario,
      ) - now,
  }))
  const answers = chart.answers.flatMap((answer, i) =>
    isOwn(answer)
      ? [
          {
            key: `answer ${i}`,
            gain: worth({ ...chart, answers: chart.answers.with(i, { ...answer, ...byHand(answer) }) }, scenario) - now,
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
    expect(drill.detail).toMatch(/^in front headlock, .*: comes up about once in .*; lands 1 of ten now, 1\.4 drilled$/)
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
