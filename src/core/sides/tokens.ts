import { sure } from '../sure'
import type { Person } from '../chart/words'
import { sideWords, type Orientation } from './frames'
import { spoken, wordsMeant, wordsOfFrame, type Vocabulary } from './vocabulary'

/** How two people lie or stand to each other, where a text is read. */
export interface Sides {
  frame: string | undefined
  orientation: Orientation
}

type SidedPart = 'hand' | 'elbow' | 'shoulder' | 'foot' | 'knee' | 'hip'

/** Parts as a text names them, and the part of the limb that they stand for. */
const PARTS: Record<string, SidedPart> = {
  ...{ hand: 'hand', arm: 'hand', elbow: 'elbow', shoulder: 'shoulder' },
  ...{ foot: 'foot', hook: 'foot', knee: 'knee', leg: 'knee', hip: 'hip' },
}
const TOKEN = new RegExp(`\\{(our|their) (?:([a-z-]+) )?(${Object.keys(PARTS).join('|')})\\}`, 'g')
const BY: Record<string, Person> = { our: 'ours', their: 'theirs' }
const SIDES = ['left', 'right'] as const

/**
 * A text with its tokens said in the reader's words and side: `{our top hook}` and `{our right foot}` both become "our
 * top hook (right)" and "our top foot (right)" where the right side is up. A word that does not apply is left out.
 */
export function sayTokens(text: string, { frame, orientation }: Sides, vocabulary: Vocabulary = {}): string {
  return text.replace(TOKEN, (_, whose: string, word: string | undefined, part: string) => {
    const wordsAt = (side: (typeof SIDES)[number]) =>
      sideWords(frame, orientation, sure(BY[whose]), `${side}-${sure(PARTS[part])}`)
    if (word === 'left' || word === 'right') {
      const [first] = wordsAt(word)
      return first ? `${whose} ${spoken(first, vocabulary)} ${part} (${word})` : `${whose} ${word} ${part}`
    }
    for (const own of word ? wordsMeant(frame, word, vocabulary) : []) {
      const side = SIDES.find((one) => wordsAt(one).includes(own))
      if (side) return `${whose} ${spoken(own, vocabulary)} ${part} (${side})`
    }
    return `${whose} ${part}`
  })
}

/** The tokens that make sense where the people lie so, those of the frame's own words first. */
export function tokensFor({ frame, orientation }: Sides, vocabulary: Vocabulary = {}): string[] {
  const words = wordsOfFrame(frame)
  return ['our', 'their'].flatMap((whose) =>
    Object.entries(PARTS).flatMap(([said, part]) => {
      const given = SIDES.flatMap((side) => sideWords(frame, orientation, sure(BY[whose]), `${side}-${part}`))
      const own = words.filter((word) => given.includes(word)).map((word) => spoken(word, vocabulary))
      return [...(own.length ? own : SIDES)].map((word) => `{${whose} ${word} ${said}}`)
    }),
  )
}

/**
 * The token that is being typed at the end of `before`, and those of `all` that go on from it; null outside a brace.
 */
export function typedToken(before: string, all: readonly string[]): { from: number; offers: string[] } | null {
  const from = before.lastIndexOf('{')
  if (from < 0 || before.indexOf('}', from) >= 0) return null
  const typed = before
    .slice(from + 1)
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
  const goesOn = (token: string) => {
    const words = token.slice(1, -1).split(' ')
    return typed.every((piece) => words.some((word) => word.startsWith(piece)))
  }
  return { from, offers: all.filter(goesOn) }
}
