import {
  clockText,
  costText,
  counted,
  finer,
  hundred,
  clockRefusal,
  readClock,
  savedText,
  share,
  signed,
  changeText,
} from '../../src/core/say/figureText'
import { dragged, letterOf, tryWidth, TypedDigits } from '../../src/components/tryParts'

describe('figures read', () => {
  it.each([
    [0.387, '39', '+39', '38.70'],
    [-0.094, '−9.4', '−9.4', '−9.40'],
    [0.001, '0.1', '+0.1', '0.10'],
    [-0.001, '−0.1', '−0.1', '−0.10'],
    [1, '100', '+100', '100.00'],
  ])('%d per exchange', (value, whole, withSign, fine) => {
    expect([hundred(value), signed(value), finer(value)]).toEqual([whole, withSign, fine])
  })

  it.each([
    [0, '0'],
    [0.0002, 'under 0.1'],
    [0.0123, '1.2'],
    [0.0996, '10'],
    [0.286, '29'],
    [1.3, '130'],
  ])('a share of %d', (value, text) => expect(share(value)).toBe(text))

  it.each([
    [0.00001, '0'],
    [0.0002, '0.02'],
    [0.0095, '0.9'],
    [-0.006, '−0.6'],
  ])('a cost of %d', (value, text) => expect(costText(value)).toBe(text))

  it('counts in words', () => {
    expect([counted(1, 'move'), counted(0, 'move'), counted(2, 'finish', 'finishes')]).toEqual([
      '1 move',
      '0 moves',
      '2 finishes',
    ])
  })
})

describe('the clock', () => {
  it.each([
    ['4:00', 240],
    ['0:05', 5],
    ['240', 240],
    ['90 s', 90],
    ['1.5 min', 90],
    ['1,5 min', 90],
    ['0,5', undefined],
    ['٤:٠٠', undefined],
    ['none', null],
    ['Never', null],
    ['', null],
    ['soon', undefined],
    ['4:75', undefined],
    ['-3', undefined],
  ])('%j is read', (text, seconds) => expect(readClock(text)).toBe(seconds))

  it.each([
    ['0,5', '“,” cannot stand in a time: say 4:00 or none'],
    ['0.5', '“.” cannot stand in a time: say 4:00 or none'],
    ['٤:٠٠', '“٤” cannot stand in a time: say 4:00 or none'],
    ['-3', '“-” cannot stand in a time: say 4:00 or none'],
    ['4:75', 'Say 4:00 or none'],
    ['soon', 'Say 4:00 or none'],
  ])('refuses %j in words that name the character', (text, says) => {
    expect(clockRefusal(text, '4:00 or none')).toBe(says)
  })

  it('comes back as it is shown', () => {
    for (const seconds of [0, 5, 59, 60, 61, 240, 3600, null]) expect(readClock(clockText(seconds))).toBe(seconds)
  })

  it('says when something was saved, with the day only where that is another', () => {
    const now = new Date(2026, 10, 25, 18, 0).getTime()
    expect(savedText(new Date(2026, 10, 25, 7, 5).getTime(), now)).toBe('07:05')
    expect(savedText(new Date(2026, 10, 24, 7, 5).getTime(), now)).toBe('24 Nov 07:05')
  })
})

describe('a strip of tries', () => {
  it('letters its reactions', () => {
    expect([0, 1, 25, 26, 27, 701, 702].map(letterOf)).toEqual(['A', 'B', 'Z', 'AA', 'AB', 'ZZ', 'AAA'])
  })

  it('stays about as wide as twelve tries', () => {
    expect([1, 10, 12].map((total) => tryWidth(total, 30))).toEqual([30, 30, 30])
    expect(tryWidth(36, 30)).toBe(10)
    expect(tryWidth(1000, 30)).toBe(4)
  })

  it('gives to one side of a boundary what it takes from the other, and no more than is there', () => {
    expect(dragged(3, 4, 2)).toEqual([5, 2])
    expect(dragged(3, 4, -2)).toEqual([1, 6])
    expect(dragged(3, 4, 9)).toEqual([7, 0])
    expect(dragged(3, 4, -9)).toEqual([0, 7])
    expect(dragged(2.5, 1, 1)).toEqual([3.5, 0])
  })

  it('reads digits typed one after the other as one number', () => {
    const digits = new TypedDigits()
    expect(digits.type('1', 0)).toBe(1)
    expect(digits.type('2', 400)).toBe(12)
    expect(digits.type('3', 2000)).toBe(3)
    expect(digits.type('0', 2100)).toBe(30)
    expect(digits.type('0', 2200)).toBe(300)
    expect(digits.type('0', 2300)).toBe(0)
  })
})

test.each([
  [0.031, '+3.1'],
  [-0.2, '−20'],
  [0.004, '+0.4'],
  [-0.0061, '−0.6'],
  [0.0004, 'changes nothing'],
  [0, 'changes nothing'],
  [-0.0095, '−0.9'],
])('a change of %d reads %s', (value, text) => expect(changeText(value)).toBe(text))
