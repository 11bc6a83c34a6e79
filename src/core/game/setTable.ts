import type { HoldSet } from '../holds/holdTable'

/**
 * Many maps from sets of holds, by number. Nearly all of them have one entry, and that is kept in columns: a Map for
 * each would take longer to make than all that is looked up in it.
 */
export class SetTable<T> {
  private readonly sets: (HoldSet | undefined)[] = []
  private readonly values: (T | undefined)[] = []
  private readonly more = new Map<number, Map<HoldSet, T>>()

  /** What map `at` has for the set; undefined where it has nothing. */
  get(at: number, set: HoldSet): T | undefined {
    return this.sets[at] === set ? this.values[at] : this.more.get(at)?.get(set)
  }

  /** Adds an entry that map `at` does not have. */
  add(at: number, set: HoldSet, value: T): void {
    if (this.sets[at] === undefined) {
      this.sets[at] = set
      this.values[at] = value
      return
    }
    const others = this.more.get(at)
    if (others) others.set(set, value)
    else this.more.set(at, new Map([[set, value]]))
  }
}
