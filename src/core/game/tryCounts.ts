import type { Chart } from '../chart/chart'
import { isEndId, type EndId } from '../chart/ids'
import type { ProbeFactors } from '../chart/probe'
import { DEFAULT_SPREAD, type RaceTimes, type SupposedRace } from '../chart/race'
import { withTallies, type Whole } from '../chart/tries'

/** Places that are not charted positions. */
export const CAUGHT = -1
export const FINISH = -2
export const OVER = -3
const END_PLACES: Readonly<Record<EndId, number>> = { caught: CAUGHT, over: OVER }

/** Counts with ids turned into indices; `elsewhere` may hold `CAUGHT` or `OVER`. */
export interface TryCounts {
  lands: number
  stalls: number
  elsewhere: [place: number, count: number][]
  /** In the order of the chart's reactions. */
  reactions: [reaction: number, count: number][]
  race: RaceCounts | null
}

/** A race among the tries. */
export interface RaceCounts extends RaceTimes {
  reaction: number
  tries: number
  /** What we lose comes to nothing, in place of the reaction. */
  isNothing: boolean
}

/** Turns a chart's ids into indices, and its tries into counts by index. */
export class Counter {
  readonly positionOf: Map<string, number>
  readonly reactionOf: Map<string, number>

  constructor({ positions, reactions }: Pick<Chart, 'positions' | 'reactions'>) {
    this.positionOf = new Map<string, number>(positions.map(({ id }, i) => [id, i]))
    this.reactionOf = new Map<string, number>(reactions.map(({ id }, i) => [id, i]))
  }

  place(id: string): number {
    return isEndId(id) ? END_PLACES[id] : id === 'finish' ? FINISH : this.positionOf.get(id)!
  }

  reactions(counts: Record<string, number> | undefined): TryCounts['reactions'] {
    const known: TryCounts['reactions'] = []
    if (!counts) return known
    for (const id of Object.keys(counts)) {
      const n = counts[id]!
      if (n > 0) known.push([this.reactionOf.get(id)!, n])
    }
    return known.length > 1 ? known.sort(([a], [b]) => a - b) : known
  }

  private elsewhere(counts: Whole['elsewhere']): TryCounts['elsewhere'] {
    if (!counts) return []
    return Object.entries(counts).flatMap(([id, n]) => (n > 0 ? [[this.place(id), n]] : []))
  }

  /** `guess` may be absent for a move that is only in reply, of which then nothing comes. */
  tries(guess: Whole = {}): TryCounts {
    const tries = guess.tallies ? withTallies(guess) : guess
    return {
      lands: tries.lands ?? 0,
      stalls: tries.stalls ?? 0,
      elsewhere: this.elsewhere(tries.elsewhere),
      reactions: this.reactions(tries.reactions),
      race: tries.race ? this.race(tries.race) : null,
    }
  }

  private race({ reaction, ours, theirs, spread = DEFAULT_SPREAD, tries, comesToNothing }: SupposedRace): RaceCounts {
    const isNothing = comesToNothing ?? false
    return { reaction: this.reactionOf.get(reaction)!, ours, theirs, spread, tries, isNothing }
  }
}

/** The reactions that tries may meet, in the order of the chart's reactions. */
export function reactionsOf({ reactions, race }: TryCounts): number[] {
  const met = reactions.map(([r]) => r)
  return race && !met.includes(race.reaction) ? [...met, race.reaction].sort((a, b) => a - b) : met
}

/**
 * The same tries when the move is only shown: what else may come of it scales with landing, for both take going
 * through. They race as often as they react.
 */
export function asProbe({ lands, stalls, elsewhere, reactions, race }: TryCounts, factors: ProbeFactors): TryCounts {
  const by = (factor: number, counts: [number, number][]) =>
    factor > 0 ? counts.map(([of, n]): [number, number] => [of, n * factor]) : []
  return {
    lands: lands * factors.lands,
    stalls: stalls * factors.stalls,
    elsewhere: by(factors.lands, elsewhere),
    reactions: by(factors.reactions, reactions),
    race: race && factors.reactions > 0 ? { ...race, tries: race.tries * factors.reactions } : null,
  }
}
