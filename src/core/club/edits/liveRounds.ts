import { lookUp } from '../../chart/lookUp'
import type { MoveId, ReactionId } from '../../chart/ids'
import { Refusal } from '../../problem'
import type { Club } from '../clubKind'
import { SECOND } from '../live/clock'
import { freshId } from '../freshId'
import { limitsOf } from '../limits'
import type { EndedRound, LiveRound, Mat } from '../live/liveRecords'
import { joining } from '../live/mendPairs'
import { isPartial, newRound } from '../live/pressLog'
import { turned, withWinner } from '../live/turns'
import type { Ended } from '../logRecords'
import { mayBeLogged } from '../person'
import { peopleOf, strictestOf } from '../whoIsThere'
import { mayWinnerStay } from '../classPlan'
import { pairingRules } from './livePairs'
import type { Block, Session } from '../session'

/* Rounds on the mats: begun and ended by a press each, and what the log keeps of them. Times in milliseconds. */

/** After a tap nothing restarts for so long: let go, reset. */
export const RESET = 10 * SECOND
/** How long a round lasts where the block does not say. */
const USUAL_ROUND = 60
const OF_THREE = 1.5

export function matIn({ live }: Club, n: number): Mat {
  const mat = live?.mats.find((one) => one.n === n)
  if (!mat) throw new Refusal(`there is no mat ${n}`, 'gone')
  return mat
}

/** How much of the reset after a tap is left; 0 where a round may begin. */
export const resetLeft = ({ tappedAt }: Mat, now: number): number =>
  tappedAt === undefined ? 0 : Math.max(0, tappedAt + RESET - now)

/** Seconds that a round of a block lasts on a mat: where three take turns, half of it again. */
export const roundSeconds = ({ work = USUAL_ROUND }: Pick<Block, 'work'>, { queue }: Pick<Mat, 'queue'>): number =>
  (queue[0]?.people.length ?? 0) > 2 ? Math.round(work * OF_THREE) : work

/** Begins a round of the first pair in the queue, in a position of the chart. */
export function beginRound(club: Club, n: number, position: string | undefined, now: number): void {
  const mat = matIn(club, n)
  if (mat.round) throw new Refusal('a round is on there')
  if (resetLeft(mat, now) > 0) throw new Refusal('let go and reset first')
  const [us, them] = mat.queue[0]?.people ?? []
  if (us === undefined || them === undefined) throw new Refusal('nobody is next there')
  mat.round = newRound(us, them, position, now)
  delete mat.tappedAt
  delete mat.last
}

/** What the log needs to know of the class that a round is part of. */
function aboutClass({ live, sessions }: Club): { block?: Block; session?: string; when: string } {
  const session = lookUp(sessions, live?.session)
  const block = lookUp(session?.blocks ?? [], live?.block)
  return {
    when: session?.when ?? '1970-01-01',
    ...(session ? { session: session.id } : {}),
    ...(block ? { block } : {}),
  }
}

/**
 * Ends the round on a mat: it and its tries go to the log, the roles swap, the queue turns.
 */
export function endRound(club: Club, n: number, ended: Ended, now: number): void {
  const mat = matIn(club, n)
  const { round } = mat
  if (!round) throw new Refusal('no round is on there')
  const { block, session, when } = aboutClass(club)
  const most = roundSeconds(block ?? {}, mat)
  const seconds = Math.min(most, Math.max(0, Math.round((now - round.since) / SECOND)))
  const chart = block?.about?.chart
  const isNamed = (id: string) => {
    const person = lookUp(club.people, id)
    return person !== undefined && mayBeLogged(person)
  }
  const who = { ...(isNamed(round.us) ? { us: round.us } : {}), ...(isNamed(round.them) ? { them: round.them } : {}) }
  const of = { when, ...(session ? { session } : {}), ...(chart ? { chart } : {}) }
  const start = round.course[0]?.position
  const fact = freshId(club.rounds, 'r')
  club.rounds.push({ id: fact, ...of, ...who, ...(start ? { position: start } : {}), seconds, ended })
  const gi = giOf(lookUp(club.sessions, session), round)
  const tries = round.tries.map(({ move, reply, outcome }) => {
    const id = freshId(club.tries, 't')
    club.tries.push({
      ...{ id, ...of, ...who, in: 'round', move: move as MoveId, outcome },
      ...(reply ? { reply: reply as ReactionId } : {}),
      ...(block?.resistance ? { resistance: block.resistance } : {}),
      ...(isPartial(round) ? { isPartial: true } : {}),
      ...(gi === undefined ? {} : { gi }),
    })
    return id
  })
  mat.last = { round, fact, tries, queue: mat.queue }
  goOn(club, mat, round, ended, block)
  delete mat.round
  if (ended === 'tap') mat.tappedAt = now
  else delete mat.tappedAt
}

/** With or without gi: where it is said, and both wear the same. */
function giOf(session: Session | undefined, { us, them }: LiveRound): boolean | undefined {
  if (!session?.gi) return undefined
  const [one, other] = [us, them].map((id) => session.gi?.includes(id))
  return one === other ? one : undefined
}

/** The next are up: as the block wants it. */
function goOn(club: Club, mat: Mat, round: LiveRound, ended: Ended, block?: Block): void {
  const session = lookUp(club.sessions, club.live?.session)
  const people = session ? peopleOf(club, session) : []
  const staysOn = session && block?.withWhom === 'winner-stays' && mayWinnerStay(strictestOf(people))
  const { queue, stayed } = staysOn
    ? withWinner(mat, round, ended, limitsOf(club).stays, joining(people, pairingRules(club, session)))
    : turned(mat)
  mat.queue = queue
  if (stayed) mat.stayed = stayed
  else delete mat.stayed
}

/** Takes back that the last round on a mat was over: what the log has of it goes, and it is on again. */
export function reopenRound(club: Club, n: number): void {
  const mat = matIn(club, n)
  const { last } = mat
  if (!last || mat.round) throw new Refusal('there is no round to take back')
  club.rounds = club.rounds.filter(({ id }) => id !== last.fact)
  club.tries = club.tries.filter(({ id }) => !last.tries.includes(id))
  mat.round = last.round
  delete mat.last
  delete mat.tappedAt
  delete mat.stayed
  mat.queue = turnedBack(mat.queue, last)
}

/** The queue as it was; where somebody has come or gone since, the pair is first again and the others stay. */
function turnedBack(now: Mat['queue'], { queue: before, round }: EndedRound): Mat['queue'] {
  const ids = (queue: Mat['queue']) => queue.flatMap(({ people }) => people).sort()
  if (before && ids(before).join(' ') === ids(now).join(' ')) return before
  const both = [round.us, round.them]
  const others = now
    .map(({ people }) => ({ people: people.filter((id) => !both.includes(id)) }))
    .filter(({ people }) => people.length)
  return [{ people: both }, ...others]
}

/** Rounds whose time is over end so, as of then, however long nobody looked. Returns the mats. */
export function endTimedOut(club: Club, now: number): number[] {
  const { block } = aboutClass(club)
  const endOf = (mat: Mat) => (mat.round?.since ?? Infinity) + roundSeconds(block ?? {}, mat) * SECOND
  const over = (club.live?.mats ?? []).filter((mat) => now >= endOf(mat))
  for (const mat of over) endRound(club, mat.n, 'time', endOf(mat))
  return over.map(({ n }) => n)
}

/** A press on the log of a round. `press` changes the round. */
export function logPress(club: Club, n: number, press: (round: LiveRound) => void): void {
  const { round } = matIn(club, n)
  if (!round) throw new Refusal('no round is on there')
  press(round)
}
