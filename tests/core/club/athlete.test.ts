import { athleteOf, stepOf } from '../../../src/core/club/athlete'
import type { ClubPerson } from '../../../src/core/club/person'

const person = (id: string, more: Partial<ClubPerson> = {}): ClubPerson => ({ id, name: id, ...more })

test('a measure is a step from the group, and none where too few are known', () => {
  const group = [60, 70, 80, 90, 100]
  expect(group.map((one) => stepOf(one, group))).toEqual([-1, -1, 0, 1, 1])
  expect(stepOf(140, group)).toBe(2)
  expect(stepOf(20, group)).toBe(-2)
  expect(stepOf(100, group.slice(1))).toBe(0)
  expect(stepOf(70, [70, 70, 70, 70, 70])).toBe(0)
})

test('a trait that is set counts before its measure', () => {
  const people = [60, 70, 80, 90, 100].map((weight, i) => person(`p${i}`, { weight }))
  expect(athleteOf(people[4], people)).toEqual({ id: 'p4', traits: { weight: 1 } })
  expect(athleteOf({ ...people[4], traits: { weight: -2, arms: 1 } }, people).traits).toEqual({ weight: -2, arms: 1 })
  expect(athleteOf(person('new'), people)).toEqual({ id: 'new', traits: {} })
})
