import { constraint, isMapOf, isNumber } from '../document/constraints'
import { isRecord } from '../document/fields'
import { isId, OVER } from '../document/ids'

/* Validators for what only charts have: tries, times, points, worths, places. */

export const MAX_TRIES = 1000
/** Reactions that one move meets, or that come unprompted in one position. */
export const MAX_REACTIONS = 60
/** Rounds in one tally: sums that were kept before had the bound of tries. */
export const MAX_TALLIED = 1000
const MAX_SECONDS = 86_400
const MAX_POINTS = 99
const MAX_FACTOR = 10

const between = (low: number, high: number) => (value: unknown) => isNumber(value) && value >= low && value <= high
const isTries = between(0, MAX_TRIES)
const isPoints = between(0, MAX_POINTS)
const isMeanSeconds = (value: unknown) => isNumber(value) && value >= 1
const SAYS_TRIES = `must be a number of tries from 0 to ${MAX_TRIES}`

export const IsPositionId = constraint(
  'isPositionId',
  'must be an id: a to z first, then a to z, 0 to 9 or hyphens, at most 64, and not finish, caught, over or goal',
  (value) => isId(value) && value !== OVER,
  { code: 'malformed-id' },
)

export const IsCueId = constraint(
  'isCueId',
  'must be an id: a to z first, then a to z, 0 to 9 or hyphens, at most 64, and not finish, caught, goal or nothing',
  (value) => isId(value) && value !== 'nothing',
  { code: 'malformed-id' },
)

export const IsSeconds = constraint(
  'isSeconds',
  'must be whole seconds, at least 1',
  (value) => Number.isInteger(value) && between(1, MAX_SECONDS)(value),
  { code: 'bad-seconds' },
)

export const IsMeanSeconds = constraint('isMeanSeconds', 'must be a number of seconds, at least 1', isMeanSeconds, {
  code: 'bad-seconds',
})

export const IsMeanSecondsOrNever = constraint(
  'isMeanSecondsOrNever',
  'must be a number of seconds, at least 1, or null for never',
  (value) => value === null || isMeanSeconds(value),
  { code: 'bad-seconds' },
)

export const IsRaceSeconds = constraint(
  'isRaceSeconds',
  'must be a number of seconds above 0',
  (value) => isNumber(value) && value > 0 && value <= MAX_SECONDS,
  { code: 'bad-seconds' },
)

export const IsSpread = constraint(
  'isSpread',
  'must be a spread above 0, at most 1',
  (value) => isNumber(value) && value > 0 && value <= 1,
  { code: 'out-of-range' },
)

export const IsTryCount = constraint('isTryCount', SAYS_TRIES, isTries, { code: 'bad-count' })

export const IsTryWeight = constraint(
  'isTryWeight',
  `must be a number of rounds above 0, at most ${MAX_TALLIED}`,
  (value) => isNumber(value) && value > 0 && value <= MAX_TALLIED,
  { code: 'bad-count' },
)

const badTries = (map: unknown) =>
  Object.entries(isRecord(map) ? map : {})
    .filter(([, n]) => !isTries(n))
    .map(([key]) => ({ path: [key], message: SAYS_TRIES }))

export const IsTryMap = constraint('isTryMap', 'must be an object of tries', (map) => isMapOf(map, isTries), {
  code: 'bad-count',
  badEntries: badTries,
})

/** Reactions with their counts, as few as anyone could tell apart on the mat. */
export const IsReactionMap = constraint(
  'isReactionMap',
  `must be an object of tries, at most ${MAX_REACTIONS} of them`,
  (map) => isMapOf(map, isTries) && Object.keys(map as object).length <= MAX_REACTIONS,
  {
    code: 'bad-count',
    badEntries: (map) => (isRecord(map) && Object.keys(map).length > MAX_REACTIONS ? [] : badTries(map)),
  },
)

export const IsPoints = constraint('isPoints', `must be a number of points from 0 to ${MAX_POINTS}`, isPoints)

export const IsPointMap = constraint('isPointMap', `must be an object of points, each from 0 to ${MAX_POINTS}`, (map) =>
  isMapOf(map, isPoints),
)

export const IsFactor = constraint('isFactor', `must be a factor from 0 to ${MAX_FACTOR}`, between(0, MAX_FACTOR), {
  code: 'out-of-range',
})

export const MAX_DRILL_STEP = 3
const isDrillStep = (value: unknown) => isNumber(value) && value > 0 && value <= MAX_DRILL_STEP

export const IsDrillStep = constraint(
  'isDrillStep',
  `must be a step of log-odds above 0, at most ${MAX_DRILL_STEP}`,
  isDrillStep,
  { code: 'out-of-range' },
)

export const IsDrillSteps = constraint(
  'isDrillSteps',
  `must be an object of steps of log-odds by kind of move, each above 0, at most ${MAX_DRILL_STEP}`,
  (map) => isMapOf(map, isDrillStep),
  { code: 'out-of-range' },
)

export const IsWorth = constraint('isWorth', 'must be a number from -1 to 1', between(-1, 1), { code: 'out-of-range' })

export const IsPlaceMap = constraint(
  'isPlaceMap',
  'must be an object of places, each with a whole "row" and a number "x"',
  (map) => isMapOf(map, (place) => isRecord(place) && Number.isInteger(place.row) && isNumber(place.x)),
)

/** Remarks on build for one move or reaction: as many as anyone reads. */
export const MAX_FIT = 12

export const IsFitList = constraint(
  'isFitList',
  `must have at most ${MAX_FIT} remarks on build`,
  (value) => !Array.isArray(value) || value.length <= MAX_FIT,
  { code: 'too-many' },
)
