import type { Chart } from '../chart/chart'
import { sessionIn } from './edits/sessions'
import { blockMoves } from './blockMoves'
import type { Club } from './clubKind'
import type { Block, Session, Walk } from './session'

/** Mistakes on the screen at once, beside "fine". */
export const MOST_MISTAKES = 6
/** Under so many pairs there is too little to say. */
export const FEW_PAIRS = 6

/** A mistake that is looked for, and what to say where it is seen. */
export interface Mistake {
  says: string
  fix: string
}

/** What is usually done wrong in what a block is about: its own mistake first, then those of the checkpoints. */
export function mistakesOf(chart: Chart | null, block: Block): Mistake[] {
  const faults = chart
    ? blockMoves(chart, block).flatMap(({ checkpoints = [] }) => checkpoints.flatMap(({ fault }) => fault ?? []))
    : []
  const usual = faults.map(({ mistake, fix }): Mistake => ({ says: mistake, fix }))
  const own = block.mistake ? [{ says: block.mistake, fix: '' }] : []
  const all = [...own, ...usual]
  return all.filter(({ says }, i) => says && all.findIndex((one) => one.says === says) === i).slice(0, MOST_MISTAKES)
}

/** The walks of a block, the first first. */
export const walksOf = ({ walks = [] }: Session, block: string): Walk[] => walks.filter((one) => one.block === block)

/** How many pairs were looked at. */
export const lookedAt = ({ mistakes, fine }: Walk): number => Object.values(mistakes).reduce((sum, n) => sum + n, fine)

/** One pair was looked at: a mistake was seen, or (null) none. */
export function noteSeen(club: Club, session: string, block: string, mistake: string | null): void {
  const of = sessionIn(club, session)
  const walks = of.walks ?? []
  const last = walks.at(-1)
  const walk = last?.block === block ? last : { block, mistakes: {}, fine: 0 }
  if (mistake === null) walk.fine += 1
  else walk.mistakes[mistake] = (walk.mistakes[mistake] ?? 0) + 1
  of.walks = walk === last ? walks : [...walks, walk]
}

/** Another walk round, after something was said. */
export function walkAgain(club: Club, session: string, block: string): void {
  const of = sessionIn(club, session)
  of.walks = [...(of.walks ?? []), { block, mistakes: {}, fine: 0 }]
}

/** Mistakes of earlier classes on the same theme or subject, the latest first: they are shown before others. */
export function seenBefore(club: Pick<Club, 'sessions'>, session: Session, block: Block): string[] {
  const isSame = (other: Session, one: Block) =>
    (session.theme !== undefined && other.theme === session.theme) ||
    (block.about !== undefined && one.about?.id === block.about.id && one.about.kind === block.about.kind)
  const earlier = club.sessions.filter(({ id, when }) => id !== session.id && when <= session.when)
  const found = earlier
    .toSorted((a, b) => (a.when < b.when ? 1 : -1))
    .flatMap((other) =>
      (other.walks ?? []).filter((walk) => other.blocks.some((one) => one.id === walk.block && isSame(other, one))),
    )
    .flatMap(({ mistakes }) => Object.entries(mistakes).sort(([, a], [, b]) => b - a))
  return [...new Set(found.map(([mistake]) => mistake))]
}
