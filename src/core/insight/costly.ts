import type { Figures, LooseEndFigure, MetFigure } from './figures'
import { NOTEWORTHY } from './nets'

/** Something that they do and that costs us: a leak, or a loose end by its index among the figures' loose ends. */
export type Costly =
  | { of: 'leak'; met: MetFigure; cost: number }
  | { of: 'loose end'; end: LooseEndFigure; index: number; cost: number | null | undefined }

/** A smaller cost of the start, 0 to 1, is none. */
const LEAST = 0.0005

/**
 * Leaks and loose ends in one list, dearest first, in worth of the start. A leak costs its net times how often an
 * exchange meets it; a loose end as much as the start would gain without it (`costs`, by index; null: it cannot be
 * known; undefined: not yet, and then it stands by how often it is met). What costs nothing is left out, and so is a
 * leak that is a loose end.
 */
export function costliest({ met, looseEnds }: Figures, costs: readonly (number | null | undefined)[]): Costly[] {
  const keys = new Set(looseEnds.map((end) => keyOf('move' in end.met ? end.met.move : null, end)))
  const leaks = met
    .filter((one) => one.net <= -NOTEWORTHY && !keys.has(keyOf(one.move, one)))
    .map((one): Costly => ({ of: 'leak', met: one, cost: -one.visits * one.net }))
    .filter(({ cost }) => (cost ?? 0) >= LEAST)
  const ends = looseEnds.flatMap((end, index): Costly[] =>
    (costs[index] ?? end.visits) < LEAST ? [] : [{ of: 'loose end', end, index, cost: costs[index] }],
  )
  return [...leaks, ...ends].sort((a, b) => weightOf(b) - weightOf(a))
}

/** What is not known yet stands by how often it is met, below all that is. */
const weightOf = (one: Costly): number => one.cost ?? (one.of === 'loose end' ? Math.min(one.end.visits, 1) * LEAST : 0)

const keyOf = (move: string | null, { position, reaction }: { position: string; reaction: string | null }) =>
  `${move ?? position} ${reaction}`

/** The deepest leaks that the plan never meets, deepest first: where it would hurt to be drawn away from it. */
export function deepestOffPlan({ met }: Figures, most: number): MetFigure[] {
  return met
    .filter(({ net, visits }) => net <= -NOTEWORTHY && visits < LEAST)
    .toSorted((a, b) => a.net - b.net)
    .slice(0, most)
}
