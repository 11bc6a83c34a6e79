import { idFromName } from '../../document/ids'
import { putField } from '../../document/fields'
import { lookUp } from '../../chart/lookUp'
import { Refusal } from '../../problem'
import type { Club } from '../clubKind'
import type { Block, BlockKind, Guests, Session } from '../session'

export function sessionIn(club: Club, id: string): Session {
  const session = lookUp(club.sessions, id)
  if (!session) throw new Refusal(`there is no class "${id}"`, 'gone')
  return session
}

function blockIn(session: Session, id: string): Block {
  const block = lookUp(session.blocks, id)
  if (!block) throw new Refusal(`the class has no block "${id}"`, 'gone')
  return block
}

/** What a class begins as: an hour that is warmed up for, watched, tried, tried against each other and ended well. */
const USUAL: readonly Omit<Block, 'id'>[] = [
  { kind: 'warm-up', minutes: 10 },
  { kind: 'watch', minutes: 8 },
  { kind: 'try', minutes: 12, resistance: 'scripted', withWhom: 'learn' },
  { kind: 'rounds-from', minutes: 15, work: 60, rest: 15, rounds: 6, resistance: 'full', withWhom: 'rounds' },
  { kind: 'free-rounds', minutes: 10, work: 240, rest: 60, rounds: 2, resistance: 'full', withWhom: 'rounds' },
  { kind: 'cool-down', minutes: 5 },
]

/** What a lesson begins as. */
const LESSON: readonly Omit<Block, 'id'>[] = [
  { kind: 'warm-up', minutes: 5 },
  { kind: 'watch', minutes: 8 },
  { kind: 'try', minutes: 12, resistance: 'scripted' },
  { kind: 'try', minutes: 15, resistance: 'some' },
  { kind: 'cool-down', minutes: 5 },
]

/** How long a block is until the coach says otherwise, in minutes. */
const MINUTES: Record<BlockKind, number> = {
  ...{ 'warm-up': 10, watch: 6, try: 10, 'stop-and-mend': 3, 'rounds-from': 12, 'flow-drill': 6, 'free-rounds': 12 },
  'cool-down': 5,
}

const withIds = (blocks: readonly Omit<Block, 'id'>[]): Block[] =>
  blocks.map((block, i) => ({ id: `${block.kind}-${i + 1}`, ...block }))

/** A new class on a day (as 2026-11-28), with who came to the last one and what was left for it. Returns its id. */
export function addSession(club: Club, when: string): string {
  const before = club.sessions.filter(({ isPrivate }) => !isPrivate).toSorted((a, b) => (a.when < b.when ? 1 : -1))[0]
  const id = idFromName(`class-${when}`, new Set(club.sessions.map((one) => one.id)))
  const left = (before?.nextTime ?? []).map(({ id: _, ...block }) => block)
  const at = USUAL.findIndex(({ kind }) => kind === 'rounds-from')
  const blocks = withIds(left.length ? [...USUAL.slice(0, at), ...left, ...USUAL.slice(at)] : USUAL)
  const { room, at: hour, mats } = before ?? {}
  const same = { ...(room ? { room } : {}), ...(hour ? { at: hour } : {}), ...(mats ? { mats } : {}) }
  club.sessions.push({ id, when, minutes: before?.minutes ?? 60, people: before?.people ?? [], blocks, ...same })
  return id
}

/** A private lesson with somebody on a day. Returns its id. */
export function addLesson(club: Club, when: string, person: string): string {
  const id = idFromName(`lesson-${when}`, new Set(club.sessions.map((one) => one.id)))
  const blocks = withIds(LESSON)
  const minutes = blocks.reduce((sum, one) => sum + one.minutes, 0)
  club.sessions.push({ id, when, minutes, people: [person], blocks, isPrivate: true, mats: 1 })
  return id
}

export function removeSession(club: Club, id: string): void {
  sessionIn(club, id)
  if (club.live?.session === id) throw new Refusal('this class is on: end it first')
  club.sessions = club.sessions.filter((one) => one.id !== id)
  for (const fact of [...club.rounds, ...club.tries]) if (fact.session === id) delete fact.session
}

/** Sets one field of a class, or (undefined, or an empty text) takes it away. */
export function setSession<F extends Exclude<keyof Session, 'id'>>(
  club: Club,
  id: string,
  field: F,
  value: Session[F] | undefined,
): void {
  putField(sessionIn(club, id), field, value)
}

/** Somebody comes to a class, or does not. */
export function setComing(club: Club, id: string, person: string, comes: boolean): void {
  const session = sessionIn(club, id)
  session.people = session.people.filter((one) => one !== person)
  if (comes) session.people.push(person)
}

/** So many guests of an age. */
export function setGuests(club: Club, id: string, age: keyof Guests, n: number): void {
  const session = sessionIn(club, id)
  const guests = { adults: 0, children: 0, ...session.guests, [age]: n }
  if (guests.adults || guests.children) session.guests = guests
  else delete session.guests
}

/** Adds a block before the cool-down, or at the end. Returns its id. */
export function addBlock(club: Club, session: string, kind: BlockKind): string {
  const { blocks } = sessionIn(club, session)
  const id = idFromName(kind, new Set(blocks.map((one) => one.id)))
  const end = blocks.findLastIndex((one) => one.kind === 'cool-down')
  const rounds = kind === 'rounds-from' || kind === 'free-rounds' ? { work: 60, rest: 15, rounds: 6 } : {}
  blocks.splice(end < 0 ? blocks.length : end, 0, { id, kind, minutes: MINUTES[kind], ...rounds })
  return id
}

/** Sets one field of a block, or (undefined, or an empty text) takes it away. */
export function setBlock<F extends Exclude<keyof Block, 'id'>>(
  club: Club,
  session: string,
  id: string,
  field: F,
  value: Block[F] | undefined,
): void {
  putField(blockIn(sessionIn(club, session), id), field, value)
}

export function removeBlock(club: Club, session: string, id: string): void {
  const of = sessionIn(club, session)
  blockIn(of, id)
  if (club.live?.session === session && club.live.block === id) throw new Refusal('this block is on')
  of.blocks = of.blocks.filter((one) => one.id !== id)
}

/** Moves a block to a place among the others, counted from 0. */
export function moveBlock(club: Club, session: string, id: string, to: number): void {
  const of = sessionIn(club, session)
  const block = blockIn(of, id)
  const others = of.blocks.filter((one) => one !== block)
  of.blocks = [...others.slice(0, Math.max(0, to)), block, ...others.slice(Math.max(0, to))]
}

/** Whether a block of a class is for the next one too. */
export function setNextTime(club: Club, session: string, id: string, isNext: boolean): void {
  const of = sessionIn(club, session)
  const others = (of.nextTime ?? []).filter((one) => one.id !== id)
  const next = isNext ? [...others, { ...blockIn(of, id) }] : others
  if (next.length) of.nextTime = next
  else delete of.nextTime
}

/** Opens something that is refused for somebody there, with a reason that is kept; an empty one shuts it again. */
export function openRefused(club: Club, session: string, tag: string, reason: string): void {
  const of = sessionIn(club, session)
  const others = (of.opened ?? []).filter((one) => one.tag !== tag)
  const opened = reason.trim() ? [...others, { tag, reason: reason.trim() }] : others
  if (opened.length) of.opened = opened
  else delete of.opened
}
