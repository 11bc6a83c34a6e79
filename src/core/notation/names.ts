import type { Chart } from '../chart/chart'
import type { PositionId, ReactionId } from '../chart/ids'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import type { Reaction } from '../chart/reaction'
import { nameKey, type Name } from './fork'

interface Named {
  id: string
  name: string
  aliases?: string[]
}

/** True when a name in the text means this record: by id, name or alias. */
export function means(name: Name, record: Named): boolean {
  if (name.byId) return record.id === name.text
  const key = nameKey(name.text)
  return nameKey(record.name) === key || (record.aliases ?? []).some((alias) => nameKey(alias) === key)
}

/** Of the records that a name means: one that it is the very name of before one that it is an alias of. */
function find<R extends Named>(
  records: readonly R[],
  name: Name,
  ...prefer: ((record: R) => boolean)[]
): R | undefined {
  const meant = records.filter((record) => means(name, record))
  for (const preferred of prefer) {
    const found = meant.find(preferred)
    if (found) return found
  }
  return meant.find((record) => nameKey(record.name) === nameKey(name.text)) ?? meant[0]
}

export function findPosition(chart: Chart, name: Name): Position | undefined {
  return find(chart.positions, name)
}

/** The fork's own move: one that is tried from the position. */
export function findMove(chart: Chart, position: PositionId, name: Name): Move | undefined {
  return find(
    chart.moves.filter(({ from }) => from === position),
    name,
  )
}

/** A reaction by name; where it is said to end, only one that ends there. The move's own before others. */
export function findReaction(chart: Chart, name: Name, endsIn: string | undefined, move?: Move): Reaction | undefined {
  const candidates = chart.reactions.filter((reaction) => endsIn === undefined || reaction.endsIn === endsIn)
  return find(candidates, name, ({ id }) => move?.tries.reactions?.[id] !== undefined)
}

/** An answer's move: one that answers this reaction already, then one from where the reaction ends, then any. */
export function findAnswer(chart: Chart, name: Name, reaction: { id?: ReactionId; endsIn: string }): Move | undefined {
  const answering = new Set(chart.answers.filter((answer) => answer.reaction === reaction.id).map(({ move }) => move))
  return find(
    chart.moves,
    name,
    ({ id, from }) => answering.has(id) && from === reaction.endsIn,
    ({ id }) => answering.has(id),
    ({ from }) => from === reaction.endsIn,
  )
}
