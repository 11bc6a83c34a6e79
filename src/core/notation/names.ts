import type { Chart } from '../chart/chart'
import type { PositionId, ReactionId } from '../chart/ids'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import type { Reaction } from '../chart/reaction'
import { nameKey, type Name } from './fork'
import { reactionsMet } from '../chart/tries'

interface Named {
  id: string
  name: string
  aliases?: string[]
}

/** Whether a name in the line stands for this record: by id, name or alias. */
export function means(name: Name, record: Named): boolean {
  if (name.byId) return record.id === name.text
  const key = nameKey(name.text)
  return nameKey(record.name) === key || (record.aliases ?? []).some((alias) => nameKey(alias) === key)
}

/**
 * The record that a name stands for: the first for which the earliest of `prefer` holds, else one with this very name,
 * else the first with this alias. Undefined where there is none.
 */
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

/** The move that a fork is about: among those tried from the position. */
export function findMove(chart: Chart, position: PositionId, name: Name): Move | undefined {
  return find(
    chart.moves.filter(({ from }) => from === position),
    name,
  )
}

/**
 * A reaction by name. `endsIn`: only reactions that end there; undefined: any. Reactions that `move` meets already come
 * before others.
 */
export function findReaction(
  chart: Chart,
  name: Name,
  endsIn: string | undefined,
  move?: { tries?: { reactions?: Record<string, number> } | undefined },
): Reaction | undefined {
  const candidates = chart.reactions.filter((reaction) => endsIn === undefined || reaction.endsIn === endsIn)
  return find(candidates, name, ({ id }) => reactionsMet(move ?? {}).includes(id))
}

/**
 * The move of an answer: first one that already answers this reaction, then one that is tried from where the reaction
 * ends, then any other.
 */
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
