import { lateForHalf, type Brake, type RaceState } from '../holds/race'
import { timesOfTen } from './speech'

const seconds = (n: number) => `${Math.round(n * 10) / 10} s`
/** Nearer than this to an even start it is one, in seconds. */
const EVEN = 0.05

/** A race as it goes under the holds that are on: who is first, and how late we may start. */
export function sayRace(state: RaceState): string {
  const first = `We are first ${timesOfTen(state.chance)}`
  if (state.ours === Infinity) return 'What they hold stops us: they are always first.'
  if (state.theirs === Infinity) return 'What we hold stops them: we are always first.'
  const late = lateForHalf(state)
  if (Math.abs(late) < EVEN) return `${first}; an even start wins half.`
  return late > 0
    ? `${first}. We may start ${seconds(late)} after them and still win half.`
    : `${first}. To win half we must start ${seconds(-late)} before them.`
}

/** Both times under the holds that are on: "ours 2.5 s, theirs 4 s". */
export const sayTimes = ({ ours, theirs }: RaceState): string =>
  `ours ${ours === Infinity ? 'never' : seconds(ours)}, theirs ${theirs === Infinity ? 'never' : seconds(theirs)}`

/** What a hold that slows them does to the race. */
export function sayBrake({ isOn, otherwise }: Brake): string {
  const first = `first ${timesOfTen(otherwise.chance)}`
  const need = otherwise.theirs === Infinity ? 'they never get there' : `they need ${seconds(otherwise.theirs)}`
  return isOn ? `is on; without it ${need}, and we are ${first}` : `${need}, and we are ${first}`
}
