import { idFromName } from '../../document/ids'
import { NOTHING_SEEN, TEN } from '../cue'
import { toCueId, type CueId, type MoveId, type PositionId } from '../ids'
import type { Chart } from '../chart'
import { Gone, idsIn, moveIn, positionIn } from './find'

/* What is seen on coming to a position, and which moves wait for it. */

/** Charts a cue and lets it be seen in a position, in `count` of the times at which nothing in particular was. */
export function addCue(chart: Chart, position: PositionId, name: string, count: number): CueId {
  const id = toCueId(idFromName(name, new Set([...idsIn(chart.cues ?? []), NOTHING_SEEN])))
  chart.cues = [...(chart.cues ?? []), { id, name }]
  const record = positionIn(chart, position)
  const { [NOTHING_SEEN]: nothing = 0, ...others } = record.seen ?? { [NOTHING_SEEN]: TEN }
  record.seen = { ...others, [NOTHING_SEEN]: Math.max(0, nothing - count) }
  setSeen(chart, position, id, count)
  return id
}

/** Calls a cue otherwise, wherever it is seen. Throws `Gone` where it is not charted. */
export function renameCue(chart: Chart, id: CueId, name: string): void {
  const cue = chart.cues?.find((one) => one.id === id)
  if (!cue) throw new Gone('cue', id)
  cue.name = name
}

/** How often of ten a cue, or nothing in particular, is seen on coming to a position. */
export function setSeen(chart: Chart, position: PositionId, cue: CueId | typeof NOTHING_SEEN, count: number): void {
  const record = positionIn(chart, position)
  record.seen = { ...record.seen, [cue]: count }
  keepSomethingSeen(chart, position)
}

/** A cue is no longer seen in a position: nothing there waits for it, and it goes where it is seen nowhere else. */
export function unsee(chart: Chart, position: PositionId, cue: CueId): void {
  const record = positionIn(chart, position)
  const { [cue]: _, ...seen } = record.seen ?? {}
  record.seen = seen
  for (const move of chart.moves) if (move.from === position) setWhen(chart, move.id, cue, false)
  keepSomethingSeen(chart, position)
  if (chart.positions.some((one) => one.seen?.[cue] !== undefined)) return
  chart.cues = (chart.cues ?? []).filter(({ id }) => id !== cue)
}

/** Whether a move waits until a cue is seen. One that waits for none is tried whatever is seen. */
export function setWhen(chart: Chart, id: MoveId, cue: CueId, waits: boolean): void {
  const move = moveIn(chart, id)
  const others = (move.when ?? []).filter((one) => one !== cue)
  const when = waits ? [...others, cue] : others
  if (when.length) move.when = when
  else delete move.when
}

/** Another position that a move is tried from; it waits only for what is seen there, too. */
export function setOrigin(chart: Chart, id: MoveId, from: PositionId): void {
  const move = moveIn(chart, id)
  const { seen } = positionIn(chart, from)
  move.from = from
  for (const cue of move.when ?? []) if (seen?.[cue] === undefined) setWhen(chart, id, cue, false)
}

/** Where no cue is left nothing is seen; where none has a count, nothing in particular is all that is. */
function keepSomethingSeen(chart: Chart, position: PositionId): void {
  const record = positionIn(chart, position)
  const { seen = {} } = record
  if (Object.keys(seen).every((id) => id === NOTHING_SEEN)) delete record.seen
  else if (!Object.values(seen).some((n) => n > 0)) record.seen = { ...seen, [NOTHING_SEEN]: 1 }
}
