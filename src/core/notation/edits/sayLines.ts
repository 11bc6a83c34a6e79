import { copyOf } from '../../typed'
import type { Chart } from '../../chart/chart'
import type { MoveId, PositionId } from '../../chart/ids'
import { applyFork, applyStill, nameHead, type StillSaid } from './applyFork'
import type { Created, Fork, ForkError, ForkResult, SeenLine } from '../fork'
import { readFork, readSeen, readStill, saysSeen } from '../readFork'
import { applySeen } from './applySeen'

export interface LineError extends ForkError {
  /** Index of the line, from 0. */
  line: number
}

export type SayResult = { ok: true; value: SaidLines } | { ok: false; errors: LineError[] }

export interface SaidLines {
  moves: MoveId[]
  created: Created[]
  isSeenSaid: boolean
}

/** Lines that are about one position. */
export interface Part {
  position: PositionId
  text: string
  /** Index of its first line in the whole text, from 0. */
  from: number
}

/**
 * Applies several lines to one position: forks, and what is seen there; blank lines are skipped. What is seen comes
 * first, and the moves that lines begin with are all created before any answer is looked up, so the order of lines does
 * not matter. If any line has an error, the chart is not changed and the errors are returned.
 */
export const sayLines = (chart: Chart, position: PositionId, text: string): SayResult =>
  sayParts(chart, [{ position, text, from: 0 }])

/** The same for lines of several positions; the order of the positions does not matter either. */
export function sayParts(chart: Chart, parts: readonly Part[]): SayResult {
  const { forks, seen, errors } = readParts(parts)
  if (errors.length) return { ok: false, errors }
  const copy = copyOf(chart)
  const value: SaidLines = { moves: [], created: [], isSeenSaid: seen.length > 0 }
  for (const { position, line, said } of seen)
    take(applySeen(copy, position, said), line, ({ created }) => add(created))
  for (const { position, said } of forks) nameHead(copy, position, said, value.created)
  for (const { position, line, said } of forks) {
    take(applyFork(copy, position, said), line, ({ move, created }) => {
      value.moves.push(move)
      add(created)
    })
  }
  if (errors.length) return { ok: false, errors }
  takeOver(chart, copy)
  return { ok: true, value }

  function add(created: Created[]) {
    value.created.push(...created)
  }

  function take<T>(result: ForkResult<T>, line: number, then: (value: T) => void) {
    if (result.ok) then(result.value)
    else errors.push(...result.errors.map((error) => ({ ...error, line })))
  }
}

interface At {
  position: PositionId
  line: number
}

/** What lines say, each with its position and its index; with what is wrong with those that cannot be read. */
function readParts(parts: readonly Part[]) {
  const forks: (At & { said: Fork })[] = []
  const seen: (At & { said: SeenLine })[] = []
  const errors: LineError[] = []
  for (const { position, text, from } of parts) {
    text.split(/\r?\n/).forEach((words, i) => {
      const line = from + i
      if (!words.trim()) return
      const read = saysSeen(words) ? readSeen(words) : readFork(words)
      if (!read.ok) errors.push(...read.errors.map((error) => ({ ...error, line })))
      else if ('cues' in read.value) seen.push({ position, line, said: read.value })
      else forks.push({ position, line, said: read.value })
    })
  }
  return { forks, seen, errors }
}

/**
 * Says what they do in a position while we hold still, in one line. If it has an error, the chart is not changed and
 * the errors are returned.
 */
export function sayStill(chart: Chart, position: PositionId, line: string): ForkResult<StillSaid> {
  const read = readStill(line)
  if (!read.ok) return read
  const copy = copyOf(chart)
  const said = applyStill(copy, position, read.value)
  if (said.ok) takeOver(chart, copy)
  return said
}

/** Takes over what a copy of the chart says. */
function takeOver(chart: Chart, copy: Chart): void {
  chart.positions = keeping(chart.positions, copy.positions)
  chart.moves = keeping(chart.moves, copy.moves)
  chart.reactions = keeping(chart.reactions, copy.reactions)
  chart.answers = keeping(chart.answers, copy.answers)
  if (copy.cues) chart.cues = keeping(chart.cues ?? [], copy.cues)
}

/** The copied records, with those that did not change replaced by the original objects. */
function keeping<R extends object>(records: readonly R[], copies: readonly R[]): R[] {
  const before = new Map(records.map((record) => [JSON.stringify(record), record]))
  return copies.map((copy) => before.get(JSON.stringify(copy)) ?? copy)
}
