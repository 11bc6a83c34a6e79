import { lookUp } from '../../chart/lookUp'
import type { MoveId, ReactionId } from '../../chart/ids'
import { Refusal } from '../../problem'
import type { Club } from '../clubKind'
import { SECOND } from '../live/clock'
import type { LiveRound, Mat } from '../live/liveRecords'
import { isPartial, newRound } from '../live/pressLog'
import type { ENDED } from '../logRecords'
import { mayBeLogged } from '../person'
import type { Block } from '../session'

/* Rounds on the mats: begun and ended by a press each, and what the log keeps of them. Times in milliseconds. */

export type Ended = (typeof ENDED)[number]

/** After a tap nothing restarts for so long: let go, reset. */
export const RESET = 10 * SECOND
/** How long a round lasts where the block does not say. */
const USUAL_ROUND = 60

export function matIn({ live }: Club, n: number): Mat {
  const mat = live?.mats.find((one) => one.n === n)
  if (!mat) throw new Refusal(`there is no mat ${n}`, 'gone')
  return mat
}

/** How much of the reset after a tap is left; 0 where a round may begin. */
export const resetLeft = ({ tappedAt }: Mat, now: number): number =>
  tappedAt === undefined ? 0 : Math.max(0, tappedAt + RESET - now)

/** Seconds that a round of a block lasts. */
export const roundSeconds = ({ work = USUAL_ROUND }: Pick<Block, 'work'>): number => work

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
  const most = roundSeconds(block ?? {})
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
  const tries = round.tries.map(({ move, reply, outcome }) => {
    const id = freshId(club.tries, 't')
    club.tries.push({
      ...{ id, ...of, ...who, in: 'round', move: move as MoveId, outcome },
      ...(reply ? { reply: reply as ReactionId } : {}),
      ...(block?.resistance ? { resistance: block.resistance } : {}),
      ...(isPartial(round) ? { isPartial: true } : {}),
    })
    return id
  })
  mat.last = { round, fact, tries }
  delete mat.round
  if (ended === 'tap') mat.tappedAt = now
  else delete mat.tappedAt
  turn(mat)
}

/** Numbered on from the last, so that ids stay short however many there are. */
function freshId(list: readonly { id: string }[], letter: string): string {
  const last = Number(list.at(-1)?.id.slice(1))
  for (let n = Number.isInteger(last) ? last + 1 : list.length + 1; ; n++) {
    const id = `${letter}${n}`
    if (!list.some((one) => one.id === id)) return id
  }
}

/** Roles swap, and the next pair is up: of three the one who was attacked attacks the one who watched. */
function turn(mat: Mat): void {
  const [first, ...others] = mat.queue
  if (!first) return
  const [attacker, ...rest] = first.people
  if (attacker === undefined) return
  mat.queue = [...others, { people: [...rest, attacker] }]
}

/** The other way round. */
function turnBack(mat: Mat): void {
  const last = mat.queue.at(-1)
  const attacker = last?.people.at(-1)
  if (!last || attacker === undefined) return
  mat.queue = [{ people: [attacker, ...last.people.slice(0, -1)] }, ...mat.queue.slice(0, -1)]
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
  turnBack(mat)
}

/** Rounds whose time is over end so, as of then, however long nobody looked. Returns the mats. */
export function endTimedOut(club: Club, now: number): number[] {
  const { block } = aboutClass(club)
  const ms = roundSeconds(block ?? {}) * SECOND
  const over = (club.live?.mats ?? []).filter(({ round }) => round && now - round.since >= ms)
  for (const { n, round } of over) endRound(club, n, 'time', (round?.since ?? 0) + ms)
  return over.map(({ n }) => n)
}

/** A press on the log of a round. `press` changes the round. */
export function logPress(club: Club, n: number, press: (round: LiveRound) => void): void {
  const { round } = matIn(club, n)
  if (!round) throw new Refusal('no round is on there')
  press(round)
}
