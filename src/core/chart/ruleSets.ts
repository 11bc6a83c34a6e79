import { IsArray, IsString } from 'class-validator'
import { IsRecordId, IsWord, Optional } from './constraints'

/** What a move may be that some rules forbid, by tag. */
export const RULE_TAGS = {
  'neck-crank': 'neck cranks',
  'spine-lock': 'spine locks',
  'twisting-leg-lock': 'twisting leg locks',
  'groin-split': 'groin splits',
  'mouth-covering': 'covering the mouth',
  'wrist-lock': 'wrist locks',
  slam: 'slams',
  'scissor-takedown': 'scissor takedowns',
  'lapel-grip': 'grips on cloth',
  strikes: 'strikes',
  choke: 'chokes',
  armlock: 'armlocks',
} as const
export type RuleTag = keyof typeof RULE_TAGS

/** Which moves an event does not allow. Data: a chart may bring its own. */
export class RuleSet {
  @IsRecordId() id!: string
  @IsWord() name!: string
  @IsArray() @IsWord({ each: true }) forbids!: string[]
  @Optional() @IsString() notes?: string
}

/** Every built-in set is generic: events differ. */
const CHECK = 'Generic: check your event’s own book.'

export const BUILT_IN_RULES: readonly RuleSet[] = [
  {
    id: 'gi-points',
    name: 'Gi, points',
    forbids: ['neck-crank', 'spine-lock', 'twisting-leg-lock', 'mouth-covering', 'slam', 'scissor-takedown', 'strikes'],
    notes: CHECK,
  },
  {
    id: 'no-gi-points',
    name: 'No-gi, points',
    forbids: ['lapel-grip', 'neck-crank', 'spine-lock', 'mouth-covering', 'slam', 'scissor-takedown', 'strikes'],
    notes: CHECK,
  },
  {
    id: 'submission-only',
    name: 'Submission only, no-gi',
    forbids: ['lapel-grip', 'mouth-covering', 'slam', 'strikes'],
    notes: CHECK,
  },
  { id: 'strikes-allowed', name: 'Strikes allowed', forbids: ['lapel-grip'], notes: CHECK },
  {
    id: 'first-year',
    name: 'First year',
    forbids: ['neck-crank', 'spine-lock', 'twisting-leg-lock', 'groin-split', 'mouth-covering', 'wrist-lock', 'slam', 'scissor-takedown', 'strikes'], // prettier-ignore
    notes: `For training groups: what gives little warning is out. ${CHECK}`,
  },
  {
    id: 'juniors',
    name: 'Juniors: positions only',
    forbids: Object.keys(RULE_TAGS).filter((tag) => tag !== 'lapel-grip'),
    notes: `Control is the goal; no finish that is tagged is allowed. ${CHECK}`,
  },
]

/** The set with an id: the chart's own, else a built-in one. */
export const ruleSetOf = (id: string | null | undefined, own: readonly RuleSet[] = []): RuleSet | undefined =>
  [...own, ...BUILT_IN_RULES].find((set) => set.id === id)

/** Who trains with a chart, where they need protection, and the rules that hold for them whatever the event allows. */
export const GROUPS = {
  minors: { name: 'minors', rules: 'juniors' },
  beginners: { name: 'beginners', rules: 'first-year' },
} as const
export type Group = keyof typeof GROUPS

/** What a group is protected from: nothing once a coach has said why it is shown all the same. */
export function keptFrom(group: Group | undefined, shownBecause: string | undefined): readonly string[] {
  if (!group || shownBecause?.trim()) return []
  return ruleSetOf(GROUPS[group].rules)!.forbids
}
