import { produce } from 'immer'
import type { Chart } from '../../src/core/chart/chart'
import { emptyChart } from '../../src/core/chart/chart'
import { addPosition } from '../../src/core/chart/edits/records'
import { NEW_SETTINGS, positionFromName } from '../../src/core/chart/guesses'
import type { MoveId, PositionId, ReactionId } from '../../src/core/chart/ids'
import { scenarioOf } from '../../src/core/game/scenario'
import { costliest, deepestOffPlan } from '../../src/core/insight/costly'
import { costsOf, figuresOf } from '../../src/core/insight/figures'
import { NOTEWORTHY } from '../../src/core/insight/nets'
import { lacksOf } from '../../src/core/insight/trust'
import { sayLines } from '../../src/core/notation/edits/sayLines'
import { sayGuess, sayGuessOf } from '../../src/core/say/guess'
import { onceIn, timesShort } from '../../src/core/say/figureText'
import { familyName, familyNamed } from '../../src/core/chart/placeNames'
import { sayLack, sayRepeats } from '../../src/core/say/trust'
import { seeded } from '../../bench/generate'
import { actionName } from '../../src/core/game/describe'
import { TERMINAL, TERMINALS } from '../../src/core/game/game'
import { demoPlan } from '../fixtures/demoPlan'
import { playOut } from '../../src/core/simulate/playOut'
import { taken } from '../reference/taken'

const mount = 'mount' as PositionId
function charted(...said: string[]): Chart {
  const chart = { ...emptyChart('one', 'One'), settings: NEW_SETTINGS }
  addPosition(chart, positionFromName('Mount'))
  for (const line of said) expect(sayLines(chart, mount, line).ok).toBe(true)
  return chart
}
const figures = (chart: Chart) => taken(figuresOf(chart, scenarioOf(chart))).figures
const lacks = (chart: Chart) => lacksOf(chart, figures(chart))

describe('too little is charted to trust', () => {
  it('a position in which nothing is tried', () => {
    const chart = charted()
    expect(lacks(chart)).toEqual([{ of: 'moves', position: mount }])
    expect(sayLack(chart, lacks(chart)[0])).toBe('Nothing is tried in mount: say a move.')
  })

  it('a move that meets nothing, in a plan in which they never win anything', () => {
    const chart = charted('Armbar 4 of 10')
    expect(lacks(chart)).toEqual([
      { of: 'losing way', position: mount },
      { of: 'reactions', move: 'armbar', position: mount },
    ])
    expect(lacks(chart).map((lack) => sayLack(chart, lack))[1]).toBe('Armbar meets nothing that they do yet.')
  })

  it('tries that nobody has set, where the plan uses them, cold or in reply', () => {
    const chart = charted('Armbar 4 of 10; 3 stacks (under side control) > turn them (mount)')
    expect(lacks(chart)).toEqual([{ of: 'own tries', move: 'turn-them', position: 'under-side-control', answer: 0 }])
    expect(sayLack(chart, lacks(chart)[0])).toBe('Nobody has set how Turn them goes in reply to “Stacks”.')
    const guessed = produce(chart, (draft) => {
      draft.moves[0].tries!.weight = 3
    })
    expect(lacks(guessed)).toContainEqual({ of: 'own tries', move: 'armbar', position: mount, answer: null })
    const own = produce(chart, (draft) => {
      delete draft.answers[0].tries!.weight
    })
    expect(lacks(own)).toEqual([])
  })

  it('a plan in which they never win anything, unless it leads to where a worth is stated and nothing more is charted', () => {
    const chart = charted('Armbar 4 of 10; 3 stacks (under side control) > turn them (mount)')
    const never = (of: Chart) => lacks(of).some(({ of: what }) => what === 'losing way')
    /** Under side control is even, and nothing comes after it; `worths`: what positions are worth in themselves. */
    const ended = (worths: Record<string, number>) => (draft: Chart) => {
      draft.positions.find(({ id }) => id === 'under-side-control')!.ahead = 'even'
      for (const one of draft.positions) {
        for (const way of ['threat', 'out', 'unprompted'] as const) delete one[way]
        if (worths[one.id] !== undefined) one.endWorth = worths[one.id]
      }
      draft.moves = draft.moves.filter(({ from }) => from === mount)
      draft.answers = []
    }
    expect(never(produce(chart, ended({})))).toBe(true)
    expect(never(produce(chart, ended({ 'under-side-control': -0.2 })))).toBe(false)
    // What is stated of where we go on from, or of where the plan never is, says nothing of what they win.
    expect(never(produce(chart, ended({ mount: 0.2 })))).toBe(true)
    const away = produce(chart, (draft) => {
      addPosition(draft, positionFromName('Back'))
      ended({ back: -0.3 })(draft)
    })
    expect(away.positions.map(({ id }) => id)).toContain('back')
    expect(never(away)).toBe(true)
  })

  it('is not the demo plan', () => expect(lacks(demoPlan())).toEqual([]))
})

test('time is said where the start is made of one finish tried again and again', () => {
  const chart = charted('Armbar 4 of 10')
  const one = figures(chart)
  const uses = one.moves['armbar' as MoveId].uses
  expect(sayRepeats(chart, one)).toBe(
    `An exchange is about ${Math.round(uses * 10) / 10} tries of Armbar: with 4 of 10 each, and what else there is, ` +
      `${Math.round(one.endings.finish * 100)} of a hundred end in a finish.`,
  )
  expect(sayRepeats(demoPlan(), figures(demoPlan()))).toBe('')
})

test('what is said of time, of endings and of how often holds for exchanges played with dice', () => {
  const chart = charted('Armbar 4 of 10; 3 stacks (under side control) > turn them (mount) 5 of 10')
  const solved = taken(figuresOf(chart, scenarioOf(chart)))
  const { game } = solved.solution
  const random = seeded(16)
  const games = 20_000
  const seen = { tries: 0, finishes: 0, stacked: 0 }
  for (let i = 0; i < games; i++) {
    const { terminal } = playOut(solved.solution, random, {
      tried: (action) => void (actionName(game, action) === 'armbar' && seen.tries++),
      // There is only one reaction.
      arrived: (state) => void (state >= TERMINALS && game.groupIsReaction[game.stateGroup[state]] && seen.stacked++),
    })
    if (terminal === TERMINAL.finish) seen.finishes++
  }
  const [, tries, finishes] = /about ([\d.]+) tries .*, (\d+) of a hundred/.exec(sayRepeats(chart, solved.figures))!
  expect(Math.abs(seen.tries / games - Number(tries))).toBeLessThan(0.1)
  expect(Math.abs((100 * seen.finishes) / games - Number(finishes))).toBeLessThan(1.5)
  const [leak] = costliest(solved.figures, []).flatMap((one) => (one.of === 'leak' ? [one.met] : []))
  expect(leak.visits).toBeCloseTo(seen.stacked / games, 1)
})

describe('what costs us most', () => {
  const demo = demoPlan()
  const scenario = scenarioOf(demo)
  const all = figures(demo)
  const costOf = costsOf(demo, scenario, all.value)
  const costs = all.looseEnds.map(costOf)
  const list = costliest(all, costs)

  it('is one list of leaks and loose ends, dearest first, with nothing in it that costs nothing', () => {
    expect(new Set(list.map((one) => one.of))).toEqual(new Set(['leak', 'loose end']))
    const each = list.map(({ cost }) => cost!)
    expect(each).toEqual([...each].sort((a, b) => b - a))
    expect(Math.min(...each)).toBeGreaterThanOrEqual(0.0005)
    const dearest = Math.max(...costs.map((cost) => cost ?? 0), ...all.met.map(({ net, visits }) => -net * visits))
    expect(each[0]).toBeCloseTo(dearest, 12)
  })

  it('has what is both a leak and a loose end once', () => {
    const keys = list.map((one) => {
      const { position, reaction } = one.of === 'leak' ? one.met : one.end
      return `${one.of === 'leak' ? one.met.move : 'move' in one.end.met ? one.end.met.move : null} ${position} ${reaction}`
    })
    expect(new Set(keys).size).toBe(keys.length)
  })

  it('puts what is not known yet below what is, those met most first', () => {
    const some = costliest(
      all,
      all.looseEnds.map((_, i) => (i === 1 ? costs[1] : undefined)),
    )
    const ends = some.flatMap((one) => (one.of === 'loose end' ? [one] : []))
    const unknown = ends.filter(({ cost }) => cost === undefined).map(({ end }) => Math.min(1, end.visits))
    expect(unknown).toEqual([...unknown].sort((a, b) => b - a))
    expect(some.findLastIndex(({ cost }) => cost !== undefined)).toBeLessThan(
      some.findIndex(({ cost }) => cost === undefined),
    )
  })

  it('has the deepest leaks off the plan apart', () => {
    const deep = deepestOffPlan(all, 3)
    expect(deep).toHaveLength(3)
    const off = all.met.filter(({ net, visits }) => net <= -NOTEWORTHY && visits < 0.0005)
    expect(deep[0].net).toBe(Math.min(...off.map(({ net }) => net)))
    for (const { visits } of deep) expect(visits).toBeLessThan(0.0005)
  })
})

test('how often is said as a coach counts', () => {
  expect([0, 0.0833, 0.3, 0.7, 1.2, 2.3].map(onceIn)).toEqual([
    'hardly ever',
    'about once in 12',
    'about once in 3',
    'about once in each exchange',
    'about once in each exchange',
    'about 2 times in each exchange',
  ])
  expect([0, 0.18, 1, 1.19, 12.4].map(timesShort)).toEqual([
    'hardly ever',
    'once in 6',
    '1 time',
    '1.2 times',
    '12 times',
  ])
})

test('a family is called as a coach calls it', () => {
  for (const family of ['knee-ride', 'half-guard', 'legs', 'side', 'our own']) {
    expect(familyNamed(familyName(family))).toBe(family)
  }
  expect([familyName('knee-ride'), familyNamed('Knee on belly')]).toEqual(['knee on belly', 'knee-ride'])
})

test('a guess says whose it is and what it counts for, until it is set or rounds are tallied', () => {
  const chart = charted('Armbar 4 of 10; 3 stacks (under side control) > turn them (mount)')
  const [armbar, turn] = ['armbar', 'turn-them'] as MoveId[]
  const stacks = 'stacks' as ReactionId
  expect(sayGuessOf(chart, turn, stacks)).toBe('A guess of ours: it counts for 1 real try, until you set it.')
  expect(sayGuessOf(chart, armbar, undefined)).toBe('')
  const shelved = { ...chart, settings: { ...chart.settings, fromShelf: { armbar: 'x' } } }
  const weighed = { lands: 4, stalls: 6, weight: 3 }
  expect(sayGuess(shelved, armbar, weighed)).toBe('A guess of the Shelf: it counts for 3 real tries, until you set it.')
  expect(sayGuess(chart, armbar, { ...weighed, tallies: [{ worked: true, weight: 1 }] })).toBe('')
  expect(sayGuess(chart, armbar, undefined)).toBe('')
})
