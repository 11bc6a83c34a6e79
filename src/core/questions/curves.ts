import type { Chart } from '../chart/chart'
import { BUILT_IN_RULES } from '../chart/rules/builtInRules'
import type { RuleSet } from '../chart/rules/ruleSet'
import { underRules, type Scenario } from '../game/scenario'
import { bestIn } from '../insight/tried'
import type { Job } from '../job'
import { sure } from '../sure'
import { solved } from './solved'

/** The start under one condition: what it is worth, and what is best there: a move's id, `wait`, or null. */
export interface CurvePoint {
  at: number
  worth: number
  best: string | null
}

/** Worth under a set of rules; null: all is allowed. */
export interface UnderRules {
  rules: RuleSet | null
  worth: number
}

/** Worth of the start against the clock, against how well they see it coming, and by rules. */
export interface Curves {
  clock: CurvePoint[]
  sharpness: CurvePoint[]
  rules: UnderRules[]
}

/** Seconds on the clock, and how often they see it coming, at which the start is solved. */
export const CLOCKS = [20, 30, 45, 60, 90, 120, 150, 180, 240, 300, 360, 420, 480]
export const SHARPNESSES = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9]

/** The curves of a chart, each point solved by itself. What cannot be computed is left out. */
export function* worthCurves(chart: Chart, scenario: Scenario): Job<Curves> {
  const sets = [null, ...BUILT_IN_RULES, ...(chart.settings?.ruleSets ?? [])]
  const all = CLOCKS.length + SHARPNESSES.length + sets.length + 1
  let done = 0
  const curves: Curves = { clock: [], sharpness: [], rules: [] }
  for (const seconds of CLOCKS) {
    curves.clock.push(...pointAt(chart, { ...scenario, seconds }, seconds))
    yield ++done / all
  }
  for (const sharpness of SHARPNESSES) {
    curves.sharpness.push(...pointAt(chart, { ...scenario, sharpness }, sharpness))
    yield ++done / all
  }
  for (const rules of sets) {
    const worth = pointAt(chart, { ...scenario, ...underRules(chart, rules?.id ?? null) }, 0)[0]?.worth
    if (worth !== undefined) curves.rules.push({ rules, worth })
    yield ++done / all
  }
  return curves
}

function pointAt(chart: Chart, scenario: Scenario, at: number): CurvePoint[] {
  const solution = solved(chart, scenario, { roots: 'start' })
  if (!solution) return []
  const { start } = solution.game
  return [{ at, worth: sure(solution.values[start]), best: bestIn(solution, start).best }]
}

/** A stretch of a curve in which the same is best. */
export interface Stretch {
  best: string | null
  from: number
  to: number
}

/** The stretches of a curve, by what is best. */
export function stretchesOf(points: readonly CurvePoint[]): Stretch[] {
  const stretches: Stretch[] = []
  points.forEach(({ best }, i) => {
    const last = stretches.at(-1)
    if (last?.best === best) last.to = i
    else stretches.push({ best, from: i, to: i })
  })
  return stretches
}
