import type { Answer } from '../answer'
import type { PositionalRound } from '../positionalRound'
import type { Chart } from '../chart'
import type { MoveId, PositionId, ReactionId } from '../ids'
import { idFromName } from '../../document/ids'
import { MAX_TALLIED } from '../constraints'
import { isOwn, type MatTally } from '../tries'
import { Refusal } from '../../problem'
import { Gone, idsIn, moveIn, reactionIn } from './find'

/** How long a positional round lasts until the coach says otherwise. */
const ROUND_SECONDS = 30

export function roundIn(chart: Chart, id: string): PositionalRound {
  const card = chart.cards?.find((one) => one.id === id)
  if (!card) throw new Gone('round', id)
  return card
}

/** Makes a positional round for a reaction where it is met; the one that there is, if there is one. Returns its id. */
export function addRound(chart: Chart, position: PositionId, reaction: ReactionId, move: MoveId | null): string {
  const same = chart.cards?.find(
    (round) => round.position === position && round.reaction === reaction && round.move === (move ?? undefined),
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
  dropRounds(chart, (round) => round.id === id)
}

/** How long a round lasts, in seconds; a few are no round, and ten minutes are a match. */
export function setRoundSeconds(chart: Chart, id: string, seconds: number): void {
  if (!(seconds >= 5 && seconds <= 600)) throw new Refusal('a round lasts from 5 to 600 seconds', 'out-of-range')
  roundIn(chart, id).seconds = seconds
}

/** Takes away the cards of which `isGone` is true. */
export function dropRounds(chart: Chart, isGone: (card: PositionalRound) => boolean): void {
  if (!chart.cards) return
  const left = chart.cards.filter((round) => !isGone(round))
  if (left.length) chart.cards = left
  else delete chart.cards
}

/** The answer that a round is about: the first to its reaction; undefined where there is none yet. */
export const answerOfRound = (chart: Chart, { reaction }: PositionalRound): Answer | undefined =>
  chart.answers.find((one) => one.reaction === reaction)

/**
 * Tallies a round on a day (as 2026-11-28): its answer worked, or it did not. It counts beside the guess of the
 * answer's tries, which gets tries of its own where it had none. Throws `Gone` where there is no answer.
 */
export function tallyRound(chart: Chart, id: string, worked: boolean, when: string): void {
  const answer = answerOfRound(chart, roundIn(chart, id))
  if (!answer) throw new Gone('answer', id)
  const { tries: own = {}, race } = isOwn(answer) ? answer : moveIn(chart, answer.move)
  if (race) answer.race = race
  answer.tries = { ...own, tallies: withTally(own.tallies ?? [], { when, worked, weight: 1 }) }
}

/** The tallies with one more; rounds of one day and one outcome are one tally, as far as one may count. */
function withTally(tallies: readonly MatTally[], one: MatTally): MatTally[] {
  const same = tallies.findIndex(
    ({ when, worked, weight }) => when === one.when && worked === one.worked && weight + one.weight <= MAX_TALLIED,
  )
  return same < 0
    ? [...tallies, one]
    : tallies.map((tally, i) => (i === same ? { ...tally, weight: tally.weight + one.weight } : tally))
}
