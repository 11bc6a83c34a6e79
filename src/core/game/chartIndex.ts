import type { Answer } from '../chart/answer'
import type { Chart } from '../chart/chart'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import type { Reaction } from '../chart/reaction'
import { DEFAULT_MOVE_SECONDS } from '../chart/move'
import { DEFAULT_REACTION_SECONDS } from '../chart/reaction'
import { withRounds, type Tries } from '../chart/tries'
import { strikeChangesOf } from '../chart/ruleSets'
import { HoldTable, NO_HOLDS, type HoldSet } from '../holds/holdTable'
import type { Scenario } from './scenario'

/** Places that are not charted positions. */
export const CAUGHT = -1
export const FINISH = -2

/** Counts with ids turned into indices; `elsewhere` may hold `CAUGHT`. */
export interface TryCounts {
  lands: number
  stalls: number
  elsewhere: [place: number, count: number][]
  /** In the order of the chart's reactions. */
  reactions: [reaction: number, count: number][]
}

export interface IndexedMove {
  record: Move
  from: number
  to: number
  seconds: number
  across: boolean
  /** The rules in force do not allow it, or the coach does it another way. */
  isOut: boolean
  tries: TryCounts
  /** Absent where it stalls in `from`. */
  stallsIn?: number
  needs: HoldSet
  adds: HoldSet
  drops: HoldSet
  keeps: HoldSet
  strips: HoldSet
}

export interface IndexedAnswer {
  record: Answer
  index: number
  move: number
  tries: TryCounts
  stallsIn?: number
}

export interface IndexedReaction {
  record: Reaction
  endsIn: number
  seconds: number
  strips: HoldSet
  adds: HoldSet
  answers: IndexedAnswer[]
  /** How much of it is left where strikes are allowed, 0 to 1. */
  underStrikes: number
}

export interface IndexedPosition {
  record: Position
  own: HoldSet
  moves: number[]
  unprompted: [reaction: number, count: number][]
}

/** The chart with every id resolved; still in the coach's words. */
export interface ChartIndex {
  holds: HoldTable
  positions: IndexedPosition[]
  moves: IndexedMove[]
  reactions: IndexedReaction[]
  positionOf: Map<string, number>
}

/** What of a scenario decides which records count. */
export type Allowed = Pick<Scenario, 'holds' | 'aside' | 'forbids' | 'noFinish' | 'strikes'>

const EVERYTHING: Allowed = { holds: true, aside: [], forbids: [], noFinish: false, strikes: [] }

/** Resolves a checked chart's ids. Without holds every list of them counts as empty. */
export function indexChart(chart: Chart, allowed: Allowed = EVERYTHING): ChartIndex {
  const { holds: useHolds, strikes } = allowed
  const holds = new HoldTable(useHolds ? (chart.holds ?? []) : [])
  const setOf = (ids: readonly string[] | undefined) => (useHolds ? holds.setOf(ids) : NO_HOLDS)
  const positionOf = new Map<string, number>(chart.positions.map(({ id }, i) => [id, i]))
  const reactionOf = new Map<string, number>(chart.reactions.map(({ id }, i) => [id, i]))
  const moveOf = new Map<string, number>(chart.moves.map(({ id }, i) => [id, i]))
  const place = (id: string) => (id === 'caught' ? CAUGHT : id === 'finish' ? FINISH : positionOf.get(id)!)

  const reactionCounts = (counts: Record<string, number> | undefined) =>
    Object.entries(counts ?? {})
      .map(([id, n]): [number, number] => [reactionOf.get(id)!, n])
      .filter(([, n]) => n > 0)
      .sort(([a], [b]) => a - b)
  const triesOf = (guess: Tries): TryCounts => {
    const tries = withRounds(guess)
    return {
      lands: tries.lands ?? 0,
      stalls: tries.stalls ?? 0,
      elsewhere: Object.entries(tries.elsewhere ?? {}).flatMap(([id, n]) => (n > 0 ? [[place(id), n]] : [])),
      reactions: reactionCounts(tries.reactions),
    }
  }

  const moves = chart.moves.map((move): IndexedMove => {
    const stallsIn = move.stallsIn === undefined ? undefined : place(move.stallsIn)
    const from = place(move.from)
    return {
      record: move,
      from,
      to: place(move.to),
      seconds: move.seconds ?? DEFAULT_MOVE_SECONDS,
      across: move.across ?? false,
      isOut: isOut(move, allowed),
      tries: triesOf(move.tries),
      stallsIn: stallsIn === from ? undefined : stallsIn,
      needs: setOf(move.needs),
      adds: setOf(move.adds),
      drops: setOf(move.drops),
      keeps: setOf(move.keeps),
      strips: setOf(move.strips),
    }
  })
  const reactions = chart.reactions.map((reaction): IndexedReaction => ({
    record: reaction,
    endsIn: place(reaction.endsIn),
    seconds: reaction.seconds ?? DEFAULT_REACTION_SECONDS,
    strips: setOf(reaction.strips),
    adds: setOf(reaction.adds),
    answers: [],
    underStrikes: leftUnderStrikes(reaction, strikes),
  }))
  chart.answers.forEach((answer, index) => {
    const move = moveOf.get(answer.move)!
    reactions[reactionOf.get(answer.reaction)!].answers.push({
      record: answer,
      index,
      move,
      tries: answer.tries ? triesOf(answer.tries) : moves[move].tries,
      stallsIn: answer.stallsIn === undefined ? undefined : place(answer.stallsIn),
    })
  })
  const positions = chart.positions.map((position): IndexedPosition => ({
    record: position,
    own: setOf(position.holds),
    moves: [],
    unprompted: reactionCounts(position.unprompted?.reactions),
  }))
  moves.forEach((move, i) => positions[move.from].moves.push(i))
  return { holds, positions, moves, reactions, positionOf }
}

const isOut = ({ id, to, tags }: Move, { aside, forbids, noFinish }: Allowed): boolean =>
  (noFinish && to === 'finish') || aside.includes(id) || (tags?.some((tag) => forbids.includes(tag)) ?? false)

const leftUnderStrikes = ({ uses = [], usesAny = [] }: Reaction, strikes: Allowed['strikes']): number =>
  strikeChangesOf([...uses, ...usesAny], strikes).reduce((left, change) => Math.min(left, change.left), 1)
