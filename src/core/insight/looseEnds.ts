import { sure, present } from '../sure'
import type { Position } from '../chart/position'
import type { Chart } from '../chart/chart'
import type { MoveId, PositionId, ReactionId } from '../chart/ids'
import { goingBy, isOwn, wholeOf, withoutReaction } from '../chart/tries'
import type { ChartIndex, IndexedMove } from '../game/chartIndex'
import type { TryCounts } from '../game/tryCounts'
import { inFull } from '../game/describe'
import { NONE, type Game } from '../game/game'
import { metHolds, sharesOf, unpromptedChances, VANISHING } from '../game/rules'
import type { HoldSet } from '../holds/holdTable'
import type { Occupancy } from '../solve/occupancy'

/** A reaction where it is met. */
export interface MetWhere {
  /** What meets it: a move; an answer with tries of its own (by its index in the chart); or they do it unprompted. */
  met: { by: 'move'; move: MoveId } | { by: 'answer'; move: MoveId; answer: number } | { by: 'unprompted' }
  position: PositionId
  reaction: ReactionId
}

/** They get out of a position, in a way that is not charted. */
export interface GettingOut {
  met: { by: 'out' }
  position: PositionId
  reaction: null
}

/**
 * A reaction that has weight and no feasible answer when it is met from the position's own holds; or that they get out
 * of a position of which the own holds leave them that chance.
 */
export type LooseEnd = MetWhere | GettingOut

/** All loose ends in file order: the unanswered reactions, then where they get out. */
export function looseEndsOf(index: ChartIndex): LooseEnd[] {
  const gettingOut = index.positions.flatMap(({ record, own }) =>
    record.out && index.holds.left(record.out, own, 'ours') > VANISHING
      ? [{ met: { by: 'out' as const }, position: record.id, reaction: null }]
      : [],
  )
  return [...unansweredOf(index), ...gettingOut]
}

/** All unanswered reactions in file order: of moves, then of answers with tries of their own, then unprompted. */
export function unansweredOf(index: ChartIndex): MetWhere[] {
  const own = (move: IndexedMove) => sure(index.positions[move.from]).own
  const place = (move: IndexedMove) => sure(index.positions[move.from]).record.id
  const whole = index.moves.filter(({ probeOf, isReply }) => probeOf === undefined && !isReply)
  const ofMoves = whole.flatMap((move) =>
    openReactions(index, move, move.tries, own(move)).map((r): MetWhere => ({
      met: { by: 'move', move: move.record.id },
      position: place(move),
      reaction: sure(index.reactions[r]).record.id,
    })),
  )
  const answers = index.reactions
    .flatMap((reaction) => reaction.answers)
    .filter(({ record, move }) => isOwn(record) && sure(index.moves[move]).probeOf === undefined)
  const ofAnswers = answers
    .sort((a, b) => a.index - b.index)
    .flatMap((answer) => {
      const move = sure(index.moves[answer.move])
      return openReactions(index, move, answer.tries, own(move)).map((r): MetWhere => ({
        met: { by: 'answer', move: move.record.id, answer: answer.index },
        position: place(move),
        reaction: sure(index.reactions[r]).record.id,
      }))
    })
  const unprompted = index.positions.flatMap((position, p) =>
    unpromptedChances(index, p, position.own)
      .filter(([r]) => !isAnswered(index, r, metHolds(index, sure(index.reactions[r]), position.own, 0n)))
      .map(([r]): MetWhere => ({
        met: { by: 'unprompted' },
        position: position.record.id,
        reaction: sure(index.reactions[r]).record.id,
      })),
  )
  return [...ofMoves, ...ofAnswers, ...unprompted]
}

function openReactions(index: ChartIndex, move: IndexedMove, tries: TryCounts, holds: HoldSet): number[] {
  const shares = sharesOf(index, move, tries, holds)
  if (!shares) return []
  return shares.reactions
    .map(([r]) => r)
    .filter((r) => !isAnswered(index, r, metHolds(index, sure(index.reactions[r]), holds, move.drops)))
}

function isAnswered(index: ChartIndex, r: number, holds: HoldSet): boolean {
  return sure(index.reactions[r]).answers.some(
    (answer) => sharesOf(index, sure(index.moves[answer.move]), answer.tries, holds) !== null,
  )
}

/**
 * The chart with the tries of the loose end moved to stalling; unprompted they do nothing instead, and nobody gets out.
 */
export function withoutLooseEnd(chart: Chart, end: LooseEnd): Chart {
  const { met, position, reaction } = end
  if (reaction !== null && met.by === 'move') {
    const moves = chart.moves.map((move) =>
      move.id === met.move ? goingBy(move, withoutReaction(wholeOf(move), reaction)) : move,
    )
    return { ...chart, moves }
  }
  if (reaction !== null && met.by === 'answer') {
    const answers = chart.answers.map((answer, i) =>
      i === met.answer ? goingBy(answer, withoutReaction(wholeOf(answer), reaction)) : answer,
    )
    return { ...chart, answers }
  }
  const positions = chart.positions.map((record) =>
    record.id !== position ? record : reaction === null ? withoutOut(record) : withoutUnprompted(record, reaction),
  )
  return { ...chart, positions }
}

function withoutOut({ out: _, ...rest }: Position): Position {
  return rest
}

/** The position without one unprompted reaction; the others keep their rates. */
function withoutUnprompted(position: Position, reaction: string): Position {
  const { unprompted, ...rest } = position
  if (!unprompted) return position
  const all = Object.values(unprompted.reactions).reduce((total, n) => total + n, 0)
  const reactions = { ...unprompted.reactions }
  const left = all - (reactions[reaction] ?? 0)
  delete reactions[reaction]
  return left > 0 ? { ...rest, unprompted: { ...unprompted, every: (unprompted.every * all) / left, reactions } } : rest
}

/** Expected times per exchange that each loose end is met under the best plan. */
export function visitsOf(game: Game, occupancy: Occupancy, ends: readonly LooseEnd[]): number[] {
  const { index, actionMove, actionAnswer, outcomeReaction, groupPlace } = game.meaning
  const visits = new Map<string, number>()
  const ownTries = new Set(
    index.reactions.flatMap(({ answers }) =>
      answers.filter(({ record }) => isOwn(record)).map((answer) => answer.index),
    ),
  )
  for (let g = 0; g < game.groupCount; g++) {
    for (let a = sure(game.groupActions[g]); a < sure(game.groupActions[g + 1]); a++) {
      const meets = meetingKey(
        inFull(game, sure(actionMove[a])),
        ownTries.has(sure(actionAnswer[a])) ? sure(actionAnswer[a]) : NONE,
        sure(groupPlace[g]),
      )
      for (let o = sure(game.reactionsFrom[a]); o < sure(game.outcomes[a + 1]); o++) {
        const key = `${meets} ${sure(index.reactions[sure(outcomeReaction[o])]).record.id}`
        visits.set(key, (visits.get(key) ?? 0) + sure(occupancy.outcomes[o]))
      }
    }
  }
  const moveOf = new Map(index.moves.map(({ record, probeOf }, m) => [record.id, probeOf ?? m]))
  const gone = goneByPosition(game, occupancy)
  return ends.map(({ met, position, reaction }) => {
    if (met.by === 'out') return sure(gone[present(index.positionOf.get(position))])
    const move = met.by === 'unprompted' ? NONE : present(moveOf.get(met.move))
    const answer = met.by === 'answer' ? met.answer : NONE
    return visits.get(`${meetingKey(move, answer, present(index.positionOf.get(position)))} ${reaction}`) ?? 0
  })
}

/** By position: the chance that an exchange is over because they got out of it. */
function goneByPosition({ groupCount, groupIsReaction, meaning }: Game, occupancy: Occupancy): Float64Array {
  const gone = new Float64Array(meaning.index.positions.length)
  for (let g = 0; g < groupCount; g++) {
    const place = sure(meaning.groupPlace[g])
    const position = groupIsReaction[g] ? sure(meaning.index.reactions[place]).endsIn : place
    if (position >= 0) gone[position] = sure(gone[position]) + sure(occupancy.gone[g])
  }
  return gone
}

function meetingKey(move: number, answer: number, position: number): string {
  if (answer !== NONE) return `answer ${answer}`
  return move === NONE ? `unprompted ${position}` : `move ${move}`
}
