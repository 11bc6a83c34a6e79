import { toPositionId } from '../core/chart/ids'
import type { Objective, Scenario } from '../core/game/scenario'
import { problemText, type Problem } from '../core/problem'
import { UsageError } from './usage'

/** The options that set a field of the scenario. */
export const SCENARIO_OPTIONS = {
  start: { type: 'string' },
  seconds: { type: 'string' },
  sharpness: { type: 'string' },
  objective: { type: 'string' },
  score: { type: 'string' },
  goal: { type: 'string' },
  'break-up': { type: 'string' },
  repeat: { type: 'string' },
  slips: { type: 'string' },
  'no-holds': { type: 'boolean', default: false },
} as const

type Given = {
  [K in keyof typeof SCENARIO_OPTIONS]?: (typeof SCENARIO_OPTIONS)[K]['type'] extends 'string' ? string : boolean
}

/** What the options set of the scenario. */
export function scenarioFrom(values: Given): Partial<Scenario> {
  const instead: Partial<Scenario> = { holds: !values['no-holds'] }
  if (values.start !== undefined) instead.start = toPositionId(values.start)
  if (values.seconds !== undefined) instead.seconds = numberOr('none', 'seconds', values.seconds)
  if (values.sharpness !== undefined) instead.sharpness = number('sharpness', values.sharpness)
  if (values['break-up'] !== undefined) instead.breakUp = numberOr('never', 'break-up', values['break-up'])
  if (values.repeat !== undefined) instead.repeat = number('repeat', values.repeat)
  if (values.slips !== undefined) instead.slips = number('slips', values.slips)
  if (values.goal) instead.goal = values.goal.split(',').map((id) => toPositionId(id.trim()))
  if (values.objective !== undefined) instead.objective = values.objective as Objective
  if (values.score !== undefined) instead.score = number('score', values.score)
  return instead
}

/** The number that an option gives; wrong usage where it is none. */
export function number(name: string, text: string): number {
  const value = text.trim() === '' ? NaN : Number(text)
  if (!Number.isFinite(value)) throw new UsageError(`--${name} wants a number, not "${text}"`)
  return value
}

const numberOr = (word: string, name: string, text: string) => (text === word ? null : number(name, text))

/** Prints why a chart cannot be worked with; returns the exit code. Problems of the scenario come from the options. */
export function refuse(problems: Problem[]): number {
  if (problems.some(({ code }) => code === 'bad-scenario' || code === 'needs-an-end'))
    throw new UsageError(problems.map(problemText).join('; '))
  problems.forEach((problem) => console.error(problemText(problem)))
  return 1
}
