import { FRAMES, sideWords } from '../../../src/core/sides/frames'
import { sayTokens, tokensFor, typedToken } from '../../../src/core/sides/tokens'
import {
  alsoSaid,
  pairsOfFrame,
  spoken,
  WORD_PAIRS,
  wordsMeant,
  wordsOfFrame,
} from '../../../src/core/sides/vocabulary'
import { demoPlan } from '../../fixtures/demoPlan'

const under = { frame: 'back', orientation: { over: 'right', down: 'left' } }
const upright = { frame: 'back', orientation: { over: 'right' } }
const rolled = { frame: 'back', orientation: { over: 'right', down: 'right' } }
const weak = { over: 'strong-side', under: 'weak-side' }

describe('a text with limbs in it', () => {
  it.each([
    ['{our top hook} over {their top arm}', under, {}, 'our top hook (right) over their top arm (right)'],
    ['{our top hook} over {their top arm}', rolled, {}, 'our top hook (left) over their top arm (left)'],
    ['{our under hand} grips', under, {}, 'our under hand (left) grips'],
    ['{our under hand} grips', under, weak, 'our weak-side hand (left) grips'],
    ['{our weak-side hand} grips', under, {}, 'our under hand (left) grips'],
    ['{our weak-side hand} grips', under, weak, 'our weak-side hand (left) grips'],
    ['{our left hand} grips', under, {}, 'our under hand (left) grips'],
    ['{our left hand} grips', { frame: 'mount', orientation: {} }, {}, 'our left hand grips'],
    ['{our top hook} stays', upright, {}, 'our hook stays'],
    ['{their near knee}', { frame: 'side', orientation: { near: 'left' } }, {}, 'their near knee (left)'],
    [
      '{our head-side elbow}',
      { frame: 'side', orientation: { near: 'left' } },
      { 'head-side': 'head' },
      'our head elbow (right)',
    ],
    ['{our choking hand} stays', under, {}, 'our over hand (right) stays'],
    [
      '{our choking hand} stays',
      { frame: 'back', orientation: { over: 'right', out: 'yes' } },
      {},
      'our choking hand (right) stays',
    ],
    ['no {token} here, {our}', under, {}, 'no {token} here, {our}'],
  ])('%s', (text, sides, words, said) => {
    expect(sayTokens(text, sides, words)).toBe(said)
  })

  it('is offered only tokens that it can say, in every frame and on every side', () => {
    for (const { id, facts } of FRAMES) {
      for (const side of ['left', 'right']) {
        const sides = { frame: id, orientation: Object.fromEntries(facts.map(({ key }) => [key, side])) }
        for (const words of [{}, weak]) {
          const offered = tokensFor(sides, words)
          expect(new Set(offered).size).toBe(offered.length)
          for (const token of offered) expect(sayTokens(token, sides, words)).toMatch(/^(our|their) [a-z-]+ [a-z]+/)
        }
      }
    }
    expect(tokensFor(upright)).not.toContain('{our top hand}')
    expect(tokensFor(under)).toContain('{our top hand}')
    expect(tokensFor(under, weak)).toContain('{our weak-side hand}')
  })

  it('is offered what goes on from what is typed after a brace', () => {
    const all = tokensFor(under)
    expect(typedToken('no brace', all)).toBeNull()
    expect(typedToken('{our top hand} and', all)).toBeNull()
    expect(typedToken('put {', all)!.offers).toEqual(all)
    expect(typedToken('put {our under h', all)).toEqual({ from: 4, offers: ['{our under hand}'] })
    expect(typedToken('put {nobody', all)!.offers).toEqual([])
  })

  it('of the demo plan leaves no token unsaid', () => {
    const { moves, positions } = demoPlan()
    for (const { from, checkpoints = [] } of moves) {
      const { frame, orientation = {} } = positions.find(({ id }) => id === from)!
      for (const { text, test = '', until = '' } of checkpoints) {
        const said = sayTokens(`${text} ${test} ${until}`, { frame, orientation })
        expect(said).not.toMatch(/[{}]/)
        expect(said.match(/\((left|right)\)/g)?.length ?? 0).toBe(`${text}${test}${until}`.match(/\{/g)?.length ?? 0)
      }
    }
  })
})

describe('the words of a school', () => {
  it('have for every pair of a frame both words, and are understood back', () => {
    for (const { id } of FRAMES) {
      for (const { pair, others } of pairsOfFrame(id)) {
        for (const word of pair) expect(wordsOfFrame(id)).toContain(word)
        for (const chosen of others) {
          const vocabulary = { [pair[0]]: chosen[0], [pair[1]]: chosen[1] }
          pair.forEach((word, i) => {
            expect(spoken(word, vocabulary)).toBe(chosen[i])
            expect(wordsMeant(id, chosen[i], vocabulary)[0]).toBe(word)
          })
        }
      }
    }
    expect(WORD_PAIRS.length).toBeGreaterThan(5)
    expect(wordsMeant('mount', 'under', {})).toEqual([])
  })

  it('find a name by what other schools say', () => {
    expect(alsoSaid('Back, under side')).toEqual(['Back, weak side', 'Back, open side'])
    expect(alsoSaid('Back, over side')).toContain('Back, strong side')
    expect(alsoSaid('Kimura')).toEqual([])
  })
})

test('the word of a limb is the word of the limb that the token means', () => {
  for (const [sides, over] of [
    [under, 'right'],
    [rolled, 'right'],
  ] as const) {
    expect(sideWords(sides.frame, sides.orientation, 'ours', `${over}-hand`)).toContain('over')
  }
})
