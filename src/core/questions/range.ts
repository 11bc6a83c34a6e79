import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import type { PositionId } from '../chart/ids'
import { NONE, TERMINALS } from '../game/game'
import { Refill } from '../game/refill'
import type { Scenario } from '../game/scenario'
import { usualBestIn } from '../insight/tried'
import { makeBatches } from '../solve/batches'
import { KeptPlan } from '../solve/keptPlan'
import { solve } from '../solve/solve'
import { openToAll, Sampler } from './sampled'
import type { Job } from '../job'
import { solved } from './solved'

/**
 * Draws tries from the coach’s counts, one seed a sample, and values the start both with the plan as it is and solved
 * anew. `places`: positions in which the best move is counted. Null where the chart cannot be computed.
 */
export interface Sampled {
  /** By sample: the value of the plan as it is, and of the best plan for that sample. */
  kept: number[]
  best: number[]
  choices: { position: PositionId; best: Record<string, number> }[]
}

/** Which samples are taken: every `every`-th from `from` on, so that workers can share them. */
export interface Part {
  from: number
  every: number
}

export const SAMPLES = 400
const SEED = 20_251
/** Without a clock: near enough for a range that is said in whole hundredths. */
const GAP = 1e-4

/**
 * The start's value were the tries what they might be: each sample draws them from the coach's counts, by a seed of its
 * own; the plan is followed as it is, and solved anew. `places`: positions in which is counted what is best.
 */
export function* sampleRange(
  chart: Chart,
  scenario: Scenario,
  places: readonly PositionId[],
  part: Part,
  samples = SAMPLES,
): Job<Sampled | null> {
  const open = openToAll(chart)
  const now = solved(open, scenario, { roots: 'start', everySecond: true, gap: GAP })
  if (!now) return null
  const { start, meaning } = now.game
  const batches = makeBatches(now.game)
  const plan = new KeptPlan(now, batches)
  const refill = new Refill(now.game, open)
  const sampler = new Sampler(refill)
  const stateOf = (position: PositionId) => meaning.ownState[meaning.index.positionOf.get(position) ?? NONE] ?? NONE
  const found = places.filter((position) => stateOf(position) >= TERMINALS)
  const result: Sampled = { kept: [], best: [], choices: found.map((position) => ({ position, best: {} })) }
  for (let i = part.from; i < samples; i += part.every) {
    yield i / samples
    const game = refill.with(sampler.draw(SEED, i))
    if (!game) return null
    const solution = solve(game, { gap: GAP, batches })
    if (!solution.ok) return null
    result.best.push(sure(solution.value.values[start]))
    result.kept.push(plan.worthIn(game))
    for (const { position, best } of result.choices) {
      const does = usualBestIn(solution.value, stateOf(position)) ?? 'wait'
      best[does] = (best[does] ?? 0) + 1
    }
  }
  return result
}

/** What a value lies within in eight of ten samples. */
export interface Within {
  low: number
  high: number
}

/** How sure a plan is, and where it is too close to call what is best. */
export interface Range {
  /** Keeping to the plan; and with the best plan for each sample. */
  kept: Within
  best: Within
  /** Mean worth of knowing the tries and planning for them, above keeping to the plan. */
  knowing: number
  samples: number
  close: { position: PositionId; best: { move: string; share: number }[] }[]
}

const TENTH = 0.1
/** What is best in more of the samples than this is the best. */
const CLEAR = 0.75

/** The range that samples give, taken in one or several parts. */
export function rangeOf(parts: readonly Sampled[]): Range {
  const [kept, best] = [parts.flatMap((part) => part.kept), parts.flatMap((part) => part.best)]
  const samples = kept.length
  const close = sure(parts[0]).choices.map(({ position }, i) => {
    const counts = new Map<string, number>()
    for (const { choices } of parts)
      for (const [move, n] of Object.entries(sure(choices[i]).best)) counts.set(move, (counts.get(move) ?? 0) + n)
    const shares = [...counts].map(([move, n]) => ({ move, share: n / samples }))
    return { position, best: shares.sort((a, b) => b.share - a.share) }
  })
  return {
    ...{ kept: within(kept), best: within(best), knowing: mean(best) - mean(kept), samples },
    close: close.filter(({ best: shares }) => sure(shares[0]).share <= CLEAR),
  }
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

function within(values: readonly number[]): Within {
  const sorted = [...values].sort((a, b) => a - b)
  const at = (share: number) => sure(sorted[Math.round(share * (sorted.length - 1))])
  return { low: at(TENTH), high: at(1 - TENTH) }
}
