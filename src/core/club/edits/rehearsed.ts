import { lookUp } from '../../chart/lookUp'
import { Refusal } from '../../problem'
import type { Club } from '../clubKind'
import { freshId } from '../freshId'
import { mayBeLogged } from '../person'
import type { Rehearsed } from '../rehearsed'

/** Keeps that somebody was asked, and how well it was known. Refused of a minor before a guardian has agreed. */
export function keepRehearsed(club: Club, fact: Omit<Rehearsed, 'id'>): void {
  const person = lookUp(club.people, fact.us)
  if (person && !mayBeLogged(person)) throw new Refusal('nothing is kept of a minor before a guardian has agreed')
  const all = club.rehearsed ?? []
  club.rehearsed = [...all, { id: freshId(all, 'k'), ...fact }]
}
