import { readFileSync } from 'node:fs'
import { lookUp } from '../../../src/core/chart/lookUp'
import { principlesOf, type Principle } from '../../../src/core/shelf/principles'
import { joinRegions } from '../../../src/core/shelf/shelf'
import { readRegions } from '../../../scripts/shelfDoc'

const shelf = joinRegions(readRegions())
const principles = JSON.parse(readFileSync('src/shelf/general/principles.json', 'utf8')) as Principle[]
const over = (move: string) => principlesOf(shelf, principles, lookUp(shelf.moves, move)!)

describe('principles', () => {
  it('govern at least three moves each, and name exceptions that are on the Shelf', () => {
    for (const principle of principles) {
      const governed = shelf.moves.filter((move) =>
        principlesOf(shelf, [principle], move).some((one) => !one.exception),
      )
      expect([principle.id, governed.length > 2]).toEqual([principle.id, true])
      for (const { move, why } of principle.except) {
        expect([move, lookUp(shelf.moves, move) !== undefined, why.length > 5]).toEqual([move, true, true])
      }
    }
  })

  it('stand with every finish, and with what they are about', () => {
    for (const move of shelf.moves.filter(({ to }) => to === 'finish')) {
      expect(over(move.id).map(({ principle }) => principle.id)).toContain('stay-for-the-tap')
    }
    const ids = (move: string) => over(move).map(({ principle }) => principle.id)
    expect(ids('guillotine-fold-finish')).toContain('compress-the-neck')
    expect(ids('americana-finish')).not.toContain('compress-the-neck')
    expect(ids('hand-off-bottom-arm')).toEqual(expect.arrayContaining(['next-before-last', 'hands-before-neck']))
    expect(ids('settle-both-across')).toEqual(expect.arrayContaining(['block-the-hip', 'shoulders-or-hips']))
  })

  it('say of an exception why it is one', () => {
    const crank = over('double-elbow-neck-crank').find(({ principle }) => principle.id === 'compress-the-neck')!
    expect(crank.exception).toMatch(/allowed and agreed/)
  })
})
