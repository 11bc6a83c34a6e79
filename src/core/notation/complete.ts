import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import type { PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { nameKey, WORDS } from './fork'
import { findReaction } from './names'
import { bareOrQuoted } from './quoted'

/** Offers for the caret. An option that is taken replaces the characters from index `from` up to the caret. */
export interface Completion {
  from: number
  options: { insert: string; label: string; kind: 'move' | 'reaction' | 'position' | 'word' }[]
}

const MAX_OFFERS = 8

/** Names that complete what is being typed before index `caret` of the line, the likeliest first. */
export function completeFork(chart: Chart, position: PositionId, line: string, caret: number): Completion {
  const typed = line.slice(0, caret)
  const part = /(?:^|[:;>,([])([^:;>,([\])?]*)$/.exec(typed)
  if (!part) return { from: caret, options: [] }
  const before = typed.slice(0, typed.length - sure(part[1]).length).trimEnd()
  const sign = before.slice(-1)
  const waits = /\swhen\s+([^,]*)$/i.exec(sure(part[1]))
  if (waits || /\swhen\s[^:;>()]*,\s*$/i.test(before)) {
    const begun = waits ? sure(waits[1]) : sure(part[1]).trimStart()
    const here = lookUp(chart.positions, position)?.seen ?? {}
    const cues = (chart.cues ?? []).filter(({ id }) => here[id] !== undefined)
    return { from: caret - begun.length, options: list(cues.filter(matcher(begun)), 'word') }
  }
  const counted = /^\s*\d+([.,]\d+)?(\s*%|\s+of\s+\d+)?\s+/.exec(sure(part[1]))
  const word = sure(part[1]).slice(counted?.[0].length ?? present(/^\s*/.exec(sure(part[1])))[0].length)
  const from = caret - word.length
  return { from, options: optionsFor(chart, position, before, sign, Boolean(counted), word) }
}

function optionsFor(
  chart: Chart,
  position: PositionId,
  before: string,
  sign: string,
  counted: boolean,
  word: string,
): Completion['options'] {
  const matching = matcher(word.replace(/^"/, ''))
  if (sign === '') return list(chart.moves.filter(({ from }) => from === position).filter(matching), 'move')
  if (sign === '(') {
    const words = [WORDS.finish, WORDS.caught].filter((text) => matching({ name: text }))
    return [...list(chart.positions.filter(matching), 'position'), ...words.map(wordOption)].slice(0, MAX_OFFERS)
  }
  if (sign === '>' || sign === ',') {
    const endsIn = reactionBefore(chart, before)?.endsIn ?? position
    const fitting = chart.moves.filter(matching)
    const here = fitting.filter(({ from }) => from === endsIn)
    return list([...here, ...(word ? fitting.filter(({ from }) => from !== endsIn) : [])], 'move')
  }
  if (!counted) return []
  const words = [WORDS.land, WORDS.nothing].filter((text) => matching({ name: text })).map(wordOption)
  return [...words, ...list(chart.reactions.filter(matching), 'reaction')].slice(0, MAX_OFFERS)
}

/** The reaction whose answers are being typed; undefined outside a list of answers. */
function reactionBefore(chart: Chart, before: string) {
  const said = /[:;]\s*\d+(?:\.\d+)?\s+"?([^;>("]+)"?\s*(?:\([^)]*\))?\s*>[^;>]*$/.exec(before)
  return said ? findReaction(chart, { text: sure(said[1]), at: 0, end: 0 }, undefined) : undefined
}

interface Named {
  name: string
  aliases?: string[]
}

/** Matches records of which the name or an alias, or a word in one of them, begins with `word`. */
function matcher(word: string): (record: Named) => boolean {
  const key = nameKey(word)
  if (!key) return () => true
  return ({ name, aliases = [] }) =>
    [name, ...aliases].some((text) => nameKey(text).startsWith(key) || nameKey(text).includes(` ${key}`))
}

const list = (records: Named[], kind: Completion['options'][number]['kind']) =>
  records.slice(0, MAX_OFFERS).map(({ name }) => ({ insert: bareOrQuoted(name), label: name, kind }))
const wordOption = (text: string) => ({ insert: text, label: text, kind: 'word' as const })
