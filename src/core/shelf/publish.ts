import { fieldsOf } from '../document/fields'
import { keysOf } from '../typed'
import type { Answer } from '../chart/answer'
import type { Chart } from '../chart/chart'
import { isEndId } from '../chart/ids'
import { idFromName } from '../document/ids'
import type { Move } from '../chart/move'
import type { Reaction } from '../chart/reaction'
import { reactionsMet, type Goes } from '../chart/tries'
import { withFreshIds } from './freshIds'
import type { ShelfRegion } from './shelf'

/**
 * Makes a shelf of part of a chart: the chosen positions with their holds, the moves from them and where those land,
 * the reactions to them and our answers. `taken`: ids on other shelves, which it must not use.
 */
export function publish(
  chart: Chart,
  positions: readonly string[],
  title: string,
  taken: ReadonlySet<string>,
): ShelfRegion {
  const chosen = new Set(positions)
  const moves = chart.moves.filter(({ from }) => chosen.has(from))
  const answers = answersAmong(chart, moves)
  const reactions = metBy(chart, chosen, [...moves, ...answers])
  const places = new Set<string>([
    ...chosen,
    ...moves.flatMap(placesOf),
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
  const moveIds = new Set<string>(moves.map(({ id }) => id))
  const checkpoints = new Set(moves.flatMap((move) => (move.checkpoints ?? []).map(({ id }) => id)))
  const seen = new Set(there.flatMap((one) => Object.keys(one.seen ?? {})))
  const cues = (chart.cues ?? []).filter(({ id }) => seen.has(id))
  const region: ShelfRegion = {
    ...{ id: idFromName(title, taken), title, rules: [], variants: [], cautions: [] },
    positions: there.map((one) =>
      only(one, {
        mirror: places.has(one.mirror ?? ''),
        unprompted: chosen.has(one.id),
        slipsTo: isEndId(one.slipsTo ?? '') || places.has(one.slipsTo ?? ''),
      }),
    ),
    holds: (chart.holds ?? []).filter(({ id }) => held.has(id)),
    ...(cues.length ? { cues } : {}),
    moves,
    reactions: reactions.map((one) => {
      const bare = only(one, { mirror: moveIds.has(one.mirror ?? '') })
      return one.breaks ? { ...bare, breaks: one.breaks.filter((id) => checkpoints.has(id)) } : bare
    }),
    answers,
  }
  return withFreshIds(region, taken)
}

/** A copy of the record without the fields for which `kept` is false. */
function only<R extends object>(record: R, kept: Partial<Record<keyof R, boolean>>): R {
  const copy = { ...record }
  for (const field of keysOf(kept)) if (kept[field] === false) delete fieldsOf(copy)[field]
  return copy
}

function answersAmong(chart: Chart, moves: readonly Move[]): Answer[] {
  const ids = new Set<string>(moves.map(({ id }) => id))
  const met = new Set(moves.flatMap(reactionsMet))
  return chart.answers.filter(({ move, reaction }) => ids.has(move) && met.has(reaction))
}

function metBy(chart: Chart, positions: ReadonlySet<string>, tried: readonly Goes[]): Reaction[] {
  const ids = new Set<string>(tried.flatMap(reactionsMet))
  for (const { id, unprompted } of chart.positions) {
    if (positions.has(id)) for (const one of Object.keys(unprompted?.reactions ?? {})) ids.add(one)
  }
  return chart.reactions.filter(({ id }) => ids.has(id))
}

const placesOf = ({ to, stallsIn, tries }: Goes & { to?: string; stallsIn?: string }): string[] =>
  [to ?? '', stallsIn ?? '', ...Object.keys(tries?.elsewhere ?? {})].filter(Boolean)

function holdsOf({ needs = [], adds = [], drops = [], keeps = [], strips = [], checkpoints = [] }: Move): string[] {
  const gates = checkpoints.flatMap(({ gate }) => (gate ? [gate.hold, gate.next] : []))
  return [...needs, ...adds, ...drops, ...keeps, ...strips, ...gates]
}
