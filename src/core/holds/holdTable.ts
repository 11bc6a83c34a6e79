import { present } from '../sure'
import { holder, type Hold } from '../chart/hold'
import { LIMBS, type Person } from '../chart/words'

/** A set of holds of both people: bit i stands for hold i of the chart. Usable as a key of a Map. */
export type HoldSet = bigint
export const NO_HOLDS: HoldSet = 0n

/**
 * Part of a set, and a set without another. Most sets are empty, and a bigint is made anew for each step of a sum, so
 * sums that come to nothing are left out: they took a third of the time of compiling.
 */
export const within = (set: HoldSet, part: HoldSet): HoldSet =>
  set === NO_HOLDS || part === NO_HOLDS ? NO_HOLDS : set & part
export const without = (set: HoldSet, gone: HoldSet): HoldSet =>
  set === NO_HOLDS || gone === NO_HOLDS ? set : set & ~gone

/** What denies a capability, each with the share that it leaves; and what is left against sets of holds. */
interface Denials {
  by: { bit: HoldSet; left: number }[]
  left: Map<HoldSet, number>
}

/** The chart's holds as bit sets: which of them share a limb, and which deny which capability. */
export class HoldTable {
  readonly all: HoldSet
  private readonly index: Map<string, number>
  private readonly rivals: HoldSet[]
  private readonly rivalsOf = new Map<HoldSet, HoldSet>()
  /** By whose holds they are, then by capability: what denies it, and what was found to be left of it. */
  private readonly denials: Record<Person, Map<string, Denials>> = { ours: new Map(), theirs: new Map() }

  constructor(readonly holds: readonly Hold[]) {
    this.index = new Map(holds.map(({ id }, i) => [id, i]))
    this.all = (1n << BigInt(holds.length)) - 1n
    const limbs = holds.map(limbMask)
    this.rivals = limbs.map((mine, i) =>
      limbs.reduce((set, theirs, j) => (i !== j && mine & theirs ? set | (1n << BigInt(j)) : set), NO_HOLDS),
    )
    holds.forEach((hold, i) => this.indexDenials(hold, 1n << BigInt(i)))
  }

  private indexDenials(hold: Hold, bit: HoldSet): void {
    for (const { capability, strength } of hold.denies ?? []) {
      if (strength <= 0) continue
      const own = this.denials[holder(hold)]
      const known = own.get(capability) ?? { by: [], left: new Map<HoldSet, number>() }
      own.set(capability, known)
      known.by.push({ bit, left: 1 - strength })
    }
  }

  /** The set of the holds with these ids, each of which must be in the chart. */
  setOf(ids: readonly string[] | undefined): HoldSet {
    if (!ids?.length) return NO_HOLDS
    return ids.reduce((set, id) => set | (1n << BigInt(present(this.index.get(id)))), NO_HOLDS)
  }

  /** The ids in a set, in the chart's order. */
  idsOf(set: HoldSet): Hold['id'][] {
    return this.holds.filter((_, i) => set & (1n << BigInt(i))).map(({ id }) => id)
  }

  /** The holds outside `set` that share a limb of the same person with one in it. */
  sharingLimbs(set: HoldSet): HoldSet {
    if (set === NO_HOLDS) return NO_HOLDS
    let found = this.rivalsOf.get(set)
    if (found === undefined) {
      found = this.rivals.reduce((all, rivals, i) => (set & (1n << BigInt(i)) ? all | rivals : all), NO_HOLDS)
      this.rivalsOf.set(set, found)
    }
    return found
  }

  /** `added`, and the holds of `before` that share no limb of the same person with one of `added`. */
  settle(before: HoldSet, added: HoldSet): HoldSet {
    if (added === NO_HOLDS) return before
    return before === NO_HOLDS ? added : added | (before & ~this.sharingLimbs(added))
  }

  /** The holds of `by` that deny a capability of the other person, in part or whole. */
  denying(capability: string, by: Person): HoldSet {
    return (this.denials[by].get(capability)?.by ?? []).reduce((set, { bit }) => set | bit, NO_HOLDS)
  }

  /** Share left of a capability (0 to 1) against the holds of `by` in `set`. */
  capabilityLeft(capability: string, set: HoldSet, by: Person): number {
    const denials = this.denials[by].get(capability)
    if (!denials) return 1
    let left = denials.left.get(set)
    if (left === undefined) {
      left = denials.by.reduce((product, denial) => (set & denial.bit ? product * denial.left : product), 1)
      denials.left.set(set, left)
    }
    return left
  }

  /** Share left (0 to 1) of a reaction or move that needs all of `uses` and the best of `usesAny`. */
  left(needs: { uses?: string[]; usesAny?: string[] }, set: HoldSet, by: Person): number {
    if (set === NO_HOLDS || !(needs.uses ?? needs.usesAny)) return 1
    const all = (needs.uses ?? []).reduce((product, use) => product * this.capabilityLeft(use, set, by), 1)
    if (!needs.usesAny?.length) return all
    return all * Math.max(...needs.usesAny.map((use) => this.capabilityLeft(use, set, by)))
  }
}

/** One bit for each limb of each person. */
function limbMask(hold: Hold): number {
  const offset = holder(hold) === 'ours' ? 0 : LIMBS.length
  return hold.limbs.reduce((mask, limb) => mask | (1 << (LIMBS.indexOf(limb) + offset)), 0)
}
