import { randomLcg } from 'd3-random'
import { produce } from 'immer'
import { toPositionId } from '../../../src/core/chart/ids'
import { compileGame } from '../../../src/core/game/compileGame'
import { Compiler } from '../../../src/core/game/compiler'
import { goBackToScenario, keepScenario, setScenario } from '../../../src/core/game/edits/scenario'
import { NONE, TERMINAL } from '../../../src/core/game/game'
import { exchangeOf, scenarioOf, underRules } from '../../../src/core/game/scenario'
import { explain } from '../../../src/core/insight/explain'
import { figuresOf } from '../../../src/core/insight/figures'
import { otherPlan } from '../../../src/core/questions/whatIf'
import { explainAtOnce } from '../../../src/core/say/explanation'
import { headlineOfMatch, otherScore, sayByScore, scoreText } from '../../../src/core/say/match'
import { sayWorth } from '../../../src/core/say/worth'
import { playOut, type Ended } from '../../../src/core/simulate/playOut'
import { solve } from '../../../src/core/solve/solve'
import { keysOf } from '../../../src/core/typed'
import { demoPlan } from '../../fixtures/demoPlan'
import { match, small } from '../../fixtures/smallMatch'
import { finished } from '../../reference/finished'
import { taken } from '../../reference/taken'

const chart = small()

describe('a match that a scenario asks for', () => {
  it('is kept with its score and where it begins again, and gone back to', () => {
    const kept = produce(chart, (draft) => {
      setScenario(draft, { objective: 'win', score: -2, restart: toPositionId('side') })
      keepScenario(draft, 'Two behind')
      setScenario(draft, { score: 0, restart: null })
    })
    expect(scenarioOf(kept)).toMatchObject({ objective: 'win', score: 0, restart: null })
    const back = produce(kept, (draft) => goBackToScenario(draft, draft.settings!.keptScenarios![0].id))
    expect(scenarioOf(back)).toMatchObject({ objective: 'win', score: -2, restart: 'side' })
  })

  it('has an exchange in it, which is all that another objective asks for', () => {
    expect(exchangeOf(match(chart, {})).objective).toBe('careful')
    const finish = match(chart, { objective: 'finish' })
    expect(exchangeOf(finish)).toBe(finish)
  })

  it('is compiled once for all clocks, and anew for other tries', () => {
    const compiler = new Compiler()
    const worth = (of: typeof chart, seconds: number) => {
      const game = taken(compiler.compile(of, match(of, { seconds })))
      return [taken(solve(game)).values[game.start], compiler.compiled]
    }
    // One shot in three seconds, two in five: 0.5 and half of what of them lands.
    expect(worth(chart, 3)).toEqual([0.5 + 0.4 / 2, 1])
    expect(worth(chart, 5)[0]).toBeCloseTo(0.5 + (1 - 0.6 ** 2) / 2, 12)
    expect(compiler.compiled).toBe(1)
    const better = produce(chart, ({ moves }) => void (moves[0].tries = { lands: 5, stalls: 5 }))
    expect(worth(better, 3)).toEqual([0.75, 2])
  })
})

describe('what is said of a match', () => {
  const said = (more: Parameters<typeof match>[1]) => {
    const scenario = match(chart, more)
    return headlineOfMatch(chart, scenario, taken(figuresOf(chart, scenario)).figures)
  }

  it('is by score and clock how a hundred end', () => {
    expect(said({ score: -2, seconds: 3 })).toBe(
      'From feet, 2 behind with 0:03 left, of a hundred matches we hardly ever win, draw 40 times and lose 60 times. ' +
        'Begin with shoot.',
    )
    expect(said({ score: 0, seconds: 3 })).toMatch(/level .* we win 40 times on points, draw 60 times and hardly ever/)
    expect(said({ score: 1, seconds: 3 })).toMatch(/we win 100 times on points and hardly ever lose. Hold still first/)
  })

  it('counts finishes among the wins', () => {
    const scenario = match(chart, { seconds: 3 })
    const { figures } = taken(figuresOf(chart, scenario))
    const endings = (finish: number, ours: number) =>
      headlineOfMatch(chart, scenario, { ...figures, endings: { finish, ours, even: 0, theirs: 0.2, caught: 0.1 } })
    expect(endings(0.3, 0.4)).toContain('we win 70 times (30 by a finish) and lose 30 times.')
    expect(endings(0.7, 0)).toContain('we win 70 times by a finish and lose')
  })

  it('tells what is best with the score turned round', () => {
    expect([-2, 0, 3].map(otherScore)).toEqual([2, 2, -3])
    expect([-2, 0, 3].map(scoreText)).toEqual(['2 behind', 'level', '3 ahead'])
    const behind = match(chart, { score: -2, seconds: 3 })
    const found = finished(otherPlan(chart, behind, chart, { ...behind, score: 2 }))!
    expect(found).toMatchObject({ now: 0.2, then: 1 })
    expect(found.changes.map((one) => sayByScore(chart, one))).toEqual([
      { place: 'With the feet', now: 'shoot', then: 'hold still' },
      { place: 'In side', now: 'climb', then: 'hold still' },
    ])
  })

  it('says what the figure is', () => {
    expect(sayWorth(match(chart, {}))).toContain('a draw counts half')
    expect(sayWorth(match(chart, { objective: 'finish' }))).toContain('always a finish')
  })

  it('takes the chance to win apart into parts that sum to it', () => {
    const scenario = match(chart, { seconds: 5 })
    const { figures } = taken(figuresOf(chart, scenario))
    const { title, rows, total } = explainAtOnce(chart, figures, { of: 'start' }, scenario)!
    expect(title).toBe('The chance to win')
    expect(rows.map(({ text }) => text)).toEqual(['won on points', 'drawn'])
    expect(rows.reduce((sum, { chance, value }) => sum + chance * value, 0)).toBeCloseTo(total, 12)
  })
})

it('every reaction of the demo is taken apart in a match, those that come unprompted too', () => {
  const plan = demoPlan()
  const scenario = scenarioOf(plan, { ...underRules(plan, 'gi-points'), objective: 'win', score: -2, seconds: 10 })
  const { figures, solution } = taken(figuresOf(plan, scenario))
  expect(figures.met.some(({ move }) => move === null)).toBe(true)
  for (const { move, position, reaction, value } of figures.met) {
    const apart = explain(solution, { of: 'met', move, position, reaction })
    const sum = apart!.terms.reduce((all, term) => all + term.chance * term.value, 0)
    expect(apart!.total).toBeCloseTo(value, 9)
    expect(sum).toBeCloseTo(value, 9)
  }
  expect(taken(compileGame(plan, scenario)).stateCount).toBe(solution.game.stateCount)
})

it('how a hundred matches of the demo end is what dice say', () => {
  const plan = demoPlan()
  const scenario = scenarioOf(plan, { ...underRules(plan, 'gi-points'), objective: 'win', score: -2, seconds: 40 })
  const { endings } = taken(figuresOf(plan, scenario)).figures
  const solution = taken(solve(taken(compileGame(plan, scenario)), { everySecond: true }))
  const random = randomLcg(0.57)
  const N = 4000
  const ended = Array.from({ length: N }, () => playOut(solution, random, {}))
  const share = (of: (one: Ended) => boolean) => ended.filter(of).length / N
  const isOver = ({ terminal }: Ended) => terminal === NONE
  const rolled = {
    finish: share(({ terminal }) => terminal === TERMINAL.finish),
    caught: share(({ terminal }) => terminal === TERMINAL.caught),
    ours: share((one) => isOver(one) && one.worth === 1),
    even: share((one) => isOver(one) && one.worth === 0.5),
    theirs: share((one) => isOver(one) && one.worth === 0),
  }
  for (const key of keysOf(rolled)) {
    const p = endings[key]
    expect(Math.abs(rolled[key] - p)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / N))
  }
})
