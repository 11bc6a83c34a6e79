import { sure } from '../sure'
import type { NOTHING_SEEN } from '../chart/cue'
import type { CueId } from '../chart/ids'
import { cueId } from '../game/describe'
import { sightsOf } from '../solve/sights'
import type { Solution } from '../solve/solution'
import { bestIn } from './tried'

/** What coming to a position is worth while something is seen there, and what is best then. */
export interface SeenFigure {
  cue: CueId | typeof NOTHING_SEEN
  value: number
  /** Id of the best move, `wait`, or null where there is nothing to do. */
  best: string | null
  isShown?: boolean
  /** How often they make us see it, 0 to 1. */
  share: number
}

/** What may be seen on an arrival, in the order of the chart's cues, nothing in particular last. */
export const seenFigures = (solution: Solution, arrival: number): SeenFigure[] =>
  sightsOf(solution, arrival).map(({ cue, state, share }) => ({
    ...{ cue: cueId(solution.game, cue), value: sure(solution.values[state]), share },
    ...bestIn(solution, state),
  }))
