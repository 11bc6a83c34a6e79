import { present } from '../sure'
import { holder, type Hold } from '../chart/hold'
import { LIMBS, type Person } from '../chart/words'

/** A set of holds of both people: bit i stands for hold i of the chart. Usable as a key of a Map. */
export type HoldSet = bigint
export const NO_HOLDS: HoldSet = 0n

/** The chart's holds as bit sets: which of them share a limb, and which deny which capability. */
export class HoldTable {
  readonly all: HoldSet
  private readonly index: Map<string, number>
  private readonly rivals: HoldSet[]
  private readonly rivalsOf = new Map<HoldSet, HoldSet>()
  private readonly denials = new Map<string, { bit: HoldSet; left: number }[]>()
  private readonly leftOf = new Map<string, Map<HoldSet, number>>()

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
      const key = denialKey(capability, holder(hold))
      if (!this.denials.has(key)) this.denials.set(key, [])
      present(this.denials.get(key)).push({ bit, left: 1 - strength })
    }
  }

  /** The set of the holds with these ids, each of which must be in the chart. */
  setOf(ids: readonly string[] | undefined): HoldSet {
    return (ids ?? []).reduce((set, id) => set | (1n << BigInt(present(this.index.get(id)))), NO_HOLDS)
  }

  /** The ids in a set, in the chart's order. */
  idsOf(set: HoldSet): Hold['id'][] {
    return this.holds.filter((_, i) => set & (1n << BigInt(i))).map(({ id }) => id)
  }

  /** The holds outside `set` that share a limb of the same person with one in it. */
  sharingLimbs(set: HoldSet): HoldSet {
    let found = this.rivalsOf.get(set)
    if (found === undefined) {
      found = this.rivals.reduce((all, rivals, i) => (set & (1n << BigInt(i)) ? all | rivals : all), NO_HOLDS)
      this.rivalsOf.set(set, found)
    }
    return found
  }

  /** `added`, and the holds of `before` that share no limb of the same person with one of `added`. */
  settle(before: HoldSet, added: HoldSet): HoldSet {
    return added | (before & ~this.sharingLimbs(added))
  }

  /** The holds of `by` that deny a capability of the other person, in part or whole. */
  denying(capability: string, by: Person): HoldSet {
    return (this.denials.get(denialKey(capability, by)) ?? []).reduce((set, { bit }) => set | bit, NO_HOLDS)
  }

  /** Share left of a capability (0 to 1) against the holds of `by` in `set`. */
  capabilityLeft(capability: string, set: HoldSet, by: Person): number {
    const key = denialKey(capability, by)
    const denials = this.denials.get(key)
    if (!denials) return 1
    let known = this.leftOf.get(key)
    if (!known) this.leftOf.set(key, (known = new Map<HoldSet, number>()))
    let left = known.get(set)
    if (left === undefined) {
      left = denials.reduce((product, denial) => (set & denial.bit ? product * denial.left : product), 1)
      known.set(set, left)
    }
    return left
  }

  /** Share left (0 to 1) of a reaction or move that needs all of `uses` and the best of `usesAny`. */
  left(needs: { uses?: string[]; usesAny?: string[] }, set: HoldSet, by: Person): number {
    if (set === NO_HOLDS) return 1
    const all = (needs.uses ?? []).reduce((product, use) => product * this.capabilityLeft(use, set, by), 1)
    if (!needs.usesAny?.length) return all
    return all * Math.max(...needs.usesAny.map((use) => this.capabilityLeft(use, set, by)))
  }
}

const denialKey = (capability: string, by: Person) => `${by} ${capability}`

/** One bit for each limb of each person. */
function limbMask(hold: Hold): number {
  const offset = holder(hold) === 'ours' ? 0 : LIMBS.length
  return hold.limbs.reduce((mask, limb) => mask | (1 << (LIMBS.indexOf(limb) + offset)), 0)
}
