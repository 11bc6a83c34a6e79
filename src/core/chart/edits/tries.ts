import {
  isEndId,
  toPositionId,
  toReactionId,
  type MoveId,
  type PlaceId,
  type PositionId,
  type ReactionId,
} from '../ids'
import { sure } from '../../sure'
import { Refusal } from '../../problem'
import type { Chart } from '../chart'
import { markGuess } from '../guesses'
import type { Race } from '../race'
import { comesToSomething, isOwn, totalOf, wholeOf, withoutReaction, type Goes, type Whole } from '../tries'
import { answerPlace, moveIn, positionIn, type AnswerRef } from './find'

/** Whose tries are meant: a move's, or an answer's own. */
export type TriesOwner = { of: 'move'; move: MoveId } | { of: 'answer'; answer: AnswerRef }

/** One part of ten tries. */
export type Part =
  | { part: 'lands' }
  | { part: 'stalls' }
  | { part: 'elsewhere'; place: PlaceId }
  | { part: 'reaction'; reaction: ReactionId }
  | { part: 'race' }

/**
 * The tries with a part set to `count`; a part of 0 stays, so that its place in the strip does. What the coach has set
 * is the coach's own, and counts for what it says.
 */
export function withPart(before: Whole, part: Part, count: number): Whole {
  const tries = { ...before }
  delete tries.weight
  if (part.part === 'lands') return { ...tries, lands: count }
  if (part.part === 'stalls') return { ...tries, stalls: count }
  if (part.part === 'race') return withRaced(tries, count)
  if (part.part === 'elsewhere') return { ...tries, elsewhere: { ...tries.elsewhere, [part.place]: count } }
  return { ...tries, reactions: { ...tries.reactions, [part.reaction]: count } }
}

/** The tries with so many of them a race; a race in which nobody starts is none. */
function withRaced({ race, ...tries }: Whole, count: number): Whole {
  return race && count > 0 ? { ...tries, race: { ...race, tries: count } } : tries
}

export function partCount(tries: Whole, part: Part): number {
  if (part.part === 'lands') return tries.lands ?? 0
  if (part.part === 'stalls') return tries.stalls ?? 0
  if (part.part === 'race') return tries.race?.tries ?? 0
  if (part.part === 'elsewhere') return tries.elsewhere?.[part.place] ?? 0
  return tries.reactions?.[part.reaction] ?? 0
}

/** All parts, in the order of the strip: what lands, a race, what may come of it else, what they do, nothing. */
export function partsOf(tries: Whole): Part[] {
  return [
    { part: 'lands' },
    ...(tries.race ? [{ part: 'race' } as const] : []),
    ...Object.keys(tries.elsewhere ?? {}).map((place): Part => ({
      part: 'elsewhere',
      place: isEndId(place) ? place : toPositionId(place),
    })),
    ...Object.keys(tries.reactions ?? {}).map((id): Part => ({ part: 'reaction', reaction: toReactionId(id) })),
    { part: 'stalls' },
  ]
}

/** Sets the tries; an answer gets its own. */
export function setTries(chart: Chart, owner: TriesOwner, { race, ...tries }: Whole): void {
  const record = ownerIn(chart, owner)
  if (totalOf(tries) > 0 || record.tries || !race) record.tries = tries
  if (race) record.race = race
  else delete record.race
}

/** Whose tries and race an edit is about. */
const ownerIn = (chart: Chart, owner: TriesOwner): Goes =>
  owner.of === 'move' ? moveIn(chart, owner.move) : sure(chart.answers[answerPlace(chart, owner.answer)])

/** Sets the race among the tries; null: none. Where nothing else would come of them, half of its tries land then. */
export function setRace(chart: Chart, owner: TriesOwner, race: Race | null): void {
  const record = ownerIn(chart, owner)
  if (race) record.race = race
  else dropRace(record)
}

/** Takes the race out of the tries. */
export function dropRace(record: Goes): void {
  const { race } = record
  delete record.race
  if (race && !comesToSomething(wholeOf(record))) record.tries = { ...record.tries, lands: race.tries / 2 }
}

/** An answer without tries of its own goes as its move goes, which must have tries then. */
export function borrowTries(chart: Chart, answer: AnswerRef): void {
  const move = moveIn(chart, answer.move)
  if (!isOwn(move)) throw new Refusal(`${move.name} is only in reply and has no tries of its own to go by`)
  const record = ownerIn(chart, { of: 'answer', answer })
  delete record.tries
  delete record.race
}

/** What they do in reply to nothing: sets how often, in seconds, or takes it away. */
export function setUnprompted(
  chart: Chart,
  position: PositionId,
  every: number,
  reactions: Record<string, number>,
): void {
  const record = positionIn(chart, position)
  const some = Object.fromEntries(Object.entries(reactions).filter(([, n]) => n > 0))
  if (every !== record.unprompted?.every) markGuess(record, 'unprompted', false)
  if (Object.keys(some).length) record.unprompted = { ...record.unprompted, every, reactions: some }
  else {
    delete record.unprompted
    markGuess(record, 'unprompted', false)
  }
}

/** Takes a reaction out of the tries, and the race for it. */
export function loseReaction(record: Goes, reaction: ReactionId): void {
  if (record.race?.reaction === reaction) dropRace(record)
  if (record.tries?.reactions?.[reaction] === undefined) return
  record.tries = withoutReaction(record.tries, reaction)
  keepSomething(record)
}

/** Takes a position that is gone out of the tries that they may end in. */
export function losePosition(record: Goes, position: PositionId): void {
  if (record.tries?.elsewhere?.[position] === undefined) return
  const elsewhere = { ...record.tries.elsewhere }
  delete elsewhere[position]
  record.tries = { ...record.tries, elsewhere }
  keepSomething(record)
}

/** One landing is left where nothing else would come of the tries. */
function keepSomething(record: Goes): void {
  if (!comesToSomething(wholeOf(record))) record.tries = { ...record.tries, lands: 1 }
}
