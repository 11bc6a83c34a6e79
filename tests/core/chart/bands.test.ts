import { bandsOf, FOOT } from '../../../src/core/chart/bands'
import type { Position } from '../../../src/core/chart/position'
import { FAMILIES } from '../../../src/core/chart/words'

const position = (id: string, family: string, ahead: Position['ahead'] = 'ours') =>
  ({ id, name: id, family, ahead }) as Position
const ids = (positions: readonly Position[]) => positions.map(({ id }) => id)

describe('bands', () => {
  const some = [
    position('closed', 'guard', 'even'),
    position('lasso', 'lapel game', 'even'),
    position('under', 'mount', 'theirs'),
    position('seat', 'back'),
    position('flank', 'turtle'),
    position('top', 'mount'),
    position('legs', 'ride'),
  ]

  it('stand by control, the unknown above the guards, theirs at the foot', () => {
    expect(bandsOf(some).map(({ name, positions }) => [name, ids(positions)])).toEqual([
      ['Back, crucifix', ['seat']],
      ['Mount', ['top']],
      ['Turtle, rides', ['flank', 'legs']],
      ['Lapel game', ['lasso']],
      ['Guards', ['closed']],
      ['Theirs', ['under']],
    ])
  })

  it('have a heading for every family that is known, and a key that is none of another', () => {
    const bands = bandsOf(FAMILIES.map((family) => position(family, family)))
    expect(bands.map(({ name, positions }) => `${name}: ${ids(positions).join(' ')}`)).toEqual([
      'Back, crucifix: back crucifix',
      'Mount: mount',
      'Knee on belly, north-south: north-south knee-ride',
      'Side control: side',
      'Turtle, rides: turtle ride',
      'Front headlock: headlock',
      'Standing, clinch: clinch standing',
      'Guards: half-guard guard legs',
    ])
    expect(new Set(bands.map(({ key }) => key)).size).toBe(bands.length)
  })

  it('stand in the chart’s own order: what it does not name follows what it usually follows, theirs stays at the foot', () => {
    const keys = (order: string[]) => bandsOf(some, order).map(({ key }) => key)
    const usual = keys([])
    expect(usual.at(-1)).toBe(FOOT)
    expect(keys(['mount', 'back'])).toEqual(['mount', 'turtle', 'family lapel game', 'half-guard', 'back', FOOT])
    expect(keys(['turtle'])).toEqual(usual)
    expect(keys(['half-guard'])).toEqual([...usual.slice(0, -2), 'half-guard', FOOT])
    expect(keys([FOOT, 'nothing', 'mount'])).toEqual(usual)
  })

  it('of nothing are none', () => expect(bandsOf([])).toEqual([]))
})
