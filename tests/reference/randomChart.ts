import { seeded } from '../../bench/generate'
import { emptyChart, type Chart } from '../../src/core/chart/chart'
import {
  END_IDS,
  toCueId,
  type EndId,
  type HoldId,
  type MoveId,
  type PlaceId,
  type PositionId,
  type ReactionId,
} from '../../src/core/chart/ids'
import type { Race } from '../../src/core/chart/race'
import type { Tries } from '../../src/core/chart/tries'
import type { Scenario } from '../../src/core/game/scenario'

/** A small chart in which anything that the model allows may happen, the same for the same seed. */
export function randomChart(seed: number, withHolds: boolean): Chart {
  return new Builder(seed, withHolds).chart()
}

/** A scenario for it; `clocked` false leaves out the clock and makes sure that every exchange ends. */
export function randomScenario(chart: Chart, seed: number, clocked: boolean): Partial<Scenario> {
  const random = seeded(seed * 7919 + 1)
  const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]
  const start = one(chart.positions).id
  return {
    start,
    goal: random() < 0.15 ? [one(chart.positions).id] : [],
    seconds: clocked ? 5 + Math.floor(random() * 30) : null,
    sharpness: one([0, 0, 0.25, 0.5, 0.9]),
    objective: one(['careful', 'careful', 'finish'] as const),
    breakUp: clocked && random() < 0.2 ? null : 5 + Math.floor(random() * 60),
    repeat: one([0, 0.5, 0.5, 1]),
    slips: one([0, 0, 0.2, 1]),
  }
}

class Builder {
  private readonly random: () => number
  private readonly counts: { positions: number; moves: number; reactions: number; holds: number }

  constructor(
    seed: number,
    private readonly withHolds: boolean,
  ) {
    this.random = seeded(seed)
    this.counts = {
      positions: 2 + this.below(3),
      moves: 3 + this.below(5),
      reactions: 2 + this.below(4),
      holds: withHolds ? 3 + this.below(5) : 0,
    }
  }

  private below(n: number): number {
    return Math.floor(this.random() * n)
  }
  private chance(p: number): boolean {
    return this.random() < p
  }
  private one<T>(list: readonly T[]): T {
    return list[this.below(list.length)]
  }
  private position(): PositionId {
    return `p${this.below(this.counts.positions)}` as PositionId
  }
  private move(): MoveId {
    return `m${this.below(this.counts.moves)}` as MoveId
  }
  private reaction(): ReactionId {
    return `r${this.below(this.counts.reactions)}` as ReactionId
  }

  chart(): Chart {
    const chart = emptyChart('random', 'Random')
    const { positions, moves, reactions, holds } = this.counts
    const ours: HoldId[] = []
    const theirs: HoldId[] = []
    for (let i = 0; i < holds; i++) {
      const mine = this.chance(0.6)
      ;(mine ? ours : theirs).push(`h${i}` as HoldId)
      chart.holds!.push({
        id: `h${i}` as HoldId,
        name: `Hold ${i}`,
        ...(mine && this.chance(0.5) ? {} : { by: mine ? 'ours' : 'theirs' }),
        limbs: [this.one(['left-hand', 'right-hand', 'left-knee', 'head'] as const)],
      })
      if (this.chance(0.8)) {
        chart.holds![i].denies = [
          { capability: this.capability(), strength: this.one([0.3, 0.5, 1]) },
          { capability: this.capability(), strength: 0.4 },
        ]
      }
    }
    const some = (list: HoldId[], p: number): { [k: string]: HoldId[] } | undefined => {
      const picked = list.filter(() => this.chance(p))
      const free = picked.filter((id, i) => !picked.slice(0, i).some((other) => shareLimb(chart, id, other)))
      return free.length ? { picked: free } : undefined
    }
    const list = <K extends string>(key: K, from: HoldId[], p: number): { [P in K]?: HoldId[] } => {
      const picked = some(from, p)?.picked
      return (picked ? { [key]: picked } : {}) as { [P in K]?: HoldId[] }
    }
    for (let i = 0; i < positions; i++) {
      chart.positions.push({
        id: `p${i}` as PositionId,
        name: `Position ${i}`,
        family: 'side',
        ahead: this.one(['ours', 'even', 'theirs'] as const),
        ...(this.chance(0.4) ? { frame: this.one(['near', 'far']) } : {}),
        ...list('holds', [...ours, ...theirs], 0.35),
        ...(this.chance(0.35) ? { unprompted: { every: 3 + this.below(10), reactions: this.reactionCounts(1) } } : {}),
        ...(this.chance(0.35) ? { threat: { every: 8 + this.below(20), ...this.uses() } } : {}),
        ...(this.chance(0.25) ? { out: { every: 6 + this.below(30), ...this.onlyUses() } } : {}),
        ...(this.chance(0.3) ? { slipsTo: this.place() } : {}),
        ...(this.chance(0.2) ? { breakUp: 10 + this.below(40) } : {}),
        ...(this.chance(0.2) ? { endWorth: this.one([-0.5, 0.1, 0.4]) } : {}),
      })
    }
    for (let i = this.below(4); i > 0; i--) {
      chart.cues = [...(chart.cues ?? []), { id: toCueId(`c${i}`), name: `Cue ${i}`, ...this.uses() }]
    }
    for (const position of chart.positions) {
      if (!chart.cues || this.chance(0.5)) continue
      const seen = chart.cues.filter(() => this.chance(0.7)).map(({ id }) => [id, 1 + this.below(4)] as const)
      position.seen = { ...Object.fromEntries(seen), ...(seen.length && this.chance(0.4) ? {} : { nothing: 2 }) }
    }
    for (let i = 0; i < moves; i++) {
      chart.moves.push({
        id: `m${i}` as MoveId,
        name: `Move ${i}`,
        kind: 'advance',
        from: this.position(),
        to: this.chance(0.25) ? 'finish' : this.position(),
        ...(this.chance(0.15) ? { across: true } : {}),
        ...(this.chance(0.8) ? { seconds: 1 + this.below(6) } : {}),
        ...this.goes(1),
        ...(this.chance(0.15) ? { stallsIn: this.place() } : {}),
        ...(this.chance(0.15) ? { reply: true } : {}),
        ...(this.chance(0.2) ? { slips: this.one([0, 0.3]) } : {}),
        ...this.uses(),
        ...list('needs', ours, 0.12),
        ...list('adds', ours, 0.3),
        ...list('drops', ours, 0.2),
        ...list('keeps', ours, 0.3),
        ...list('strips', theirs, 0.3),
      })
    }
    for (let i = 0; i < reactions; i++) {
      chart.reactions.push({
        id: `r${i}` as ReactionId,
        name: `Reaction ${i}`,
        ...this.uses(),
        endsIn: this.chance(0.15) ? this.end() : this.position(),
        ...(this.chance(0.7) ? { seconds: 1 + this.below(4) } : {}),
        ...list('strips', ours, 0.3),
        ...list('adds', theirs, 0.3),
      })
    }
    for (let i = 2 + this.below(5); i > 0; i--) {
      const answer = {
        reaction: this.reaction(),
        move: this.move(),
        ...this.goes(0.5),
        ...(this.chance(0.2) ? { stallsIn: this.place() } : {}),
      }
      const isNew = chart.answers.every(({ reaction, move }) => reaction !== answer.reaction || move !== answer.move)
      if (isNew) chart.answers.push(answer)
    }
    for (const move of chart.moves) {
      const { seen = {} } = chart.positions.find(({ id }) => id === move.from)!
      const cues = Object.keys(seen).filter((id) => id !== 'nothing')
      if (cues.length && this.chance(0.5)) move.when = cues.filter(() => this.chance(0.6)).map(toCueId)
    }
    for (const move of chart.moves) {
      const borrows = chart.answers.some((answer) => answer.move === move.id && !answer.tries && !answer.race)
      if (move.reply && !borrows && this.chance(0.5)) {
        delete move.tries
        delete move.race
      }
    }
    return chart
  }

  private end(): EndId {
    return this.one(END_IDS)
  }

  /** A position, or how it ends. */
  private place(): PlaceId {
    return this.chance(0.35) ? this.end() : this.position()
  }

  private capability(): string {
    return this.one(['hip-in', 'turn-in', 'bridge'])
  }

  private uses(): { uses?: string[]; usesAny?: string[] } {
    if (!this.withHolds) return {}
    return {
      ...(this.chance(0.45) ? { uses: [this.capability()] } : {}),
      ...(this.chance(0.4) ? { usesAny: [this.capability(), this.capability()] } : {}),
    }
  }

  private onlyUses(): { uses?: string[] } {
    const { uses } = this.uses()
    return uses ? { uses } : {}
  }

  private reactionCounts(least: number): Record<string, number> {
    const counts: Record<string, number> = {}
    for (let n = least + this.below(3); n > 0; n--) counts[this.reaction()] = 1 + this.below(4)
    return counts
  }

  /** Tries with chance `p`, and seldom a race, with or without them. */
  private goes(p: number): { tries?: Tries; race?: Race } {
    const goes = this.chance(p) ? { tries: this.tries() } : {}
    if (!this.chance(0.25)) return goes
    const race: Race = {
      reaction: this.reaction(),
      ours: this.one([1, 2.5, 4]),
      theirs: this.one([0.5, 2, 6]),
      ...(this.chance(0.5) ? { spread: this.one([0.1, 0.8]) } : {}),
      tries: this.one([0.5, 3]),
    }
    return this.chance(0.3) ? { race } : { ...goes, race }
  }

  private tries(): Tries {
    const reactions = this.reactionCounts(0)
    const lands = this.chance(0.8) ? 1 + this.below(5) : 0
    const elsewhere = this.chance(0.2) ? { [this.place()]: 1 } : undefined
    const something = lands || elsewhere || Object.keys(reactions).length
    return {
      lands: something ? lands : 1,
      ...(this.chance(0.7) ? { stalls: this.below(5) } : {}),
      ...(elsewhere ? { elsewhere } : {}),
      reactions,
    }
  }
}

function shareLimb(chart: Chart, a: string, b: string): boolean {
  const hold = (id: string) => chart.holds!.find((record) => record.id === id)!
  return (hold(a).by ?? 'ours') === (hold(b).by ?? 'ours') && hold(a).limbs.some((limb) => hold(b).limbs.includes(limb))
}
