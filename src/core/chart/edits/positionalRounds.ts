import type { Answer } from '../answer'
import type { PositionalRound } from '../positionalRound'
import type { Chart } from '../chart'
import type { MoveId, PositionId, ReactionId } from '../ids'
import { idFromName } from '../ids'
import { Gone, idsIn, reactionIn } from './find'

/** How long a positional round lasts until the coach says otherwise. */
const ROUND_SECONDS = 30

export function roundIn(chart: Chart, id: string): PositionalRound {
  const card = chart.cards?.find((one) => one.id === id)
  if (!card) throw new Gone('card', id)
  return card
}

/** Makes a card for a reaction where it is met; the one that there is, if there is one. Returns its id. */
export function addRound(chart: Chart, position: PositionId, reaction: ReactionId, move: MoveId | null): string {
  const same = chart.cards?.find(
    (card) => card.position === position && card.reaction === reaction && card.move === (move ?? undefined),
  )
  if (same) return same.id
  const id = idFromName(reactionIn(chart, reaction).name, idsIn(chart.cards ?? []))
  const isKept = chart.settings?.group !== undefined && !chart.settings.shownBecause?.trim()
  const card = { id, position, reaction, ...(move ? { move } : {}), seconds: ROUND_SECONDS }
  chart.cards = [...(chart.cards ?? []), { ...card, ...(isKept ? { positionOnly: true as const } : {}) }]
  return id
}

export function removeRound(chart: Chart, id: string): void {
  roundIn(chart, id)
  dropRounds(chart, (card) => card.id === id)
}

export function changeRound(chart: Chart, id: string, change: (card: PositionalRound) => void): void {
  change(roundIn(chart, id))
}

/** Takes away the cards of which `isGone` is true. */
export function dropRounds(chart: Chart, isGone: (card: PositionalRound) => boolean): void {
  if (!chart.cards) return
  const left = chart.cards.filter((card) => !isGone(card))
  if (left.length) chart.cards = left
  else delete chart.cards
}

/** The answer that a card's rounds are about: the first to its reaction; undefined where there is none yet. */
export const answerOfRound = (
  chart: Chart,
  { reaction }: PositionalRound,
): { answer: Answer; index: number } | undefined => {
  const index = chart.answers.findIndex((one) => one.reaction === reaction)
  return index < 0 ? undefined : { answer: chart.answers[index], index }
}

/**
 * Tallies a round: the card's answer worked, or it did not. It counts beside the guess of the answer's tries, which gets
 * tries of its own where it had none. Fails where there is no answer.
 */
export function tally(chart: Chart, id: string, worked: boolean): void {
  const found = answerOfRound(chart, roundIn(chart, id))
  if (!found) throw new Gone('answer', id)
  const { answer, index } = found
  const own = answer.tries ?? chart.moves.find((move) => move.id === answer.move)!.tries
  const { worked: was = 0, failed = 0 } = own.rounds ?? {}
  const rounds = worked ? { worked: was + 1, failed } : { worked: was, failed: failed + 1 }
  chart.answers[index] = { ...answer, tries: { ...own, rounds } }
}
