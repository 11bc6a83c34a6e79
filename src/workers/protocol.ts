import type { Changed } from '../core/chart/changes'
import type { Run } from '../core/chart/run'
import type { Scenario } from '../core/game/scenario'
import type { Explanation, Question } from '../core/insight/explain'
import type { PositionId } from '../core/chart/ids'
import type { Figures, Worths } from '../core/insight/figures'
import type { LooseEnd } from '../core/insight/looseEnds'
import type { ExpectedScore } from '../core/insight/points'
import type { Problem } from '../core/problem'
import type { Script, ScriptLength } from '../core/questions/script'
import type { LayoutTask, SlopeLayout } from '../core/slope/places'

/** Where a run begins and what happens in it. */
export type RunPath = Pick<Run, 'start' | 'steps'>

/** Everything that the page says to the solver; of a chart, what changed since it last heard of it. A ticket names a question; a newer one makes the older worthless. */
export type ToSolver =
  | { kind: 'solve'; ticket: number; changed: Changed; scenario: Scenario }
  | { kind: 'explain'; ticket: number; question: Question }
  | { kind: 'along'; ticket: number; run: RunPath }
  | { kind: 'script'; ticket: number; from: PositionId; length: ScriptLength }

/** Everything that the solver says to the page. */
export type FromSolver =
  | { kind: 'figures'; ticket: number; figures: Figures; ms: number }
  | { kind: 'problems'; ticket: number; problems: Problem[] }
  | { kind: 'explanation'; ticket: number; explanation: Explanation | null }
  | { kind: 'worths'; ticket: number; worths: (number | null)[] | null }
  | { kind: 'script'; ticket: number; script: Script | null }

/**
 * A loose end of the figures, by its place there; and the start's value, which its cost is measured against. `scores`:
 * what an exchange scores is asked for too.
 */
export interface Costing {
  ends: { end: number; looseEnd: LooseEnd }[]
  value: number
  scores: boolean
}

export type ToCosts =
  { kind: 'costs'; ticket: number; changed: Changed; scenario: Scenario; costing: Costing } | { kind: 'stop' }

/** What loose end `end` of the figures costs, null where that cannot be computed; or what an exchange scores. */
export type FromCosts =
  | { kind: 'cost'; ticket: number; end: number; cost: number | null; left: number }
  | { kind: 'scored'; ticket: number; scored: ExpectedScore | null }

export interface ToLayout {
  ticket: number
  task: LayoutTask
}

export interface FromLayout {
  ticket: number
  layout: SlopeLayout
}

/** Other ways that a chart could be, each by what is another in it, and what they would be worth. */
export interface ToTrials {
  ticket: number
  changed: Changed
  scenario: Scenario
  position: PositionId
  /** `instead`: parts of the scenario that are others. */
  trials: { key: string; changed: Changed; instead?: Partial<Scenario> }[]
}

export interface FromTrials {
  ticket: number
  key: string
  worths: Worths | null
}
