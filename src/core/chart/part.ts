import { fieldsOf } from '../document/fields'
import { keysOf } from '../typed'
import type { Answer } from './answer'
import type { Chart } from './chart'
import type { Cue } from './cue'
import type { Hold } from './hold'
import { isEndId } from './ids'
import type { Move } from './move'
import type { Position } from './position'
import type { Reaction } from './reaction'
import { reactionsMet, type Goes } from './tries'

/** The chain of a part of a chart. */
export interface ChartPart {
  positions: Position[]
  holds: Hold[]
  cues: Cue[]
  moves: Move[]
  reactions: Reaction[]
  answers: Answer[]
}

interface PartOptions {
  /** Which moves may be in it. */
  may?: (move: Move) => boolean
  /** With our answers to what they do in it, also where these are tried from other positions. */
  hasAllAnswers?: boolean
}

/**
 * A part of a chart as records of its own: the chosen positions with their holds, the moves from them and where those
 * land, the reactions to them and our answers. It refers to nothing that is not in it.
 */
export function partOf(
  chart: Chart,
  positions: readonly string[],
  { may = () => true, hasAllAnswers = false }: PartOptions = {},
): ChartPart {
  const chosen = new Set(positions)
  const moves = movesOf(chart, chosen, may, hasAllAnswers)
  const moveIds = new Set<string>(moves.map(({ id }) => id))
  const met = metBy(chart, chosen, moves)
  const answers = chart.answers.filter(({ move, reaction }) => moveIds.has(move) && met.has(reaction))
  const all = metBy(chart, chosen, [...moves, ...answers])
  const reactions = chart.reactions.filter(({ id }) => all.has(id))
  const places = new Set<string>([
    ...chosen,
    ...moves.flatMap((move) => [move.from, ...placesOf(move)]),
    ...answers.flatMap(placesOf),
    ...reactions.map(({ endsIn }) => endsIn),
    ...chart.positions.flatMap(({ id, slipsTo }) => (chosen.has(id) && slipsTo ? slipsTo : [])),
  ])
  const there = chart.positions.filter(({ id }) => places.has(id))
  const held = new Set<string>([
    ...there.flatMap(({ holds = [] }) => holds),
    ...moves.flatMap(holdsOf),
    ...reactions.flatMap(({ adds = [], strips = [] }) => [...adds, ...strips]),
  ])
  const checkpoints = new Set(moves.flatMap((move) => (move.checkpoints ?? []).map(({ id }) => id)))
  const seen = new Set([
    ...there.flatMap((one) => Object.keys(one.seen ?? {})),
    ...moves.flatMap(({ when = [] }) => when),
  ])
  return {
    positions: there.map((one) =>
      only(one, {
        mirror: places.has(one.mirror ?? ''),
        unprompted: chosen.has(one.id),
        slipsTo: isEndId(one.slipsTo ?? '') || places.has(one.slipsTo ?? ''),
      }),
    ),
    holds: (chart.holds ?? []).filter(({ id }) => held.has(id)),
    cues: (chart.cues ?? []).filter(({ id }) => seen.has(id)),
    moves,
    reactions: reactions.map((one) => {
      const bare = only(one, { mirror: moveIds.has(one.mirror ?? '') })
      return one.breaks ? { ...bare, breaks: one.breaks.filter((id) => checkpoints.has(id)) } : bare
    }),
    answers,
  }
}

function movesOf(
  chart: Chart,
  chosen: ReadonlySet<string>,
  may: (move: Move) => boolean,
  hasAllAnswers: boolean,
): Move[] {
  const from = chart.moves.filter((move) => chosen.has(move.from) && may(move))
  if (!hasAllAnswers) return from
  const met = metBy(chart, chosen, from)
  const taken = new Set<string>(from.map(({ id }) => id))
  for (const { reaction, move } of chart.answers) if (met.has(reaction)) taken.add(move)
  return chart.moves.filter((move) => taken.has(move.id) && may(move))
}

/** A copy of the record without the fields for which `kept` is false. */
function only<R extends object>(record: R, kept: Partial<Record<keyof R, boolean>>): R {
  const copy = { ...record }
  for (const field of keysOf(kept)) if (kept[field] === false) delete fieldsOf(copy)[field]
  return copy
}

/** Ids of what is met: by what is tried, and unprompted in the positions. */
function metBy({ positions }: Chart, chosen: ReadonlySet<string>, tried: readonly Goes[]): Set<string> {
  const ids = new Set<string>(tried.flatMap(reactionsMet))
  for (const { id, unprompted } of positions) {
    if (chosen.has(id)) for (const one of Object.keys(unprompted?.reactions ?? {})) ids.add(one)
  }
  return ids
}

const placesOf = ({ to, stallsIn, tries }: Goes & { to?: string; stallsIn?: string }): string[] =>
  [to ?? '', stallsIn ?? '', ...Object.keys(tries?.elsewhere ?? {})].filter(Boolean)

function holdsOf({ needs = [], adds = [], drops = [], keeps = [], strips = [], checkpoints = [] }: Move): string[] {
  const gates = checkpoints.flatMap(({ gate }) => (gate ? [gate.hold, gate.next] : []))
  return [...needs, ...adds, ...drops, ...keeps, ...strips, ...gates]
}
