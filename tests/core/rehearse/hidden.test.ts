import { stretchesOf, wordsOf } from '../../../src/core/say/hidden'

const TEXT = [
  'From underhook, head clear, shoot the high crotch. If they sprawl on us, hip-sit to guard (3).',
  'In high crotch, in on the leg, step across and lift.',
]
const joined = (words: readonly { before: string; text: string }[]) =>
  words.map(({ before, text }) => before + text).join('')

describe('a text whose words are hidden one by one', () => {
  const words = wordsOf(TEXT)
  const all = words.flat().filter(({ text }) => text)

  it('is the text while nothing is hidden', () => {
    expect(words.map(joined)).toEqual(TEXT)
    expect(stretchesOf(words[0]!, 0)).toEqual([{ text: TEXT[0], words: expect.any(Number), isHidden: false }])
  })

  it('gives each word one turn, names and verbs before little words', () => {
    const turns = all.map(({ at }) => at).toSorted((a, b) => a - b)
    expect(turns).toEqual(turns.map((_, i) => i))
    const atOf = (text: string) => all.find((one) => one.text === text)!.at
    for (const big of ['underhook', 'sprawl', 'hip-sit', 'lift'])
      for (const little of ['the', 'on', 'to', 'and']) expect(atOf(big)).toBeLessThan(atOf(little))
    expect(wordsOf(TEXT)).toEqual(words)
  })

  it('reads what is seen and waits for what is hidden', () => {
    for (let hidden = 0; hidden <= all.length; hidden++) {
      const stretches = words.flatMap((one) => stretchesOf(one, hidden))
      expect(stretches.map(({ text }) => text).join('')).toBe(TEXT.join(''))
      const words_ = stretches.filter(({ isHidden }) => isHidden).reduce((sum, one) => sum + one.words, 0)
      expect(words_).toBe(hidden)
    }
  })
})
