// Decorators of class-transformer look their types up through it, so it must be there before any record.
import 'reflect-metadata/lite'
import { registerDecorator, ValidateIf, type ValidationOptions } from 'class-validator'
import { isId, OVER } from './ids'

/** Validators that class-validator has no ready-made one for. The messages finish the sentence "<field> ...". */

export const MAX_TRIES = 1000
/** Rounds in one tally: sums that were kept before had the bound of tries. */
export const MAX_TALLIED = 1000

function constraint(name: string, says: string, holds: (value: unknown) => boolean) {
  return (options?: ValidationOptions) =>
    (target: object, propertyName: string): void =>
      registerDecorator({
        name,
        target: target.constructor,
        propertyName,
        ...(options ? { options } : {}),
        validator: { validate: holds, defaultMessage: () => says },
      })
}

const isNumber = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value)
const isWord = (value: unknown) => typeof value === 'string' && value.trim().length > 0 && value.length <= 200

/** Absent is fine; `null` is not (class-validator's IsOptional lets null through). */
export function Optional(): PropertyDecorator {
  return (target, key) => ValidateIf((record: Record<PropertyKey, unknown>) => record[key] !== undefined)(target, key)
}

export const IsRecordId = constraint(
  'isRecordId',
  'must be an id: a to z first, then a to z, 0 to 9 or hyphens, at most 64, and not finish, caught or goal',
  isId,
)

export const IsPositionId = constraint(
  'isPositionId',
  'must be an id: a to z first, then a to z, 0 to 9 or hyphens, at most 64, and not finish, caught, over or goal',
  (value) => isId(value) && value !== OVER,
)

export const IsSeconds = constraint(
  'isSeconds',
  'must be whole seconds, at least 1',
  (value) => Number.isInteger(value) && (value as number) >= 1 && (value as number) <= 86_400,
)

export const IsMeanSeconds = constraint(
  'isMeanSeconds',
  'must be a number of seconds, at least 1',
  (value) => isNumber(value) && value >= 1,
)

export const IsMeanSecondsOrNever = constraint(
  'isMeanSecondsOrNever',
  'must be a number of seconds, at least 1, or null for never',
  (value) => value === null || (isNumber(value) && value >= 1),
)

export const IsTryCount = constraint(
  'isTryCount',
  `must be a number of tries from 0 to ${MAX_TRIES}`,
  (value) => isNumber(value) && value >= 0 && value <= MAX_TRIES,
)

export const IsTryWeight = constraint(
  'isTryWeight',
  `must be a number of rounds above 0, at most ${MAX_TALLIED}`,
  (value) => isNumber(value) && value > 0 && value <= MAX_TALLIED,
)

/** A day that the calendar has, as year-month-day. */
export const IsDay = constraint('isDay', 'must be a day, as 2026-11-28', (value) => {
  if (typeof value !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(value)) return false
  const day = new Date(`${value}T00:00:00Z`)
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(value)
})

/** The entries of a map of tries that are not counts, or the map itself when it is none. */
export function badCounts(map: unknown): { key: string | null; reason: string }[] {
  if (typeof map !== 'object' || map === null || Array.isArray(map)) {
    return [{ key: null, reason: 'must be an object of tries' }]
  }
  return Object.entries(map)
    .filter(([, n]) => !isNumber(n) || n < 0 || n > MAX_TRIES)
    .map(([key]) => ({ key, reason: `must be a number of tries from 0 to ${MAX_TRIES}` }))
}

export const IsTryMap = constraint('isTryMap', 'must be an object of tries', (map) => badCounts(map).length === 0)

const MAX_POINTS = 99
const isPoints = (value: unknown) => isNumber(value) && value >= 0 && value <= MAX_POINTS

export const IsPoints = constraint('isPoints', `must be a number of points from 0 to ${MAX_POINTS}`, isPoints)

export const IsPointMap = constraint(
  'isPointMap',
  `must be an object of points, each from 0 to ${MAX_POINTS}`,
  (map) => typeof map === 'object' && map !== null && !Array.isArray(map) && Object.values(map).every(isPoints),
)

export const IsFraction = constraint(
  'isFraction',
  'must be a number from 0 to 1',
  (value) => isNumber(value) && value >= 0 && value <= 1,
)

const MAX_FACTOR = 10

export const IsFactor = constraint(
  'isFactor',
  `must be a factor from 0 to ${MAX_FACTOR}`,
  (value) => isNumber(value) && value >= 0 && value <= MAX_FACTOR,
)

const isSignedUnit = (value: unknown) => isNumber(value) && value >= -1 && value <= 1

export const IsWorth = constraint('isWorth', 'must be a number from -1 to 1', isSignedUnit)

export const IsSignedUnit = constraint('isSignedUnit', 'must be a number from -1 to 1', isSignedUnit)

export const IsWord = constraint('isWord', 'must be a text of 1 to 200 characters', (value) => isWord(value))

export const IsWordMap = constraint(
  'isWordMap',
  'must be an object of words, each a text of 1 to 200 characters',
  (map) => typeof map === 'object' && map !== null && !Array.isArray(map) && Object.values(map).every(isWord),
)

function isPlace(value: unknown): boolean {
  const place = value as { row?: unknown; x?: unknown } | null
  return typeof place === 'object' && place !== null && Number.isInteger(place.row) && isNumber(place.x)
}

export const IsPlaceMap = constraint(
  'isPlaceMap',
  'must be an object of places, each with a whole "row" and a number "x"',
  (map) => typeof map === 'object' && map !== null && !Array.isArray(map) && Object.values(map).every(isPlace),
)
