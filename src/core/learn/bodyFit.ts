import type { ClubPerson, Measure } from '../club/person'

/*
 * Rules of thumb for what bodies set: where to grip, how to close the legs, which choke goes round. They say what to
 * try first, with how much room there is; feeling it decides.
 */

/** Factors of the rules, which a club may set: lengths in cm, and shares of a girth. */
export const BODY_RULES = {
  /** For each so many cm that their arms are longer we grip a hand's breadth nearer their elbow. */
  hand: 8,
  /** Ankles cross behind a waist of which our inside leg is this share or more. */
  cross: 0.6,
  /** And an ankle goes behind the knee from this share on. */
  four: 0.8,
  /** A hand gets behind the head where our arm is so many times the girth of their neck. */
  behindHead: 1.6,
  /** And goes round the neck with an arm inside from so many times on. */
  withArm: 1.8,
} as const
export type BodyRules = Record<keyof typeof BODY_RULES, number>

/** The factors of a club: its own, and ours where it has none. */
export const bodyRulesOf = ({ bodyRules }: { bodyRules?: Partial<BodyRules> }): BodyRules => ({
  ...BODY_RULES,
  ...bodyRules,
})

/** What is to be done first, and by how many cm that holds; below 0 it is by so much that the next better is missed. */
export type BodyFit =
  | { of: 'grip'; hands: number; margin: number }
  | { of: 'legs'; way: 'four' | 'cross' | 'hooks'; margin: number }
  | { of: 'choke'; way: 'with-arm' | 'behind-head' | 'palm-to-palm'; margin: number }

/** A measure that a rule needs and that is not known. */
export interface MeasureLacking {
  whose: 'ours' | 'theirs'
  measure: Measure
}

interface Measured {
  measures?: ClubPerson['measures'] | undefined
}

/** What the measures of two people say; what lacks a measure is left out, and `lacking` says which. */
export function bodyFits(
  us: Measured,
  them: Measured,
  rules: BodyRules,
): { fits: BodyFit[]; lacking: MeasureLacking[] } {
  const lacking: MeasureLacking[] = []
  const measure = (whose: 'ours' | 'theirs', measure: Measure) => {
    const found = (whose === 'ours' ? us : them).measures?.[measure]
    if (found === undefined && !lacking.some((one) => one.whose === whose && one.measure === measure))
      lacking.push({ whose, measure })
    return found
  }
  const arm = measure('ours', 'arms')
  const [theirArm, leg] = [measure('theirs', 'arms'), measure('ours', 'legs')]
  const [waist, collar] = [measure('theirs', 'waist'), measure('theirs', 'collar')]
  return {
    fits: [
      ...(arm !== undefined && theirArm !== undefined ? [gripFit(theirArm - arm, rules)] : []),
      ...(leg !== undefined && waist !== undefined ? [legsFit(leg, waist, rules)] : []),
      ...(arm !== undefined && collar !== undefined ? [chokeFit(arm, collar, rules)] : []),
    ],
    lacking,
  }
}

/** `longer`: by how many cm their arms are longer than ours. */
function gripFit(longer: number, { hand }: BodyRules): BodyFit {
  const hands = Math.max(0, Math.round(longer / hand))
  // Half a hand's breadth further it would be one more.
  return { of: 'grip', hands, margin: (hands + 0.5) * hand - longer }
}

function legsFit(leg: number, waist: number, { cross, four }: BodyRules): BodyFit {
  const [forFour, forCross] = [leg - four * waist, leg - cross * waist]
  if (forFour >= 0) return { of: 'legs', way: 'four', margin: forFour }
  return { of: 'legs', way: forCross >= 0 ? 'cross' : 'hooks', margin: forCross }
}

function chokeFit(arm: number, collar: number, { behindHead, withArm }: BodyRules): BodyFit {
  const [forArm, forHead] = [arm - withArm * collar, arm - behindHead * collar]
  if (forArm >= 0) return { of: 'choke', way: 'with-arm', margin: forArm }
  return { of: 'choke', way: forHead >= 0 ? 'behind-head' : 'palm-to-palm', margin: forHead }
}
