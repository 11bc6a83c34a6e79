import type { Club } from './clubKind'
import { daysBetween } from './days'
import type { Limits } from './limits'

/** How often somebody was locked or strangled: caught and released, or until they tapped. */
export interface Load {
  person: string
  inClass: number
  /** In the seven days up to and with the class. */
  inWeek: number
}

const CAUGHT = ['tap', 'had-it']
const WEEK = 7
/** The load of everybody who was caught in a class, the most first. */
export function loadsOf({ rounds }: Pick<Club, 'rounds'>, session: { id: string; when: string }): Load[] {
  const caught = rounds.filter(({ ended }) => CAUGHT.includes(ended))
  const isInWeek = (when: string) => {
    const ago = daysBetween(when, session.when)
    return ago >= 0 && ago < WEEK
  }
  const people = [...new Set(caught.flatMap(({ session: id, them }) => (id === session.id && them ? [them] : [])))]
  return people
    .map((person) => {
      const theirs = caught.filter(({ them }) => them === person)
      return {
        person,
        inClass: theirs.filter((one) => one.session === session.id).length,
        inWeek: theirs.filter(({ when }) => isInWeek(when)).length,
      }
    })
    .sort((a, b) => b.inClass - a.inClass || b.inWeek - a.inWeek)
}

/** Whether that is a lot for one class, or for a week, of which it is twice as much. */
export const isMuch = ({ inClass, inWeek }: Load, { caught }: Pick<Required<Limits>, 'caught'>): boolean =>
  inClass >= caught || inWeek >= 2 * caught
