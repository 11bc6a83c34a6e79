import type { Club } from './clubKind'

const DAY = 24 * 60 * 60 * 1000

/** The club with all of its days moved by as many, so that its last class was on a day (as 2026-11-28). */
export function shiftedBy(club: Club, last: string): Club {
  const days = club.sessions.map(({ when }) => when).sort()
  const from = days.at(-1)
  if (from === undefined) return club
  const by = Date.parse(last) - Date.parse(from)
  const moved = (when: string) => new Date(Date.parse(when) + Math.round(by / DAY) * DAY).toISOString().slice(0, 10)
  const dated = <R extends { when: string }>(list: readonly R[]) =>
    list.map((one) => ({ ...one, when: moved(one.when) }))
  return {
    ...club,
    sessions: dated(club.sessions),
    rounds: dated(club.rounds),
    tries: dated(club.tries),
    ...(club.bouts ? { bouts: dated(club.bouts) } : {}),
    people: club.people.map((one) => ({ ...one, ...(one.lastHere ? { lastHere: moved(one.lastHere) } : {}) })),
  }
}
