import { chanceFirst, DEFAULT_SPREAD, type Race } from '../chart/race'
import { timesOfTen } from './speech'

/** A race in words, at its own times: what holds slow is in the worth, not here. */
export function sayRace({ ours, theirs, spread = DEFAULT_SPREAD, tries }: Race): string {
  const first = timesOfTen(chanceFirst({ ours, theirs, spread }))
  return `and in ${tries} a race, ours ${ours} s, theirs ${theirs} s: we are first ${first}`
}
