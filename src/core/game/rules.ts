import { sure } from '../sure'
import { within, without, type HoldSet } from '../holds/holdTable'
import type { ChartIndex, IndexedMove, IndexedReaction } from './chartIndex'
import { chanceFirst } from '../chart/race'
import type { RaceCounts, TryCounts } from './tryCounts'

/** The rules of docs/method.md: how ten tries go against the holds that are on, and where they lead. */

/** Weights at or below this vanish. */
export const VANISHING = 1e-12

/** How a try goes from the holds that are on: shares that sum to 1, before sharpness. */
export interface Shares {
  lands: number
  stalls: number
  elsewhere: [place: number, share: number][]
  reactions: [reaction: number, share: number][]
}

/**
 * What the holds that are on leave of a move’s landing, of each reaction in the order of its tries, and of the one that
 * they race for; 0 to 1.
 */
export interface Left {
  lands: number
  reactions: number[]
  race: number
}

const canBeTried = ({ isOut, needs }: IndexedMove, holds: HoldSet): boolean => !isOut && within(holds, needs) === needs

/** What is left of a move, or null where it is not tried: the rules do not allow it, or a need is missing (step 1). */
export function leftOf(index: ChartIndex, move: IndexedMove, tries: TryCounts, holds: HoldSet): Left | null {
  if (!canBeTried(move, holds)) return null
  const against = without(holds, move.drops)
  return {
    lands: landsLeft(index, move, holds),
    reactions: tries.reactions.map(([r]) => reactionLeft(index, r, against)),
    race: tries.race ? reactionLeft(index, tries.race.reaction, against) : 1,
  }
}

/**
 * Steps 2 to 4 and 6 of docs/method.md: the shares of tries of which `left` is left. Null where only stalling can come
 * of them.
 */
export const sharesWith = (tries: TryCounts, left: Left): Shares | null =>
  sharesOfLeft(
    tries,
    left.lands,
    (i) => sure(left.reactions[i]),
    tries.race && raceOf(tries.race, left.lands, left.race),
  )

/** Steps 1 to 4 and 6 of docs/method.md: the shares of a move from these holds. Null where it cannot be tried. */
export function sharesOf(index: ChartIndex, move: IndexedMove, tries: TryCounts, holds: HoldSet): Shares | null {
  if (!canBeTried(move, holds)) return null
  const against = without(holds, move.drops)
  const left = landsLeft(index, move, holds)
  const { race } = tries
  const raced = race && raceOf(race, left, reactionLeft(index, race.reaction, against))
  return sharesOfLeft(tries, left, (_, r) => reactionLeft(index, r, against), raced)
}

/** What the tries of a race come to: being first lands, being second meets the reaction or comes to nothing. */
interface Raced {
  reaction: number
  lands: number
  meets: number
  stalls: number
}

/** A race in which holds leave so much of what each side does: who has half of it left takes twice as long. */
function raceOf(race: RaceCounts, landsLeft: number, reactionLeft: number): Raced {
  const { reaction, ours, theirs, spread, tries, isNothing } = race
  const won = chanceFirst({ ours: ours / landsLeft, theirs: theirs / reactionLeft, spread })
  const lost = tries * (1 - won)
  return { reaction, lands: tries * won, meets: isNothing ? 0 : lost, stalls: isNothing ? lost : 0 }
}

function sharesOfLeft(
  tries: TryCounts,
  landsLeft: number,
  leftOfReaction: (i: number, r: number) => number,
  raced: Raced | null,
): Shares | null {
  const landed = tries.lands * landsLeft
  const stalled = tries.stalls + (tries.lands - landed)
  let lost = 0
  const reactions: Shares['reactions'] = []
  for (let i = 0; i < tries.reactions.length; i++) {
    const [r, count] = sure(tries.reactions[i])
    const weight = count * leftOfReaction(i, r)
    lost += count - weight
    const met = raced?.reaction === r ? weight + raced.meets : weight
    if (met > VANISHING) reactions.push([r, met])
  }
  if (raced && raced.meets > VANISHING && !tries.reactions.some(([r]) => r === raced.reaction)) {
    reactions.push([raced.reaction, raced.meets])
    reactions.sort(([a], [b]) => a - b)
  }
  const through = landed + stalled > 0 ? landed / (landed + stalled) : 0
  const lands = vanish(landed + lost * through + (raced?.lands ?? 0))
  const stalls = vanish(stalled + lost * (1 - through) + (raced?.stalls ?? 0))
  const elsewhere: Shares['elsewhere'] = []
  for (const [place, n] of tries.elsewhere) if (n > VANISHING) elsewhere.push([place, n])
  return scaled({ lands, stalls, elsewhere, reactions })
}

/** What is left of our landing against their holds, and against strikes where we can be hit. */
const landsLeft = ({ holds }: ChartIndex, move: IndexedMove, on: HoldSet): number =>
  holds.left(move.record, on, 'theirs') * move.underStrikes

/** What is left of a reaction against our holds, and against strikes where the rules allow them. */
export const reactionLeft = ({ holds, reactions }: ChartIndex, r: number, on: HoldSet): number =>
  holds.left(sure(reactions[r]).record, on, 'ours') * sure(reactions[r]).underStrikes

const vanish = (weight: number) => (weight > VANISHING ? weight : 0)

/** Scales weights to shares that sum to 1, in place. Null where only stalling can come of them. */
function scaled(weights: Shares): Shares | null {
  const { elsewhere, reactions } = weights
  if (!(weights.lands > 0 || elsewhere.length || reactions.length)) return null
  let total = weights.lands + weights.stalls
  for (const [, weight] of elsewhere) total += weight
  for (const [, weight] of reactions) total += weight
  weights.lands /= total
  weights.stalls /= total
  for (const one of elsewhere) one[1] /= total
  for (const one of reactions) one[1] /= total
  return weights
}

/** Step 5: how much less lands when the move has just stalled. Null where it cannot be tried again. */
export function repeatLoss(shares: Shares, repeat: number): number | null {
  const left = shares.lands * repeat
  if (left <= VANISHING && !shares.elsewhere.length && !shares.reactions.length) return null
  return shares.lands - left
}

/** Step 5: the shares once the move has just stalled. Null where it cannot be tried again. */
export function triedAgain(shares: Shares, repeat: number): Shares | null {
  const loss = repeatLoss(shares, repeat)
  return loss === null ? null : { ...shares, lands: vanish(shares.lands - loss), stalls: shares.stalls + loss }
}

/** The unprompted reactions in a second of waiting, with their chances, against our holds. */
export function unpromptedChances(index: ChartIndex, position: number, holds: HoldSet): Shares['reactions'] {
  const { unprompted, record } = sure(index.positions[position])
  if (!unprompted.length) return []
  return chancesASecond(
    unprompted,
    record.unprompted!.every,
    unprompted.map(([r]) => reactionLeft(index, r, holds)),
  )
}

/**
 * The chances per second of unprompted reactions that come every `every` seconds on average, each reduced to what is
 * left of it.
 */
export function chancesASecond(
  counts: TryCounts['reactions'],
  every: number,
  left: readonly number[],
): Shares['reactions'] {
  const all = counts.reduce((total, [, count]) => total + count, 0)
  return counts
    .map(([r, count], i): [number, number] => [r, (count * sure(left[i])) / all / every])
    .filter(([, chance]) => chance > VANISHING)
}

/** What may be seen on coming to a position: the share of each cue, `NONE` for nothing in particular last. */
export type Sight = [cue: number, share: number]

/** What is seen on coming to a position with these holds. What they take from cues goes to nothing in particular. */
export function sightsIn({ holds, positions }: ChartIndex, position: number, on: HoldSet): Sight[] {
  const { seen } = sure(positions[position])
  const all = seen.reduce((total, { count }) => total + count, 0)
  let lost = 0
  const sights = seen.map(({ cue, count, record }): Sight => {
    if (!record) return [cue, count + lost]
    const left = count * holds.left(record, on, 'ours')
    lost += count - left
    return [cue, left]
  })
  return sights.filter(([, weight]) => weight > VANISHING).map(([cue, weight]) => [cue, weight / all])
}

/** A position and the holds that are on in it; or `FINISH`, `CAUGHT` or `OVER`, where no holds matter. */
export interface Place {
  position: number
  holds: HoldSet
}

/** The position with its own holds. */
export function ownPlace(index: ChartIndex, position: number): Place {
  return { position, holds: position >= 0 ? sure(index.positions[position]).own : 0n }
}

/**
 * Where a move leads when it lands. `stayed`: the exchange never left the position that the move is from. True for a
 * move tried cold; for an answer, only if its reaction was met there and ends there.
 */
export function landing(index: ChartIndex, move: IndexedMove, holds: HoldSet, stayed: boolean): Place {
  if (move.to < 0) return { position: move.to, holds: 0n }
  const table = index.holds
  const changed = table.settle(without(without(holds, move.drops), move.strips), move.adds)
  if (move.to === move.from && !move.across && stayed) return { position: move.to, holds: changed }
  const carried = carriesAll(index, move) ? changed : within(changed, move.keeps) | within(changed, move.adds)
  const { own } = sure(index.positions[move.to])
  return { position: move.to, holds: table.settle(table.settle(carried, own), move.adds) }
}

/** False where the move changes the side or the frame, so that only what is kept or added comes along. */
export function carriesAll(index: ChartIndex, move: IndexedMove): boolean {
  return !move.across && sure(index.positions[move.from]).record.frame === sure(index.positions[move.to]).record.frame
}

/** The holds when a reaction is met: what the move drops is off, what the reaction strips and adds is done. */
export function metHolds(index: ChartIndex, reaction: IndexedReaction, holds: HoldSet, drops: HoldSet): HoldSet {
  return index.holds.settle(without(without(holds, drops), reaction.strips), reaction.adds)
}

/** Where conceding leads. `home`: the reaction ends in the position that the move which met it is from. */
export function concession(index: ChartIndex, reaction: IndexedReaction, holds: HoldSet, home: boolean): Place {
  if (reaction.endsIn < 0) return { position: reaction.endsIn, holds: 0n }
  if (home) return { position: reaction.endsIn, holds }
  const { own } = sure(index.positions[reaction.endsIn])
  return { position: reaction.endsIn, holds: index.holds.settle(without(own, reaction.strips), reaction.adds) }
}
