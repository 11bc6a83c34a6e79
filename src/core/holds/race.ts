import type { Chart } from '../chart/chart'
import { holder } from '../chart/hold'
import type { HoldId, PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import { chanceFirst, DEFAULT_SPREAD, normal, type Race, type RaceTimes } from '../chart/race'
import { HoldTable } from './holdTable'
import { freeLimbs, holdsForFrame } from './oneMore'

/* A race under holds: who has half of what they need left takes twice as long. */

/** What a race comes to from a position with these holds on: the times in seconds, and the chance that we are first. */
export interface RaceState extends RaceTimes {
  chance: number
}

/** The race of a move under holds, each of them an id. What the move drops is off by then. */
export function raceUnder(chart: Chart, move: Move, race: Race, holds: readonly string[]): RaceState {
  const table = new HoldTable(chart.holds ?? [])
  const dropped = new Set<string>(move.drops ?? [])
  const on = table.setOf(holds)
  const against = table.setOf(holds.filter((id) => !dropped.has(id)))
  const reaction = lookUp(chart.reactions, race.reaction)
  const times: RaceTimes = {
    ours: race.ours / table.left(move, on, 'theirs'),
    theirs: race.theirs / (reaction ? table.left(reaction, against, 'ours') : 1),
    spread: race.spread ?? DEFAULT_SPREAD,
  }
  return { ...times, chance: chanceFirst(times) }
}

/** A hold of ours that slows them in a race. */
export interface Brake {
  hold: HoldId
  /** Whether it is on in the position; where it is, the race is what it would be without it. */
  isOn: boolean
  otherwise: RaceState
}

/** Our holds that slow them in a race: those that are on in the position, and those that free limbs could put on. */
export function brakesOf(chart: Chart, position: PositionId, move: Move, race: Race): Brake[] {
  const own: string[] = lookUp(chart.positions, position)?.holds ?? []
  const reaction = lookUp(chart.reactions, race.reaction)
  const needs = new Set([...(reaction?.uses ?? []), ...(reaction?.usesAny ?? [])])
  const free = new Set(freeLimbs(chart, own))
  const known = new Set([...holdsForFrame(chart, position).map(({ id }) => id), ...own])
  const now = raceUnder(chart, move, race, own)
  return (chart.holds ?? []).flatMap((hold): Brake[] => {
    const isOn = own.includes(hold.id)
    const slows = holder(hold) === 'ours' && hold.denies?.some(({ capability }) => needs.has(capability))
    if (!slows || !known.has(hold.id) || (!isOn && !hold.limbs.every((limb) => free.has(limb)))) return []
    const holds = isOn ? own.filter((id) => id !== hold.id) : [...own, hold.id]
    const otherwise = raceUnder(chart, move, race, holds)
    return otherwise.theirs === now.theirs ? [] : [{ hold: hold.id, isOn, otherwise }]
  })
}

/** Standard deviations on either side over which a mean is summed, and in how many steps of each. */
const REACH = 8
const STEPS = 400

/** The chance, 0 to 1, that we are first if we start `late` seconds after them (Simpson's rule over our time). */
export function chanceStartingLate({ ours, theirs, spread }: RaceTimes, late: number): number {
  if (ours === Infinity) return 0
  if (theirs === Infinity) return 1
  if (late < 0) return 1 - chanceStartingLate({ ours: theirs, theirs: ours, spread }, -late)
  let sum = 0
  for (let i = 0; i <= STEPS; i++) {
    const z = -REACH + (2 * REACH * i) / STEPS
    const weight = i === 0 || i === STEPS ? 1 : i % 2 ? 4 : 2
    const there = ours * Math.exp(spread * z) + late
    sum += weight * Math.exp(-0.5 * z * z) * normal(Math.log(theirs / there) / spread)
  }
  return (sum * (2 * REACH)) / STEPS / 3 / Math.sqrt(2 * Math.PI)
}

/**
 * How many seconds after them we may start and still win half; below 0: how much sooner we must. Infinite where one of
 * the two never gets there.
 */
export function lateForHalf(times: RaceTimes): number {
  if (times.ours === Infinity) return -Infinity
  if (times.theirs === Infinity) return Infinity
  let low = -4 * times.ours
  let high = 4 * times.theirs
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (chanceStartingLate(times, middle) > 0.5) low = middle
    else high = middle
  }
  return (low + high) / 2
}
