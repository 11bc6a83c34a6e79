import { sure, present } from '../sure'
import type { Chart, Way } from '../chart/chart'
import { NOTHING_SEEN } from '../chart/cue'
import type { MoveId, PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { inChart } from './search'
import type { Shelf } from './shelf'
import type { DecisionRule, Variant, View } from './shelfRecords'

/** Least difference of worth between two moves that counts for or against a rule. */
export const DIFFERS = 0.02

/** The worth of a chart's moves where they can be tried: from their own position, or as answers to a reaction. */
export interface Valued {
  moves: Partial<Record<string, { value: number | null }>>
  met: readonly { position: PositionId; reaction: string; answers: readonly { answer: number; value: number }[] }[]
}

/** A rule applied to a chart: the moves that it is about, and whether their values agree with it. */
export interface Judged {
  rule: DecisionRule
  prefer: MoveId[]
  over: MoveId[]
  /** The best preferred and the best rejected move, where both are charted; `by`: worth of the first less the other. */
  compared?: {
    preferred: MoveId
    rejected: MoveId
    by: number
    says: 'as the rule' | 'no difference' | 'the other way'
  }
}

/** Ids on the Shelf of a position of the chart and of the moves from there, matched by id or by name. */
function aboutHere(chart: Chart, shelf: Shelf, position: PositionId): Set<string> {
  const own = lookUp(chart.positions, position)
  const from = chart.moves.filter((move) => move.from === position)
  const positions = own ? shelf.positions.filter((one) => inChart([own], one)) : []
  const moves = shelf.moves.filter((one) => inChart(from, one))
  return new Set<string>([...positions, ...moves].map(({ id }) => id))
}

/**
 * The rules that apply in a position of the chart: they name it, or a move that is charted from there. First those that
 * the values contradict, then the others whose moves can be compared, then the rest.
 */
export function rulesHere(chart: Chart, shelf: Shelf, position: PositionId, valued: Valued): Judged[] {
  const about = aboutHere(chart, shelf, position)
  const rules = shelf.regions.flatMap(({ rules }) => rules)
  const here = rules.filter(({ at, prefer = [], over = [] }) => [...at, ...prefer, ...over].some((id) => about.has(id)))
  const order = ['the other way', 'as the rule', 'no difference', undefined]
  const rank = ({ compared }: Judged) => order.indexOf(compared?.says)
  return here.map((rule) => judged(chart, shelf, position, valued, rule)).sort((a, b) => rank(a) - rank(b))
}

function judged(chart: Chart, shelf: Shelf, position: PositionId, valued: Valued, rule: DecisionRule): Judged {
  const own = (ids: readonly MoveId[] | undefined) => ownMoves(chart, shelf, ids ?? [])
  const prefer = own(rule.prefer)
  const over = own(rule.over)
  const compared = compare(chart, position, valued, prefer, over)
  return { rule, prefer, over, ...(compared ? { compared } : {}) }
}

/** The chart's moves that are moves of the Shelf, by id or by name. */
export const ownMoves = (chart: Chart, shelf: Shelf, ids: readonly MoveId[]): MoveId[] => {
  const byName = namesOf(chart)
  const found = new Set(
    ids
      .flatMap((id) => lookUp(shelf.moves, id) ?? [])
      .flatMap(({ id, name, aliases = [] }) =>
        [id, ...[name, ...aliases].map(plain)].flatMap((one) => byName.get(one) ?? []),
      ),
  )
  return chart.moves.flatMap(({ id }) => (found.has(id) ? [id] : []))
}

const plain = (text: string) => text.trim().toLowerCase()

/** The moves of a chart by id and by each of their names; cached, since every rule and difference needs it. */
const named = new WeakMap<readonly object[], Map<string, MoveId[]>>()
function namesOf({ moves }: Chart): Map<string, MoveId[]> {
  const known = named.get(moves)
  if (known) return known
  const byName = new Map<string, MoveId[]>()
  for (const { id, name, aliases = [] } of moves) {
    for (const one of new Set([id, ...[name, ...aliases].map(plain)])) byName.set(one, [...(byName.get(one) ?? []), id])
  }
  named.set(moves, byName)
  return byName
}

/**
 * Compares the moves as tried from the position, those only that may be tried while the same is seen, and as answers to
 * the same reaction there; takes the larger difference.
 */
function compare(
  chart: Chart,
  position: PositionId,
  valued: Valued,
  prefer: MoveId[],
  over: MoveId[],
): Judged['compared'] {
  const seen = Object.keys(lookUp(chart.positions, position)?.seen ?? { [NOTHING_SEEN]: 1 })
  const asMoves = seen.map((cue) => {
    const here = chart.moves.filter(({ from, when }) => from === position && (!when?.length || isIn(when, cue)))
    return new Map(
      here.flatMap(({ id }): [MoveId, number][] => {
        const value = valued.moves[id]?.value
        return typeof value === 'number' ? [[id, value]] : []
      }),
    )
  })
  const asAnswers = valued.met
    .filter((met) => met.position === position)
    .map(({ answers }) => new Map(answers.map(({ answer, value }) => [sure(chart.answers[answer]).move, value])))
  const found = [...asMoves, ...asAnswers].flatMap((values) => apart(values, prefer, over) ?? [])
  const best = found.sort((a, b) => Math.abs(b.by) - Math.abs(a.by))[0]
  if (!best) return undefined
  const says = best.by <= -DIFFERS ? 'the other way' : best.by >= DIFFERS ? 'as the rule' : 'no difference'
  return { ...best, says }
}

const isIn = (cues: readonly string[], cue: string) => cues.includes(cue)

function apart(values: Map<MoveId, number>, prefer: MoveId[], over: MoveId[]) {
  const best = (ids: MoveId[]) =>
    ids.filter((id) => values.has(id)).sort((a, b) => present(values.get(b)) - present(values.get(a)))[0]
  const preferred = best(prefer)
  const rejected = best(over.filter((id) => !prefer.includes(id)))
  if (!preferred || !rejected) return undefined
  return { preferred, rejected, by: present(values.get(preferred)) - present(values.get(rejected)) }
}

/** The variants (ways in which schools differ) that concern a position of the chart or its moves from there. */
export function variantsHere(chart: Chart, shelf: Shelf, position: PositionId): Variant[] {
  const about = aboutHere(chart, shelf, position)
  return shelf.regions.flatMap(({ variants }) => variants).filter(({ on }) => on.some((id) => about.has(id)))
}

/** The coach's choice of one view of a variant. It sets aside the chart's moves that belong to the other views. */
export function wayOf(chart: Chart, shelf: Shelf, variant: Variant, view: View): Way {
  const kept = ownMoves(chart, shelf, view.moves ?? [])
  const others = variant.views.filter((one) => one !== view).flatMap(({ moves }) => moves ?? [])
  const aside = ownMoves(chart, shelf, others).filter((id) => !kept.includes(id))
  return { variant: variant.id, view: view.id, says: view.says, aside: kept.length ? aside : [] }
}
