import { lookUp } from '../../chart/lookUp'
import { Refusal } from '../../problem'
import type { Club } from '../clubKind'
import { shortened, type Offer } from '../live/behind'
import { spentIn } from '../live/clock'
import { lastMoveOf } from '../live/pressLog'
import { onMats } from '../live/onMats'
import type { Hurt } from '../live/liveRecords'
import type { Guests, WithWhom } from '../session'
import { guestsOf } from '../whoIsThere'
import { liveIn, mend, pairForBlock } from './livePairs'
import { endRound } from './liveRounds'
import { sessionIn } from './sessions'

/* The class that is on: its clock, its blocks, who is there. Rounds on the mats are in `liveRounds`. Times in ms. */

/**
 * Begins a class; one that is on is ended before. `pairs` go to the mats in turn; who is alone in one waits for a
 * partner. `pairedFor`: by what they were made.
 */
export function beginClass(
  club: Club,
  session: string,
  pairs: readonly string[][],
  mats: number,
  now: number,
  pairedFor: WithWhom = 'rounds',
): void {
  if (club.live) endClass(club, now)
  const first = sessionIn(club, session).blocks[0]
  if (!first) throw new Refusal('the class has no block yet')
  club.live = {
    ...{ session, block: first.id, began: now, ran: 0, hurt: [], out: [], pairedFor },
    mats: onMats(pairs, mats),
  }
}

/** Starts the clock, or lets it go on: after a stop too, since this is pressed by hand. */
export function startClock(club: Club, now: number): void {
  const live = liveIn(club)
  delete live.isStopped
  delete live.isQuestion
  live.since ??= now
}

/** Halts the clock of the block. The hour goes on. */
export function pauseClock(club: Club, now: number, isQuestion = false): void {
  const live = liveIn(club)
  live.ran = spentIn(live, now)
  delete live.since
  if (isQuestion) live.isQuestion = true
}

/**
 * Goes to a block, with its clock at 0 and standing, and with pairs as it wants them. Rounds that are on count as no
 * result.
 */
export function goToBlock(club: Club, block: string, now: number): void {
  const live = liveIn(club)
  if (!lookUp(sessionIn(club, live.session).blocks, block)) throw new Refusal('the class has no such block', 'gone')
  for (const mat of live.mats) {
    if (mat.round) endRound(club, mat.n, 'no-result', now)
    delete mat.last
  }
  Object.assign(live, { block, ran: 0 })
  for (const field of ['since', 'isQuestion'] as const) delete live[field]
  pairForBlock(club)
}

/** The block after the one that is on; undefined after the last. */
export function blockAfter({ sessions, live }: Pick<Club, 'sessions' | 'live'>): string | undefined {
  const blocks = lookUp(sessions, live?.session)?.blocks ?? []
  const at = blocks.findIndex(({ id }) => id === live?.block)
  return at < 0 ? undefined : blocks[at + 1]?.id
}

/** Everything halts; rounds that are broken off count as nothing. Nothing restarts by itself. */
export function stopAll(club: Club, now: number): void {
  pauseClock(club, now)
  const live = liveIn(club)
  live.isStopped = true
  live.broken = live.mats.flatMap(({ round }) => {
    const move = round && lastMoveOf(round)
    return round && move ? { people: [round.us, round.them], move } : []
  })
  for (const mat of live.mats) delete mat.round
}

/** Takes an offer to be in time again. */
export function takeOffer(club: Club, offer: Offer): void {
  const live = liveIn(club)
  const session = sessionIn(club, live.session)
  const at = session.blocks.findIndex(({ id }) => id === live.block)
  if (offer.does === 'leave-out') session.blocks = session.blocks.filter(({ id }) => id !== offer.block)
  else session.blocks = session.blocks.map((block, i) => (i > at ? shortened(block, offer.factor) : block))
}

/** Leaves a block out today and keeps it for the next class. */
export function keepForNextTime(club: Club, block: string): void {
  const session = sessionIn(club, liveIn(club).session)
  const kept = lookUp(session.blocks, block)
  if (!kept) throw new Refusal('the class has no such block', 'gone')
  session.blocks = session.blocks.filter(({ id }) => id !== block)
  session.nextTime = [...(session.nextTime ?? []), kept]
}

/** Somebody is hurt: they leave today's pairs, and what hurt is spared until it is cleared. */
export function noteHurt(club: Club, hurt: Hurt, when: string, now: number): void {
  const live = liveIn(club)
  leaveClass(club, hurt.person, now)
  live.hurt.push(hurt)
  const person = lookUp(club.people, hurt.person)
  if (!person) return
  const move = doneTo(club, hurt.person)
  const part = { part: hurt.part, since: when, ...(move ? { move } : {}) }
  person.spares = [...(person.spares ?? []).filter((one) => one.part !== hurt.part), part]
}

/** What was done to somebody, as far as it was logged or the block is about one move. */
function doneTo(club: Club, person: string): string | undefined {
  const { session, block, broken = [] } = liveIn(club)
  const { about } = lookUp(sessionIn(club, session).blocks, block) ?? {}
  const logged = broken.find(({ people }) => people.includes(person))?.move
  return logged ?? (about?.kind === 'move' ? about.id : undefined)
}

/** A knock on the head, or being choked out: out for today, whatever anybody says. */
export const isOutForToday = ({ part, doing }: Hurt): boolean => part === 'head' || doing === 'strangled'

/** Somebody goes: only their pair is changed, and a round that is on elsewhere is not touched. */
export function leaveClass(club: Club, person: string, now: number): void {
  const live = liveIn(club)
  if (!live.out.includes(person)) live.out.push(person)
  for (const mat of live.mats) {
    if (mat.round && [mat.round.us, mat.round.them].includes(person)) endRound(club, mat.n, 'no-result', now)
  }
  mend(club, { leaves: person })
}

/** Somebody comes late, or comes back. */
export function joinClass(club: Club, person: string): void {
  const live = liveIn(club)
  if (live.hurt.some((one) => one.person === person && isOutForToday(one)))
    throw new Refusal('after a knock on the head or being choked out they are out for today')
  const session = sessionIn(club, live.session)
  if (lookUp(club.people, person) && !session.people.includes(person)) session.people.push(person)
  live.out = live.out.filter((id) => id !== person)
  mend(club, { joins: person })
}

/** A guest comes in: one press. */
export function guestJoins(club: Club, age: keyof Guests): void {
  const live = liveIn(club)
  const session = sessionIn(club, live.session)
  const { adults = 0, children = 0 } = session.guests ?? {}
  session.guests = { adults, children, [age]: (age === 'adults' ? adults : children) + 1 }
  const guest = guestsOf(session).findLast(({ ageBand }) => (ageBand === undefined) === (age === 'adults'))
  if (guest) mend(club, { joins: guest.id })
}

/** The class is over: rounds that are on count as no result, and who came was last here today. */
export function endClass(club: Club, now: number): void {
  const live = liveIn(club)
  for (const mat of live.mats) if (mat.round) endRound(club, mat.n, 'no-result', now)
  const { people, when } = sessionIn(club, live.session)
  for (const one of club.people) if (people.includes(one.id) && (one.lastHere ?? '') < when) one.lastHere = when
  delete club.live
}
