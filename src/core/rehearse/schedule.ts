import { createEmptyCard, fsrs, Rating, type Card as Memory, type Grade } from 'ts-fsrs'
import { askedKey, type Known, type Rehearsed } from '../club/rehearsed'
import type { Card } from './cards'
import { recallOf } from './recall'

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

/** So many make a sitting: about two minutes. */
export const A_SITTING = 10

/** What of a deck is due at a time, and what was never asked. What was not known the last time is due at once. */
function sorted(cards: readonly Card[], facts: readonly Rehearsed[], now: number) {
  const memories = memoriesOf(facts)
  const missed = new Set(recallOf(facts)?.missed.map(askedKey))
  const dueAt = ({ key }: Card) => (missed.has(key) ? now : (memories.get(key)?.due.getTime() ?? null))
  const asked = cards.flatMap((card) => {
    const due = dueAt(card)
    return due === null ? [] : [{ card, due }]
  })
  return {
    due: asked.filter(({ due }) => due <= now).map(({ card }) => card),
    later: asked.filter(({ due }) => due > now),
    fresh: cards.filter((card) => dueAt(card) === null),
  }
}

/**
 * What to ask now (milliseconds since 1970): what is due, then what was never asked, each the costliest first. Cards
 * come as `cardsOf` gives them.
 */
export function sittingOf(cards: readonly Card[], facts: readonly Rehearsed[], now: number): Card[] {
  const { due, fresh } = sorted(cards, facts, now)
  return [...due, ...fresh].slice(0, A_SITTING)
}

/** How a deck stands: never asked, due now, known until later, and when the next is due (null: none is). */
export interface Standing {
  fresh: number
  due: number
  known: number
  next: number | null
}

export function standingOf(cards: readonly Card[], facts: readonly Rehearsed[], now: number): Standing {
  const { due, fresh, later } = sorted(cards, facts, now)
  const next = later.length ? Math.min(...later.map((one) => one.due)) : null
  return { fresh: fresh.length, due: due.length, known: later.length, next }
}

/** A right answer that took longer was not known, but worked out. Seconds. */
const AT_ONCE = 12

/** How well an answer was known that was picked. */
export const knownBy = (isRight: boolean, seconds: number): Known =>
  !isRight ? 'again' : seconds > AT_ONCE ? 'hard' : 'good'
