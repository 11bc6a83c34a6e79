import { createEmptyCard, fsrs, Rating, type Card as Memory, type Grade } from 'ts-fsrs'
import { askedKey, type Known, type Rehearsed } from '../club/rehearsed'
import type { Card } from './cards'

const GRADES: Record<Known, Grade> = {
  ...{ again: Rating.Again, hard: Rating.Hard, good: Rating.Good, easy: Rating.Easy },
}
/** Without chance: two devices that have the same facts agree when a card is due. */
const scheduler = fsrs({ enable_fuzz: false })

/** What is remembered of each question, by its key: the facts of one person and chart, played through in order. */
export function memoriesOf(facts: readonly Rehearsed[]): Map<string, Memory> {
  const memories = new Map<string, Memory>()
  for (const fact of facts.toSorted((a, b) => a.at - b.at)) {
    const key = askedKey(fact)
    const before: Memory = memories.get(key) ?? createEmptyCard(fact.at)
    memories.set(key, scheduler.next(before, fact.at, GRADES[fact.known]).card)
  }
  return memories
}

/** Of somebody (undefined: of whom nobody said who it was) and a chart. */
export const factsOf = (facts: readonly Rehearsed[], us: string | undefined, chart: string): Rehearsed[] =>
  facts.filter((one) => one.us === us && one.chart === chart)

/** So many make a sitting: about two minutes. */
export const A_SITTING = 10

/**
 * What to ask now (milliseconds since 1970): what is due, then what was never asked, each the costliest first. Cards
 * come as `cardsOf` gives them.
 */
export function sittingOf(cards: readonly Card[], facts: readonly Rehearsed[], now: number): Card[] {
  const memories = memoriesOf(facts)
  const isDue = ({ key }: Card) => (memories.get(key)?.due.getTime() ?? Infinity) <= now
  return [...cards.filter(isDue), ...cards.filter(({ key }) => !memories.has(key))].slice(0, A_SITTING)
}

/** How a deck stands: never asked, due now, known until later, and when the next is due (null: none is). */
export interface Standing {
  fresh: number
  due: number
  known: number
  next: number | null
}

export function standingOf(cards: readonly Card[], facts: readonly Rehearsed[], now: number): Standing {
  const memories = memoriesOf(facts)
  const dues = cards.flatMap(({ key }) => memories.get(key)?.due.getTime() ?? [])
  const later = dues.filter((due) => due > now)
  return {
    fresh: cards.length - dues.length,
    due: dues.length - later.length,
    known: later.length,
    next: later.length ? Math.min(...later) : null,
  }
}
