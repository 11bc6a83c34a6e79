import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { ruleSetOf } from '../chart/rules/ruleSets'
import { failure, success, type Problem, type Result } from '../problem'
import { indexChart, type ChartIndex } from './chartIndex'
import { NONE, type Game } from './game'
import { layOut } from './layOut'
import { checkScenario, type Scenario } from './scenario'
import type { DraftGroup } from './drafts'
import { Search, StateLimit } from './search'
import { matchGame } from './win/matchGame'

export const DEFAULT_STATE_LIMIT = 200_000

export interface CompileOptions {
  stateLimit?: number
  /**
   * Which states to search for besides those reached from the start. `all`: every position with its own holds; `start`:
   * only what the nets of reached positions need.
   */
  roots?: 'all' | 'start'
}

/**
 * Compiles a checked chart in a scenario into states, actions and outcomes, as docs/method.md defines them. Fails with
 * `bad-scenario` or `too-many-states`.
 */
export function compileGame(chart: Chart, scenario: Scenario, options: CompileOptions = {}): Result<Game> {
  const problems = checkScenario(chart, scenario)
  if (problems.length) return failure(...problems)
  const limit = options.stateLimit ?? DEFAULT_STATE_LIMIT
  if (scenario.objective !== 'win') return compileExchange(chart, scenario, limit, options)
  const exchange = compileExchange(chart, { ...scenario, objective: 'finish', goal: [] }, limit)
  if (!exchange.ok) return exchange
  return matchGame(exchange.value, scenario, ruleSetOf(scenario.rules, chart.settings?.ruleSets), limit)
}

function compileExchange(chart: Chart, scenario: Scenario, limit: number, options: CompileOptions = {}): Result<Game> {
  const index = indexChart(chart, scenario)
  const search = new Search(index, scenario, limit)
  try {
    const start = search.ownState(index.positionOf.get(scenario.start)!)
    search.exhaust()
    const reachedStates = search.stateGroup.length
    const all = index.positions.map((_, p) => p)
    const roots = options.roots === 'start' ? all.filter((p) => search.hasFoundOwn(p)) : all
    const ownStates = addRoots(search, roots)
    search.exhaust()
    return success(layOut(search, scenario, { start, reachedStates, ...ownStates }))
  } catch (error) {
    if (error instanceof StateLimit) return failure(tooManyStates(index, search.groups, limit))
    throw error
  }
}

/**
 * Whether a compiled game serves another scenario. The clock does not enter a game, and of sharpness only whether it is
 * above 0.
 */
export function serves(known: Scenario, wanted: Scenario): boolean {
  const plain = (scenario: Scenario) =>
    JSON.stringify({ ...scenario, seconds: null, sharpness: scenario.sharpness > 0 ? 1 : 0 })
  return plain(known) === plain(wanted)
}

/**
 * Adds each root position with its own holds, and with each of its moves just stalled, because nets compare with those.
 */
function addRoots(search: Search, roots: number[]): { ownState: Int32Array; stalledState: Int32Array } {
  const { positions, moves } = search.index
  const ownState = new Int32Array(positions.length).fill(NONE)
  const stalledState = new Int32Array(moves.length).fill(NONE)
  for (const p of roots) {
    ownState[p] = search.ownState(p)
    for (const m of sure(positions[p]).moves) stalledState[m] = search.ownState(p, m)
  }
  return { ownState, stalledState }
}

/** Names the position with the most arrangements of holds and the holds that make them. */
function tooManyStates(index: ChartIndex, groups: DraftGroup[], limit: number): Problem {
  const byPosition = new Map<number, DraftGroup[]>()
  for (const group of groups) {
    if (group.isReaction) continue
    if (!byPosition.has(group.place)) byPosition.set(group.place, [])
    byPosition.get(group.place)!.push(group)
  }
  const [place, arrangements] = sure([...byPosition].sort((a, b) => b[1].length - a[1].length)[0])
  const sometimes = arrangements.reduce((set, { holds }) => set | holds, 0n)
  const always = arrangements.reduce((set, { holds }) => set & holds, sometimes)
  const names = index.holds.idsOf(sometimes & ~always).map((id) => `"${id}"`)
  const where = sure(index.positions[place]).record
  return {
    code: 'too-many-states',
    path: ['positions', place, 'holds'],
    message:
      `(${where.id}) the plan has more than ${limit} situations to compute. In "${where.name}" alone ` +
      `${arrangements.length} arrangements come from the holds ${names.join(', ') || '(none)'}, ` +
      'each of which may be on or off; take some of them out, or drop them when leaving a position',
  }
}
