import { toHoldId, type MoveId } from '../ids'
import { sure } from '../../sure'
import type { Chart } from '../chart'
import { idFromName } from '../../document/ids'
import type { Checkpoint, Fault } from '../move'
import { Gone, idsIn, moveBefore, moveIn } from './find'

/** Adds a checkpoint at the end; its id is unlike that of any other in the chart, since reactions name it. */
export function addCheckpoint(chart: Chart, move: MoveId, text: string): string {
  const taken = idsIn(chart.moves.flatMap(({ checkpoints }) => checkpoints ?? []))
  const id = idFromName(text.slice(0, 40), taken)
  const record = moveIn(chart, move)
  record.checkpoints = [...(record.checkpoints ?? []), { id, text }]
  return id
}

function at(chart: Chart, move: MoveId, id: string): { list: Checkpoint[]; index: number } {
  const list = moveIn(chart, move).checkpoints ?? []
  const index = list.findIndex((checkpoint) => checkpoint.id === id)
  if (index < 0) throw new Gone('checkpoint', id)
  return { list, index }
}

/** Sets its text, test or gate; an empty test or gate goes. */
export function setCheckpoint(
  chart: Chart,
  move: MoveId,
  id: string,
  field: 'text' | 'test' | 'until',
  value: string,
): void {
  const { list, index } = at(chart, move, id)
  if (value.trim() || field === 'text') sure(list[index])[field] = value.trim()
  else delete sure(list[index])[field]
}

/** Sets the release gate in holds; without both there is none. */
export function setGate(chart: Chart, move: MoveId, id: string, hold: string, next: string): void {
  const { list, index } = at(chart, move, id)
  if (hold && next) sure(list[index]).gate = { hold: toHoldId(hold), next: toHoldId(next) }
  else delete sure(list[index]).gate
}

/** Sets a part of its usual mistake; a mistake with nothing in it goes. */
export function setFault(chart: Chart, move: MoveId, id: string, field: keyof Fault, value: string): void {
  const { list, index } = at(chart, move, id)
  const fault = { ...{ mistake: '', result: '', fix: '' }, ...sure(list[index]).fault, [field]: value.trim() }
  if (fault.mistake || fault.result || fault.fix) sure(list[index]).fault = fault
  else delete sure(list[index]).fault
}

export function removeCheckpoint(chart: Chart, move: MoveId, id: string): void {
  const { list, index } = at(chart, move, id)
  list.splice(index, 1)
  unbreak(chart, id)
}

/** No reaction breaks the checkpoint any more. */
export function unbreak(chart: Chart, checkpoint: string): void {
  for (const reaction of chart.reactions) {
    if (!reaction.breaks?.includes(checkpoint)) continue
    const breaks = reaction.breaks.filter((broken) => broken !== checkpoint)
    if (breaks.length) reaction.breaks = breaks
    else delete reaction.breaks
  }
}

export function shiftCheckpoint(chart: Chart, move: MoveId, id: string, by: -1 | 1): void {
  const { list, index } = at(chart, move, id)
  if (index + by < 0 || index + by >= list.length) return
  moveBefore(list, index, by < 0 ? index - 1 : index + 2)
}
