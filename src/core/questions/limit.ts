import type { Chart } from '../chart/chart'
import type { Scenario } from '../game/scenario'
import { figuresOf, type Endings } from '../insight/figures'
import type { Job } from '../job'

/** The plan that keeps a limit on ending behind, and what that costs. */
export interface Limited {
  /**
   * The worth of ending behind with which the plan keeps the limit; null where no plan keeps it, or every plan does.
   */
  theirs: number | null
  isKeptAlready: boolean
  /** Chance of ending behind or caught, now and then. */
  behind: { now: number; then: number }
  finish: { now: number; then: number }
}

/** The search ends when it is known so well. */
const CLOSE = 0.01
const WORST = -1

const behindIn = ({ theirs, caught }: Endings) => theirs + caught

/**
 * The best plan that ends behind or caught at most `limit` of the time, 0 to 1. The worth of ending behind is lowered
 * by bisection until the plan keeps the limit; a position’s own `endWorth` stays.
 */
export function* limitBehind(chart: Chart, scenario: Scenario, limit: number): Job<Limited | null> {
  const at = (theirs: number) => {
    const found = figuresOf(chart, { ...scenario, ends: { ...scenario.ends, theirs } })
    return found.ok ? found.value.figures.endings : null
  }
  const now = at(scenario.ends.theirs)
  if (!now) return null
  const result = (theirs: number | null, then: Endings): Limited => ({
    ...{ theirs, isKeptAlready: behindIn(now) <= limit },
    ...{ behind: { now: behindIn(now), then: behindIn(then) }, finish: { now: now.finish, then: then.finish } },
  })
  if (behindIn(now) <= limit) return result(scenario.ends.theirs, now)
  yield 0.1
  const most = at(WORST)
  if (!most) return null
  if (behindIn(most) > limit) return result(null, most)
  let [keeps, breaks, kept] = [WORST, scenario.ends.theirs, most]
  for (let done = 0.2; breaks - keeps > CLOSE; done += 0.08) {
    yield Math.min(done, 0.99)
    const middle = (keeps + breaks) / 2
    const found = at(middle)
    if (!found) return null
    if (behindIn(found) <= limit) [keeps, kept] = [middle, found]
    else breaks = middle
  }
  return result(Math.round(keeps * 100) / 100 - (Math.round(keeps * 100) / 100 > keeps ? 0.01 : 0), kept)
}
