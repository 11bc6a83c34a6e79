import type { Chart } from '../../src/core/chart/chart'
import type { Race } from '../../src/core/chart/race'
import type { Goes, Tries } from '../../src/core/chart/tries'
import { normal } from './normal'

/** The rules of the method once more, slow and plain: sets of ids, no indices, nothing shared between states. */

export type Fired = Map<string, number>
export type Ids = ReadonlySet<string>

export interface Shares {
  lands: number
  stalls: number
  elsewhere: [string, number][]
  reactions: [string, number][]
}

type Uses = { uses?: string[]; usesAny?: string[] }

export class PlainRules {
  constructor(
    readonly chart: Chart,
    readonly useHolds: boolean,
    readonly fired: Fired,
  ) {}

  rule(name: string): void {
    this.fired.set(name, (this.fired.get(name) ?? 0) + 1)
  }

  position(id: string) {
    return this.chart.positions.find((record) => record.id === id)!
  }
  move(id: string) {
    return this.chart.moves.find((record) => record.id === id)!
  }
  reaction(id: string) {
    return this.chart.reactions.find((record) => record.id === id)!
  }
  hold(id: string) {
    return this.chart.holds!.find((record) => record.id === id)!
  }

  ids(list: readonly string[] | undefined): Set<string> {
    return new Set(this.useHolds ? (list ?? []) : [])
  }
  own(position: string): Set<string> {
    return this.ids(this.position(position).holds)
  }

  minus(set: Ids, ...others: Ids[]): Set<string> {
    return new Set([...set].filter((id) => !others.some((other) => other.has(id))))
  }

  settle(before: Ids, added: Ids): Set<string> {
    const clash = (a: string, b: string) =>
      (this.hold(a).by ?? 'ours') === (this.hold(b).by ?? 'ours') &&
      this.hold(a).limbs.some((limb) => this.hold(b).limbs.includes(limb))
    const stays = [...before].filter((id) => ![...added].some((other) => other !== id && clash(id, other)))
    if (stays.length < before.size) this.rule('settle takes a hold off')
    return new Set([...stays, ...added])
  }

  left({ uses = [], usesAny = [] }: Uses, holds: Ids, by: 'ours' | 'theirs'): number {
    const capability = (use: string) =>
      [...holds]
        .map((id) => this.hold(id))
        .filter((hold) => (hold.by ?? 'ours') === by)
        .flatMap((hold) => hold.denies ?? [])
        .filter((denial) => denial.capability === use)
        .reduce((left, denial) => left * (1 - denial.strength), 1)
    const all = uses.reduce((left, use) => left * capability(use), 1)
    if (!usesAny.length) return all
    const any = Math.max(...usesAny.map(capability))
    if (any < 1) this.rule('every way of usesAny is hindered')
    return all * any
  }

  /**
   * How a move goes `as` it or an answer says, from these holds, or null where it cannot be tried; `stalled`: it has
   * just come to nothing.
   */
  shares(id: string, as: Goes, holds: Ids, stalled: boolean, repeat: number): Shares | null {
    const { tries = {}, race } = as
    const move = this.move(id)
    if ([...this.ids(move.needs)].some((need) => !holds.has(need))) {
      this.rule('a need is missing')
      return null
    }
    const charted = tries.lands ?? 0
    let lands = charted * this.left(move, holds, 'theirs')
    if (lands < charted) this.rule('their holds keep a move from landing')
    let stalls = (tries.stalls ?? 0) + charted - lands
    const reactions = this.reactionsLeft(tries, this.minus(holds, this.ids(move.drops)))
    const lost = reactions.reduce((sum, [, weight, before]) => sum + before - weight, 0)
    if (lost > 0) {
      const all = lands + stalls
      this.rule(all > 0 ? 'a lost reaction is shared' : 'a lost reaction comes to nothing')
      const share = all > 0 ? lands / all : 0
      lands += lost * share
      stalls += lost * (1 - share)
    }
    if (race) {
      const won =
        race.tries * this.first(race, this.left(move, holds, 'theirs'), this.minus(holds, this.ids(move.drops)))
      lands += won
      const raced = reactions.find(([reaction]) => reaction === race.reaction)
      if (race.comesToNothing) stalls += race.tries - won
      else if (raced) raced[1] += race.tries - won
      else reactions.push([race.reaction, race.tries - won, 0])
      const order = this.chart.reactions.map((one): string => one.id)
      reactions.sort(([a], [b]) => order.indexOf(a) - order.indexOf(b))
    }
    if (stalled) {
      if (lands > 0 && repeat < 1) this.rule('repeated')
      stalls += lands * (1 - repeat)
      lands *= repeat
    }
    const weights: Shares = {
      lands: lands > 1e-12 ? lands : 0,
      stalls: stalls > 1e-12 ? stalls : 0,
      elsewhere: Object.entries(tries.elsewhere ?? {}).filter(([, n]) => n > 1e-12),
      reactions: reactions.flatMap(([reaction, weight]) => (weight > 1e-12 ? [[reaction, weight]] : [])),
    }
    return this.scaled(weights)
  }

  /** The chance that we are first: both times are lognormal. */
  private first({ reaction, ours, theirs, spread = 0.3 }: Race, moveLeft: number, against: Ids): number {
    const reactionLeft = this.left(this.reaction(reaction), against, 'ours')
    if (moveLeft === 0) {
      this.rule('their holds lose us the race')
      return 0
    }
    if (reactionLeft === 0) {
      this.rule('our holds win us the race')
      return 1
    }
    this.rule(moveLeft < 1 || reactionLeft < 1 ? 'holds slow a race' : 'a race')
    return normal(Math.log(theirs / reactionLeft / (ours / moveLeft)) / Math.hypot(spread, spread))
  }

  private reactionsLeft(tries: Tries, holds: Ids): [string, number, number][] {
    return this.chart.reactions
      .filter(({ id }) => (tries.reactions?.[id] ?? 0) > 0)
      .map((reaction) => {
        const before = tries.reactions![reaction.id]
        const weight = before * this.left(reaction, holds, 'ours')
        if (weight <= 1e-12) this.rule('a reaction is shut out')
        return [reaction.id, weight, before]
      })
  }

  private scaled(weights: Shares): Shares | null {
    const { lands, stalls, elsewhere, reactions } = weights
    if (!lands && !elsewhere.length && !reactions.length) {
      this.rule('nothing is left of a move')
      return null
    }
    const total = [...elsewhere, ...reactions].reduce((sum, [, n]) => sum + n, lands + stalls)
    return {
      lands: lands / total,
      stalls: stalls / total,
      elsewhere: elsewhere.map(([id, n]) => [id, n / total]),
      reactions: reactions.map(([id, n]) => [id, n / total]),
    }
  }
}
