import { sure } from '../../sure'

/**
 * Chances, by whole seconds, of holding something that counts once it was held for as long as its marks say. They lie
 * in the slots `from` to `from + seconds` of a row of chances; the last is of those for whom it has been counted.
 */
export class Held {
  readonly seconds: number

  /** `marks`: at how many seconds it counts; `count` hears which mark and the chance of coming to it. */
  constructor(
    private readonly from: number,
    private readonly marks: readonly number[],
    private readonly count: (mark: number, chance: number) => void,
  ) {
    this.seconds = Math.max(0, ...marks)
  }

  /** The slots that it takes. */
  static slots = (marks: readonly number[]): number => Math.max(0, ...marks) + 1

  /** With a chance it begins to be held, or, where nothing must be held, is counted. */
  begin(row: Float64Array, chance: number): void {
    row[this.from] = sure(row[this.from]) + chance
    if (this.seconds === 0) this.marks.forEach((_, mark) => this.count(mark, chance))
  }

  /** It counts as held and counted, with the chance of all of the row. */
  settle(row: Float64Array, chance: number): void {
    row.fill(0, this.from, this.from + this.seconds)
    row[this.from + this.seconds] = chance
  }

  /** Whatever is held, counted or not. */
  total(row: Float64Array): number {
    let sum = 0
    for (let age = 0; age <= this.seconds; age++) sum += sure(row[this.from + age])
    return sum
  }

  /** What was not counted yet is lost. */
  letGo(row: Float64Array): void {
    row.fill(0, this.from, this.from + this.seconds)
  }

  /** All is lost, and counts anew. */
  forget(row: Float64Array): void {
    row.fill(0, this.from, this.from + this.seconds + 1)
  }

  /**
   * Lets `seconds` pass, each of which a share `alive` outlasts. Rows hold chances before what was not outlasted is
   * taken off.
   */
  pass(row: Float64Array, seconds: number, alive: number): void {
    for (let age = this.seconds - 1; age >= 0; age--) {
      const chance = sure(row[this.from + age])
      if (chance === 0) continue
      row[this.from + age] = 0
      const now = Math.min(age + seconds, this.seconds)
      row[this.from + now] = sure(row[this.from + now]) + chance
      this.marks.forEach((mark, i) => {
        if (age < mark && mark <= now) this.count(i, chance * alive ** (mark - age))
      })
    }
  }
}
