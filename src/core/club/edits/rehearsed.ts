import type { Club } from '../clubKind'
import { freshId } from '../freshId'
import type { Rehearsed } from '../rehearsed'

/** Keeps that somebody was asked, and how well it was known. */
export function keepRehearsed(club: Club, fact: Omit<Rehearsed, 'id'>): void {
  const all = club.rehearsed ?? []
  club.rehearsed = [...all, { id: freshId(all, 'k'), ...fact }]
}
