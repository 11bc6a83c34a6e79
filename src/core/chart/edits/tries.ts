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
import { comesToSomething, withoutReaction, type Tries } from '../tries'
import { answerPlace, moveIn, positionIn, type AnswerRef } from './find'

/** Whose tries are meant: a move's, or an answer's own. */
export type TriesOwner = { of: 'move'; move: MoveId } | { of: 'answer'; answer: AnswerRef }

/** One part of ten tries. */
export type Part =
  | { part: 'lands' }
  | { part: 'stalls' }
  | { part: 'elsewhere'; place: PlaceId }
  | { part: 'reaction'; reaction: ReactionId }

/**
 * The tries with a part set to `count`; a part of 0 stays, so that its place in the strip does. What the coach has set
 * is the coach's own, and counts for what it says.
 */
export function withPart(before: Tries, part: Part, count: number): Tries {
  const tries = { ...before }
  delete tries.weight
  if (part.part === 'lands') return { ...tries, lands: count }
  if (part.part === 'stalls') return { ...tries, stalls: count }
  if (part.part === 'elsewhere') return { ...tries, elsewhere: { ...tries.elsewhere, [part.place]: count } }
  return { ...tries, reactions: { ...tries.reactions, [part.reaction]: count } }
}

export function partCount(tries: Tries, part: Part): number {
  if (part.part === 'lands') return tries.lands ?? 0
  if (part.part === 'stalls') return tries.stalls ?? 0
  if (part.part === 'elsewhere') return tries.elsewhere?.[part.place] ?? 0
  return tries.reactions?.[part.reaction] ?? 0
}

/** All parts, in the order of the strip: what lands, what may come of it else, what they do, what comes to nothing. */
export function partsOf(tries: Tries): Part[] {
  return [
    { part: 'lands' },
    ...Object.keys(tries.elsewhere ?? {}).map((place): Part => ({
      part: 'elsewhere',
      place: isEndId(place) ? place : toPositionId(place),
    })),
    ...Object.keys(tries.reactions ?? {}).map((id): Part => ({ part: 'reaction', reaction: toReactionId(id) })),
    { part: 'stalls' },
  ]
}

/** Sets the tries; an answer gets its own. */
export function setTries(chart: Chart, owner: TriesOwner, tries: Tries): void {
  if (owner.of === 'move') moveIn(chart, owner.move).tries = tries
  else sure(chart.answers[answerPlace(chart, owner.answer)]).tries = tries
}

/** An answer without tries of its own goes as its move goes, which must have tries then. */
export function borrowTries(chart: Chart, answer: AnswerRef): void {
  const { name, tries } = moveIn(chart, answer.move)
  if (!tries) throw new Refusal(`${name} is only in reply and has no tries of its own to go by`)
  delete sure(chart.answers[answerPlace(chart, answer)]).tries
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

/** The tries once a reaction is gone. */
export function survivingTries(tries: Tries, reaction: ReactionId): Tries {
  if (tries.reactions?.[reaction] === undefined) return tries
  return withSomething(withoutReaction(tries, reaction))
}

/** The tries once a position is gone that they may end in. */
export function triesWithout(tries: Tries, position: PositionId): Tries {
  if (tries.elsewhere?.[position] === undefined) return tries
  const elsewhere = { ...tries.elsewhere }
  delete elsewhere[position]
  return withSomething({ ...tries, elsewhere })
}

/** One landing is left where nothing else would come of them. */
const withSomething = (tries: Tries): Tries => (comesToSomething(tries) ? tries : { ...tries, lands: 1 })
