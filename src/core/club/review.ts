import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Club } from './clubKind'
import { ENDED, type RoundFact } from './logRecords'
import type { Block, Session } from './session'

/** What landed of a move in a class. Only tries of which the round was seen whole say how often. */
export interface Landed {
  move: string
  name: string
  lands: number
  tries: number
}

/** What came of a class. */
export interface Review {
  shown: Block[]
  drilled: Block[]
  rounds: { ended: RoundFact['ended']; n: number }[]
  landed: Landed[]
}

/** What was shown, drilled and landed live in a class, and how its rounds ended. `chart`: for the names of moves. */
export function reviewOf(club: Club, session: Session, chart: Chart | null): Review {
  const rounds = club.rounds.filter((one) => one.session === session.id)
  const tries = club.tries.filter((one) => one.session === session.id && !one.isPartial)
  const moves = [...new Set(tries.map(({ move }) => move))]
  const of = (kinds: readonly Block['kind'][]) => session.blocks.filter(({ kind }) => kinds.includes(kind))
  return {
    shown: of(['watch']),
    drilled: of(['try', 'flow-drill']),
    rounds: ENDED.map((ended) => ({ ended, n: rounds.filter((one) => one.ended === ended).length })).filter(
      ({ n }) => n,
    ),
    landed: moves
      .map((move) => {
        const some = tries.filter((one) => one.move === move)
        const lands = some.filter(({ outcome }) => outcome === 'lands').length
        return { move, name: lookUp(chart?.moves ?? [], move)?.name ?? move, lands, tries: some.length }
      })
      .sort((a, b) => b.tries - a.tries),
  }
}
