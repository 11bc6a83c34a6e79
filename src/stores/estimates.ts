import { shallowRef } from 'vue'
import type { Chart } from '../core/chart/chart'
import type { Landing } from '../core/match/better'
import type { Variant } from '../core/match/recordOf'

/*
 * What was logged of a club counts in the figures beside the guesses of the chart. What it takes is only fetched where
 * there is a club, and after the first figures.
 */

/** Where it is kept which club was open last. */
export const LAST_CLUB = 'ataque-club'

/** The chart as it is played: with what was logged. The same object as long as neither changes. */
export const played = shallowRef<(chart: Chart) => Chart>((chart) => chart)

/** The names of who plays against whom, each empty for nobody in particular; null where nobody is named. */
export const whoPlays = shallowRef<{ us: string; them: string } | null>(null)

/** What was logged, and in which club: how many tries of a chart, and what they say of how often something lands. */
export interface Logged {
  club: string
  of: (chart: string) => number
  landing: (chart: Chart, what: Variant) => Landing | null
}
export const logged = shallowRef<Logged | null>(null)
