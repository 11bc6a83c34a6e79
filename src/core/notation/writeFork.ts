import { present } from '../sure'
import type { Answer } from '../chart/answer'
import type { Chart } from '../chart/chart'
import { END_IDS, isEndId, type CueId, type PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import type { Reaction } from '../chart/reaction'
import { totalOf, triesOf, type Tries } from '../chart/tries'
import { nameKey, WORDS, type Name } from './fork'
import { findAnswer, findCue, findMove, findPosition, findReaction } from './names'
import { bareOrQuoted } from './quoted'
import { subjectIn } from './writeSeen'

/** A move's fork as one line. Applying that line again with `applyFork` changes nothing. */
export function writeFork(chart: Chart, move: Move): string {
  const head = write(move, (name) => findMove(chart, move.from, name))
  const reply = move.reply ? ` ${WORDS.reply}` : ''
  const when = move.when?.length
    ? ` ${WORDS.when} ${move.when.map((id) => waitsFor(chart, move.from, id)).join(', ')}`
    : ''
  return `${head}${placed(chart, move.to)}${reply}${when}: ${body(chart, triesOf(move), move, true)}`.trimEnd()
}

/** The cue that a move waits for: as it ends, where that tells it from what else is seen in the position. */
function waitsFor(chart: Chart, position: PositionId, id: CueId): string {
  const cue = lookUp(chart.cues ?? [], id)
  if (!cue) return `#${id}`
  const short = cue.name.trim().slice(subjectIn(chart, position).length).trim()
  const isTold = short && findCue(chart, position, { text: short, at: 0, end: 0 })?.id === id && !short.includes('"')
  return isTold ? bareOrQuoted(short) : write(cue, (name) => findCue(chart, position, name))
}

/** The record's name, or its id as #id where `find` would take the name for another record. */
function write<R extends { id: string; name: string }>(record: R, find: (name: Name) => R | undefined): string {
  const name = { text: record.name, at: 0, end: 0 }
  return find(name)?.id === record.id && !record.name.includes('"') ? bareOrQuoted(record.name) : `#${record.id}`
}

const KEY_PLACES: readonly string[] = [WORDS.finish, ...END_IDS]
const isKeyPlace = (text: string) => KEY_PLACES.includes(nameKey(text))

function place(chart: Chart, id: string): string {
  if (KEY_PLACES.includes(id)) return id
  const position = chart.positions.find((record) => record.id === id)
  if (!position) return `#${id}`
  return isKeyPlace(position.name) ? `#${id}` : write(position, (name) => findPosition(chart, name))
}

/** A name to stand in brackets: there it needs quotes only if it contains a bracket or quotes. */
function placed(chart: Chart, id: string): string {
  const text = place(chart, id)
  const bare = text.replace(/^"|"$/g, '')
  return ` (${/[)"#]/.test(bare) || isKeyPlace(bare) ? text : bare})`
}

const count = (n: number) => String(Math.round(n * 1000) / 1000)

/** `withAnswers`: whether to write the answers of each reaction, which only a move's own fork does. */
function body(chart: Chart, tries: Tries, move: Move, withAnswers: boolean): string {
  const items: string[] = []
  if (tries.lands) items.push(`${count(tries.lands)} ${tries.lands === 1 ? 'lands' : 'land'}`)
  for (const [id, n] of Object.entries(tries.elsewhere ?? {})) {
    if (n > 0) items.push(isEndId(id) ? `${count(n)} ${id}` : `${count(n)} ends in ${place(chart, id)}`)
  }
  for (const [id, n] of Object.entries(tries.reactions ?? {})) {
    const reaction = chart.reactions.find((record) => record.id === id)
    if (n > 0 && reaction) items.push(`${count(n)} ${reactionText(chart, reaction, move, withAnswers)}`)
  }
  if (tries.stalls) items.push(`${count(tries.stalls)} ${WORDS.nothing}`)
  else if (items.length && totalOf(tries) < 10) items.push(`0 ${WORDS.nothing}`)
  return items.join('; ')
}

function reactionText(chart: Chart, reaction: Reaction, move: Move, withAnswers: boolean): string {
  const head = write(reaction, (name) => findReaction(chart, name, reaction.endsIn, move))
  const text = `${head}${placed(chart, reaction.endsIn)}`
  if (!withAnswers) return text
  const answers = chart.answers.filter((answer) => answer.reaction === reaction.id)
  if (!answers.length) return `${text} > ?`
  return `${text} > ${answers.map((answer) => answerText(chart, reaction, answer)).join(', ')}`
}

function answerText(chart: Chart, reaction: Reaction, answer: Answer): string {
  const move = present(chart.moves.find(({ id }) => id === answer.move))
  const head = `${write(move, (name) => findAnswer(chart, name, reaction))}${placed(chart, move.to)}`
  const { tries } = answer
  if (!tries) return head
  const some = (map: Record<string, number> | undefined) => Object.values(map ?? {}).some((n) => n > 0)
  const { lands = 0, stalls = 0 } = tries
  if (!some(tries.elsewhere) && !some(tries.reactions)) return `${head} ${count(lands)} of ${count(lands + stalls)}`
  return `${head} [${body(chart, tries, move, false)}]`
}
