import { present } from '../../sure'
import { BUILT_IN_RULES } from './builtInRules'
import type { Position } from '../position'
import type { RuleSet, StrikeChange, Struck } from './ruleSet'

/** The set with an id: the chart's own, else a built-in one. */
export const ruleSetOf = (id: string | null | undefined, own: readonly RuleSet[] = []): RuleSet | undefined =>
  [...own, ...BUILT_IN_RULES].find((set) => set.id === id)

/** Whether a set scores at all. */
export const scores = ({ points, controlTime, holdDown }: RuleSet): boolean =>
  Boolean(controlTime) || Boolean(holdDown?.length) || Object.values(points ?? {}).some((n) => n > 0)

interface Using {
  uses?: readonly string[]
  usesAny?: readonly string[]
}

/** What strikes change under the rules of what needs capabilities. */
export function strikeChangesOf({ uses = [], usesAny = [] }: Using, changes: readonly StrikeChange[]): StrikeChange[] {
  const needed = [...uses, ...usesAny]
  return changes.filter((change) => needed.some((one) => one === change.uses || one.endsWith(`-${change.uses}`)))
}

/** What strikes change of a move of ours: only where we can be hit while we try it. */
export const exposedBy = (move: Using, from: Pick<Position, 'family' | 'ahead'>, { strikes, struck }: Strikes) =>
  struckIn(from, struck) ? strikeChangesOf(move, strikes) : []

/** What the rules say of strikes. */
export interface Strikes {
  strikes: readonly StrikeChange[]
  struck: readonly Struck[]
}

/** What they need in order to hit: a hand that is free. */
const HITS = { usesAny: ['left-hand', 'right-hand'] }

/** Being hit in a position, as something that ends it against us; undefined where nothing of it is said. */
export function struckIn({ family, ahead }: Pick<Position, 'family' | 'ahead'>, struck: readonly Struck[]) {
  const found = struck.find((one) => one.ahead === ahead && (one.family ?? family) === family)
  return found && { ...HITS, every: found.every }
}

const GROUND_WITHOUT_PIN = ['guard', 'half-guard', 'turtle', 'ride', 'back', 'crucifix', 'legs']

/** Whether a referee who gives no time on the ground may stand the two up here. */
export const isStoodUp = ({ family }: Pick<Position, 'family'>): boolean => GROUND_WITHOUT_PIN.includes(family)

/** Who trains with a chart, where they need protection, and the rules that hold for them whatever the event allows. */
export const GROUPS = {
  minors: { name: 'minors', rules: 'juniors' },
  beginners: { name: 'beginners', rules: 'first-year' },
} as const
export type Group = keyof typeof GROUPS

/** What a group is protected from: nothing once a coach has said why it is shown all the same. */
export function keptFrom(group: Group | undefined, shownBecause: string | undefined): readonly string[] {
  if (!group || shownBecause?.trim()) return []
  return present(ruleSetOf(GROUPS[group].rules)).forbids
}
