import { toPositionId, type MoveId, type PositionId } from '../chart/ids'
import {
  DEFAULT_BREAK_UP,
  DEFAULT_ENDS,
  DEFAULT_REPEAT,
  DEFAULT_SLIPS,
  type Chart,
  type Settings,
} from '../chart/chart'
import { PROBE, probeOf, type ProbeFactors } from '../chart/probe'
import type { RuleSet, StrikeChange, Struck } from '../chart/rules/ruleSet'
import { keptFrom, ruleSetOf } from '../chart/rules/ruleSets'
import type { ByAhead } from '../chart/words'
import type { Problem } from '../problem'

/** To finish without being caught; to finish at all; to win the match, by a finish or by points when time is up. */
export const OBJECTIVES = ['careful', 'finish', 'win'] as const
export type Objective = (typeof OBJECTIVES)[number]

export const DEFAULT_SECONDS = 240
export const MAX_SECONDS = 3600
export const MAX_SHARPNESS = 0.9
/** A score is kept within so many points. */
export const MAX_SCORE = 10

/** What every figure depends on besides the chart. Times in seconds; null is no clock, or never. */
export interface Scenario {
  start: PositionId
  goal: PositionId[]
  seconds: number | null
  /** How well they read us, 0 to 0.9. */
  sharpness: number
  objective: Objective
  /** Mean seconds until something uncharted breaks the exchange up. */
  breakUp: number | null
  /** Factor, 0 to 1, on the landing of a move that has just stalled. */
  repeat: number
  /** The share of tries that come to nothing in place which lose the position, 0 to 1. */
  slips: number
  ends: ByAhead<number>
  /** False: all holds are ignored. */
  holds: boolean
  /** Which rules are in force, or none; and the tags of the moves that they do not allow. */
  rules: string | null
  forbids: readonly string[]
  /** Moves that are not tried, because the coach does it another way. */
  aside: readonly MoveId[]
  /** The rules allow no finish at all. */
  noFinish: boolean
  /** What strikes change of their reactions, where the rules allow them. */
  strikes: readonly StrikeChange[]
  /** What being hit costs us, where the rules allow strikes. */
  struck: readonly Struck[]
  /** Mean seconds until the referee stands the two up, on the ground where nobody pins; null: never. */
  stoodUp: number | null
  /** Factors on tries of moves that are only shown; null: moves are tried in full or not at all. */
  probe: ProbeFactors | null
  /** To win a match: the score now, ours less theirs; and where it begins again (null: on the feet, nobody ahead). */
  score: number
  restart: PositionId | null
}

type Saved = Partial<
  Pick<Scenario, 'start' | 'goal' | 'seconds' | 'sharpness' | 'objective' | 'rules' | 'score' | 'restart'>
> & {
  probes?: boolean
}

/**
 * The scenario that the chart's settings describe, with the given parts instead.
 * A saved start or goal that is no longer charted falls back to the first position, or to none.
 */
export function scenarioOf(chart: Chart, instead: Partial<Scenario> = {}): Scenario {
  const { settings = {} } = chart
  const saved: Saved = settings.scenario ?? {}
  const charted = new Set<string>(chart.positions.map(({ id }) => id))
  const rules = ruleSetOf(saved.rules, settings.ruleSets)
  const start = saved.start && charted.has(saved.start) ? saved.start : chart.positions[0]?.id
  return {
    start: start ?? toPositionId(''),
    goal: (saved.goal ?? []).filter((id) => charted.has(id)),
    seconds: saved.seconds === undefined ? DEFAULT_SECONDS : saved.seconds,
    sharpness: saved.sharpness ?? 0,
    objective: saved.objective ?? 'careful',
    breakUp: settings.breakUp === undefined ? DEFAULT_BREAK_UP : settings.breakUp,
    repeat: settings.repeat ?? DEFAULT_REPEAT,
    slips: settings.slips ?? DEFAULT_SLIPS,
    ends: { ...DEFAULT_ENDS, ...settings.ends },
    holds: true,
    aside: (settings.ways ?? []).flatMap(({ aside }) => aside),
    probe: saved.probes ? usualProbe(settings) : null,
    score: saved.score ?? 0,
    restart: saved.restart && charted.has(saved.restart) ? saved.restart : null,
    ...allowedBy(rules, settings),
    ...instead,
  }
}

/** The chart’s factors for moves that are only shown, or the usual ones. */
export const usualProbe = ({ probe }: Settings = {}): ProbeFactors => probeOf(probe, PROBE) ?? PROBE

/** The exchange that a match is in now: what is asked of exchanges, and not of the match, is asked in it. */
export const exchangeOf = (scenario: Scenario): Scenario =>
  scenario.objective === 'win' ? { ...scenario, objective: 'careful' } : scenario

/** The parts of a scenario that follow from the rules in force and from who trains. */
function allowedBy(rules: RuleSet | undefined, { group, shownBecause }: Settings) {
  return {
    rules: rules?.id ?? null,
    forbids: [...new Set([...(rules?.forbids ?? []), ...keptFrom(group, shownBecause)])],
    noFinish: rules?.noFinish ?? false,
    strikes: rules?.strikes ?? [],
    struck: rules?.struck ?? [],
    stoodUp: rules?.stoodUp ?? null,
  }
}

/** The parts of the chart’s scenario that follow from rules, under other rules (null: none). */
export function underRules(
  chart: Chart,
  rules: string | null,
): Pick<Scenario, 'rules' | 'forbids' | 'noFinish' | 'strikes' | 'struck' | 'stoodUp'> {
  const { settings = {} } = chart
  return allowedBy(ruleSetOf(rules, settings.ruleSets), settings)
}

/** Every part of a scenario that cannot be computed with. */
export function checkScenario(chart: Chart, scenario: Scenario): Problem[] {
  const problems: Problem[] = []
  const say = (field: keyof Scenario, message: string) =>
    problems.push({ code: 'bad-scenario', path: ['scenario', field], message })
  const charted = new Set<string>(chart.positions.map(({ id }) => id))
  if (!charted.has(scenario.start)) say('start', `there is no position "${scenario.start}"`)
  for (const id of scenario.goal) if (!charted.has(id)) say('goal', `there is no position "${id}"`)
  const { seconds, sharpness, breakUp, repeat, slips, objective } = scenario
  if (seconds !== null && !(Number.isInteger(seconds) && seconds >= 0 && seconds <= MAX_SECONDS)) {
    say('seconds', `must be whole seconds from 0 to ${MAX_SECONDS}, or none`)
  }
  if (!(sharpness >= 0 && sharpness <= MAX_SHARPNESS)) say('sharpness', `must be from 0 to ${MAX_SHARPNESS}`)
  if (breakUp !== null && !(Number.isFinite(breakUp) && breakUp >= 1))
    say('breakUp', 'must be 1 second or more, or never')
  if (!(repeat >= 0 && repeat <= 1)) say('repeat', 'must be from 0 to 1')
  if (!(slips >= 0 && slips <= 1)) say('slips', 'must be from 0 to 1')
  if (!OBJECTIVES.includes(scenario.objective)) say('objective', `must be ${OBJECTIVES.join(' or ')}`)
  if (objective === 'win') checkMatch(scenario, charted, say)
  return problems
}

function checkMatch(
  { seconds, score, restart }: Scenario,
  charted: ReadonlySet<string>,
  say: (field: keyof Scenario, message: string) => void,
): void {
  if (seconds === null) say('seconds', 'a match that is to be won has an end: set a clock')
  if (!(Number.isInteger(score) && Math.abs(score) <= MAX_SCORE))
    say('score', `must be a whole number from -${MAX_SCORE} to ${MAX_SCORE}`)
  if (restart !== null && !charted.has(restart)) say('restart', `there is no position "${restart}"`)
}
