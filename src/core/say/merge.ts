import type { Chart } from '../chart/chart'
import type { Conflict } from '../document/merge'
import { isRecord } from '../document/fields'
import { upperFirst } from './speech'

/** A conflict in words: what it is about, and what stands on either side. */
export interface SaidConflict {
  about: string
  mine: string
  theirs: string
}

const KINDS: Record<string, string> = {
  positions: 'position',
  holds: 'hold',
  cues: 'what is seen',
  moves: 'move',
  reactions: 'reaction',
  answers: 'answer',
  runs: 'run',
  cards: 'round',
}
const ABSENT = 'Not there'

/** A conflict between two charts. Ids are said by the names that their own side has for them. */
export function sayConflict(conflict: Conflict, mine: Chart, theirs: Chart): SaidConflict {
  const names = { mine: namesOf(mine), theirs: namesOf(theirs) }
  const says = (side: 'mine' | 'theirs') => {
    const value = conflict[side]
    if (value === undefined) return ABSENT
    const known = new Map([...names.mine, ...names.theirs, ...names[side]])
    return upperFirst(sayValue(conflict.field === undefined ? inShort(value) : value, known))
  }
  return {
    about: aboutOf(conflict, new Map([...names.theirs, ...names.mine])),
    mine: says('mine'),
    theirs: says('theirs'),
  }
}

function aboutOf({ list, key, field }: Conflict, names: ReadonlyMap<string, string>): string {
  if (list === undefined) return upperFirst(words(field ?? ''))
  const kind = KINDS[list] ?? list
  if (key === undefined) return `Order of the ${words(list)}`
  const name = key
    .split(' > ')
    .map((id) => names.get(id) ?? id)
    .join(' > ')
  return field === undefined ? `${name} (${kind})` : `${name} (${kind}): ${words(field)}`
}

/** Where a whole record stands, without all that is charted of it; that it is there, where its name says the rest. */
function inShort(record: unknown): unknown {
  if (!isRecord(record)) return record
  const said = ['from', 'to', 'endsIn', 'family', 'limbs', 'position', 'start'].filter((field) => field in record)
  return said.length ? Object.fromEntries(said.map((field) => [field, record[field]])) : 'there'
}

/** A field's name as words: "endsIn" is "ends in". */
const words = (field: string): string =>
  field
    .replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
    .replace(/\./g, ': ')
    .trim()

function namesOf(chart: Chart): Map<string, string> {
  const { positions, holds = [], cues = [], moves, reactions, runs = [] } = chart
  return new Map([positions, holds, cues, moves, reactions, runs].flat().map(({ id, name }) => [id, name]))
}

function sayValue(value: unknown, names: ReadonlyMap<string, string>): string {
  if (value === true) return 'yes'
  if (value === false) return 'no'
  if (typeof value === 'string') return wordsOfKey(value, names)
  if (Array.isArray(value)) return value.map((one) => sayValue(one, names)).join(', ') || 'none'
  if (!isRecord(value)) return String(value)
  return Object.entries(value)
    .filter(([key]) => key !== 'id')
    .map(([key, one]) => {
      const says = isRecord(one) ? `(${sayValue(one, names)})` : sayValue(one, names)
      return key === 'text' ? says : `${wordsOfKey(key, names, words)} ${says}`
    })
    .join('; ')
}

/** A key of two joined ids, an id or plain words. */
const wordsOfKey = (text: string, names: ReadonlyMap<string, string>, plain = (one: string) => one): string =>
  text
    .split(' > ')
    .map((one) => names.get(one) ?? plain(one))
    .join(' > ')
