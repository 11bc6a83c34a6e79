import type { Chart } from '../chart/chart'
import { daysBetween } from '../club/days'
import type { Trial, TrialWay } from '../club/trial'
import { betterOf, landingOf, type Compared } from '../match/better'
import { isLive, type TryLog } from '../match/tryLog'

/** Where a trial stands: both ways compared, live tries of each since it began, and how many weeks it still takes. */
export interface TrialNow {
  compared: Compared
  tries: Record<'first' | 'second', number>
  /** At the pace so far; null where there is none yet, or where counting will not settle it. */
  weeks: number | null
}

/** After so many weeks nobody is still counting. */
export const MOST_WEEKS = 26
const WEEK = 7

/** How the two ways of a trial stand against each other on the day of the log; null where the chart lacks one. */
export function trialNow(chart: Chart, trial: Pick<Trial, 'first' | 'second' | 'since'>, log: TryLog): TrialNow | null {
  const [first, second] = [landingOf(chart, trial.first, log), landingOf(chart, trial.second, log)]
  if (!first || !second) return null
  const isOf = ({ move, reply }: TrialWay) =>
    log.tries.filter((one) => isLive(one) && one.when >= trial.since && one.move === move && one.reply === reply).length
  const tries = { first: isOf(trial.first), second: isOf(trial.second) }
  const compared = betterOf(first, second)
  const ago = Math.max(1, daysBetween(trial.since, log.now) / WEEK)
  const pace = (tries.first + tries.second) / ago
  const weeks = compared.more === null || pace === 0 ? null : Math.ceil(compared.more / pace)
  return { compared, tries, weeks }
}
