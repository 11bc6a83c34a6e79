import { idFromName, OVER } from '../document/ids'
import { isRecord, type Fields } from '../document/fields'
import type { Normaliser } from '../document/kind'

/*
 * What charts of version 1 said otherwise before: model, section 5. Each step is idempotent, gives back the same object
 * where nothing is to do, and takes anything that is JSON: what is no chart is refused by the check that follows.
 */

const records = (value: unknown): Fields[] => (Array.isArray(value) ? value.filter(isRecord) : [])

/** The list with a change to each record; the same list where no record is another. */
function changed(list: unknown, change: (record: Fields) => Fields): unknown {
  if (!Array.isArray(list)) return list
  const next = list.map((record: unknown) => (isRecord(record) ? change(record) : record))
  return next.some((record, i) => record !== list[i]) ? next : list
}

/** The record with a field changed; the same record where the field stays as it is. */
function withField(record: Fields, field: string, change: (value: unknown) => unknown): Fields {
  if (!(field in record)) return record
  const value = change(record[field])
  if (value === record[field]) return record
  const { [field]: _, ...rest } = record
  return value === undefined ? rest : { ...record, [field]: value }
}

/** Sums of rounds in tries become tallies, which say for each what came of it. They have no date: nobody kept one. */
export const ROUNDS_TO_TALLIES: Normaliser = (file) => {
  const tallied = (tries: unknown): unknown => {
    if (!isRecord(tries) || !isRecord(tries.rounds)) return tries
    const { rounds, ...rest } = tries
    const { worked, failed } = rounds
    const sum = (weight: unknown, didWork: boolean) =>
      typeof weight === 'number' && weight > 0 ? [{ worked: didWork, weight }] : []
    const before: unknown[] = Array.isArray(tries.tallies) ? tries.tallies : []
    const tallies = [...before, ...sum(worked, true), ...sum(failed, false)]
    return tallies.length ? { ...rest, tallies } : rest
  }
  const inTries = (record: Fields) => withField(record, 'tries', tallied)
  return withField(
    withField(file, 'moves', (list) => changed(list, inTries)),
    'answers',
    (list) => changed(list, inTries),
  )
}

/** What a move fits, in free words, goes to its notes: `fit` says now by how much a trait changes the tries. */
export const FIT_TO_NOTES: Normaliser = (file) => {
  const noted = (record: Fields): Fields => {
    if (!isRecord(record.fit)) return record
    const { fit, ...rest } = record
    const words = Object.entries(fit).map(([key, value]) => {
      return `${key}: ${typeof value === 'string' ? value : JSON.stringify(value)}`
    })
    if (!words.length) return rest
    const notes = typeof rest.notes === 'string' && rest.notes ? `${rest.notes}\n` : ''
    return { ...rest, notes: `${notes}Fits: ${words.join('; ')}` }
  }
  return withField(
    withField(file, 'moves', (list) => changed(list, noted)),
    'reactions',
    (list) => changed(list, noted),
  )
}

/** A position that is called `over`, which is an ending now, is called otherwise wherever it is named. */
export const RENAME_OVER: Normaliser = (file) => {
  const positions = records(file.positions)
  const record = positions.find(({ id }) => id === OVER)
  if (!record) return file
  const taken = new Set(positions.map(({ id }) => String(id)))
  const fresh = idFromName(typeof record.name === 'string' ? record.name : 'Over', taken)
  return renamed(file, fresh) as Fields
}

/** Fields whose text, or whose list of texts, names positions; and those whose keys do. */
const NAMING = new Set([
  'from',
  'to',
  'endsIn',
  'stallsIn',
  'slipsTo',
  'elsewhere',
  'start',
  'goal',
  'restart',
  'position',
])
const KEYED = new Set(['elsewhere', 'places'])

function renamed(value: unknown, fresh: string, field = ''): unknown {
  if (Array.isArray(value)) {
    const inPositions = field === 'positions'
    return value.map((one: unknown) => {
      if (one === OVER && NAMING.has(field)) return fresh
      const other = renamed(one, fresh, field)
      return inPositions && isRecord(other) && other.id === OVER ? { ...other, id: fresh } : other
    })
  }
  if (value === OVER && NAMING.has(field)) return fresh
  if (!isRecord(value)) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [
      key === OVER && KEYED.has(field) ? fresh : key,
      key === 'mirror' && field === 'positions' && one === OVER ? fresh : renamed(one, fresh, key),
    ]),
  )
}
