import type { Chart } from '../../src/core/chart/chart'
import { makeChart, parseChart } from '../../src/core/files/chartFile'
import { compileGame } from '../../src/core/game/compileGame'
import { actionName } from '../../src/core/game/describe'
import { NONE } from '../../src/core/game/game'
import { scenarioOf } from '../../src/core/game/scenario'
import { looseEndsOf, visitsOf, withoutLooseEnd } from '../../src/core/insight/looseEnds'
import { netsOf } from '../../src/core/insight/nets'
import { occupancyOf } from '../../src/core/solve/occupancy'
import { solve } from '../../src/core/solve/solve'
import { PlainGame, type PlainState } from '../reference/plainGame'
import type { Fired } from '../reference/plainRules'
import { bestPlain, reachPlain, solvePlain, solvePlainUnclocked, worthOf } from '../reference/plainSolve'
import { randomChart, randomScenario } from '../reference/randomChart'
import { taken } from '../reference/taken'

const fired: Fired = new Map()
let compared = 0
const seeds = Array.from({ length: 200 }, (_, i) => i + 1)

const RULES = [
  'settle takes a hold off',
  'every way of usesAny is hindered',
  'a need is missing',
  'their holds keep a move from landing',
  'a lost reaction is shared',
  'a lost reaction comes to nothing',
  'a reaction is shut out',
  'repeated',
  'nothing is left of a move',
  'the start is a goal',
  'a goal is reached',
  'a position has its own worth',
  'a position has its own break-up',
  'they get out',
  'our holds keep them from getting out',
  'a try slips to a position',
  'a try slips to over',
  'a try slips to caught',
  'an answer only in reply',
  'an answer only in reply, with its own tries',
  'a threat',
  'our holds hinder a threat',
  'unprompted',
  'a move stalls in caught',
  'a move stalls in over',
  'a move stalls in another position',
  'conceded where the move is from',
  'conceded where they were unprompted',
  'an answer with tries',
  'an answer that borrows tries',
  'an answer stalls elsewhere',
  'a cue',
  'our holds hinder a cue',
  'a move waits for a cue',
  'what is seen is dealt',
  'a sharp defender makes us see it',
  'a race',
  'holds slow a race',
  'their holds lose us the race',
  'our holds win us the race',
  'a reaction strips',
  'a reaction adds',
  'a reaction that ends in caught',
  'a reaction that ends in over',
  'elsewhere',
  'elsewhere is caught',
  'elsewhere is over',
  'lands in place',
  'lands across',
  'carries its holds along',
  'carries only what it keeps',
  'a sharp defender does nothing',
  'a sharp defender chooses',
  'no action fits the clock',
]

const near = (got: number, wanted: number, within = 1e-9) => {
  if (!(Math.abs(got - wanted) <= within)) throw new Error(`got ${got}, wanted ${wanted}`)
}

/** The plain game with every state that a net asks for, solved for the scenario's clock. */
function plain(chart: Chart, scenario: ReturnType<typeof scenarioOf>) {
  const game = new PlainGame(chart, scenario, fired)
  const roots = chart.positions.map(({ id }) => game.own(id))
  const stalled = new Map(
    chart.moves.flatMap((move) => (move.reply ? [] : [[move.id as string, game.own(move.from, move.id)]])),
  )
  game.exhaust()
  solvePlain(game, scenario.seconds!)
  return { game, roots, stalled }
}

describe.each(seeds)('chart %i', (seed) => {
  const chart = randomChart(seed, seed % 4 !== 0)
  const scenario = scenarioOf(chart, randomScenario(chart, seed, true))

  test('is a chart that reads and writes to the same bytes', () => {
    const text = makeChart(chart)
    expect(makeChart(taken(parseChart(text)))).toBe(text)
  })

  test('has the same values, best actions and nets', () => {
    const seconds = scenario.seconds!
    const { roots, stalled, game } = plain(chart, scenario)
    const solution = taken(solve(taken(compileGame(chart, scenario))))
    const { meaning } = solution.game
    near(solution.values[solution.game.start], game.start.values[seconds])
    roots.forEach((state, p) => {
      near(solution.values[meaning.ownState[p]], state.values[seconds])
      if (state.terminal) return
      const best = solution.evaluator.bestAction(seconds, meaning.ownState[p])
      expect(best === NONE ? undefined : actionName(solution.game, best)).toBe(bestPlain(game, state, seconds)?.name)
    })
    const nets = netsOf(solution)
    const wanted = chart.moves.flatMap((move) => {
      const root = roots.find(({ position }) => position === move.from)
      const seen = root?.sights?.map(({ state }) => state) ?? (root ? [root] : [])
      const tried = seen.flatMap(({ actions }) => actions).find(({ name }) => name === move.id)
      return (tried?.reactions ?? []).map(([reaction, met]) => ({ move: move.id, reaction, met }))
    })
    expect(nets.map(({ move, reaction }) => `${move} ${reaction}`)).toEqual(
      wanted.map(({ move, reaction }) => `${move} ${reaction}`),
    )
    wanted.forEach(({ move, met }, i) => {
      near(nets[i].value, met.values[seconds])
      near(nets[i].net, met.values[seconds] - stalled.get(move)!.values[seconds])
      const [concede] = met.actions
      if (concede.seconds > seconds) return
      const conceded = worthOf(game, met, concede, (to) => to.values[seconds - concede.seconds])
      near(nets[i].saves, met.values[seconds] - conceded)
    })
  })

  test('has the same endings, and the same loose ends met as often and costing as much', () => {
    const game = new PlainGame(chart, scenario, fired)
    solvePlain(game, scenario.seconds!)
    const wanted = reachPlain(game, scenario.seconds!)
    const solution = taken(solve(taken(compileGame(chart, scenario)), { everySecond: true }))
    const occupancy = occupancyOf(solution)
    near(occupancy.finish, wanted.finish)
    near(occupancy.caught, wanted.caught)
    near(occupancy.ended[0] + occupancy.ended[1] + occupancy.ended[2] + occupancy.finish + occupancy.caught, 1)
    near(occupancy.ended[0], wanted.ended.ours)
    near(occupancy.ended[1], wanted.ended.even)
    near(occupancy.ended[2], wanted.ended.theirs)
    const ends = looseEndsOf(solution.game.meaning.index)
    const visits = visitsOf(solution.game, occupancy, ends)
    ends.forEach((end, i) => {
      if (end.met.by === 'out') return
      const by = end.met.by === 'unprompted' ? end.position : end.met.by === 'answer' ? end.met.answer : end.met.move
      if (wanted.tied) return
      compared++
      near(visits[i], wanted.meetings.get(`${end.met.by} ${by} > ${end.reaction}`) ?? 0)
    })
    for (const end of ends.slice(0, 2)) {
      const mended = withoutLooseEnd(chart, end)
      const again = new PlainGame(mended, scenario)
      solvePlain(again, scenario.seconds!)
      const fast = taken(solve(taken(compileGame(mended, scenario))))
      near(fast.values[fast.game.start], again.start.values[scenario.seconds!])
    }
  })

  test('has the same values without a clock', () => {
    const open = scenarioOf(chart, randomScenario(chart, seed, false))
    const game = new PlainGame(chart, open, fired)
    solvePlainUnclocked(game)
    const { values, bounds, game: fast } = taken(solve(taken(compileGame(chart, open))))
    const wanted = (game.start as PlainState).values[0]
    near(values[fast.start], wanted, 1e-8)
    expect(bounds!.upper - bounds!.lower).toBeLessThanOrEqual(1e-9)
    near(bounds!.lower, wanted, 2e-9)
    near(bounds!.upper, wanted, 2e-9)
  })
})

test('visits were compared where nothing but rounding could tell', () => expect(compared).toBeGreaterThan(150))

test.each(RULES)('reaches: %s', (rule) => expect(fired.get(rule) ?? 0).toBeGreaterThan(0))
