import type { Changed } from '../core/chart/changes'
import type { PositionId } from '../core/chart/ids'
import type { Scenario } from '../core/game/scenario'
import type { AlongRun, RunPath } from '../core/questions/alongRuns'
import type { Beaten } from '../core/questions/beat'
import type { Dependence } from '../core/questions/depends'
import type { GiveUp } from '../core/questions/giveUp'
import type { IfResult, Ifs } from '../core/questions/whatIf'
import type { Limited } from '../core/questions/limit'
import type { Gain } from '../core/questions/gains'
import type { Part, Sampled } from '../core/questions/range'

/** What is asked of a plan, by question; each is work of its own that shows how far it is and can be given up. */
export interface PlanAnswers {
  gains: Gain[]
  beaten: Beaten | null
  depends: Dependence[]
  whatIf: IfResult | null
  limit: Limited | null
  range: Sampled | null
  runs: AlongRun[]
  giveUps: GiveUp[]
}

export type PlanQuestion =
  | { of: 'runs'; runs: RunPath[] }
  | { of: 'giveUps' }
  | { of: 'gains' }
  | { of: 'beaten' }
  | { of: 'depends' }
  | { of: 'whatIf'; ifs: Ifs }
  | { of: 'limit'; limit: number }
  | { of: 'range'; places: PositionId[]; part: Part }
export type AnswerTo<Q extends PlanQuestion> = PlanAnswers[Q['of']]

export type ToPlan =
  { kind: 'ask'; ticket: number; changed: Changed; scenario: Scenario; question: PlanQuestion } | { kind: 'stop' }

/** How far it is, 0 to 1; or the answer, null where it could not be worked out. */
export type FromPlan =
  | { kind: 'progress'; ticket: number; progress: number }
  | { kind: 'answer'; ticket: number; answer: PlanAnswers[keyof PlanAnswers] | null }
