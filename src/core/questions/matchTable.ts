import type { Chart } from '../chart/chart'
import { compileGame } from '../game/compileGame'
import { MAX_SCORE, type Scenario } from '../game/scenario'
import { bestIn } from '../insight/tried'
import type { Job } from '../job'
import { solve } from '../solve/solve'
import { present, sure } from '../sure'

/** The chance to win the match with a score (ours less theirs) and a clock, and what is best then. */
export interface MatchCell {
  score: number
  seconds: number
  /** 0 to 1; half for a draw. */
  chance: number
  /** Id of a move, `wait`, or null where nothing is left to do. */
  best: string | null
}

/** Seconds on the clock, and scores, that are asked about. */
export const MATCH_CLOCKS = [10, 20, 40, 60, 120]
export const MATCH_SCORES = [-4, -2, 0, 2, 4]

/**
 * The chance to win from the start of the scenario, under its rules, by clock and by score. Null where that cannot be
 * computed. One game serves all of it; each clock is solved.
 */
export function* matchTable(chart: Chart, scenario: Scenario): Job<MatchCell[] | null> {
  yield 0
  const match: Scenario = { ...scenario, objective: 'win', score: 0, goal: [], seconds: sure(MATCH_CLOCKS[0]) }
  const compiled = compileGame(chart, match, { roots: 'start' })
  if (!compiled.ok) return null
  const starts = present(compiled.value.meaning.startByScore)
  const cells: MatchCell[] = []
  for (const [i, seconds] of MATCH_CLOCKS.entries()) {
    yield (i + 1) / (MATCH_CLOCKS.length + 1)
    const solved = solve({ ...compiled.value, scenario: { ...match, seconds } })
    if (!solved.ok) return null
    for (const score of MATCH_SCORES) {
      const state = sure(starts[score + MAX_SCORE])
      const chance = sure(solved.value.values[state])
      cells.push({ score, seconds, chance, best: bestIn(solved.value, state).best })
    }
  }
  return cells
}
