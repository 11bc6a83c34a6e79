import { scenarioOf } from '../../../src/core/game/scenario'
import { placeClimb } from '../../../src/core/climb/place'
import { figuresOf } from '../../../src/core/insight/figures'
import { climbIn } from '../../../src/core/questions/climbs'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { taken } from '../../reference/taken'

const plan = demoPlan()
const { climb, fromTheirs } = finished(climbIn(plan, scenarioOf(plan), 'theirs'))!

describe('the plan from the other chair', () => {
  it('is the plan against what costs us most, each twice as often', () => {
    expect(fromTheirs!.blows).toHaveLength(3)
    const start = fromTheirs!.ours.ledges.find(({ position }) => position === scenarioOf(plan).start)!
    expect(start.value).toBeCloseTo(fromTheirs!.blows[2].worth, 9)
    expect(start.value).toBeLessThan(taken(figuresOf(plan, scenarioOf(plan))).figures.value)
  })

  it('has what we try as ledges, as high as that is worth to them, and what they do as ribbons', () => {
    expect(climb.ledges.length).toBeGreaterThanOrEqual(6)
    expect(climb.ledges.length).toBeLessThanOrEqual(12)
    const names = plan.moves.map(({ name }) => name)
    for (const { name, value, isTheirs } of climb.ledges) {
      expect(names).toContain(name)
      expect(isTheirs).toBe(true)
      expect(Math.abs(value)).toBeLessThanOrEqual(1)
    }
    const shot = climb.ledges.find(({ name }) => name === 'Shoot the high crotch')!
    expect(shot.value).toBeLessThan(0)
    const sprawl = climb.moves.find(({ name, from }) => name === 'Sprawls on us' && from === shot.position)!
    expect(sprawl.theirs!.against).toBe('Shoot the high crotch')
    const ours = fromTheirs!.ours.replies.find(({ name, move }) => name === 'Sprawls on us' && move === sprawl.move)!
    expect([sprawl.per, sprawl.theirs!.gain]).toEqual([ours.per, expect.closeTo(ours.cost, 9)])
    expect(sprawl.theirs!.gain).toBeGreaterThan(0)
  })

  it('is drawn as ours is: their finish and their ends as bars, ours at the foot', () => {
    const picture = placeClimb(climb, { width: 1160, height: 655, measure: (text) => 7 * text.length })
    expect(picture.bars.at(-1)).toMatchObject({ isTheirs: true, per: climb.caught })
    expect(climb.caught).toBeCloseTo(
      fromTheirs!.ours.finishes.reduce((sum, { per }) => sum + per, 0),
      8,
    )
    expect(climb.finishes[0].per).toBeCloseTo(fromTheirs!.ours.caught, 10)
    const rest = picture.ribbons.filter(({ isAtRest }) => isAtRest)
    expect(rest.length).toBeGreaterThan(4)
    expect(rest.every(({ kind }) => kind === 'move')).toBe(true)
  })
})
