import {
  IsArray,
  IsObject,
  registerDecorator,
  ValidateIf,
  ValidateNested,
  type ValidationOptions,
} from 'class-validator'
import type { Problem, ProblemCode } from '../problem'
import { isRecord } from './fields'
import { isId } from './ids'
import type { RecordClass } from './kind'

/* Validators for any kind of document that class-validator has no ready-made one for. */

/** What a constraint tells `checkStructure` beside its message. */
export interface ConstraintContext {
  code: ProblemCode
  /** For a field that is a map: its entries that are wrong. Without it the field is reported as a whole. */
  badEntries?: (value: unknown) => Pick<Problem, 'path' | 'message'>[]
}

/** A property decorator from a test of the value. `says` finishes the sentence "<field> ...". */
export function constraint(
  name: string,
  says: string,
  holds: (value: unknown) => boolean,
  context: ConstraintContext = { code: 'wrong-type' },
) {
  return (options?: ValidationOptions) =>
    (target: object, propertyName: string): void =>
      registerDecorator({
        name,
        target: target.constructor,
        propertyName,
        options: { ...options, context },
        validator: { validate: holds, defaultMessage: () => says },
      })
}

export const isNumber = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value)
/** Whether a value is a map of which every entry passes a test. */
export const isMapOf = (map: unknown, passes: (value: unknown) => boolean): boolean =>
  isRecord(map) && Object.values(map).every(passes)
const isWord = (value: unknown) => typeof value === 'string' && value.trim().length > 0 && value.length <= 200

/** Absent is fine; `null` is not (class-validator's IsOptional lets null through). */
export function Optional(): PropertyDecorator {
  return (target, key) => ValidateIf((record: Record<PropertyKey, unknown>) => record[key] !== undefined)(target, key)
}

const AreRecords = constraint('areRecords', 'must be objects', (list) => Array.isArray(list) && list.every(isRecord))

/** The classes of what fields hold, by the prototype that has the fields and then by field. */
const CLASSES = new Map<object, Map<string, () => RecordClass>>()

function remember(target: object, field: string, type: () => RecordClass): void {
  const fields = CLASSES.get(target) ?? new Map<string, () => RecordClass>()
  CLASSES.set(target, fields.set(field, type))
}

/** The class of the record, or of each record in the list, that a field of a class holds; undefined: of none. */
export function classIn(owner: RecordClass, field: string): RecordClass | undefined {
  for (let at: object | null = owner.prototype as object; at; at = Object.getPrototypeOf(at) as object | null) {
    const type = CLASSES.get(at)?.get(field)
    if (type) return type()
  }
  return undefined
}

/** A list of records of a class, each of which is checked. A list in a record's place is not taken for one. */
export const Records =
  (type: () => RecordClass): PropertyDecorator =>
  (target, key) => {
    IsArray()(target, key)
    AreRecords()(target, String(key))
    ValidateNested({ each: true })(target, key)
    remember(target, String(key), type)
  }

/** One record of a class, which is checked. */
export const OneRecord =
  (type: () => RecordClass): PropertyDecorator =>
  (target, key) => {
    IsObject()(target, key)
    ValidateNested()(target, key)
    remember(target, String(key), type)
  }

export const IsRecordId = constraint(
  'isRecordId',
  'must be an id: a to z first, then a to z, 0 to 9 or hyphens, at most 64, and not finish, caught or goal',
  isId,
  { code: 'malformed-id' },
)

/** A day that the calendar has, as year-month-day. */
export const IsDay = constraint('isDay', 'must be a day, as 2026-11-28', (value) => {
  if (typeof value !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(value)) return false
  const day = new Date(`${value}T00:00:00Z`)
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(value)
})

export const IsFraction = constraint(
  'isFraction',
  'must be a number from 0 to 1',
  (value) => isNumber(value) && value >= 0 && value <= 1,
  { code: 'out-of-range' },
)

export const IsWord = constraint('isWord', 'must be a text of 1 to 200 characters', isWord)

export const IsWordMap = constraint(
  'isWordMap',
  'must be an object of words, each a text of 1 to 200 characters',
  (map) => isMapOf(map, isWord),
)
