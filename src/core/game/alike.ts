import { keysOfBoth } from '../typed'
import { fieldsOf } from '../document/fields'
import { sure } from '../sure'
import { isOfPlan } from '../chart/changes'
import type { Chart } from '../chart/chart'
import { isOwn, type Goes } from '../chart/tries'
import type { RaceCounts, TryCounts } from './tryCounts'

/** Whether the plans of two charts differ at most in the numbers of tries: same records, same fields, same order. */
export function isLike(one: Chart, other: Chart): boolean {
  const keys = [...keysOfBoth(one, other)].filter(isOfPlan)
  const same = (list: readonly object[], others: readonly object[]) =>
    list.length === others.length &&
    list.every((record, i) => record === others[i] || differsInTries(record, sure(others[i])))
  return (
    keys.every((key) => key === 'moves' || key === 'answers' || one[key] === other[key]) &&
    same(one.moves, other.moves) &&
    same(one.answers, other.answers)
  )
}

/** Whether two records both go in a way of their own and differ in nothing else. */
function differsInTries(one: Goes, other: Goes): boolean {
  const keys = new Set([...Object.keys(one), ...Object.keys(other)])
  keys.delete('tries')
  keys.delete('race')
  const [a, b] = [fieldsOf(one), fieldsOf(other)]
  return isOwn(one) && isOwn(other) && [...keys].every((key) => a[key] === b[key])
}

/** Whether races are won as often, so that the same can come of them. */
const isSameRace = (one: RaceCounts | null, other: RaceCounts | null): boolean =>
  one === other ||
  (one !== null &&
    other !== null &&
    one.reaction === other.reaction &&
    one.ours === other.ours &&
    one.theirs === other.theirs &&
    one.spread === other.spread)

/**
 * `now` in the order of `were`, with 0 for reactions that are gone. Null where `now` names a place or a reaction that
 * `were` does not. `isExact`: also where it lacks one that `were` has, or nothing comes to nothing any more.
 */
export function likeCounts(were: TryCounts, now: TryCounts, isExact = false): TryCounts | null {
  if (!isSameRace(were.race, now.race) || were.race?.isNothing) return null
  const counts = new Map(now.reactions)
  const reactions = were.reactions.map(([r]): [number, number] => [r, counts.get(r) ?? 0])
  if (isExact && (reactions.some(([, n]) => n === 0) || now.stalls > 0 !== were.stalls > 0)) return null
  const isNew = now.reactions.length > reactions.filter(([, n]) => n > 0).length
  const goesElsewhere =
    now.elsewhere.length === were.elsewhere.length &&
    now.elsewhere.every(([to], i) => to === sure(were.elsewhere[i])[0])
  const stalls = now.stalls > 0 || now.race?.isNothing
  const landsAsWell = now.lands > 0 === were.lands > 0 && (!stalls || were.stalls > 0)
  return isNew || !goesElsewhere || !landsAsWell ? null : { ...now, reactions }
}
