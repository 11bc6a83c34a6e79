import { copyOf } from '../../typed'
import type { Chart } from '../../chart/chart'
import type { MoveId, PositionId } from '../../chart/ids'
import { applyFork, applyStill, nameHead, type Said, type StillSaid } from './applyFork'
import type { Fork, ForkError, ForkResult } from '../fork'
import { readFork, readStill } from '../readFork'

export interface LineError extends ForkError {
  /** Index of the line, from 0. */
  line: number
}

export type SayResult =
  { ok: true; value: { moves: MoveId[]; created: Said['created'] } } | { ok: false; errors: LineError[] }

/**
 * Applies several forks of one position, one a line; blank lines are skipped. The moves that lines begin with are all
 * created before any answer is looked up, so the order of lines does not matter. If any line has an error, the chart is
 * not changed and the errors are returned.
 */
export function sayLines(chart: Chart, position: PositionId, text: string): SayResult {
  const errors: LineError[] = []
  const forks: { line: number; fork: Fork }[] = []
  text.split(/\r?\n/).forEach((line, i) => {
    if (!line.trim()) return
    const fork = readFork(line)
    if (fork.ok) forks.push({ line: i, fork: fork.value })
    else errors.push(...fork.errors.map((error) => ({ ...error, line: i })))
  })
  const copy = copyOf(chart)
  const created: Said['created'] = []
  const moves: MoveId[] = []
  if (!errors.length) for (const { fork } of forks) nameHead(copy, position, fork, created)
  for (const { line, fork } of errors.length ? [] : forks) {
    const said = applyFork(copy, position, fork)
    if (!said.ok) errors.push(...said.errors.map((error) => ({ ...error, line })))
    else {
      moves.push(said.value.move)
      created.push(...said.value.created)
    }
  }
  if (errors.length) return { ok: false, errors }
  take(chart, copy)
  return { ok: true, value: { moves, created } }
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
  if (said.ok) take(chart, copy)
  return said
}

/** Takes over what a copy of the chart says. */
function take(chart: Chart, copy: Chart): void {
  chart.positions = keeping(chart.positions, copy.positions)
  chart.moves = keeping(chart.moves, copy.moves)
  chart.reactions = keeping(chart.reactions, copy.reactions)
  chart.answers = keeping(chart.answers, copy.answers)
}

/** The copied records, with those that did not change replaced by the original objects. */
function keeping<R extends object>(records: readonly R[], copies: readonly R[]): R[] {
  const before = new Map(records.map((record) => [JSON.stringify(record), record]))
  return copies.map((copy) => before.get(JSON.stringify(copy)) ?? copy)
}
