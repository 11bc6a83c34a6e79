import type { Chart } from '../chart/chart'
import type { MoveId, ReactionId } from '../chart/ids'
import type { MatTally, Tries } from '../chart/tries'
import type { Club } from './clubKind'
import { freshId } from './freshId'
import type { TryFact } from './logRecords'

/*
 * Rounds that were tallied on a chart are in the log of the club too, each as a try. The chart keeps its tallies, for
 * those who have it without the club; while both are open, what is in the log does not count a second time.
 */

/** How a tally without a day is known in the log. */
const UNDATED = 'undated'

interface Tallied {
  move: MoveId
  reply?: ReactionId
  tally: MatTally
}

/** All tallies of a chart, with what they are of. */
function talliesOf({ moves, answers }: Chart): Tallied[] {
  return [
    ...moves.flatMap(({ id: move, tries }) => (tries?.tallies ?? []).map((tally): Tallied => ({ move, tally }))),
    ...answers.flatMap(({ move, reaction: reply, tries }) =>
      (tries?.tallies ?? []).map((tally): Tallied => ({ move, reply, tally })),
    ),
  ]
}

const keyOf = (move: string, reply: string | undefined, tallied: string, worked: boolean) =>
  [move, reply ?? '', tallied, worked].join(' ')

/** How many tries of the log stand for tallies of a chart, by what they are of. */
function takenOf({ tries }: Pick<Club, 'tries'>, chart: string): Map<string, number> {
  const taken = new Map<string, number>()
  for (const { tallied, chart: of, move, reply, outcome } of tries) {
    if (tallied === undefined || of !== chart) continue
    const key = keyOf(move, reply, tallied, outcome === 'lands')
    taken.set(key, (taken.get(key) ?? 0) + 1)
  }
  return taken
}

/** Takes from what is in the log, at most as much as there is. Returns how much of the weight is left. */
function leftOf({ move, reply, tally }: Tallied, taken: Map<string, number>): number {
  const key = keyOf(move, reply, tally.when ?? UNDATED, tally.worked)
  const there = taken.get(key) ?? 0
  const used = Math.min(there, tally.weight)
  taken.set(key, there - used)
  return tally.weight - used
}

/** The tries for the log that tallies of a chart still lack; whole rounds only. `today`: for those without a day. */
export function untakenTallies(club: Club, chart: Chart, today: string): Omit<TryFact, 'id'>[] {
  const taken = takenOf(club, chart.id)
  return talliesOf(chart).flatMap((one) => {
    const { move, reply, tally } = one
    const fact: Omit<TryFact, 'id'> = {
      ...{ when: tally.when ?? today, in: 'round', chart: chart.id, move, outcome: tally.worked ? 'lands' : 'failed' },
      ...(reply ? { reply } : {}),
      tallied: tally.when ?? UNDATED,
    }
    return Array.from({ length: Math.floor(leftOf(one, taken)) }, () => fact)
  })
}

/** Puts the tallies of a chart into the log, each once however often it is asked. */
export function takeTallies(club: Club, chart: Chart, today: string): void {
  for (const fact of untakenTallies(club, chart, today)) club.tries.push({ id: freshId(club.tries, 't'), ...fact })
}

/** The chart without the tallies that a log has as tries; the same chart where there are none. */
export function withoutTaken(chart: Chart, tries: readonly TryFact[]): Chart {
  const taken = takenOf({ tries: [...tries] }, chart.id)
  if (!taken.size) return chart
  const left = <R extends { tries?: Tries }>(record: R, of: { move: MoveId; reply?: ReactionId }): R => {
    const { tallies } = record.tries ?? {}
    if (!tallies) return record
    const kept = tallies
      .map((tally) => ({ ...tally, weight: leftOf({ ...of, tally }, taken) }))
      .filter(({ weight }) => weight > 0)
    return { ...record, tries: { ...record.tries, tallies: kept } }
  }
  return {
    ...chart,
    moves: chart.moves.map((one) => left(one, { move: one.id })),
    answers: chart.answers.map((one) => left(one, { move: one.move, reply: one.reaction })),
  }
}
