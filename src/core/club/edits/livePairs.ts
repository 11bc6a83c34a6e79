import { lookUp } from '../../chart/lookUp'
import { Refusal } from '../../problem'
import type { Club } from '../clubKind'
import { lastPairs } from '../lastPairs'
import { limitsOf } from '../limits'
import { mended, type Comes } from '../live/mendPairs'
import { onMats } from '../live/onMats'
import type { Live } from '../live/liveRecords'
import { pairUp, type Paired, type PairingRules } from '../pairs'
import type { ClubPerson } from '../person'
import { minorsWithAdultsIn } from '../protect'
import { allMeet } from '../rotation'
import type { Session, WithWhom } from '../session'
import { COACH, peopleOf } from '../whoIsThere'
import { sessionIn } from './sessions'

/* Who works with whom in the class that is on. */

export function liveIn(club: Club): Live {
  if (!club.live) throw new Refusal('no class is on', 'gone')
  return club.live
}

/** What pairs of a class must heed. */
export const pairingRules = (club: Club, session: Session): PairingRules => ({
  lastTime: lastPairs(club),
  minorsWithAdults: minorsWithAdultsIn(session),
  limits: limitsOf(club),
})

/** Pairs of some people for what a block wants; `turn`: how often a rotation has gone on. */
export function pairedFor(what: WithWhom, people: readonly ClubPerson[], rules: PairingRules, turn = 0): Paired {
  if (what === 'rotation') return allMeet(people, turn, rules)
  return pairUp(people, what === 'learn' ? 'learn' : 'rounds', rules)
}

/** Pairs as they go to the mats: who is alone waits for a partner. */
export const withThoseAlone = ({ pairs, alone }: Paired): string[][] => [...pairs, ...alone.map((id) => [id])]

/** All who are here and not out, the coach not among them. */
const hereIn = (club: Club, { session, out }: Live) =>
  peopleOf(club, sessionIn(club, session)).filter(({ id }) => !out.includes(id))

function pairAgain(club: Club, what: WithWhom, turn: number): void {
  const live = liveIn(club)
  const paired = pairedFor(what, hereIn(club, live), pairingRules(club, sessionIn(club, live.session)), turn)
  live.mats = onMats(withThoseAlone(paired), live.mats.length)
  Object.assign(live, { pairedFor: what, turn })
}

/** Other pairs, where the block that is on wants them otherwise than they are. No round may be on. */
export function pairForBlock(club: Club): void {
  const live = liveIn(club)
  const what = lookUp(sessionIn(club, live.session).blocks, live.block)?.withWhom
  if (what === undefined || what === live.pairedFor) return
  if (kindOfPairs(what) === live.pairedFor) live.pairedFor = what
  else pairAgain(club, what, 0)
}

/** Where the winner stays the pairs begin as for rounds. */
const kindOfPairs = (what: WithWhom): WithWhom => (what === 'winner-stays' ? 'rounds' : what)

/** In a rotation: everybody goes on to the next partner, so that in the end all have met. */
export function changePartners(club: Club): void {
  const live = liveIn(club)
  if (live.mats.some(({ round }) => round)) throw new Refusal('a round is still on')
  pairAgain(club, 'rotation', (live.turn ?? 0) + 1)
}

/** Somebody comes or goes: the fewest pairs are changed, and none that works. */
export function mend(club: Club, comes: Comes): void {
  const live = liveIn(club)
  const session = sessionIn(club, live.session)
  live.mats = mended(live.mats, comes, [...peopleOf(club, session), COACH], pairingRules(club, session))
}

/** The coach works with who is left over: who has no partner, else the third of a three. */
export function coachStepsIn(club: Club): void {
  const live = liveIn(club)
  if (live.mats.some(({ queue }) => queue.some(({ people }) => people.includes(COACH.id))))
    throw new Refusal('the coach is somebody’s partner already')
  live.out = live.out.filter((id) => id !== COACH.id)
  mend(club, { joins: COACH.id })
  const theirs = live.mats.flatMap(({ queue }) => queue).find(({ people }) => people.includes(COACH.id))
  if (theirs?.people.length === 2) return
  throw new Refusal('nobody is left over with whom the coach may work; a minor only for a reason that is kept')
}
