import type { Chart } from '../chart/chart'
import { NOTHING_SEEN, TEN, type Cue } from '../chart/cue'
import type { PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { WORDS } from './fork'
import { findCue } from './names'
import { bareOrQuoted } from './quoted'

/** What is seen in a position as one line, "" where nothing is. Saying that line again changes nothing. */
export function writeSeen(chart: Chart, position: PositionId): string {
  const { [NOTHING_SEEN]: nothing, ...seen } = lookUp(chart.positions, position)?.seen ?? {}
  const cues = cuesOf(chart, Object.keys(seen))
  if (!cues.length) return ''
  const subject = subjectIn(chart, position)
  const of = subject ? { text: subject, at: 0, end: 0 } : undefined
  const items = cues.map((cue) => {
    const name = { text: cue.name.trim().slice(subject.length).trim(), at: 0, end: 0 }
    const isFound = findCue(chart, position, name, of)?.id === cue.id && !name.text.includes('"')
    return `${String(seen[cue.id])} ${isFound ? bareOrQuoted(name.text) : `#${cue.id}`}`
  })
  const isShort = cues.reduce((sum, { id }) => sum + (seen[id] ?? 0), 0) < TEN
  const rest = nothing === undefined && !isShort ? [] : [`${nothing ?? 0} ${WORDS.nothing}`]
  return `${WORDS.seen}${subject && ` ${lower(subject)}`}: ${[...items, ...rest].join(', ')}`
}

/** The words with which all that is seen in a position begins: "Far hand" of "Far hand at our neck"; "" for none. */
export function subjectIn(chart: Chart, position: PositionId): string {
  const seen = lookUp(chart.positions, position)?.seen ?? {}
  const [first = [], ...others] = cuesOf(chart, Object.keys(seen)).map(({ name }) => name.trim().split(/\s+/))
  if (!others.length) return ''
  let length = 0
  const longest = Math.min(first.length, ...others.map((words) => words.length)) - 1
  while (length < longest && others.every((words) => words[length] === first[length])) length++
  const subject = first.slice(0, length).join(' ')
  return bareOrQuoted(subject).startsWith('"') ? '' : subject
}

const cuesOf = (chart: Chart, ids: string[]): Cue[] => ids.flatMap((id) => lookUp(chart.cues ?? [], id) ?? [])

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
