import type { RuleSet, ScoringAction } from '../../chart/rules/ruleSet'
import { PEOPLE, type Person } from '../../chart/words'
import { entriesOf } from '../../typed'
import { NONE } from '../none'
import { MAX_SCORE } from '../scenario'
import { CONTROLS, FEET, THEY_GUARD, THEY_HOLD, WE_GUARD, WE_HOLD, type Place } from './places'

/*
 * What a match has besides its position: the score, and what the rules need to score and no more (5.12 of the model).
 * Control by time and hold-downs are not in it.
 */

/** Everything that scores and is known by a bit: for us, and in the bits above for them. */
const BITS = ['takedown', 'sweep', 'pass', 'kneeRide', 'mount', 'back', 'exposure'] as const satisfies ScoringAction[]
const bitOf = (person: Person, what: (typeof BITS)[number]): number =>
  1 << (BITS.indexOf(what) + (person === 'ours' ? 0 : BITS.length))
const maskOf = (person: Person, some: readonly (typeof BITS)[number][]): number =>
  some.reduce((mask, what) => mask | bitOf(person, what), 0)
const EVENTS = ['takedown', 'sweep', 'pass'] as const
const controls = entriesOf(CONTROLS)
const CONTROL_NAMES = controls.map(([control]) => control)
const TOP: Record<Person, readonly number[]> = { ours: [WE_HOLD, THEY_GUARD], theirs: [THEY_HOLD, WE_GUARD] }

export interface Standing {
  score: number
  /** Where the two were last; NONE where that is not known. */
  zone: number
  /** Controls that have been counted, and what scores once it has been held, as bits. */
  counted: number
  pending: number
  /** For how many seconds it has been waited with something pending. */
  waited: number
}

/** The scoring of a match under a set of rules: how a standing changes. A standing is not changed, but made anew. */
export class Scoring {
  private readonly points: Partial<Record<ScoringAction, number>>
  private readonly heldFor: number

  constructor({ points = {}, heldFor = 0 }: Pick<RuleSet, 'points' | 'heldFor'> = {}) {
    this.points = points
    this.heldFor = heldFor
  }

  /** A match begins, or begins again, in a place: a control that one begins in is not scored. */
  begin(place: Place, score: number): Standing {
    const at = { score, zone: NONE, counted: 0, pending: 0, waited: 0 }
    if (place.ahead === 'even') return this.come(at, place, false)
    const own = maskOf(place.ahead, this.heldIn(place))
    return this.come({ ...at, counted: own }, place, false)
  }

  /** What coming to a place scores, or makes pending. */
  come(before: Standing, place: Place, byTakedown: boolean): Standing {
    const now: Standing = { ...before, waited: 0 }
    for (const person of PEOPLE) {
      if (!TOP[person].includes(place.zone)) now.pending &= ~maskOf(person, EVENTS)
      if (place.ahead === person) {
        const held = this.heldIn(place)
        now.pending &= ~maskOf(person, CONTROL_NAMES) | maskOf(person, held)
        for (const control of held) if (!(now.counted & bitOf(person, control))) this.begins(now, person, control)
      } else {
        now.pending &= ~maskOf(person, CONTROL_NAMES)
        now.counted &= ~maskOf(person, CONTROL_NAMES)
      }
    }
    this.happen(now, place, byTakedown)
    if (place.zone >= FEET) now.zone = place.zone
    return now
  }

  /** An action that is no waiting has lasted so many seconds; what was pending is counted if that is long enough. */
  lasted(before: Standing, seconds: number): Standing {
    if (!before.pending) return before.waited ? { ...before, waited: 0 } : before
    return seconds >= this.heldFor ? this.counts(before) : { ...before, waited: 0 }
  }

  /** A second was waited, and nothing happened. */
  waitedOn(before: Standing): Standing {
    if (!before.pending) return before
    const waited = before.waited + 1
    return waited >= this.heldFor ? this.counts(before) : { ...before, waited }
  }

  /** The controls of a place that score. */
  private heldIn({ held }: Place) {
    return controls.flatMap(([control, families]) =>
      this.points[control] && (families as readonly string[]).includes(held ?? '') ? [control] : [],
    )
  }

  private happen(now: Standing, { zone, isGround, isPast, isBack, ahead }: Place, byTakedown: boolean): void {
    const from = (where: number, person: Person, what: (typeof EVENTS)[number]) => {
      if (now.zone === where && this.points[what]) this.begins(now, person, what)
    }
    if (zone === THEY_GUARD) {
      if (byTakedown) from(FEET, 'ours', 'takedown')
      from(WE_GUARD, 'ours', 'sweep')
    } else if (zone === WE_GUARD) from(THEY_GUARD, 'theirs', 'sweep')
    if (!isGround || ahead === 'even') return
    const [under, over] = ahead === 'ours' ? [WE_GUARD, THEY_GUARD] : [THEY_GUARD, WE_GUARD]
    from(FEET, ahead, 'takedown')
    if (!isBack) from(under, ahead, 'sweep')
    if (isPast) from(over, ahead, 'pass')
  }

  private begins(now: Standing, person: Person, what: (typeof BITS)[number]): void {
    if (this.heldFor > 0) now.pending |= bitOf(person, what)
    else this.score(now, person, what)
  }

  private score(now: Standing, person: Person, what: (typeof BITS)[number]): void {
    const points = (this.points[what] ?? 0) * (person === 'ours' ? 1 : -1)
    now.score = Math.max(-MAX_SCORE, Math.min(MAX_SCORE, now.score + points))
    if (what in CONTROLS) now.counted |= bitOf(person, what)
  }

  private counts(before: Standing): Standing {
    const now = { ...before, pending: 0, waited: 0 }
    for (const person of PEOPLE)
      for (const what of BITS) if (before.pending & bitOf(person, what)) this.score(now, person, what)
    return now
  }
}

/** What the match is worth to who has this score when time is up: won, drawn, or lost. */
export const worthOfScore = (score: number): number => (score > 0 ? 1 : score < 0 ? 0 : 0.5)

/** A name of a standing that no other has. */
export const nameOf = ({ score, zone, counted, pending, waited }: Standing): string =>
  `${score} ${zone} ${counted} ${pending} ${waited}`
