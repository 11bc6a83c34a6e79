import { putField } from '../../document/fields'
import { idFromName } from '../../document/ids'
import { lookUp } from '../../chart/lookUp'
import { Refusal } from '../../problem'
import type { Club } from '../clubKind'
import { mended } from '../live/mendPairs'
import type { ClubPerson } from '../person'

/** Names as they are pasted: one a line, or with commas. Those that the club has, or that come twice, are left out. */
export function namesIn(text: string, known: readonly string[]): string[] {
  const seen = new Set(known.map((name) => name.toLowerCase()))
  return text
    .split(/[\n,;]+/)
    .map((name) => name.trim().replace(/\s+/g, ' '))
    .filter((name) => {
      const isNew = name !== '' && !seen.has(name.toLowerCase())
      seen.add(name.toLowerCase())
      return isNew
    })
}

/** Adds people by their names; returns their ids. */
export function addPeople(club: Club, names: readonly string[], more: Omit<ClubPerson, 'id' | 'name'> = {}): string[] {
  return names.map((name) => {
    const id = idFromName(name, new Set(club.people.map((one) => one.id)))
    club.people.push({ ...more, id, name })
    return id
  })
}

function personIn(club: Club, id: string): ClubPerson {
  const person = lookUp(club.people, id)
  if (!person) throw new Refusal(`there is nobody "${id}"`, 'gone')
  return person
}

/** Sets one field of a person, or (undefined, or an empty text) takes it away. */
export function setPerson<F extends Exclude<keyof ClubPerson, 'id'>>(
  club: Club,
  id: string,
  field: F,
  value: ClubPerson[F] | undefined,
): void {
  putField(personIn(club, id), field, value)
}

/** Sets a factor of the rules of thumb about bodies. */
export function setBodyRule(club: Club, rule: string, factor: number): void {
  club.bodyRules = { ...club.bodyRules, [rule]: factor }
}

/** Forgets what is of somebody alone. */
function forgetOwn(club: Club, id: string): void {
  if (club.rehearsed) club.rehearsed = club.rehearsed.filter(({ us }) => us !== id)
  if (club.homework) club.homework = club.homework.filter(({ us }) => us !== id)
  if (club.bouts) club.bouts = club.bouts.filter(({ athlete }) => athlete !== id)
}

/** Takes somebody out everywhere: classes no longer have them, and the log says "someone". */
export function removePerson(club: Club, id: string): void {
  const { name } = personIn(club, id)
  club.people = club.people.filter((one) => one.id !== id)
  for (const one of club.people) {
    if (one.notWith?.includes(id)) one.notWith = one.notWith.filter((other) => other !== id)
  }
  for (const session of club.sessions) {
    session.people = session.people.filter((other) => other !== id)
    if (session.gi) session.gi = session.gi.filter((other) => other !== id)
    for (const block of session.blocks) if (block.shownOn === id) delete block.shownOn
  }
  for (const fact of [...club.rounds, ...club.tries]) {
    if (fact.us === id) delete fact.us
    if (fact.them === id) delete fact.them
  }
  forgetOwn(club, id)
  for (const bout of club.bouts ?? []) if (bout.opponent === name) delete bout.opponent
  const { live } = club
  if (!live) return
  live.out = live.out.filter((other) => other !== id)
  live.hurt = live.hurt.filter(({ person }) => person !== id)
  for (const mat of live.mats) {
    delete mat.last
    if (mat.round && [mat.round.us, mat.round.them].includes(id)) delete mat.round
  }
  live.mats = mended(live.mats, { leaves: id }, club.people)
}
