import { putField } from '../../document/fields'
import { idFromName } from '../../document/ids'
import { lookUp } from '../../chart/lookUp'
import { Refusal } from '../../problem'
import type { Bout } from '../bout'
import type { Club } from '../clubKind'
import { spentIn } from '../live/clock'
import { isMinor } from '../person'

function boutIn(club: Club, id: string): Bout {
  const bout = lookUp(club.bouts ?? [], id)
  if (!bout) throw new Refusal(`there is no match "${id}"`, 'gone')
  return bout
}

/** A new match of somebody, with the cues, the rules and the time of their last one. Returns its id. */
export function addBout(club: Club, athlete: string, when: string): string {
  const bouts = club.bouts ?? []
  const last = bouts.findLast((one) => one.athlete === athlete) ?? bouts.at(-1)
  const id = idFromName(`${athlete}-${when}`, new Set(bouts.map((one) => one.id)))
  const cues = last?.athlete === athlete ? last.cues : []
  const same = { seconds: last?.seconds ?? 300, ...(last?.rules ? { rules: last.rules } : {}) }
  club.bouts = [...bouts, { id, when, athlete, cues, ours: 0, theirs: 0, ran: 0, ...same }]
  return id
}

/** Sets one field of a match, or (undefined, or an empty text) takes it away. Refused: whom a minor met. */
export function setBout<F extends Exclude<keyof Bout, 'id'>>(
  club: Club,
  id: string,
  field: F,
  value: Bout[F] | undefined,
): void {
  const bout = boutIn(club, id)
  const athlete = lookUp(club.people, bout.athlete)
  if (field === 'opponent' && value && athlete && isMinor(athlete))
    throw new Refusal('nothing is kept of whom a minor meets')
  putField(bout, field, value)
}

/** Points for one side, or (below 0) taken off again; never under 0. */
export function score(club: Club, id: string, side: 'ours' | 'theirs', points: number): void {
  const bout = boutIn(club, id)
  bout[side] = Math.max(0, bout[side] + points)
}

/** Starts the clock of a match, or halts it. Milliseconds. */
export function toggleBout(club: Club, id: string, now: number): void {
  const bout = boutIn(club, id)
  if (bout.since === undefined) {
    bout.since = now
    return
  }
  bout.ran = spentIn(bout, now)
  delete bout.since
}

export function removeBout(club: Club, id: string): void {
  boutIn(club, id)
  club.bouts = (club.bouts ?? []).filter((one) => one.id !== id)
}
