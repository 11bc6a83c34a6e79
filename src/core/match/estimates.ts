import type { Outcomes } from './shares'
import { isReactionKey } from './shares'

/** So many tries of one's own count as much as what the group does. */
export const KAPPA = 8
/** Shares in comparisons are kept within this and 1 less this. */
const LEAST = 0.005
/** Traits may change log-odds by so much at most. */
export const MOST_FIT = 2

/** Weighted outcomes of tries of one record that were logged. */
export interface Counted {
  outcomes: Outcomes
  total: number
}
export const NOTHING_COUNTED: Counted = { outcomes: new Map(), total: 0 }

/** (weight · shares + counts) / (weight + all counts). */
export function pooled(shares: Outcomes, weight: number, { outcomes, total }: Counted): Outcomes {
  if (total === 0) return shares
  const keys = new Set([...shares.keys(), ...outcomes.keys()])
  return new Map(
    [...keys].map((key) => [key, (weight * (shares.get(key) ?? 0) + (outcomes.get(key) ?? 0)) / (weight + total)]),
  )
}

const logit = (p: number) => Math.log(p / (1 - p))
const inverse = (x: number) => 1 / (1 + Math.exp(-x))
const kept = (p: number) => Math.min(1 - LEAST, Math.max(LEAST, p))

/** What a match-up is worked out from, for one record. */
export interface MatchUp {
  /** The group's shares, as guessed and as logged. */
  group: Outcomes
  isLogged: boolean
  /** What the two have done: ours as those who try, theirs as those against whom it is tried; null for nobody. */
  ours: Counted | null
  theirs: Counted | null
  /** What traits change of landing, in log-odds; and of each reaction, by its key. */
  landing: number
  reactions: ReadonlyMap<string, number>
}

/** The shares of a record between two people: 5.5 and 5.6 of the model. */
export function between(match: MatchUp): Outcomes {
  const { group, ours, theirs } = match
  const a = ours ? pooled(group, KAPPA, ours) : group
  const b = theirs ? pooled(group, KAPPA, theirs) : group
  const unknown = KAPPA / (KAPPA + (ours?.total ?? 0) + (theirs?.total ?? 0))
  const lands = landing(match, a, b, unknown)
  return reacting(rest(group, a, b, lands), match.reactions, unknown)
}

function landing({ group, isLogged, landing }: MatchUp, a: Outcomes, b: Outcomes, unknown: number): number {
  const g = group.get('lands') ?? 0
  if (g === 0 || g === 1) return g
  const from = logit(kept(g))
  const of = (shares: Outcomes) => logit(kept(shares.get('lands') ?? 0)) - from
  const p = inverse(logit(g) + of(a) + of(b) + landing * unknown)
  return isLogged ? Math.min(Math.max(1 - LEAST, g), Math.max(Math.min(LEAST, g), p)) : p
}

/** What does not land, in proportion to what each of the two has done against what the group does. */
function rest(group: Outcomes, a: Outcomes, b: Outcomes, lands: number): Map<string, number> {
  const others = [...group].filter(([key, g]) => key !== 'lands' && g > 0)
  const weights = others.map(([key, g]) => ((a.get(key) ?? 0) * (b.get(key) ?? 0)) / g)
  const all = weights.reduce((sum, w) => sum + w, 0)
  const shares = new Map(group)
  shares.set('lands', lands)
  others.forEach(([key], i) => shares.set(key, all > 0 ? ((1 - lands) * (weights[i] ?? 0)) / all : 0))
  return shares
}

/** They choose otherwise among their reactions and doing nothing; landing and where else it ends stay. */
function reacting(shares: Map<string, number>, fits: ReadonlyMap<string, number>, unknown: number): Outcomes {
  const chosen = [...shares].filter(([key]) => key === 'stalls' || isReactionKey(key))
  const weights = chosen.map(([key, share]) => share * Math.exp((fits.get(key) ?? 0) * unknown))
  const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0)
  const [before, after] = [sum(chosen.map(([, share]) => share)), sum(weights)]
  if (after > 0) chosen.forEach(([key], i) => shares.set(key, ((weights[i] ?? 0) * before) / after))
  return shares
}
