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

/** What each question came to the last time that it was asked. */
function lastAsked(facts: readonly Rehearsed[]): Rehearsed[] {
  return [...new Map(facts.toSorted((a, b) => a.at - b.at).map((fact) => [askedKey(fact), fact])).values()]
}

/** What each of some people (ids) was asked of a chart last. */
export const lastAskedOf = (facts: readonly Rehearsed[], people: readonly string[], chart: string): Rehearsed[][] =>
  people.map((us) => lastAsked(factsOf(facts, us, chart)))

/** How many people were asked for something, and how many of them did not know all of it the last time. */
export interface MissedAmong {
  asked: number
  missed: number
}

/** Among people, by what each was asked last; `isOf`: whether a question is about it. */
export function missedAmong(people: readonly Rehearsed[][], isOf: (asked: Rehearsed) => boolean): MissedAmong {
  const theirs = people.map((facts) => facts.filter(isOf)).filter((facts) => facts.length)
  const missed = theirs.filter((facts) => facts.some(({ known }) => known === 'again'))
  return { asked: theirs.length, missed: missed.length }
}

/** Null where nothing was asked. What is known is what was known the last time. */
export function recallOf(facts: readonly Rehearsed[]): Recall | null {
  const newest = lastAsked(facts)
  if (!newest.length) return null
  const missed = newest.filter(({ known }) => known === 'again')
  const last = Math.max(...facts.map(({ at }) => at))
  return { asked: newest.length, known: newest.length - missed.length, missed, last }
}
