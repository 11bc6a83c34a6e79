import { randomLcg } from 'd3-random'
import { compileGame } from '../core/game/compileGame'
import { scenarioOf } from '../core/game/scenario'
import { CompiledPlay, POLICIES, type Policy } from '../core/simulate/compiledPlay'
import { solve } from '../core/solve/solve'
import { sure } from '../core/sure'
import { number, refuse, SCENARIO_OPTIONS, scenarioFrom } from './scenario'
import { fileAndOptions, readChartFile, UsageError } from './usage'

const OPTIONS = {
  ...SCENARIO_OPTIONS,
  policy: { type: 'string', default: 'best' },
  games: { type: 'string', default: '10000' },
  seed: { type: 'string', default: '1' },
  json: { type: 'boolean', default: false },
} as const

const MOST_GAMES = 1e9

/** `spar FILE [--policy best|random] [--games N] [--seed N] …`: exchanges played with dice, and what they came to. */
export function sparCommand(args: string[]): number {
  const { file, values } = fileAndOptions(args, OPTIONS)
  const policy = policyFrom(values.policy)
  const [games, seed] = [number('games', values.games), number('seed', values.seed)]
  if (!Number.isInteger(games) || games < 1 || games > MOST_GAMES)
    throw new UsageError(`--games wants a whole number from 1 to ${MOST_GAMES}`)
  const instead = scenarioFrom(values)
  const chart = readChartFile(file)
  if (!chart.ok) return refuse(chart.problems)
  const game = compileGame(chart.value, scenarioOf(chart.value, instead), { roots: 'start' })
  if (!game.ok) return refuse(game.problems)
  if (game.value.scenario.seconds === null) throw new UsageError('a clock is needed: --seconds N')
  const solution = solve(game.value, { everySecond: true })
  if (!solution.ok) return refuse(solution.problems)
  const { worth, error, ended } = new CompiledPlay(solution.value, policy).play(games, randomLcg(seed))
  const [finish = 0, caught = 0, goal = 0, over = 0, rest = 0] = ended
  const value = sure(solution.value.values[game.value.start])
  const report = { policy, games, seed, worth, error, value, finish: finish + goal, caught, over, brokenOff: rest }
  if (values.json) console.log(JSON.stringify(report, null, 2))
  else for (const [name, one] of Object.entries(report)) console.log(`${name} ${one}`)
  return 0
}

function policyFrom(text: string): Policy {
  const policy = POLICIES.find((one) => one === text)
  if (!policy) throw new UsageError(`--policy wants one of ${POLICIES.join(', ')}, not "${text}"`)
  return policy
}
