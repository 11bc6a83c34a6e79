import { frameOf } from './frames'

/** How a school says a side word: by the word of the frames, its own. */
export type Vocabulary = Partial<Record<string, string>>

/** A pair of side words, and what other schools say for the two. */
export interface WordPair {
  pair: readonly [string, string]
  others: readonly (readonly [string, string])[]
}

/** The pairs for which several sets of words are common. */
export const WORD_PAIRS: readonly WordPair[] = [
  {
    pair: ['over', 'under'],
    others: [
      ['choking', 'other'],
      ['strong-side', 'weak-side'],
      ['closed-side', 'open-side'],
    ],
  },
  { pair: ['top', 'bottom'], others: [['upper', 'lower']] },
  { pair: ['near', 'far'], others: [['close', 'away']] },
  { pair: ['head-side', 'hip-side'], others: [['head', 'hip']] },
  { pair: ['lead', 'rear'], others: [['front', 'back']] },
  { pair: ['choking', 'other'], others: [['deep', 'free']] },
  { pair: ['hooked', 'other'], others: [['legged', 'handed']] },
]

/** The words that a frame gives to limbs. */
export const wordsOfFrame = (frame: string | undefined): string[] => [
  ...new Set((frameOf(frame)?.facts ?? []).flatMap(({ gives }) => gives.flatMap(({ named, other }) => [named, other]))),
]

/** The pairs of a frame for which there is a choice of words. */
export function pairsOfFrame(frame: string | undefined): WordPair[] {
  const gives = (frameOf(frame)?.facts ?? []).flatMap((fact) => fact.gives).filter(({ out }) => !out)
  return WORD_PAIRS.filter(({ pair: [one, two] }) =>
    gives.some(({ named, other }) => [named, other].sort().join() === [one, two].sort().join()),
  )
}

/** A side word as this school says it. */
export const spoken = (word: string, vocabulary: Vocabulary): string => vocabulary[word] ?? word

/** The frame's words that a side word of any school may stand for, the school's own meaning first. */
export function wordsMeant(frame: string | undefined, said: string, vocabulary: Vocabulary): string[] {
  const words = wordsOfFrame(frame)
  const same = WORD_PAIRS.flatMap(({ pair, others }) =>
    ([0, 1] as const).filter((i) => others.some((other) => other[i] === said)).map((i) => pair[i]),
  )
  return [...words.filter((word) => vocabulary[word] === said), said, ...same].filter((word) => words.includes(word))
}

/** Words that mean the same in the name of a position or a move: under side, weak side, open side. */
const SAME: readonly (readonly string[])[] = [
  ['over', 'strong', 'closed', 'choking'],
  ['under', 'weak', 'open'],
  ['top', 'upper'],
  ['bottom', 'lower', 'low'],
]

/** A name as other schools would say it, so that a search finds it by either. */
export function alsoSaid(name: string): string[] {
  return SAME.flatMap((words) => {
    const said = words.find((word) => new RegExp(`\\b${word}\\b`, 'i').test(name))
    if (!said) return []
    return words.filter((word) => word !== said).map((word) => name.replace(new RegExp(`\\b${said}\\b`, 'i'), word))
  })
}
