import { useStorage } from '@vueuse/core'
import dayjs from 'dayjs'
import { athleteOf } from '../core/club/athlete'
import type { ClubPerson } from '../core/club/person'
import type { Match } from '../core/match/adjust'
import { useSettings } from './settings'

/** Who against whom, as this browser has chosen it; empty: nobody in particular. It is in no file. */
export const chosen = useStorage('ataque-against', { us: '', them: '' })

/** The people of a match-up, of those who are in the club. */
export function matchIn(people: readonly ClubPerson[]): { us: ClubPerson | undefined; them: ClubPerson | undefined } {
  const { us, them } = chosen.value
  const named = (id: string) => people.find((one) => one.id === id)
  return { us: named(us), them: named(them) }
}

/** Chooses somebody of the club for a side; '': nobody in particular. */
export function chooseFor(side: 'us' | 'them', id: string): void {
  chosen.value = { ...chosen.value, [side]: id }
}

/** How tries are weighed: today, and by the half-life of the settings. */
export const weighing = (): { now: string; halfLife: number } => ({
  now: dayjs().format('YYYY-MM-DD'),
  halfLife: useSettings().value.halfLife,
})

/** Nobody in particular in the place of somebody who is deleted. */
export function forgetChosen(id: string): void {
  const { us, them } = chosen.value
  chosen.value = { us: us === id ? '' : us, them: them === id ? '' : them }
}

/** The match-up as the numbers need it. */
export function athletesIn(people: readonly ClubPerson[]): Pick<Match, 'us' | 'them'> {
  const { us, them } = matchIn(people)
  return { us: us ? athleteOf(us, people) : null, them: them ? athleteOf(them, people) : null }
}
