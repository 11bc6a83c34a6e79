import type { Chart } from '../chart/chart'
import type { Move } from '../chart/move'
import { blockMoves } from './blockMoves'
import { OUR_LIMITS, type Limits } from './limits'
import type { ClubPerson } from './person'
import { strangles } from './protect'
import type { Block, Session } from './session'
import { strictestOf, type Strictest } from './whoIsThere'

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
  | { says: 'strikes-unsaid'; block: string }
  | { says: 'strangle-shown'; block: string }
  | { says: 'no-winner-stays'; block: string }

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

const LIVE: readonly Block['kind'][] = ['rounds-from', 'free-rounds']
/** Whether somebody resists in a block: in rounds, unless it is said otherwise. */
export const isLive = ({ kind, resistance }: Block) =>
  resistance === undefined ? LIVE.includes(kind) : resistance !== 'scripted'

/** What a plan is held against. */
export interface Against {
  /** What its blocks are about; null where no chart is open. */
  chart: Chart | null
  /** Who comes, guests too. */
  people: readonly ClubPerson[]
  limits?: Pick<Required<Limits>, 'satOut'>
}

/** Everything that is wrong with a plan. */
export function planRemarks(session: Session, { chart, people, limits = OUR_LIMITS }: Against): PlanRemark[] {
  const timed = timedBlocks(session)
  const total = timed.at(-1)?.to ?? 0
  const over: PlanRemark[] = total > session.minutes ? [{ says: 'too-long', minutes: total - session.minutes }] : []
  const warmUp = timed.findIndex(({ block }) => block.kind === 'warm-up')
  const isCold = (i: number) => warmUp < 0 || i < warmUp
  const isLate = ({ from }: TimedBlock) => from >= LAST_QUARTER * session.minutes
  const strictest = strictestOf(people)
  return [
    ...over,
    ...timed.flatMap((one, i): PlanRemark[] => {
      const moves = chart ? blockMoves(chart, one.block) : []
      return [
        ...ofRounds(one, limits.satOut),
        ...(isLive(one.block) && isCold(i) ? [{ says: 'live-before-warm-up' as const, block: one.block.id }] : []),
        ...(isLate(one) && isNewThrow(one.block, moves)
          ? [{ says: 'new-throw-late' as const, block: one.block.id }]
          : []),
        ...ofWhoComes(one.block, moves, strictest),
      ]
    }),
  ]
}

function ofRounds({ block, needs, waves }: TimedBlock, satOut: number): PlanRemark[] {
  const { id, minutes } = block
  return [
    ...(needs !== null && needs > minutes
      ? [{ says: 'rounds-too-long' as const, block: id, minutes: Math.ceil(needs - minutes) }]
      : []),
    ...(waves - 1 > satOut ? [{ says: 'sits-out-too-long' as const, block: id, rounds: waves - 1 }] : []),
  ]
}

/** Whether a block has strikes in it: it must say what is worn and how hard they are. */
export const hasStrikes = (moves: readonly Move[]): boolean => moves.some(({ tags = [] }) => tags.includes('strikes'))

/** Where the winner stays on, who loses much works little: not with minors, and not in the first months. */
export const mayWinnerStay = ({ hasMinor, hasBeginner }: Strictest): boolean => !hasMinor && !hasBeginner

function ofWhoComes(block: Block, moves: readonly Move[], strictest: Strictest): PlanRemark[] {
  const { id, kind, gear, contact, shownOn, withWhom } = block
  const isUnsaid = gear === undefined || contact === undefined
  const isShownOnSomebody = kind === 'watch' && strictest.hasMinor && shownOn === undefined && moves.some(strangles)
  return [
    ...(hasStrikes(moves) && isUnsaid ? [{ says: 'strikes-unsaid' as const, block: id }] : []),
    ...(isShownOnSomebody ? [{ says: 'strangle-shown' as const, block: id }] : []),
    ...(withWhom === 'winner-stays' && !mayWinnerStay(strictest)
      ? [{ says: 'no-winner-stays' as const, block: id }]
      : []),
  ]
}

const isNewThrow = ({ kind, about }: Block, moves: readonly Move[]): boolean =>
  (kind === 'watch' || kind === 'try') && about?.kind === 'move' && moves.some((one) => one.kind === 'takedown')
