import { sure } from '../sure'
import type { Answer } from '../chart/answer'
import { NOTHING_SEEN, type Cue } from '../chart/cue'
import type { Chart } from '../chart/chart'
import type { Move } from '../chart/move'
import type { Position, Threat } from '../chart/position'
import type { Reaction } from '../chart/reaction'
import { DEFAULT_MOVE_SECONDS } from '../chart/move'
import { DEFAULT_REACTION_SECONDS } from '../chart/reaction'
import { probeOf, type ProbeFactors } from '../chart/probe'
import type { StrikeChange } from '../chart/rules/ruleSet'
import { exposedBy, strikeChangesOf, struckIn } from '../chart/rules/ruleSets'
import { HoldTable, NO_HOLDS, type HoldSet } from '../holds/holdTable'
import { NONE } from './none'
import type { Scenario } from './scenario'
import { isOwn, wholeOf } from '../chart/tries'
import { asProbe, Counter, OVER, reactionsOf, type TryCounts } from './tryCounts'

export interface IndexedMove {
  record: Move
  from: number
  to: number
  seconds: number
  across: boolean
  /** Left out of the game: the rules in force forbid it, or the coach has chosen another way. */
  isOut: boolean
  tries: TryCounts
  /** Set on a move that is only shown: the index of the same move in full. Moves in full come first, in file order. */
  probeOf?: number
  /** Tried only as an answer. */
  isReply: boolean
  /** Cues, of which one must be seen for it to be tried from its position; empty: whatever is seen. */
  when: number[]
  /** Absent where it stalls in `from`. */
  stallsIn?: number | undefined
  /** The share of what comes to nothing in place that slips, and where that leads. Absent where nothing does. */
  slips?: { share: number; to: number } | undefined
  /** What is left of its landing where we can be hit meanwhile, 0 to 1. */
  underStrikes: number
  needs: HoldSet
  adds: HoldSet
  drops: HoldSet
  keeps: HoldSet
  strips: HoldSet
}

export interface IndexedAnswer {
  record: Answer
  index: number
  /** Index of the move in full, or of the move that is only shown. */
  move: number
  tries: TryCounts
  stallsIn?: number | undefined
}

export interface IndexedReaction {
  record: Reaction
  endsIn: number
  seconds: number
  strips: HoldSet
  adds: HoldSet
  answers: IndexedAnswer[]
  /** What is left of the reaction where the rules allow strikes, 0 to 1. */
  underStrikes: number
}

export interface IndexedPosition {
  record: Position
  own: HoldSet
  moves: number[]
  unprompted: [reaction: number, count: number][]
  /** Being hit here, where the rules allow strikes. */
  struck: Threat | undefined
  /** What is seen on coming here: cues in the chart's order, `NONE` for nothing in particular last; or nothing is. */
  seen: { cue: number; count: number; record: Cue | null }[]
}

/** The chart with every id resolved; still in the coach's words. */
export interface ChartIndex {
  holds: HoldTable
  positions: IndexedPosition[]
  moves: IndexedMove[]
  reactions: IndexedReaction[]
  cues: readonly Cue[]
  positionOf: Map<string, number>
}

/** The parts of a scenario that decide which records enter the game. */
export type Allowed = Pick<
  Scenario,
  'holds' | 'aside' | 'forbids' | 'noFinish' | 'strikes' | 'struck' | 'probe' | 'slips'
>

const EVERYTHING: Allowed = {
  ...{ holds: true, aside: [], forbids: [], noFinish: false, strikes: [], struck: [], probe: null, slips: 0 },
}

/** Resolves the ids of a checked chart to indices. With `holds: false` every list of holds is taken as empty. */
export function indexChart(chart: Chart, allowed: Allowed = EVERYTHING): ChartIndex {
  const { holds: useHolds, strikes } = allowed
  const holds = new HoldTable(useHolds ? (chart.holds ?? []) : [])
  const setOf = (ids: readonly string[] | undefined) => (useHolds ? holds.setOf(ids) : NO_HOLDS)
  const counter = new Counter(chart)
  const cueOf = new Map<string, number>((chart.cues ?? []).map(({ id }, i) => [id, i]))
  const moveOf = new Map<string, number>(chart.moves.map(({ id }, i) => [id, i]))

  const moves = chart.moves.map((move): IndexedMove => {
    const stallsIn = move.stallsIn === undefined ? undefined : counter.place(move.stallsIn)
    const from = counter.place(move.from)
    return {
      record: move,
      from,
      to: counter.place(move.to),
      seconds: move.seconds ?? DEFAULT_MOVE_SECONDS,
      across: move.across ?? false,
      isOut: isOut(move, allowed),
      isReply: move.reply ?? false,
      when: move.reply ? [] : (move.when ?? []).map((id) => cueOf.get(id)!),
      tries: counter.tries(wholeOf(move)),
      stallsIn: stallsIn === from ? undefined : stallsIn,
      underStrikes: leastLeft(exposedBy(move, sure(chart.positions[from]), allowed)),
      slips: stallsIn === undefined || stallsIn === from ? slipsOf(move, from, chart, counter, allowed) : undefined,
      needs: setOf(move.needs),
      adds: setOf(move.adds),
      drops: setOf(move.drops),
      keeps: setOf(move.keeps),
      strips: setOf(move.strips),
    }
  })
  const reactions = chart.reactions.map((reaction): IndexedReaction => ({
    record: reaction,
    endsIn: counter.place(reaction.endsIn),
    seconds: reaction.seconds ?? DEFAULT_REACTION_SECONDS,
    strips: setOf(reaction.strips),
    adds: setOf(reaction.adds),
    answers: [],
    underStrikes: leastLeft(strikeChangesOf(reaction, strikes)),
  }))
  chart.answers.forEach((answer, index) => {
    const move = moveOf.get(answer.move)!
    sure(reactions[counter.reactionOf.get(answer.reaction)!]).answers.push({
      record: answer,
      index,
      move,
      tries: isOwn(answer) ? counter.tries(wholeOf(answer)) : sure(moves[move]).tries,
      stallsIn: answer.stallsIn === undefined ? undefined : counter.place(answer.stallsIn),
    })
  })
  const positions = chart.positions.map((position): IndexedPosition => ({
    record: position,
    own: setOf(position.holds),
    moves: [],
    unprompted: counter.reactions(position.unprompted?.reactions),
    struck: struckIn(position, allowed.struck),
    seen: seenOf(position, chart.cues ?? []),
  }))
  addProbes(moves, reactions, allowed)
  moves.forEach(({ from, isReply }, i) => {
    if (!isReply) sure(positions[from]).moves.push(i)
  })
  return { holds, positions, moves, reactions, cues: chart.cues ?? [], positionOf: counter.positionOf }
}

/** What is seen in a position, with nothing in particular: what our holds take from the cues goes there. */
function seenOf({ seen }: Position, cues: readonly Cue[]): IndexedPosition['seen'] {
  if (!seen) return []
  const named = cues.flatMap((record, cue) => {
    const count = seen[record.id] ?? 0
    return count > 0 ? [{ cue, count, record }] : []
  })
  return [...named, { cue: NONE, count: seen[NOTHING_SEEN] ?? 0, record: null }]
}

/**
 * Adds, for each move that meets a reaction, a second version that is only shown, cold and as an answer. If nothing
 * comes of showing it, we stay where we were: its `stallsIn` does not apply, and nothing slips.
 */
function addProbes(moves: IndexedMove[], reactions: IndexedReaction[], { probe }: Allowed): void {
  if (!probe) return
  const shown = new Map<number, { move: number; factors: ProbeFactors }>()
  const met = new Set(
    reactions.flatMap(({ answers }) =>
      answers.filter(({ tries }) => reactionsOf(tries).length).map(({ move }) => move),
    ),
  )
  for (const [full, move] of [...moves.entries()]) {
    const factors = probeOf(move.record.probe, probe)
    if (!factors || !(reactionsOf(move.tries).length || met.has(full))) continue
    shown.set(full, { move: moves.length, factors })
    moves.push({ ...move, tries: asProbe(move.tries, factors), stallsIn: undefined, slips: undefined, probeOf: full })
  }
  for (const reaction of reactions) {
    const probes = reaction.answers.flatMap((answer): IndexedAnswer[] => {
      const as = shown.get(answer.move)
      return as ? [{ ...answer, move: as.move, tries: asProbe(answer.tries, as.factors), stallsIn: undefined }] : []
    })
    reaction.answers.push(...probes)
  }
}

/** What slips of a move that stalls in place; from a position that is theirs, letting go would be a gift. */
function slipsOf(
  move: Move,
  from: number,
  { positions }: Chart,
  counter: Counter,
  { slips }: Allowed,
): IndexedMove['slips'] {
  const { slipsTo, ahead } = sure(positions[from])
  const share = move.slips ?? slips
  if (share === 0 || (slipsTo === undefined && ahead === 'theirs')) return undefined
  return { share, to: slipsTo === undefined ? OVER : counter.place(slipsTo) }
}

const isOut = ({ id, to, tags }: Move, { aside, forbids, noFinish }: Allowed): boolean =>
  (noFinish && to === 'finish') || aside.includes(id) || (tags?.some((tag) => forbids.includes(tag)) ?? false)

const leastLeft = (changes: readonly StrikeChange[]): number => Math.min(1, ...changes.map(({ left }) => left))
