import type { Chart } from '../chart/chart'
import { changedSince, touchesPlan } from '../chart/changes'
import { success, type Result } from '../problem'
import { indexChart } from './chartIndex'
import { compileGame, serves, type CompileOptions } from './compileGame'
import type { Game } from './game'
import { Refill } from './refill'
import type { Scenario } from './scenario'

type Roots = NonNullable<CompileOptions['roots']>

/** The game that was compiled last, and of what; `refill` once it was needed. */
interface Base {
  chart: Chart
  game: Game
  refill: Refill | null
}

/**
 * Compiles one state of a chart after the other. What differs from the last one compiled only in the clock, the
 * sharpness or in numbers of tries gets the same game, with its chances filled in anew where they are others.
 */
export class Compiler {
  private readonly bases = new Map<Roots, Base>()
  /** How many games were compiled. */
  compiled = 0

  /** Fails as `compileGame` does. */
  compile(chart: Chart, scenario: Scenario, roots: Roots = 'all'): Result<Game> {
    const base = this.bases.get(roots)
    const known = base && serves(base.game.scenario, scenario) ? knownGame(base, chart, scenario) : null
    if (known) return success(known)
    const compiled = compileGame(chart, scenario, { roots })
    this.bases.delete(roots)
    if (!compiled.ok) return compiled
    this.compiled++
    this.bases.set(roots, { chart, game: compiled.value, refill: null })
    return compiled
  }
}

/** The game of the base as it is for another chart; null where that has other states or outcomes. */
function knownGame(base: Base, chart: Chart, scenario: Scenario): Game | null {
  if (!touchesPlan(changedSince(base.chart, chart))) return { ...base.game, scenario }
  // The game of a match has states of its own, which no other tries refill.
  if (scenario.objective === 'win') return null
  base.refill ??= new Refill(base.game, base.chart)
  const counts = base.refill.countsLike(chart, true)
  const filled = counts && base.refill.with(counts)
  return filled && { ...filled, scenario, meaning: { ...filled.meaning, index: indexChart(chart, scenario) } }
}
