import type { Club } from './clubKind'
import type { Trial } from './trial'
import { dayAfter, daysBetween } from './days'

/** The club with all of its days moved by as many, so that its last class was on a day (as 2026-11-28). */
export function shiftedBy(club: Club, last: string): Club {
  const days = club.sessions.map(({ when }) => when).sort()
  const from = days.at(-1)
  if (from === undefined) return club
  const by = daysBetween(from, last)
  const moved = (when: string) => dayAfter(when, by)
  const dated = <R extends { when: string }>(list: readonly R[]) =>
    list.map((one) => ({ ...one, when: moved(one.when) }))
  return {
    ...club,
    sessions: dated(club.sessions),
    rounds: dated(club.rounds),
    tries: dated(club.tries),
    ...(club.bouts ? { bouts: dated(club.bouts) } : {}),
    ...(club.trials ? { trials: club.trials.map((one) => movedTrial(one, moved)) } : {}),
    people: club.people.map((one) => ({ ...one, ...(one.lastHere ? { lastHere: moved(one.lastHere) } : {}) })),
  }
}

const movedTrial = ({ verdict, ...trial }: Trial, moved: (when: string) => string): Trial => ({
  ...trial,
  ...{ since: moved(trial.since), judgeOn: moved(trial.judgeOn) },
  ...(verdict ? { verdict: { ...verdict, when: moved(verdict.when) } } : {}),
})
