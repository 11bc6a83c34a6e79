import type { Chart } from '../chart/chart'
import type { MoveId, ReactionId } from '../chart/ids'
import { dayAfter } from '../club/days'
import type { Scenario } from '../game/scenario'
import { costliest } from '../insight/costly'
import { figuresOf } from '../insight/figures'
import type { Job } from '../job'
import { adjusted } from '../match/adjust'
import { landingShare } from '../match/recordOf'
import { isLive, type LoggedTry } from '../match/tryLog'
import { startWorth } from '../questions/solved'
import { grouped } from './grouped'

/** What is asked of a log: its tries, in how many days one counts half, and the day, as 2026-11-28. */
export interface LogAsked {
  tries: readonly LoggedTry[]
  halfLife: number
  now: string
}

/** A leak as a week left it: what they do to what, and what it costs the start, in worth. */
export interface LeakThen {
  key: string
  move: MoveId | null
  reaction: ReactionId | null
  cost: number
}

/** The plan by the estimates at the end of a week. */
export interface WeekThen {
  /** Its Monday. */
  monday: string
  worth: number
  /** Live tries in it. */
  tries: number
  leaks: LeakThen[]
}

/** So many weeks, the last ones, are solved. */
const MOST_WEEKS = 26
const SUNDAY = 6

/** The Monday of the week of a day. */
export function mondayOf(day: string): string {
  const weekday = (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7
  return dayAfter(day, -weekday)
}

/** The plan week by week from the first live try on, each with the log as it stood on its Sunday. */
export function* weeksOf(chart: Chart, scenario: Scenario, { tries, halfLife, now }: LogAsked): Job<WeekThen[]> {
  const live = tries.filter((one) => isLive(one) && one.when <= now)
  const first = live.map(({ when }) => when).toSorted()[0]
  if (first === undefined) return []
  const mondays: string[] = []
  for (let monday = mondayOf(first); monday <= now; monday = dayAfter(monday, 7)) mondays.push(monday)
  const asked = mondays.slice(-MOST_WEEKS)
  const weeks: WeekThen[] = []
  for (const [i, monday] of asked.entries()) {
    const sunday = dayAfter(monday, SUNDAY)
    const end = sunday < now ? sunday : now
    const log = { tries: tries.filter(({ when }) => when <= end), now: end, halfLife }
    const found = figuresOf(adjusted(chart, { us: null, them: null, log }), scenario)
    if (found.ok) {
      const own = live.filter(({ when }) => when >= monday && when <= end).length
      weeks.push({ monday, worth: found.value.figures.value, tries: own, leaks: leaksIn(found.value.figures) })
    }
    yield (i + 1) / (asked.length + 1)
  }
  return weeks
}

const leaksIn = (figures: Parameters<typeof costliest>[0]): LeakThen[] =>
  costliest(figures, []).flatMap((one) => {
    if (one.of !== 'leak') return []
    const { move, reaction, position } = one.met
    return [{ key: `${move ?? position} ${reaction}`, move, reaction, cost: one.cost }]
  })

/** What leaked less, or no more, and what leaks more, between two weeks; the largest change first. In worth. */
export function leakChanges(from: WeekThen, to: WeekThen): { leak: LeakThen; before: number; after: number }[] {
  const keys = new Map([...from.leaks, ...to.leaks].map((leak) => [leak.key, leak]))
  const costIn = (week: WeekThen, key: string) => week.leaks.find((one) => one.key === key)?.cost ?? 0
  return [...keys]
    .map(([key, leak]) => ({ leak, before: costIn(from, key), after: costIn(to, key) }))
    .filter(({ before, after }) => Math.abs(after - before) >= LEAST)
    .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before))
}

/** A smaller change of worth is none. */
const LEAST = 0.0005

/** What tries since a day have changed of one figure, and what that alone is worth to the start. */
export interface Learned {
  move: MoveId
  reply?: ReactionId
  tries: number
  /** How often it lands, 0 to 1, without those tries and with them. */
  before: number
  after: number
  worth: number
}

/**
 * Which figures moved the worth most since a day: for each thing that was tried live, the plan with all of the log
 * against the plan without those tries.
 */
export function* learnedSince(
  chart: Chart,
  scenario: Scenario,
  { tries, halfLife, now, since }: LogAsked & { since: string },
): Job<Learned[]> {
  const nobody = { us: null, them: null }
  const withLog = (some: readonly LoggedTry[]) => adjusted(chart, { ...nobody, log: { tries: some, now, halfLife } })
  const isNew = (one: LoggedTry) => one.when >= since && one.when <= now && isLive(one)
  const today = withLog(tries)
  const worth = startWorth(today, scenario)
  if (worth === null) return []
  const groups = [...grouped(tries.filter(isNew), ({ move, reply }) => `${move} ${reply ?? ''}`).values()]
  const learned: Learned[] = []
  for (const [i, own] of groups.entries()) {
    const one = own[0]
    const without = withLog(tries.filter((tried) => !own.includes(tried)))
    const [before, after] = one ? [landingShare(without, one), landingShare(today, one)] : []
    const worthBefore = startWorth(without, scenario)
    if (one && before !== undefined && after !== undefined && worthBefore !== null) {
      const { move, reply } = one
      const about = reply === undefined ? { move } : { move, reply }
      learned.push({ ...about, tries: own.length, before, after, worth: worth - worthBefore })
    }
    yield (i + 1) / (groups.length + 1)
  }
  return learned.sort((a, b) => Math.abs(b.worth) - Math.abs(a.worth))
}
