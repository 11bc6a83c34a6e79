import { sure } from '../sure'
import { SIGNS } from './fork'

export type Token =
  | { kind: 'sign'; text: string; at: number; end: number }
  /** `value`: in tries; a percentage is of ten tries. */
  | { kind: 'number'; value: number; isPercent: boolean; text: string; at: number; end: number }
  /** Words in a row, a quoted name, or (with `byId`) an id written as #id. */
  | { kind: 'name'; text: string; quoted: boolean; byId: boolean; at: number; end: number }
  | { kind: 'end'; text: ''; at: number; end: number }

/** With a point or a comma before the tenths. */
const NUMBER = /^(\d+(?:[.,]\d+)?)(\s*%)?(?![\p{L}\p{N}])/u
/** How many of how many, at the end of the words of a name: "6 of 10", "60 %", and for an answer "6 of" or "6", too. */
const OF_TEN = /\s+\d+([.,]\d+)?(\s*%|\s+of\s+\d+([.,]\d+)?)(\s+lands?)?\s*$/
const OF_TEN_BEGUN = /\s+\d+([.,]\d+)?(\s*%|\s+of(\s+\d+([.,]\d+)?)?)?\s*$/
const ID = /^#[a-z][a-z0-9-]*/
const QUOTED = /^"[^"]*"?/

/**
 * Splits a line into signs, numbers and names, each with its indices. Everything between brackets is one name, so that
 * names of places may contain commas.
 */
export function scan(line: string): Token[] {
  const tokens: Token[] = []
  let at = 0
  while (at < line.length) {
    const rest = line.slice(at)
    const space = /^\s+/.exec(rest)
    if (space) {
      at += space[0].length
      continue
    }
    const token = nextToken(rest, at, tokens[tokens.length - 1])
    tokens.push(token)
    at = token.end
  }
  tokens.push({ kind: 'end', text: '', at: line.length, end: line.length })
  return tokens
}

function nextToken(rest: string, at: number, before: Token | undefined): Token {
  const place = before?.text === '(' && before.kind === 'sign' ? /^[^)"#][^)]*/.exec(rest) : null
  if (place) {
    const text = place[0].trimEnd()
    return { kind: 'name', text, quoted: false, byId: false, at, end: at + text.length }
  }
  const number = NUMBER.exec(rest)
  if (number) {
    const isPercent = Boolean(number[2])
    const value = Number(sure(number[1]).replace(',', '.')) / (isPercent ? 10 : 1)
    return { kind: 'number', value, isPercent, text: number[0], at, end: at + number[0].length }
  }
  const quoted = QUOTED.exec(rest)
  if (quoted) {
    const text = quoted[0].replace(/^"|"$/g, '')
    return { kind: 'name', text, quoted: true, byId: false, at, end: at + quoted[0].length }
  }
  const id = ID.exec(rest)
  if (id) return { kind: 'name', text: id[0].slice(1), quoted: false, byId: true, at, end: at + id[0].length }
  if (SIGNS.includes(sure(rest[0]))) return { kind: 'sign', text: sure(rest[0]), at, end: at + 1 }
  return bareName(rest, at, before)
}

/** The words before the next sign. After the name of a move or an answer, how it goes is left out: "6 of 10". */
function bareName(rest: string, at: number, before: Token | undefined): Token {
  if (before?.kind === 'number' && /^of\s+\d/.test(rest)) {
    return { kind: 'name', text: 'of', quoted: false, byId: false, at, end: at + 2 }
  }
  let length = 0
  while (length < rest.length && !SIGNS.includes(sure(rest[length]))) length++
  const words = rest.slice(0, length)
  const isAnswer = before?.kind === 'sign' && (before.text === '>' || before.text === ',')
  const isHead = !before || (before.kind === 'sign' && before.text === ')')
  const tries = isAnswer ? OF_TEN_BEGUN.exec(words) : isHead ? OF_TEN.exec(words) : null
  const text = (tries ? words.slice(0, tries.index) : words).trimEnd()
  return { kind: 'name', text, quoted: false, byId: false, at, end: at + text.length }
}
