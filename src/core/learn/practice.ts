import { bandsOf } from '../chart/bands'
import type { Chart } from '../chart/chart'
import type { MoveId } from '../chart/ids'
import { grouped } from './grouped'
import { blockMoves } from '../club/blockMoves'
import type { Club } from '../club/clubKind'
import { dayAfter } from '../club/days'
import { triesOf } from '../club/matchUp'
import type { BlockKind } from '../club/session'
import { isLive, type LoggedTry } from '../match/tryLog'

/** Tries of which the whole was seen, with somebody who resists: how many, and how many of them landed. */
export interface LiveTries {
  lands: number
  of: number
}

/** What somebody has had of a move. Days are as 2026-11-28; null for never. */
export interface Practice {
  move: MoveId
  shown: string | null
  drilled: string | null
  /** The last day on which it landed live. */
  landed: string | null
  /** In rounds of training, and in matches. */
  rounds: LiveTries
  matches: LiveTries
  /** From which day on it is due again; null where it was never shown nor drilled. */
  due: string | null
}

/** Days until something that was shown is due, which double with each day that it was drilled or landed live. */
export const FIRST_DUE = 7
const MOST_DOUBLED = 4

const SHOWN: readonly BlockKind[] = ['watch']
const DRILLED: readonly BlockKind[] = ['try', 'flow-drill', 'rounds-from']

/** The days of each move: when it was shown, or drilled, and who was there. */
interface Had {
  when: string
  people: ReadonlySet<string>
  shown: ReadonlySet<string>
  drilled: ReadonlySet<string>
}

/** What a club has had of the moves of a chart until a day; read once for everybody. */
export class Practised {
  private readonly had: Had[]
  private readonly tries: ReadonlyMap<string, readonly LoggedTry[]>

  constructor(
    private readonly chart: Chart,
    club: Pick<Club, 'sessions' | 'tries'>,
    today: string,
  ) {
    const movesOf = (session: Club['sessions'][number], kinds: readonly BlockKind[]) =>
      new Set<string>(
        session.blocks
          .filter(({ kind }) => kinds.includes(kind))
          .flatMap((block) => blockMoves(chart, block).map(({ id }) => id)),
      )
    this.had = club.sessions
      .filter(({ when }) => when <= today)
      .sort((a, b) => a.when.localeCompare(b.when))
      .map((session) => ({
        ...{ when: session.when, people: new Set(session.people) },
        ...{ shown: movesOf(session, SHOWN), drilled: movesOf(session, DRILLED) },
      }))
    const tries = triesOf(club, chart.id).filter((one) => one.us !== undefined && one.when <= today && isLive(one))
    this.tries = grouped(tries, ({ us }) => us ?? '')
  }

  /** What one person has had of each move of the chart, in its order. */
  of(person: string): Practice[] {
    const here = this.had.filter(({ people }) => people.has(person))
    const own = grouped(this.tries.get(person) ?? [], ({ move }) => move)
    return this.chart.moves.map(({ id }) => practiceOf(id, here, own.get(id) ?? []))
  }
}

function practiceOf(move: MoveId, here: readonly Had[], tries: readonly LoggedTry[]): Practice {
  const landings = tries.filter(({ outcome }) => outcome === 'lands').map(({ when }) => when)
  const shown = here.findLast((one) => one.shown.has(move))?.when ?? null
  const drilledOn = here.filter((one) => one.drilled.has(move)).map(({ when }) => when)
  const [drilled, landed] = [drilledOn.at(-1) ?? null, landings.toSorted().at(-1) ?? null]
  const count = (isIt: (one: LoggedTry) => boolean): LiveTries => {
    const some = tries.filter(isIt)
    return { of: some.length, lands: some.filter(({ outcome }) => outcome === 'lands').length }
  }
  const last = [shown, drilled, landed]
    .flatMap((day) => day ?? [])
    .toSorted()
    .at(-1)
  const times = new Set([...drilledOn, ...landings]).size
  return {
    ...{ move, shown, drilled, landed },
    ...{ rounds: count((one) => one.in !== 'match'), matches: count((one) => one.in === 'match') },
    due: last === undefined ? null : dayAfter(last, FIRST_DUE * 2 ** Math.min(times, MOST_DOUBLED)),
  }
}

/** What some people together have had of a move: of how many it is true. */
export interface Memory {
  move: MoveId
  shown: number
  drilled: number
  landed: number
  /** How many have had it and are due for it again. */
  due: number
  of: number
}

/** The memory of a group: of each move, who has been shown it, has drilled it, has landed it live and is due again. */
export function memoryOf(practised: Practised, people: readonly string[], today: string): Memory[] {
  const each = people.map((person) => practised.of(person))
  return (each[0] ?? []).map(({ move }, i) => {
    const count = (isIt: (one: Practice) => boolean) => each.filter((list) => list[i] && isIt(list[i])).length
    return {
      ...{ move, of: people.length },
      shown: count(({ shown }) => shown !== null),
      drilled: count(({ drilled }) => drilled !== null),
      landed: count(({ landed }) => landed !== null),
      due: count((one) => isDueOn(one, today)),
    }
  })
}

/** Whether something that somebody has had is due again on a day. */
export const isDueOn = ({ due }: Pick<Practice, 'due'>, day: string): boolean => due !== null && due <= day

/** The moves of a chart by the region that they are tried from, the crest first. */
export function byRegion<R extends { move: string }>(
  { positions, moves }: Chart,
  records: readonly R[],
): { key: string; name: string; records: R[] }[] {
  return bandsOf(positions).flatMap(({ key, name, positions: places }) => {
    const here = new Set(places.map(({ id }) => id))
    const own = records.filter(({ move }) => moves.some(({ id, from }) => id === move && here.has(from)))
    return own.length ? [{ key, name, records: own }] : []
  })
}
