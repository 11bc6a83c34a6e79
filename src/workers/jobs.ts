import { present } from '../core/sure'
import type { Chart } from '../core/chart/chart'
import { withChanged, type Changed } from '../core/chart/changes'
import type { PositionId } from '../core/chart/ids'
import { comingsOf, type Comings } from '../core/climb/comings'
import { checkReferences } from '../core/chart/references'
import type { RunPath } from '../core/chart/run'
import { parsingJobOf, type Documents, type KindName } from '../core/files/documentKinds'
import { compileGame } from '../core/game/compileGame'
import type { Compiler } from '../core/game/compiler'
import type { Scenario } from '../core/game/scenario'
import { worthsAlong } from '../core/insight/along'
import { explain, type Explanation, type Question as FigureQuestion } from '../core/insight/explain'
import { costsOf, figuresOf, worthsOf, type Figures, type Worths } from '../core/insight/figures'
import type { LooseEnd } from '../core/insight/looseEnds'
import type { ExpectedScore } from '../core/insight/points/points'
import { expectedScoreIn } from '../core/insight/points/scoringPass'
import type { Job } from '../core/job'
import { failure, success, type Result } from '../core/problem'
import { alongRuns, type AlongRun } from '../core/questions/alongRuns'
import { beatenBy, type Beaten } from '../core/questions/beat'
import { climbIn, type Chair, type ClimbFound } from '../core/questions/climbs'
import { brakeWorths, type BrakeAsked, type BrakeWorth } from '../core/questions/brakes'
import { worthCurves, type Curves } from '../core/questions/curves'
import { dependsOn, type Dependences } from '../core/questions/depends'
import { drillGains, type Gain } from '../core/questions/gains'
import { giveUps, type GiveUp } from '../core/questions/giveUp'
import { matchTable, type MatchCell } from '../core/questions/matchTable'
import { limitBehind, type Limited } from '../core/questions/limit'
import { sampleRange, type Part as SamplePart, type Sampled } from '../core/questions/range'
import { scriptFrom, type Script, type ScriptLength } from '../core/questions/script'
import { otherPlan, whatIf, type Ifs, type IfResult } from '../core/questions/whatIf'
import { sparWith, type Spar } from '../core/rehearse/spar'
import { layOutSlope } from '../core/slope/layout'
import { cameTrueOf, type CameTrue, type CameTrueAsked } from '../core/learn/cameTrue'
import { learnedSince, weeksOf, type Learned, type LogAsked, type WeekThen } from '../core/learn/weeks'
import type { LayoutTask, SlopeLayout } from '../core/slope/places'
import type { Solution } from '../core/solve/solution'
import { solve } from '../core/solve/solve'

/** A loose end of the figures, by its place there. */
export interface CostedEnd {
  end: number
  looseEnd: LooseEnd
}

/**
 * What an exchange scores; or what loose end `end` costs, null where that cannot be computed, and how many are left.
 */
export type CostPart =
  { of: 'score'; score: ExpectedScore | null } | { of: 'cost'; end: number; cost: number | null; left: number }

/** Every question that a page can ask, by name, with what it asks, what comes before the answer, and the answer. */
interface Questions {
  /** All figures of the chart. What the four after it are about is the chart of the last one. */
  figures: { asks: { scenario: Scenario }; part: never; answer: { figures: Figures; ms: number } }
  explanation: { asks: { question: FigureQuestion }; part: never; answer: Explanation | null }
  /** What it is worth to have come to each step of a run. */
  along: { asks: { run: RunPath }; part: never; answer: (number | null)[] | null }
  /** Where the plan goes, when first, and in what it ends. */
  comings: { asks: object; part: never; answer: Comings | null }
  /** The plan as a climb in another scenario, or from the other chair. */
  climb: { asks: { scenario: Scenario; chair: Chair }; part: never; answer: ClimbFound | null }
  script: { asks: { from: PositionId; length: ScriptLength }; part: never; answer: Script | null }
  /** `value`: what the start is worth; `scores`: whether what an exchange scores is asked too. */
  costs: {
    asks: { scenario: Scenario; ends: CostedEnd[]; value: number; scores: boolean }
    part: CostPart
    answer: null
  }
  /** What the start and a position would be worth in a chart that is otherwise. */
  trial: { asks: { scenario: Scenario; position: PositionId; changed: Changed }; part: never; answer: Worths | null }
  layout: { asks: { task: LayoutTask }; part: never; answer: SlopeLayout }
  gains: { asks: { scenario: Scenario }; part: never; answer: Gain[] }
  /** Worth of the start by the clock, by how well they see it coming, and by rules. */
  curves: { asks: { scenario: Scenario }; part: never; answer: Curves }
  beaten: { asks: { scenario: Scenario }; part: never; answer: Beaten | null }
  /** What the holds that slow them in a race are worth. */
  brakes: { asks: { scenario: Scenario; what: BrakeAsked }; part: never; answer: BrakeWorth[] }
  depends: { asks: { scenario: Scenario }; part: never; answer: Dependences }
  whatIf: { asks: { scenario: Scenario; ifs: Ifs }; part: never; answer: IfResult | null }
  limit: { asks: { scenario: Scenario; limit: number }; part: never; answer: Limited | null }
  range: { asks: { scenario: Scenario; places: PositionId[]; part: SamplePart }; part: never; answer: Sampled | null }
  runs: { asks: { scenario: Scenario; runs: RunPath[] }; part: never; answer: AlongRun[] }
  giveUps: { asks: { scenario: Scenario }; part: never; answer: GiveUp[] }
  /** The chance to win the match by clock and score. */
  matchTable: { asks: { scenario: Scenario }; part: never; answer: MatchCell[] | null }
  /** What would be best in the match with another score, and the chance to win then. */
  otherScore: { asks: { scenario: Scenario; score: number }; part: never; answer: IfResult | null }
  /** What the plan does otherwise than it did in `before`, another state of the chart. */
  otherPlan: { asks: { scenario: Scenario; before: Chart }; part: never; answer: IfResult | null }
  /** The plan by the log of a club: week by week, what moved since a day, and whether what it foretold came true. */
  weeks: { asks: { scenario: Scenario; log: LogAsked }; part: never; answer: WeekThen[] }
  learned: { asks: { scenario: Scenario; log: LogAsked & { since: string } }; part: never; answer: Learned[] }
  cameTrue: { asks: { scenario: Scenario; what: CameTrueAsked }; part: never; answer: CameTrue }
  /** An exchange with a partner who plays by the chart, from a seed, so far as it was chosen. */
  spar: { asks: { scenario: Scenario; seed: number; chosen: number[] }; part: never; answer: Spar | null }
  /** The document in a file's text. */
  read: { asks: { kind: KindName; text: string }; part: never; answer: Documents[KindName] }
}

type Name = keyof Questions
export type QuestionOf<N extends Name> = { of: N } & Questions[N]['asks']
export type Question = { [N in Name]: QuestionOf<N> }[Name]
export type Answer<Q extends { of: Name }> = Questions[Q['of']]['answer']
export type Part<Q extends { of: Name }> = Questions[Q['of']]['part']

/** What a worker knows between questions. */
export interface Bench {
  chart: Chart | null
  readonly compiler: Compiler
  /** What the last question for figures found. */
  solved: Solution | null
  /** What is sparred with, kept from choice to choice. */
  sparring?: { chart: Chart; scenario: string; solution: Solution }
}

/**
 * A question being worked on: yields how far it is (0 to 1), or a part of the answer, and returns the answer or why
 * there is none. Between two yields it is not interrupted.
 */
export type Working<N extends Name> = Generator<
  number | { part: Questions[N]['part'] },
  Result<Questions[N]['answer']>,
  void
>

type JobTable = { [N in Name]: (bench: Bench, question: Questions[N]['asks']) => Working<N> }

/** The work behind each question. */
export const JOBS: JobTable = {
  *figures(bench, { scenario }) {
    const from = performance.now()
    const chart = soundChart(bench)
    if (!chart.ok) return chart
    bench.solved = null
    const solved = figuresOf(chart.value, scenario, bench.compiler)
    if (!solved.ok) return solved
    const { figures, solution } = solved.value
    bench.solved = solution
    return success({ figures, ms: performance.now() - from })
  },
  *explanation({ solved }, { question }) {
    return success(solved && explain(solved, question))
  },
  *along({ solved }, { run }) {
    return success(solved && worthsAlong(solved, run))
  },
  *comings({ solved }) {
    return success(solved && comingsOf(solved))
  },
  *script({ chart, solved }, { from, length }) {
    return success(solved && chart && scriptFrom(chart, solved, from, length))
  },
  *costs(bench, { scenario, ends, value, scores }) {
    const chart = soundChart(bench)
    if (!chart.ok) return chart
    if (scores) {
      const score = expectedScoreIn(chart.value, scenario)
      yield { part: { of: 'score', score: score.ok ? score.value : null } }
    }
    const costOf = ends.length ? costsOf(chart.value, scenario, value, bench.compiler) : null
    for (const [i, { end, looseEnd }] of ends.entries()) {
      yield { part: { of: 'cost', end, cost: present(costOf)(looseEnd), left: ends.length - i - 1 } }
    }
    return success(null)
  },
  *trial({ chart }, { scenario, position, changed }) {
    const otherwise = withChanged(chart, changed)
    const problems = checkReferences(otherwise)
    if (problems.length) return success(null)
    const worths = worthsOf(otherwise, scenario, position)
    return success(worths.ok ? worths.value : null)
  },
  *layout(_bench, { task }) {
    return success(layOutSlope(task))
  },
  gains: (bench, { scenario }) => ofPlan(bench, (chart) => drillGains(chart, scenario)),
  climb: (bench, { scenario, chair }) => ofPlan(bench, (chart) => climbIn(chart, scenario, chair)),
  curves: (bench, { scenario }) => ofPlan(bench, (chart) => worthCurves(chart, scenario)),
  beaten: (bench, { scenario }) => ofPlan(bench, (chart) => beatenBy(chart, scenario)),
  brakes: (bench, { scenario, what }) => ofPlan(bench, (chart) => brakeWorths(chart, scenario, what)),
  depends: (bench, { scenario }) => ofPlan(bench, (chart) => dependsOn(chart, scenario)),
  whatIf: (bench, { scenario, ifs }) => ofPlan(bench, (chart) => whatIf(chart, scenario, ifs)),
  limit: (bench, { scenario, limit }) => ofPlan(bench, (chart) => limitBehind(chart, scenario, limit)),
  range: (bench, { scenario, places, part }) => ofPlan(bench, (chart) => sampleRange(chart, scenario, places, part)),
  runs: (bench, { scenario, runs }) => ofPlan(bench, (chart) => alongRuns(chart, scenario, runs)),
  giveUps: (bench, { scenario }) => ofPlan(bench, (chart) => giveUps(chart, scenario)),
  matchTable: (bench, { scenario }) => ofPlan(bench, (chart) => matchTable(chart, scenario)),
  otherPlan: (bench, { scenario, before }) => ofPlan(bench, (chart) => otherPlan(before, scenario, chart)),
  otherScore: (bench, { scenario, score }) =>
    ofPlan(bench, (chart) => otherPlan(chart, scenario, chart, { ...scenario, score })),
  weeks: (bench, { scenario, log }) => ofPlan(bench, (chart) => weeksOf(chart, scenario, log)),
  learned: (bench, { scenario, log }) => ofPlan(bench, (chart) => learnedSince(chart, scenario, log)),
  cameTrue: (bench, { scenario, what }) => ofPlan(bench, (chart) => cameTrueOf(chart, scenario, what)),
  *spar(bench, { scenario, seed, chosen }) {
    const solution = sparringWith(bench, scenario)
    return solution.ok ? success(sparWith(solution.value, seed, chosen)) : solution
  },
  read: (_bench, { kind, text }) => parsingJobOf(kind, text),
}

/** The plan that is sparred with; solved once for all choices of an exchange. */
function sparringWith(bench: Bench, scenario: Scenario): Result<Solution> {
  const chart = soundChart(bench)
  if (!chart.ok) return chart
  const text = JSON.stringify(scenario)
  const { sparring } = bench
  if (sparring?.chart === chart.value && sparring.scenario === text) return success(sparring.solution)
  const game = compileGame(chart.value, scenario, { roots: 'start' })
  if (!game.ok) return game
  const solution = solve(game.value, { everySecond: true })
  if (solution.ok) bench.sparring = { chart: chart.value, scenario: text, solution: solution.value }
  return solution
}

/** A question of the core about the whole plan. */
function* ofPlan<A>(bench: Bench, work: (chart: Chart) => Job<A>): Generator<number, Result<A>, void> {
  const chart = soundChart(bench)
  return chart.ok ? success(yield* work(chart.value)) : chart
}

/**
 * The chart, if what ties its records together holds: edits are checked where they are made, and this is the last door.
 */
function soundChart({ chart }: Bench): Result<Chart> {
  if (!chart) return failure({ code: 'missing', path: [], message: 'no chart has been asked about yet' })
  const problems = checkReferences(chart)
  return problems.length ? failure(...problems) : success(chart)
}
