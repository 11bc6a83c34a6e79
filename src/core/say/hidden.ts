import { seedOf } from '../seed'

/** A word of a text that is learned by heart, with what stands before it; `at`: as how manieth of all it is hidden. */
export interface Word {
  before: string
  text: string
  at: number
}

/** What is said without thinking is hidden last. */
const LITTLE = new Set(
  'a an and are as at by for from if in is it of on or our the their then they to we with'.split(' '),
)

/**
 * The words of paragraphs, each with its turn to be hidden: names and verbs before little words, in an order that is
 * the text's own. What stands behind the last word of a paragraph is a word without letters, which is never hidden.
 */
export function wordsOf(paragraphs: readonly string[]): Word[][] {
  const split = paragraphs.map((text) => [...text.matchAll(/([^\p{L}]*)([\p{L}’'-]*)/gu)])
  const found = split.flatMap((parts, paragraph) =>
    parts.flatMap(([, before = '', text = ''], i) => (before || text ? [{ paragraph, i, before, text }] : [])),
  )
  const turn = ({ text, paragraph, i }: (typeof found)[number]) =>
    Number(LITTLE.has(text.toLowerCase())) + seedOf(`${text} ${paragraph} ${i}`)
  const order = new Map(
    found
      .filter(({ text }) => text)
      .toSorted((a, b) => turn(a) - turn(b))
      .map((one, at) => [one, at]),
  )
  return paragraphs.map((_, p) =>
    found
      .filter(({ paragraph }) => paragraph === p)
      .map((one) => ({ before: one.before, text: one.text, at: order.get(one) ?? Infinity })),
  )
}

/** A stretch that is said aloud: the words that one reads, or those that one must know. */
export interface Stretch {
  text: string
  words: number
  isHidden: boolean
}

/** A paragraph as it is read aloud while the first `hidden` words are hidden. */
export function stretchesOf(words: readonly Word[], hidden: number): Stretch[] {
  const stretches: Stretch[] = []
  for (const { before, text, at } of words) {
    const isHidden = at < hidden
    const last = stretches.at(-1)
    if (last?.isHidden === isHidden) {
      last.text += before + text
      last.words++
    } else stretches.push({ text: before + text, words: 1, isHidden })
  }
  return stretches
}
