import type { Position } from '../../chart/position'
import type { ScoringAction } from '../../chart/rules/ruleSet'
import { NONE } from '../game'

/* Where the two may have been last. The numbers are slots of what the referee knows, beside the chance itself. */
export const CHANCE = 0
export const FEET = 1
export const WE_GUARD = 2
export const THEY_GUARD = 3
export const WE_HOLD = 4
export const THEY_HOLD = 5
export const ZONES = [FEET, WE_GUARD, THEY_GUARD, WE_HOLD, THEY_HOLD]

const GROUND = ['side', 'knee-ride', 'mount', 'north-south', 'turtle', 'ride', 'back', 'crucifix']
const PAST_THE_LEGS = ['side', 'knee-ride', 'mount', 'north-south']
const PINS = ['side', 'mount', 'north-south']

/** In which families each control is, for whoever is ahead there. */
export const CONTROLS = {
  kneeRide: ['knee-ride'],
  mount: ['mount'],
  back: ['back'],
  exposure: PAST_THE_LEGS,
} as const satisfies Partial<Record<ScoringAction, readonly string[]>>

/** What a position means for scoring. Without a `zone`, whoever comes here is counted where they were before. */
export interface Place {
  zone: number
  isGround: boolean
  isPast: boolean
  isBack: boolean
  isPin: boolean
  /** The family of a position that may be a control; undefined where none can be. */
  held: string | undefined
  ahead: Position['ahead']
}

/** What a position means for scoring. */
export function placeOf({ family, ahead, orientation }: Position): Place {
  const isGuard = family === 'guard' || family === 'half-guard'
  const isGround = GROUND.includes(family) && ahead !== 'even'
  const below = orientation?.below === 'ours' ? WE_GUARD : THEY_GUARD
  const held = ahead === 'ours' ? WE_HOLD : THEY_HOLD
  const isOnFeet = family === 'standing' || family === 'clinch'
  return {
    zone: isGuard ? below : isOnFeet ? FEET : isGround ? held : NONE,
    isGround,
    isPast: PAST_THE_LEGS.includes(family),
    isBack: family === 'back' || family === 'crucifix',
    isPin: isGround && PINS.includes(family),
    held: isGround ? family : undefined,
    ahead: isGuard ? 'even' : ahead,
  }
}
