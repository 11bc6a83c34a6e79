export const REMARK_KINDS = [
  'two-jobs',
  'missing',
  'too-early',
  'frame',
  'sides',
  'impossible',
  'reopened',
  'broken',
] as const
export type RemarkKind = (typeof REMARK_KINDS)[number]

/** Something about a run that a coach should look at: at which step, what, and what would mend it. */
export interface Remark {
  kind: RemarkKind
  /** Stays the same as long as it is about the same thing: kind, move or reaction, hold. */
  key: string
  /** Counted from 1. */
  step: number
  says: string
  fix: string
}
