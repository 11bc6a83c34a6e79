import type { Chart } from '../chart/chart'
import { NOTHING_SEEN, type Cue } from '../chart/cue'
import type { PositionId, ReactionId } from '../chart/ids'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import type { Reaction } from '../chart/reaction'
import { lookUp } from '../chart/lookUp'
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

/** What is seen in a position, in the order of the chart. */
const seenIn = (chart: Chart, position: PositionId): Cue[] => {
  const { seen = {} } = lookUp(chart.positions, position) ?? {}
  return (chart.cues ?? []).filter(({ id }) => id !== NOTHING_SEEN && seen[id] !== undefined)
}

/**
 * The cue that is meant: one that is seen in the position before any other, by its name, by its name behind what the
 * line says it is of ("far hand" and "at our neck"), and last by how it ends, where that tells it from the others here.
 */
export function findCue(chart: Chart, position: PositionId, name: Name, subject?: Name): Cue | undefined {
  const here = seenIn(chart, position)
  const whole = subject && { ...name, text: `${subject.text} ${name.text}` }
  for (const cues of [here, chart.cues ?? []]) {
    const found = (whole && !name.byId && find(cues, whole)) || find(cues, name)
    if (found) return found
  }
  const ending = name.byId ? [] : here.filter((cue) => nameKey(cue.name).endsWith(` ${nameKey(name.text)}`))
  return ending.length === 1 ? ending[0] : undefined
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
