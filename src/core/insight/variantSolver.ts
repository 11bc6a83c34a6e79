import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { compileGame } from '../game/compileGame'
import type { Game } from '../game/game'
import { Refill } from '../game/refill'
import type { Result } from '../problem'
import { makeBatches } from '../solve/batches'
import type { Solution } from '../solve/solution'
import { solve } from '../solve/solve'

/**
 * Solves variants of a chart that has been compiled, in the same scenario. A variant that differs only in numbers of
 * tries refills the compiled game, which takes a fraction of compiling; any other is compiled.
 */
export class VariantSolver {
  private readonly refill: Refill | null
  private readonly batches

  constructor(
    chart: Chart,
    private readonly game: Game,
  ) {
    this.refill = game.scenario.objective === 'win' ? null : new Refill(game, chart)
    this.batches = makeBatches(game)
  }

  /** Values at the full clock. */
  solve(other: Chart): Result<Solution> {
    const counts = this.refill?.countsLike(other)
    const filled = counts && this.refill?.with(counts)
    if (filled) return solve(filled, { batches: this.batches })
    const compiled = compileGame(other, this.game.scenario, { roots: 'start' })
    return compiled.ok ? solve(compiled.value) : compiled
  }

  /** The worth of the start in a variant; null where that cannot be computed. */
  startWorth(other: Chart): number | null {
    const solved = this.solve(other)
    return solved.ok ? sure(solved.value.values[solved.value.game.start]) : null
  }
}
