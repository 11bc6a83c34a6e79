export const REMARK_KINDS = [
  'two-jobs',
  'missing',
  'needs-nothing',
  'too-early',
  'frame',
  'sides',
  'impossible',
  'reopened',
  'broken',
] as const
export type RemarkKind = (typeof REMARK_KINDS)[number]

/** One finding of the limb check: the step, what is wrong there, and the edits that would mend it. */
export interface Remark {
  kind: RemarkKind
  /** Identifies the remark across edits of the chart: made of its kind, the move or reaction, and the hold. */
  key: string
  /** Counted from 1. */
  step: number
  says: string
  fix: string
}
