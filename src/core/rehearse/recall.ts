import { askedKey, type Rehearsed } from '../club/rehearsed'

/** Of somebody (undefined: of whom nobody said who it was) and a chart. */
export const factsOf = (facts: readonly Rehearsed[], us: string | undefined, chart: string): Rehearsed[] =>
  facts.filter((one) => one.us === us && one.chart === chart)

/** What somebody was asked of a chart: how many questions, how many are known, and which were missed the last time. */
export interface Recall {
  asked: number
  known: number
  missed: Rehearsed[]
  /** When anything was asked last, in milliseconds since 1970. */
  last: number
}

/** Null where nothing was asked. What is known is what was known the last time. */
export function recallOf(facts: readonly Rehearsed[]): Recall | null {
  const newest = new Map(facts.toSorted((a, b) => a.at - b.at).map((fact) => [askedKey(fact), fact]))
  if (!newest.size) return null
  const missed = [...newest.values()].filter(({ known }) => known === 'again')
  const last = Math.max(...facts.map(({ at }) => at))
  return { asked: newest.size, known: newest.size - missed.length, missed, last }
}
