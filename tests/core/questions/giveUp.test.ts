import { lookUp } from '../../../src/core/chart/lookUp'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { giveUps, shareWrong, withLoss } from '../../../src/core/questions/giveUp'
import { sayGiveUp } from '../../../src/core/say/giveUp'
import { totalOf, type Tries } from '../../../src/core/chart/tries'
import { withTries } from '../../../src/core/questions/target'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const minute = scenarioOf(demo, { seconds: 60 })
const { figures } = taken(figuresOf(demo, minute))
const found = finished(giveUps(demo, minute))

describe('how much may go wrong', () => {
  const tries: Tries = { lands: 4, stalls: 2, elsewhere: { p: 1 }, reactions: { a: 2, b: 1 } }
  const wrong = { reactions: new Set(['b']), elsewhere: new Set(['p']), stalls: false }

  it('shifts tries between what goes wrong and what does not, each in its proportions', () => {
    expect(shareWrong(tries, wrong)).toBeCloseTo(0.2, 12)
    const more = withLoss(tries, wrong, 0.6)
    expect([totalOf(more), more.elsewhere!.p, more.reactions!.b]).toEqual([
      expect.closeTo(10, 12),
      expect.closeTo(3, 12),
      expect.closeTo(3, 12),
    ])
    expect(more.lands! / more.stalls!).toBeCloseTo(2, 12)
    expect(shareWrong(withLoss(tries, { ...wrong, stalls: true }, 1), { ...wrong, stalls: true })).toBeCloseTo(1, 12)
  })

  it('is the loss at which solving again finds something else better, for the plan’s own moves', () => {
    expect(found.length).toBeGreaterThan(3)
    expect(found.some(({ limit }) => limit !== null)).toBe(true)
    for (const { move, position, wrong: share, limit, instead } of found) {
      expect(figures.positions[position].best).toBe(move)
      // What goes wrong, from the figures: reactions that are worth less than nothing coming of it.
      const leaks = new Set(
        figures.met.filter((met) => met.move === move && met.net < -1e-9).map(({ reaction }) => reaction as string),
      )
      const own = lookUp(demo.moves, move)!
      const lost = { reactions: leaks, elsewhere: new Set(Object.keys(own.tries!.elsewhere ?? {})), stalls: false }
      if (own.stallsIn || own.tries!.elsewhere) continue
      expect(share).toBeCloseTo(shareWrong(own.tries!, lost), 9)
      const bestAt = (loss: number) =>
        taken(
          figuresOf(
            withTries(demo, { of: 'move', move }, (tries) => withLoss(tries, lost, loss)),
            minute,
          ),
        ).figures.positions[position].best
      if (limit === null) expect(bestAt(1)).toBe(move)
      else {
        expect(bestAt(limit)).toBe(instead)
        expect(bestAt(limit - 1 / 100)).toBe(move)
      }
    }
  })

  it('is said with what is done instead', () => {
    for (const one of found)
      expect(sayGiveUp(demo, one)).toMatch(
        /^[A-Z].+, in .+, goes wrong [\d.]+ of ten now; (from [\d.]+ of ten on, .+ instead|only where it nearly always does, .+ instead|nothing else there is better however often it does)\.$/,
      )
    expect(sayGiveUp(demo, { ...found[0], limit: 0.5, instead: 'wait' })).toMatch(
      /from 5 of ten on, hold still instead\.$/,
    )
  })
})
