import { lookUp } from '../../chart/lookUp'
import { Refusal } from '../../problem'
import type { Club } from '../clubKind'
import type { Homework } from '../homework'
import { freshId } from '../freshId'
import { mayBeLogged } from '../person'
import { askedKey, type Rehearsed } from '../rehearsed'

const NOT_YET = 'nothing is kept of a minor before a guardian has agreed'

/** Keeps that homework was given. Refused as its answers would be. */
export function giveHomework(club: Club, homework: Homework): void {
  const person = lookUp(club.people, homework.us)
  if (!person) throw new Refusal(`there is nobody "${homework.us}"`, 'gone')
  if (!mayBeLogged(person)) throw new Refusal(NOT_YET)
  club.homework = [...(club.homework ?? []).filter(({ id }) => id !== homework.id), homework]
}

/** What came back of homework: whose it is, of which chart, and how each question went. */
interface CameBack {
  id: string
  us: string
  of: string
  rehearsed: readonly Rehearsed[]
}

/**
 * Takes answers that came back into the log, as those of whom the homework was given to; what the log has already does
 * not come twice. `day`: as 2026-11-28. Refused of whom the club does not have, and of a minor before a guardian has
 * agreed.
 */
export function takeAnswers(club: Club, { id, us, of, rehearsed }: CameBack, day: string): void {
  const person = lookUp(club.people, us)
  if (!person) throw new Refusal(`the club has nobody "${us}" any more`, 'gone')
  if (!mayBeLogged(person)) throw new Refusal(NOT_YET)
  const all = [...(club.rehearsed ?? [])]
  for (const one of newAnswers(club, { us, of, rehearsed })) {
    all.push({ ...one, id: freshId(all, 'k'), us, chart: of })
  }
  club.rehearsed = all
  const given = lookUp(club.homework, id)
  if (given) given.back = day
}

/** Those of the answers that the log does not have yet: the same question at the same time is the same answer. */
export function newAnswers(club: Pick<Club, 'rehearsed'>, { us, of, rehearsed }: Omit<CameBack, 'id'>): Rehearsed[] {
  const keyOf = (one: Rehearsed) => `${one.at} ${askedKey(one)}`
  const had = new Set((club.rehearsed ?? []).filter((one) => one.us === us && one.chart === of).map(keyOf))
  return rehearsed.filter((one) => {
    const isNew = !had.has(keyOf(one))
    had.add(keyOf(one))
    return isNew
  })
}
