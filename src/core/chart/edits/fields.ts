import { fieldsOf } from '../../document/fields'
import { Refusal } from '../../problem'
import type { Chart, Settings } from '../chart'
import { markGuess } from '../guesses'
import { GUESSED } from '../words'
import { Gone } from './find'

/** The lists whose records have ids. */
type WithIds = 'positions' | 'holds' | 'moves' | 'reactions' | 'runs' | 'cards' | 'cues'
type RecordOf<L extends WithIds> = NonNullable<Chart[L]>[number]

const ONE_OF: Record<WithIds, string> = {
  positions: 'position',
  holds: 'hold',
  moves: 'move',
  reactions: 'reaction',
  runs: 'run',
  cards: 'round',
  cues: 'cue',
}

/** Nothing is said by nothing: an empty text or list is as if the field were absent. */
const isNothing = (value: unknown): boolean =>
  value === undefined || value === '' || value === false || (Array.isArray(value) && value.length === 0)

/**
 * Sets one field of a record, or takes it away where the value says nothing. What a record may not do without, the
 * check of the edit says. A field that was a guess is the coach's own from now on. Throws `Gone` where the record is no
 * longer there.
 */
export function setField<L extends WithIds, F extends keyof RecordOf<L> & string>(
  chart: Chart,
  list: L,
  id: string,
  field: F,
  value: RecordOf<L>[F] | undefined,
): void {
  if (field === 'id') throw new Refusal(`an id stays what it is: "${id}"`)
  const record = (chart[list] as RecordOf<L>[] | undefined)?.find((one) => one.id === id)
  if (!record) throw new Gone(ONE_OF[list], id)
  if ('guessed' in record) for (const guess of GUESSED) if (guess === field) markGuess(record, guess, false)
  if (isNothing(value)) delete record[field]
  else record[field] = value as RecordOf<L>[F]
}

/** Sets one of the chart's settings, or takes it away where the value says nothing; settings with none left go. */
export function setSetting<F extends keyof Settings>(chart: Chart, field: F, value: Settings[F] | undefined): void {
  const { [field]: _, ...others } = chart.settings ?? {}
  const settings: Settings = isNothing(value) ? others : { ...others, [field]: value }
  if (Object.keys(settings).length) chart.settings = settings
  else delete chart.settings
}

/** How this school says a word of the frames; the frames' own word where it says nothing. */
export function setWord(chart: Chart, word: string, said: string): void {
  const { [word]: _, ...others } = chart.settings?.words ?? {}
  const words = said && said !== word ? { ...others, [word]: said } : others
  setSetting(chart, 'words', Object.keys(words).length ? words : undefined)
}

export function setTitle(chart: Chart, title: string): void {
  chart.title = title
}

/** Everything of the chart as another says it, under the chart's own id. */
export function replaceWith(chart: Chart, other: Chart): void {
  const fields = fieldsOf(chart)
  for (const key of Object.keys(fields)) if (!(key in other)) delete fields[key]
  Object.assign(chart, other, { id: chart.id })
}
