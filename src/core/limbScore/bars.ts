import type { Chart } from '../chart/chart'
import type { Hold } from '../chart/hold'
import { holder } from '../chart/hold'
import type { Limb } from '../chart/words'
import { lookUp } from '../chart/lookUp'
import type { Beat } from './play'
import { partHeld, ROWS, rowsWith, type Row } from './rows'

/** A hold drawn on a line of the score, from one beat to another (indices into the beats, both included). */
export interface Bar {
  hold: Hold
  /** `holds`: the line's limb takes the hold. `held`: the hold is on the line's limb. */
  role: 'holds' | 'held'
  from: number
  to: number
  /** Index of the lane within the line, for bars that overlap in time. */
  lane: number
}

export interface ScoreLine {
  row: Row
  /** The single part that the line shows, where its row is open. */
  part?: Limb
  bars: Bar[]
  lanes: number
}

/** The ranges of beats in which a hold is on (indices, both ends included), first to last. */
export function stretches(beats: readonly Beat[], hold: string): { from: number; to: number }[] {
  const found: { from: number; to: number }[] = []
  beats.forEach(({ holds }, i) => {
    if (!holds.some((id) => id === hold)) return
    const last = found.at(-1)
    if (last?.to === i - 1) last.to = i
    else found.push({ from: i, to: i })
  })
  return found
}

/**
 * The lines of a score with their bars. A row of several parts for which `isOpen` is true has one line for each part;
 * every other row has a single line.
 */
export function linesOf(chart: Chart, beats: readonly Beat[], isOpen: (row: Row) => boolean): ScoreLine[] {
  const ids = [...new Set(beats.flatMap(({ holds }) => holds))]
  const holds = ids.flatMap((id) => lookUp(chart.holds, id) ?? [])
  return ROWS.flatMap((row): ScoreLine[] => {
    if (!isOpen(row) || row.parts.length === 1) return [lineOf(beats, holds, row)]
    return row.parts.map((part) => lineOf(beats, holds, row, part))
  })
}

function lineOf(beats: readonly Beat[], holds: readonly Hold[], row: Row, part?: Limb): ScoreLine {
  const bars = holds.flatMap((hold) => {
    const role = roleOn(hold, row, part)
    return role ? stretches(beats, hold.id).map((stretch) => ({ hold, role, ...stretch, lane: 0 })) : []
  })
  const lanes = layInLanes(bars)
  return { row, ...(part ? { part } : {}), bars, lanes }
}

function roleOn(hold: Hold, row: Row, part?: Limb): Bar['role'] | null {
  const { holds, held } = rowsWith(hold)
  if (holds.includes(row) && (!part || hold.limbs.includes(part))) return 'holds'
  if (held === row && holder(hold) !== row.by && (!part || partHeld(hold.on) === part)) return 'held'
  return null
}

/** Gives every bar the first lane that is free over its whole length. Returns the number of lanes, at least 1. */
function layInLanes(bars: Bar[]): number {
  const ends: number[] = []
  for (const bar of [...bars].sort((a, b) => a.from - b.from)) {
    let lane = ends.findIndex((end) => end < bar.from)
    if (lane < 0) lane = ends.length
    bar.lane = lane
    ends[lane] = bar.to
  }
  return Math.max(1, ends.length)
}
