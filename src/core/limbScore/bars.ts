import type { Chart } from '../chart/chart'
import type { Hold } from '../chart/hold'
import { holder } from '../chart/hold'
import type { Limb } from '../chart/words'
import { lookUp } from '../chart/lookUp'
import type { Beat } from './play'
import { partHeld, ROWS, rowsWith, type Row } from './rows'

/** A hold on a line of the score, from one beat to another (both in it). */
export interface Bar {
  hold: Hold
  /** `holds`: the line is of a limb that does it. `held`: of the limb that it is done to. */
  role: 'holds' | 'held'
  from: number
  to: number
  /** Which of the lines that run side by side in the row. */
  lane: number
}

export interface ScoreLine {
  row: Row
  /** Where the row is open: the one part that this line is of. */
  part?: Limb
  bars: Bar[]
  lanes: number
}

/** The stretches of beats in which a hold is on. */
export function stretches(beats: readonly Beat[], hold: string): { from: number; to: number }[] {
  const found: { from: number; to: number }[] = []
  beats.forEach(({ holds }, i) => {
    if (!(holds as readonly string[]).includes(hold)) return
    const last = found.at(-1)
    if (last?.to === i - 1) last.to = i
    else found.push({ from: i, to: i })
  })
  return found
}

/**
 * The lines of a score; a row of which `isOpen` is true has one for each part, besides those that are done to the
 * whole.
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

/**
 * Gives every bar the first lane that is free over its whole length. Returns how many lanes there are, at least one.
 */
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
