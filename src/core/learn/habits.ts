import type { Chart } from '../chart/chart'
import type { MoveId, ReactionId } from '../chart/ids'
import { wilson } from '../insight/tallied'
import { adjusted } from '../match/adjust'
import { sharesIn } from '../match/recordOf'
import { reactionKey, type Outcomes } from '../match/shares'
import { isLive, type LoggedTry, type TryLog } from '../match/tryLog'

/** How often something came of tries on somebody, against how often it comes on anybody; shares, 0 to 1. */
export interface Seldom {
  times: number
  of: number
  usual: number
  /** What their true share lies within, nineteen times of twenty. */
  low: number
  high: number
}

/** A reaction that somebody has more, or less, than others. */
export interface Habit extends Seldom {
  reaction: ReactionId
}

/** A move that lands on somebody more, or less, than on others. */
export interface Opening extends Seldom {
  move: MoveId
}

/** Fewer tries say nothing of anybody. */
const ENOUGH = 5
/** The standard normal quantile within which, on both sides, lie nineteen of twenty. */
const NINETEEN_OF_TWENTY = 1.96

/** What is unlike the group, and of how many things looked at: one in twenty of these looks so by chance. */
export interface Habits {
  habits: Habit[]
  openings: Opening[]
  looked: number
}

/**
 * What somebody does when things are tried on them, where that is surely not what the group does: reactions, and what
 * lands. The furthest from the usual first. `log`: all tries of the chart; the usual is the group's (5.6 of the model).
 */
export function habitsOf(chart: Chart, log: TryLog, them: string): Habits {
  const group = adjusted(chart, { us: null, them: null, log })
  const onThem = log.tries.filter((one) => one.them === them && isLive(one) && one.outcome !== 'failed')
  const known = onThem.flatMap((one) => {
    const shares = sharesIn(group, one)
    return shares ? [{ tried: one, shares }] : []
  })
  let looked = 0
  const look = (some: readonly Known[], key: string, came: (one: LoggedTry) => boolean) => {
    looked += Number(some.length >= ENOUGH)
    return seldom(some, key, came)
  }
  const habits = group.reactions.flatMap(({ id }): Habit[] => {
    const key = reactionKey(id)
    const met = known.filter(({ shares }) => (shares.get(key) ?? 0) > 0)
    const came = ({ outcome }: LoggedTry) =>
      typeof outcome === 'object' && 'reaction' in outcome && outcome.reaction === id
    const found = look(met, key, came)
    return found ? [{ reaction: id, ...found }] : []
  })
  const openings = group.moves.flatMap(({ id }): Opening[] => {
    const own = known.filter(({ tried }) => tried.move === id)
    const found = look(own, 'lands', ({ outcome }) => outcome === 'lands')
    return found ? [{ move: id, ...found }] : []
  })
  return { habits: habits.sort(furthest), openings: openings.sort(furthest), looked }
}

type Known = { tried: LoggedTry; shares: Outcomes }

function seldom(some: readonly Known[], key: string, came: (one: LoggedTry) => boolean): Seldom | null {
  if (some.length < ENOUGH) return null
  const times = some.filter(({ tried }) => came(tried)).length
  const usual = some.reduce((sum, { shares }) => sum + (shares.get(key) ?? 0), 0) / some.length
  const within = wilson(times, some.length, NINETEEN_OF_TWENTY)
  return usual >= within.low && usual <= within.high ? null : { times, of: some.length, usual, ...within }
}

const furthest = (a: Seldom, b: Seldom) => far(b) - far(a)
const far = ({ times, of, usual }: Seldom) => Math.abs(times / of - usual)
