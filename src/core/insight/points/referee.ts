import type { ScoringAction } from '../../chart/rules/ruleSet'
import { PEOPLE, type Person } from '../../chart/words'
import { sure } from '../../sure'
import { entriesOf } from '../../typed'
import { Held } from './held'
import {
  CHANCE,
  CONTROLS,
  FEET,
  THEY_GUARD,
  THEY_HOLD,
  WE_GUARD,
  WE_HOLD,
  ZONES,
  type Place,
} from '../../game/win/places'
import { noCounts, type Counts, type ExpectedScore, type MustBeHeld } from './points'

const EVENTS = ['takedown', 'sweep', 'pass'] as const satisfies readonly ScoringAction[]

/** What one of the two may hold that counts, each with its slots. */
interface Watched {
  counts: Counts
  /** The zones in which they are on top. */
  top: readonly number[]
  events: Record<(typeof EVENTS)[number], Held>
  controls: Record<keyof typeof CONTROLS, Held>
  holdDown: Held
}

/**
 * Keeps the score of an exchange that is known only by chances. What is known besides the state goes along with it in
 * a row of slots, each a chance of its own, not a state, because nothing asks for two of them at once: where the two
 * last were, and for how long each thing has been held, or that it has been counted.
 */
export class Referee {
  readonly score: ExpectedScore
  /** Slots in a row. */
  readonly width: number
  private readonly watched: Record<Person, Watched>
  private slots = FEET + ZONES.length

  constructor(private readonly rules: MustBeHeld) {
    this.score = { ours: noCounts(rules), theirs: noCounts(rules) }
    this.watched = { ours: this.watch('ours'), theirs: this.watch('theirs') }
    this.width = this.slots
  }

  /** An exchange begins here: a control that one begins in is not scored by that. */
  begin(place: Place, row: Float64Array): void {
    row.fill(0)
    row[CHANCE] = 1
    if (place.ahead !== 'even') {
      for (const [control, families] of entriesOf(CONTROLS)) {
        if (isOneOf(families, place.held)) this.watched[place.ahead].controls[control].settle(row, 1)
      }
    }
    this.come(place, row, false)
  }

  /** Counts what coming to a position scores, and sets what is known there. */
  come(place: Place, row: Float64Array, byTakedown: boolean): void {
    for (const person of PEOPLE) {
      const watched = this.watched[person]
      if (!watched.top.includes(place.zone)) for (const event of EVENTS) watched.events[event].forget(row)
      this.control(watched, place, place.ahead === person, row)
    }
    this.happen(place, row, byTakedown)
    if (place.zone < FEET) row[WE_HOLD] = row[THEY_HOLD] = 0
    else for (const zone of ZONES) row[zone] = zone === place.zone ? sure(row[CHANCE]) : 0
  }

  /** Lets the seconds of an action pass, each of which a share `alive` outlasts. */
  pass(row: Float64Array, seconds: number, alive: number): void {
    const lasted = alive === 1 ? seconds : (1 - alive ** seconds) / (1 - alive)
    this.score.ours.controlSeconds += sure(row[WE_HOLD]) * lasted
    this.score.theirs.controlSeconds += sure(row[THEY_HOLD]) * lasted
    for (const person of PEOPLE) {
      const { events, controls, holdDown } = this.watched[person]
      for (const held of [...Object.values(events), ...Object.values(controls), holdDown])
        held.pass(row, seconds, alive)
    }
  }

  private watch(person: Person): Watched {
    const counts = this.score[person]
    const marks = [this.rules.heldFor ?? 0]
    const held = (what: ScoringAction) => this.heldFrom(marks, (_, chance) => void (counts[what] += chance))
    return {
      counts,
      top: person === 'ours' ? [WE_HOLD, THEY_GUARD] : [THEY_HOLD, WE_GUARD],
      events: { takedown: held('takedown'), sweep: held('sweep'), pass: held('pass') },
      controls: { kneeRide: held('kneeRide'), mount: held('mount'), back: held('back'), exposure: held('exposure') },
      holdDown: this.heldFrom(
        (this.rules.holdDown ?? []).map(({ seconds }) => seconds),
        (mark, chance) => void (counts.holdDown[mark] = sure(counts.holdDown[mark]) + chance),
      ),
    }
  }

  private heldFrom(marks: readonly number[], count: (mark: number, chance: number) => void): Held {
    const held = new Held(this.slots, marks, count)
    this.slots += held.seconds + 1
    return held
  }

  private control({ controls, holdDown }: Watched, { held, isPin }: Place, isAhead: boolean, row: Float64Array): void {
    for (const [control, families] of entriesOf(CONTROLS)) {
      if (!isAhead) controls[control].forget(row)
      else if (isOneOf(families, held)) beginRest(controls[control], row)
      else controls[control].letGo(row)
    }
    if (isAhead && isPin) beginRest(holdDown, row)
    else holdDown.forget(row)
  }

  private happen({ zone, isGround, isPast, isBack, ahead }: Place, row: Float64Array, byTakedown: boolean): void {
    const { ours, theirs } = this.watched
    const happens = ({ events }: Watched, event: (typeof EVENTS)[number], where: number) =>
      events[event].begin(row, sure(row[where]))
    if (zone === THEY_GUARD) {
      if (byTakedown) happens(ours, 'takedown', FEET)
      happens(ours, 'sweep', WE_GUARD)
    } else if (zone === WE_GUARD) happens(theirs, 'sweep', THEY_GUARD)
    if (!isGround) return
    const [mine, under, over] = ahead === 'ours' ? [ours, WE_GUARD, THEY_GUARD] : [theirs, THEY_GUARD, WE_GUARD]
    happens(mine, 'takedown', FEET)
    if (!isBack) happens(mine, 'sweep', under)
    if (isPast) happens(mine, 'pass', over)
  }
}

const isOneOf = (families: readonly string[], family: string | undefined): boolean =>
  family !== undefined && families.includes(family)

/** Whoever does not hold it yet begins to. */
const beginRest = (held: Held, row: Float64Array) => held.begin(row, sure(row[CHANCE]) - held.total(row))
