import { toMoveId, toPositionId, toReactionId, type MoveId, type PositionId, type ReactionId } from '../ids'
import { sure } from '../../sure'
import type { Chart } from '../chart'
import { idFromName } from '../../document/ids'
import type { Move } from '../move'
import type { Position } from '../position'
import { COLD_GUESS, guessOut, isGuess, markGuess, setKindOf } from '../guesses'
import { isOwn, reactionsMet, triesOf } from '../tries'
import type { Ahead, Kind } from '../words'
import { idsIn, moveBefore, moveIn, positionIn, reactionIn } from './find'
import { unbreak } from './checkpoints'
import { dropRounds } from './positionalRounds'
import { cutRuns, removeRun } from './runs'
import { losePosition, loseReaction, setUnprompted } from './tries'

/* What a coach does to the records. Each works on a draft of the chart and leaves it sound. */

export function addPosition(chart: Chart, fields: Omit<Position, 'id'>): PositionId {
  const id = toPositionId(idFromName(fields.name, idsIn(chart.positions)))
  chart.positions.push({ id, ...fields })
  return id
}

export function addMove(chart: Chart, fields: Omit<Move, 'id'>): MoveId {
  const id = toMoveId(idFromName(fields.name, idsIn(chart.moves)))
  chart.moves.push({ id, ...fields })
  return id
}

/** Charts a reaction and has the move meet it: see `meetReaction`. */
export function addReaction(chart: Chart, move: MoveId, name: string, endsIn: PositionId, count?: number): ReactionId {
  const id = toReactionId(idFromName(name, idsIn(chart.reactions)))
  chart.reactions.push({ id, name, endsIn })
  meetReaction(chart, move, id, count)
  return id
}

const USUAL_MEETING = 2

/**
 * The move meets a charted reaction too, in `count` of the tries of which nothing came so far, or beside them where
 * there are not so many. Without a count it is a guess, and so are the tries then.
 */
export function meetReaction(chart: Chart, move: MoveId, reaction: ReactionId, count?: number): void {
  reactionIn(chart, reaction)
  const record = moveIn(chart, move)
  const { stalls, ...tries } = triesOf(record)
  const n = count ?? USUAL_MEETING
  record.tries = {
    ...tries,
    ...(stalls === undefined ? {} : { stalls: Math.max(0, stalls - n) }),
    reactions: { ...tries.reactions, [reaction]: n },
    ...(count === undefined ? { weight: tries.weight ?? 1 } : {}),
  }
}

/** The move no longer meets the reaction; a reaction that nothing meets any more goes too. */
export function unmeetReaction(chart: Chart, move: MoveId, reaction: ReactionId): void {
  const record = moveIn(chart, move)
  loseReaction(record, reaction)
  const isMet =
    [...chart.moves, ...chart.answers].some((one) => reactionsMet(one).includes(reaction)) ||
    chart.positions.some(({ unprompted }) => unprompted?.reactions[reaction] !== undefined)
  if (!isMet) removeReaction(chart, reaction)
}

export function rename(chart: Chart, kind: 'positions' | 'moves' | 'reactions', id: string, name: string): void {
  const record =
    kind === 'positions'
      ? positionIn(chart, toPositionId(id))
      : kind === 'moves'
        ? moveIn(chart, toMoveId(id))
        : reactionIn(chart, toReactionId(id))
  record.name = name
}

/** Takes a move away with all that names it: answers, steps of runs, rounds, and what breaks its checkpoints. */
export function removeMove(chart: Chart, id: MoveId): void {
  for (const { id: checkpoint } of moveIn(chart, id).checkpoints ?? []) {
    if (isElsewhere(chart, id, checkpoint)) continue
    unbreak(chart, checkpoint)
  }
  chart.moves = chart.moves.filter((move) => move.id !== id)
  chart.answers = chart.answers.filter(({ move }) => move !== id)
  for (const reaction of chart.reactions) if (reaction.mirror === id) delete reaction.mirror
  cutRuns(chart, ({ move }) => move === id)
  dropRounds(chart, ({ move }) => move === id)
}

/** Whether another move has a checkpoint of that id too. */
const isElsewhere = (chart: Chart, move: MoveId, checkpoint: string) =>
  chart.moves.some(({ id, checkpoints }) => id !== move && checkpoints?.some((one) => one.id === checkpoint))

/** Takes a reaction away: nothing comes of the tries that met it. */
export function removeReaction(chart: Chart, id: ReactionId): void {
  reactionIn(chart, id)
  chart.reactions = chart.reactions.filter((reaction) => reaction.id !== id)
  chart.answers = chart.answers.filter(({ reaction }) => reaction !== id)
  for (const record of [...chart.moves, ...chart.answers]) loseReaction(record, id)
  for (const { id: position, unprompted } of chart.positions) {
    if (unprompted?.reactions[id] === undefined) continue
    setUnprompted(chart, position, unprompted.every, { ...unprompted.reactions, [id]: 0 })
  }
  cutRuns(chart, (step) => step.reaction === id)
  dropRounds(chart, ({ reaction }) => reaction === id)
}

/** Takes a position away with all that begins, lands or ends in it. */
export function removePosition(chart: Chart, id: PositionId): void {
  positionIn(chart, id)
  for (const move of chart.moves.filter(({ from, to }) => from === id || to === id)) removeMove(chart, move.id)
  for (const reaction of chart.reactions.filter(({ endsIn }) => endsIn === id)) removeReaction(chart, reaction.id)
  for (const record of [...chart.moves, ...chart.answers]) {
    if (record.stallsIn === id) delete record.stallsIn
    losePosition(record, id)
  }
  chart.positions = chart.positions.filter((position) => position.id !== id)
  for (const position of chart.positions) {
    if (position.mirror === id) delete position.mirror
    if (position.slipsTo === id) delete position.slipsTo
  }
  delete chart.settings?.slope?.places?.[id]
  for (const run of (chart.runs ?? []).filter(({ start }) => start === id)) removeRun(chart, run.id)
  cutRuns(chart, ({ elsewhere }) => elsewhere === id)
  dropRounds(chart, ({ position }) => position === id)
}

/** Puts a position in another's place, which moves one on. */
export function swapPositions(chart: Chart, id: PositionId, other: PositionId): void {
  const from = chart.positions.indexOf(positionIn(chart, id))
  const to = chart.positions.indexOf(positionIn(chart, other))
  moveBefore(chart.positions, from, to > from ? to + 1 : to)
}

/** Where a move lands; one that ends the exchange is a submission. */
export function setLanding(chart: Chart, id: MoveId, to: PositionId | 'finish'): void {
  const move = moveIn(chart, id)
  move.to = to
  if (to === 'finish') setKindOf(move, 'submission')
}

/** What kind of move it is. */
export const setKind = (chart: Chart, id: MoveId, kind: Kind): void => setKindOf(moveIn(chart, id), kind)

/** Who is ahead in a position; how long a good partner stays follows as long as that is a guess. */
export function setAhead(chart: Chart, id: PositionId, ahead: Ahead): void {
  const position = positionIn(chart, id)
  const follows = isGuess(position, 'ahead') || isGuess(position, 'out')
  position.ahead = ahead
  markGuess(position, 'ahead', false)
  if (follows) guessOut(position)
}

/** The family of a position; how long a good partner stays follows as long as that is a guess. */
export function setFamily(chart: Chart, id: PositionId, family: string): void {
  const position = positionIn(chart, id)
  position.family = family
  if (isGuess(position, 'out')) guessOut(position)
}

/** Whether a move does something to the sides (`turns`). */
export function setTurn(chart: Chart, id: MoveId, turn: string, isOn: boolean): void {
  const move = moveIn(chart, id)
  const { [turn]: _, ...others } = move.turns ?? {}
  const turns = isOn ? { ...others, [turn]: true } : others
  if (Object.keys(turns).length) move.turns = turns
  else delete move.turns
}

/** A fact of a position's orientation, such as which side is up; an empty one goes. */
export function setFact(chart: Chart, id: PositionId, key: string, side: string): void {
  const position = positionIn(chart, id)
  const { [key]: _, ...others } = position.orientation ?? {}
  const orientation = side ? { ...others, [key]: side } : others
  if (Object.keys(orientation).length) position.orientation = orientation
  else delete position.orientation
}

/** Mean seconds until they finish us in a position; undefined: they do not. */
export function setThreat(chart: Chart, id: PositionId, every: number | undefined): void {
  const position = positionIn(chart, id)
  if (every === undefined) delete position.threat
  else position.threat = { ...position.threat, every }
}

/** Mean seconds until a good partner is gone from a position; undefined: nobody gets out but by what is charted. */
export function setOut(chart: Chart, id: PositionId, every: number | undefined): void {
  const position = positionIn(chart, id)
  markGuess(position, 'out', false)
  if (every === undefined) delete position.out
  else position.out = { ...position.out, every }
}

/** Whether a move is tried only as an answer. One that is tried cold as well gets tries to begin with. */
export function setReply(chart: Chart, id: MoveId, isReply: boolean): void {
  const move = moveIn(chart, id)
  if (isReply) move.reply = true
  else {
    delete move.reply
    if (!isOwn(move)) move.tries = { ...COLD_GUESS }
  }
}

/** They no longer do it in a position while we hold still. */
export function dropUnprompted(chart: Chart, id: PositionId, reaction: ReactionId): void {
  const { unprompted } = positionIn(chart, id)
  if (unprompted) setUnprompted(chart, id, unprompted.every, { ...unprompted.reactions, [reaction]: 0 })
}

/** Puts a move before another of its position, or last. */
export function moveMove(chart: Chart, id: MoveId, before: MoveId | null): void {
  const from = chart.moves.indexOf(moveIn(chart, id))
  moveBefore(chart.moves, from, before === null ? chart.moves.length : chart.moves.indexOf(moveIn(chart, before)))
}

/** The order of a move's reactions is the order in which its tries name them. */
export function orderReactions(chart: Chart, move: MoveId, order: ReactionId[]): void {
  const record = moveIn(chart, move)
  if (!record.tries) return
  const before = record.tries.reactions ?? {}
  const known = order.filter((id) => before[id] !== undefined)
  const others = Object.keys(before).filter((id) => !order.includes(toReactionId(id)))
  record.tries = {
    ...record.tries,
    reactions: Object.fromEntries([...known, ...others].map((id) => [id, sure(before[id])])),
  }
}
