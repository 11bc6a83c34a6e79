import type { Kind } from '../chart/words'
import type { Block, Session } from './session'

/** A block in its hour: minutes from the start of the class. */
export interface TimedBlock {
  block: Block
  from: number
  to: number
  /** In how many waves the pairs work, because no more fit on the mats at once. */
  waves: number
  /** Minutes that its rounds take, where it has rounds. */
  needs: number | null
}

/** What is wrong with a plan, and where. */
export type PlanRemark =
  | { says: 'too-long'; minutes: number }
  | { says: 'rounds-too-long'; block: string; minutes: number }
  | { says: 'sits-out-too-long'; block: string; rounds: number }
  | { says: 'live-before-warm-up'; block: string }
  | { says: 'new-throw-late'; block: string }

/** Nobody waits for more rounds than this. */
export const MOST_SAT_OUT = 2
/** From this share of the class on nothing new is thrown. */
const LAST_QUARTER = 0.75

/** How many are there, with guests. */
export const headCount = ({ people, guests }: Pick<Session, 'people' | 'guests'>): number =>
  people.length + (guests?.adults ?? 0) + (guests?.children ?? 0)

/** Of an odd number three work together. */
const groupsOf = (session: Session) => Math.max(1, Math.floor(headCount(session) / 2))

function wavesOf({ room, ...session }: Session, { isStanding, work }: Block): number {
  if (!room || work === undefined) return 1
  return Math.ceil(groupsOf(session) / (isStanding ? room.standing : room.ground))
}

/** When each block begins and ends, in how many waves, and how long its rounds take. */
export function timedBlocks(session: Session): TimedBlock[] {
  let from = 0
  return session.blocks.map((block) => {
    const waves = wavesOf(session, block)
    const { work, rest = 0, rounds = 1 } = block
    const needs = work === undefined ? null : (rounds * waves * (work + rest)) / 60
    const timed = { block, from, to: from + block.minutes, waves, needs }
    from = timed.to
    return timed
  })
}

/** Blocks in which somebody resists unless it is said otherwise. */
const LIVE: readonly Block['kind'][] = ['rounds-from', 'free-rounds']
const isLive = ({ kind, resistance }: Block) =>
  resistance === undefined ? LIVE.includes(kind) : resistance !== 'scripted'

/** Everything that is wrong with a plan. `kindOf`: the kind of a move, undefined for one that is gone. */
export function planRemarks(session: Session, kindOf: (move: string) => Kind | undefined): PlanRemark[] {
  const timed = timedBlocks(session)
  const total = timed.at(-1)?.to ?? 0
  const over: PlanRemark[] = total > session.minutes ? [{ says: 'too-long', minutes: total - session.minutes }] : []
  const warmUp = timed.findIndex(({ block }) => block.kind === 'warm-up')
  const isCold = (i: number) => warmUp < 0 || i < warmUp
  return [
    ...over,
    ...timed.flatMap((one, i): PlanRemark[] => [
      ...ofRounds(one),
      ...(isLive(one.block) && isCold(i) ? [{ says: 'live-before-warm-up' as const, block: one.block.id }] : []),
      ...(isNewThrow(one.block, kindOf) && one.from >= LAST_QUARTER * session.minutes
        ? [{ says: 'new-throw-late' as const, block: one.block.id }]
        : []),
    ]),
  ]
}

function ofRounds({ block, needs, waves }: TimedBlock): PlanRemark[] {
  const { id, minutes } = block
  return [
    ...(needs !== null && needs > minutes
      ? [{ says: 'rounds-too-long' as const, block: id, minutes: Math.ceil(needs - minutes) }]
      : []),
    ...(waves - 1 > MOST_SAT_OUT ? [{ says: 'sits-out-too-long' as const, block: id, rounds: waves - 1 }] : []),
  ]
}

function isNewThrow({ kind, about }: Block, kindOf: (move: string) => Kind | undefined): boolean {
  return (kind === 'watch' || kind === 'try') && about?.kind === 'move' && kindOf(about.id) === 'takedown'
}
