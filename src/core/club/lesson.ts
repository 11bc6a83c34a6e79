import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { MoveId } from '../chart/ids'
import { blockMoves, classMoves, subjectName } from './blockMoves'
import type { Club } from './clubKind'
import { freshId } from './freshId'
import type { TryFact } from './logRecords'
import { mayBeLogged } from './person'
import { MOST_POINTS, type Block, type Session } from './session'
import { sessionIn } from './edits/sessions'

/*
 * A private lesson: the coach is the partner, so nobody presses. Afterwards it is tallied as remembered; what one
 * remembers are the finishes, so that none of it says how often something lands.
 */

/** A move of a lesson, with how often it is remembered to have landed, and not. */
export interface Remembered {
  move: MoveId
  name: string
  landed: number
  failed: number
}

const isOf = (one: TryFact, session: string, move: string, landed: boolean) =>
  one.session === session && one.isPartial && one.move === move && (one.outcome === 'lands') === landed

/** What a lesson was about, with what was tallied. */
export function rememberedIn({ tries }: Pick<Club, 'tries'>, session: Session, chart: Chart): Remembered[] {
  const count = (move: string, landed: boolean) => tries.filter((one) => isOf(one, session.id, move, landed)).length
  return classMoves(chart, session).map(({ id, name }) => ({
    move: id,
    name,
    landed: count(id, true),
    failed: count(id, false),
  }))
}

/** One more try of a lesson, as it is remembered; `by` -1 takes the last one back. */
export function remember(club: Club, session: string, chart: string, move: MoveId, landed: boolean, by: 1 | -1): void {
  const { when, people } = sessionIn(club, session)
  if (by < 0) {
    const last = club.tries.findLastIndex((one) => isOf(one, session, move, landed))
    if (last >= 0) club.tries.splice(last, 1)
    return
  }
  const athlete = lookUp(club.people, people[0])
  club.tries.push({
    ...{ id: freshId(club.tries, 't'), when, in: 'round', resistance: 'some', session, chart, move, isPartial: true },
    ...(athlete && mayBeLogged(athlete) ? { us: athlete.id } : {}),
    outcome: landed ? 'lands' : 'failed',
  })
}

/** What the athlete takes home: each thing that was shown or tried, with what to look at, and the mistake. */
export interface TakenHome {
  block: Block
  name: string
  points: string[]
  mistake: string
  fix: string
}
export function takeHome(session: Session, chart: Chart | null): TakenHome[] {
  const seen = new Set<string>()
  return session.blocks
    .filter(({ about, points, mistake }) => about ?? points ?? mistake)
    .flatMap((block) => {
      const key = block.about ? `${block.about.kind} ${block.about.id}` : block.id
      if (seen.has(key)) return []
      seen.add(key)
      const checkpoints = chart ? blockMoves(chart, block).flatMap((move) => move.checkpoints ?? []) : []
      const fault = checkpoints.find(({ fault: one }) => one)?.fault
      const usual = block.mistake === undefined || block.mistake === fault?.mistake ? fault : undefined
      return {
        block,
        name: (chart && subjectName(chart, block)) ?? block.title ?? '',
        points: block.points ?? checkpoints.map(({ text }) => text).slice(0, MOST_POINTS),
        mistake: block.mistake ?? usual?.mistake ?? '',
        fix: usual?.fix ?? '',
      }
    })
}
