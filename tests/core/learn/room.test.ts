import { notedHabit } from '../../../src/core/learn/habitNote'
import { mistakesByWeek, roundsByPosition } from '../../../src/core/learn/room'
import type { Club } from '../../../src/core/club/clubKind'
import type { Reaction } from '../../../src/core/chart/reaction'

const round = (position: string | undefined, seconds: number, ended: Club['rounds'][number]['ended']) => ({
  ...{ id: `${position}-${seconds}`, when: '2026-11-24', seconds, ended },
  ...(position ? { position } : {}),
})

describe('what went on in the room', () => {
  it('is the time of rounds, taps and escapes by where they began', () => {
    const rounds = [
      round('side', 40, 'tap'),
      round('side', 60, 'time'),
      round('side', 20, 'out'),
      round('back', 50, 'had-it'),
      round('back', 90, 'reversed'),
      round(undefined, 300, 'tap'),
      { ...round('side', 60, 'tap'), chart: 'another' },
    ]
    expect(roundsByPosition({ rounds }, 'plan')).toEqual([
      { position: 'back', rounds: 2, seconds: 140, taps: 1, out: 1 },
      { position: 'side', rounds: 3, seconds: 120, taps: 1, out: 1 },
    ])
  })

  it('is by week in what share of the pairs a mistake was seen, of the walks that looked for it', () => {
    const walked = (when: string, mistakes: Record<string, number>, fine: number) => ({
      ...{ id: when, when, minutes: 60, people: [], blocks: [] },
      walks: [{ block: 'try', mistakes, fine }],
    })
    const sessions = [
      walked('2026-11-18', { 'head low': 3 }, 1),
      walked('2026-11-19', { 'head low': 1, 'hips far': 1 }, 2),
      walked('2026-11-10', { 'hips far': 2 }, 2),
      walked('2026-11-12', {}, 0),
    ]
    const weeks = mistakesByWeek({ sessions }).map(({ monday, shares }) => [monday, Object.fromEntries(shares)])
    expect(weeks).toEqual([
      ['2026-11-09', { 'hips far': 0.5 }],
      ['2026-11-16', { 'head low': 0.5, 'hips far': 0.25 }],
    ])
  })
})

describe('a note of what somebody always does', () => {
  const reactions = [
    { id: 'sits-to-a-hip', name: 'Sits to a hip' },
    { id: 'turns-in', name: 'Turns in', aliases: ['faces us'] },
    { id: 'turns-in-under-us', name: 'Turns in under us' },
    { id: 'fights-the-hands', name: 'Fights the hands' },
  ] as Reaction[]

  it.each([
    ['sits to the right hip every time', 'sits-to-a-hip', 2],
    ['Always turns in', 'turns-in', 2],
    ['often turning in under us', 'turns-in-under-us', 1],
    ['never fights hands', 'fights-the-hands', -2],
    ['seldom faces us', 'turns-in', -1],
    ['fights the hands', 'fights-the-hands', 2],
  ])('“%s” is %s by %d', (note, reaction, step) => {
    expect(notedHabit(note, reactions)).toEqual({ reaction, step })
  })

  it.each(['strong as an ox', 'always tired', ''])('“%s” names no reaction', (note) => {
    expect(notedHabit(note, reactions)).toBeNull()
  })
})
