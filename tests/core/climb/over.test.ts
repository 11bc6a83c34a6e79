import { climbOf } from '../../../src/core/climb/climb'
import { comingsOf } from '../../../src/core/climb/comings'
import { isOtherThan, laidUnder, moreThan, onTheWay } from '../../../src/core/climb/over'
import { placeClimb } from '../../../src/core/climb/place'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const plan = demoPlan()
const measure = (text: string) => 7 * text.length
const climbIn = (instead: Partial<Scenario>) => {
  const { figures, solution } = taken(figuresOf(plan, scenarioOf(plan, instead)))
  return climbOf(plan, figures, comingsOf(solution))
}
const [now, read] = [climbIn({}), climbIn({ sharpness: 0.9 })]
const size = { width: 1160, height: 655, measure }
const picture = placeClimb(now, size, read)

test('what is laid over a plan stands on the same axis, below itself where it is worth less', () => {
  const outlines = laidUnder(picture, read, measure)
  const shared = outlines.ledges.flatMap((ledge) => {
    const own = picture.ledges.find(({ position }) => position === ledge.position)
    return own ? [{ ledge, own }] : []
  })
  expect(shared.length).toBeGreaterThan(5)
  for (const { ledge, own } of shared) {
    expect([ledge.x, ledge.width]).toEqual([own.x, own.width])
    expect(ledge.y + ledge.height / 2).toBeCloseTo(picture.scale.y(ledge.value), 9)
    expect(moreThan(read, own.position, own.value)).toBeCloseTo(own.value - ledge.value, 12)
    expect(own.value).toBeGreaterThanOrEqual(ledge.value - 1e-9)
  }
  for (const { of, key } of outlines.ribbons) {
    const tried = now.moves.find((one) => one.key === key)?.per ?? 0
    expect(Math.abs(of.per - tried)).toBeGreaterThanOrEqual(5)
  }
  expect(moreThan(read, 'nowhere', 0)).toBeUndefined()
})

test('a picture on its way is half between, and what is new is there at once', () => {
  const before = placeClimb(read, size, now)
  const half = onTheWay(before, picture, 0.5)
  expect(onTheWay(before, picture, 1)).toBe(picture)
  for (const [i, ledge] of half.ledges.entries()) {
    const [was, will] = [before.ledges.find(({ position }) => position === ledge.position), picture.ledges[i]]
    expect(ledge.y).toBeCloseTo(was ? (was.y + will.y) / 2 : will.y, 9)
  }
  const both = half.ribbons.filter(({ key }) => before.ribbons.some((one) => one.key === key))
  expect(both.length).toBeGreaterThan(5)
  for (const { key, curve, width } of both) {
    const [was, will] = [before, picture].map(({ ribbons }) => ribbons.find((one) => one.key === key)!)
    expect(width).toBeCloseTo((was.width + will.width) / 2, 9)
    expect(curve[3][1]).toBeCloseTo((was.curve[3][1] + will.curve[3][1]) / 2, 9)
  }
})

test('a climb is another where a worth or a use is, and not where a name is', () => {
  expect(isOtherThan(now, read)).toBe(true)
  expect(isOtherThan(now, structuredClone(now))).toBe(false)
  const renamed = { ...now, ledges: now.ledges.map((ledge) => ({ ...ledge, name: `${ledge.name}!` })) }
  expect(isOtherThan(renamed, now)).toBe(false)
  expect(isOtherThan({ ...now, moves: now.moves.slice(1) }, now)).toBe(true)
})
