import type { Chart } from '../core/chart/chart'
import type { Scenario } from '../core/game/scenario'
import type { Explanation, Question } from '../core/insight/explain'
import type { Figures } from '../core/insight/figures'
import type { Problem } from '../core/problem'

/** Everything that the page says to the worker. A ticket names a question; a newer one makes the older worthless. */
export type ToWorker =
  | { kind: 'solve'; ticket: number; chart: Chart; scenario: Scenario }
  | { kind: 'explain'; ticket: number; question: Question }

/** Everything that the worker says to the page. */
export type FromWorker =
  | { kind: 'figures'; ticket: number; figures: Figures; ms: number }
  /** What loose end `end` of the figures costs; null where that cannot be computed. */
  | { kind: 'cost'; ticket: number; end: number; cost: number | null; left: number }
  | { kind: 'problems'; ticket: number; problems: Problem[] }
  | { kind: 'explanation'; ticket: number; explanation: Explanation | null }
