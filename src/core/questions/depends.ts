import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { AHEAD, type Ahead } from '../chart/words'
import { MAX_SHARPNESS, type Scenario } from '../game/scenario'
import { VariantSolver } from '../insight/variantSolver'
import { occupancyOf } from '../solve/occupancy'
import type { Solution } from '../solve/solution'
import { promiseOfMet, rankDrills } from './shortlist'
import { allMet, keyOfMet } from './met'
import { stepped, type TriesPart } from './shifted'
import { drillStep, withTries, type DrillTarget } from './target'
import type { Job } from '../job'
import { solved, startWorth } from './solved'

/** A figure of the scenario; `ends`: what ending is worth for whoever is ahead. */
export type ScenarioFigure = 'breakUp' | 'slips' | 'repeat' | 'sharpness' | `ends ${Ahead}`

/** What was moved: one figure of the tries (what lands, or a reaction), or one of the scenario. */
export type Moved = { of: 'tries'; target: DrillTarget; part: TriesPart } | { of: 'scenario'; figure: ScenarioFigure }

/** How the start’s value changes with one figure moved down and up. */
export type Dependence = Moved & { less: number; more: number }

/** The figures on which the start depends most, and of how many figures of the tries that was found out. */
export interface Dependences {
  found: Dependence[]
  tried: number
  all: number
}

const LISTED = 12
/** Figures of the tries that are always solved; and how many states times seconds are solved in all, about 5 s. */
const MIN_TRIED = 12
const BUDGET = 2e8
/** Without a clock a solve takes about as long as with this one. */
const ENDLESS_SECONDS = 600

/** By how much figures of the scenario are moved: break-up by a part of itself, others by so much. */
const STEPS = { breakUp: 0.25, ends: 0.1, slips: 0.05, repeat: 0.1, sharpness: 0.1 }

/**
 * The figures on which the start’s value depends most, the largest change first. A figure of the tries is moved by the
 * step of a drill in its log-odds, both ways, and solved again: all of them where that fits the budget, else those that
 * promise most to first order. Figures of the scenario are moved by `STEPS`.
 */
export function* dependsOn(chart: Chart, scenario: Scenario): Job<Dependences> {
  const solution = solved(chart, scenario, { everySecond: true })
  if (!solution) return { found: [], tried: 0, all: 0 }
  const now = sure(solution.values[solution.game.start])
  const all = ranked(chart, solution)
  const each = 2 * solution.game.stateCount * (scenario.seconds ?? ENDLESS_SECONDS)
  const tried = all.slice(0, Math.max(MIN_TRIED, Math.floor(BUDGET / each)))
  const scenarios = movedScenarios(scenario)
  const near = new VariantSolver(chart, solution.game)
  const found: Dependence[] = []
  const add = (moved: Moved, less: number | null, more: number | null) => {
    if (less !== null && more !== null) found.push({ ...moved, less: less - now, more: more - now })
  }
  const count = tried.length + scenarios.length + 1
  for (const [i, moved] of tried.entries()) {
    yield (i + 1) / count
    const by = (sign: 1 | -1) => near.startWorth(withStepped(chart, moved, sign))
    add({ of: 'tries', ...moved }, by(-1), by(1))
  }
  for (const [i, { figure, less, more }] of scenarios.entries()) {
    yield (tried.length + i + 1) / count
    add({ of: 'scenario', figure }, startWorth(chart, less), startWorth(chart, more))
  }
  const size = ({ less, more }: Dependence) => Math.max(Math.abs(less), Math.abs(more))
  found.sort((a, b) => size(b) - size(a))
  return { found: found.slice(0, LISTED), tried: tried.length, all: all.length }
}

type TriesFigure = Omit<Extract<Moved, { of: 'tries' }>, 'of'>

/** The chart with one figure of the tries a step up or down in its log-odds. */
export function withStepped(chart: Chart, { target, part }: TriesFigure, sign: 1 | -1): Chart {
  const move = target.of === 'move' ? target.move : sure(chart.answers[target.answer]).move
  const kind = chart.moves.find(({ id }) => id === move)?.kind
  const step = kind ? drillStep(chart, kind) : 0
  return withTries(chart, target, (tries) => stepped(tries, part, sign * step))
}

/** All landings and reactions of tries; what promises most to first order first, one of each in turn. */
function ranked(chart: Chart, solution: Solution): TriesFigure[] {
  const occupancy = occupancyOf(solution)
  const promising = rankDrills(chart, solution, occupancy).map(({ target }) => target)
  const keys = new Set(promising.map((target) => JSON.stringify(target)))
  const others = allTargets(chart).filter((target) => !keys.has(JSON.stringify(target)))
  const landings = [...promising, ...others].map((target) => ({ target, part: { of: 'lands' as const } }))
  const promise = promiseOfMet(solution, occupancy)
  const size = (key: string) => Math.abs(promise.get(key) ?? 0)
  const reactions = allMet(chart)
    .sort((a, b) => size(keyOfMet(b)) - size(keyOfMet(a)))
    .flatMap(({ met, reaction }): TriesFigure[] => {
      if (met.by === 'unprompted') return []
      const target = met.by === 'move' ? { of: met.by, move: met.move } : { of: met.by, answer: met.answer }
      return [{ target, part: { of: 'reaction', reaction } }]
    })
  const longest = Math.max(landings.length, reactions.length)
  return Array.from({ length: longest }, (_, i) => [landings[i], reactions[i]])
    .flat()
    .filter((one) => one !== undefined)
}

/** Every move and every answer with tries of its own. */
const allTargets = ({ moves, answers }: Chart): DrillTarget[] => [
  ...moves.flatMap(({ id, tries }): DrillTarget[] => (tries ? [{ of: 'move', move: id }] : [])),
  ...answers.flatMap(({ tries }, answer): DrillTarget[] => (tries ? [{ of: 'answer', answer }] : [])),
]

/** The scenario with each of its figures moved down and up, within what it may be. */
export function movedScenarios(scenario: Scenario): { figure: ScenarioFigure; less: Scenario; more: Scenario }[] {
  const { breakUp, slips, repeat, sharpness, ends, objective } = scenario
  const within = (low: number, high: number, value: number) => Math.min(high, Math.max(low, value))
  const both = (figure: ScenarioFigure, by: (sign: 1 | -1) => Partial<Scenario>) => ({
    figure,
    less: { ...scenario, ...by(-1) },
    more: { ...scenario, ...by(1) },
  })
  return [
    ...(breakUp === null
      ? []
      : [both('breakUp', (sign) => ({ breakUp: Math.max(1, breakUp * (1 + sign * STEPS.breakUp)) }))]),
    both('slips', (sign) => ({ slips: within(0, 1, slips + sign * STEPS.slips) })),
    both('repeat', (sign) => ({ repeat: within(0, 1, repeat + sign * STEPS.repeat) })),
    both('sharpness', (sign) => ({ sharpness: within(0, MAX_SHARPNESS, sharpness + sign * STEPS.sharpness) })),
    ...(objective === 'careful' ? AHEAD : []).map((ahead) =>
      both(`ends ${ahead}`, (sign) => ({
        ends: { ...ends, [ahead]: within(-1, 1, ends[ahead] + sign * STEPS.ends) },
      })),
    ),
  ]
}
