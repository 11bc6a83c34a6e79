import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import type { MoveId, PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { isOwn, reactionsMet, type Tries } from '../chart/tries'
import type { Figures } from './figures'

/** What the plan from the start still lacks before its worth can be believed, and where it is charted. */
export type Lack =
  /** Nothing is tried from the start. */
  | { of: 'moves'; position: PositionId }
  /** No way ends behind or caught: they never win anything. */
  | { of: 'losing way'; position: PositionId }
  /** A move that the plan uses much meets nothing that they do. */
  | { of: 'reactions'; move: MoveId; position: PositionId }
  /** Tries that the plan uses much are nobody's: a guess. `answer`: its index in the chart; null: the move's own. */
  | { of: 'own tries'; move: MoveId; position: PositionId; answer: number | null }

/** A chance of ending behind from which on the plan has a losing way. */
const SOME = 0.001
/** The tries that are looked at: those that the plan uses most, up to this share of all. */
const MOST = 0.95

interface Use {
  move: MoveId
  answer: number | null
  uses: number
}

/**
 * The moves and answers that make up most of what the plan tries, the most used first. The figures may be of the chart
 * before the last edit: what is gone since is left out.
 */
function mostUsed(chart: Chart, { moves }: Figures): Use[] {
  const all = chart.moves.flatMap(({ id: move }) =>
    (moves[move]?.usedAs ?? []).flatMap(({ answer, uses }): Use[] =>
      answer === null || chart.answers[answer]?.move === move ? [{ move, answer, uses }] : [],
    ),
  )
  all.sort((a, b) => b.uses - a.uses)
  const total = all.reduce((sum, { uses }) => sum + uses, 0)
  let before = 0
  return all.filter(({ uses }) => {
    const isNeeded = uses > 0 && before < MOST * total
    before += uses
    return isNeeded
  })
}

/** Tries that nobody has set: their weight says that they count for less than they are. */
export const isGuessed = (tries: Tries | undefined): boolean => tries?.weight !== undefined && !tries.tallies?.length

/** What is lacking, the first of each kind; empty: there is enough to trust the worth as far as its tries go. */
export function lacksOf(chart: Chart, figures: Figures): Lack[] {
  const { start, endings } = figures
  const used = mostUsed(chart, figures)
  const [most] = used
  if (!most) return [{ of: 'moves', position: start }]
  const lacks: Lack[] = []
  const placed = ({ move }: Use) => ({ move, position: sure(lookUp(chart.moves, move)).from })
  if (endings.theirs + endings.caught < SOME && !endsAtStatedWorth(chart, figures))
    lacks.push({ of: 'losing way', position: start })
  const unmet = used.find(({ move, answer }) => answer === null && !meetsSomething(chart, move))
  if (unmet) lacks.push({ of: 'reactions', ...placed(unmet) })
  const guessed = used.find((use) => isGuessed(ownTries(chart, use)))
  if (guessed) lacks.push({ of: 'own tries', ...placed(guessed), answer: guessed.answer })
  return lacks
}

/** The plan leads to where nothing more is charted, but is said what it is worth: what they win after that is in it. */
const endsAtStatedWorth = ({ positions, moves }: Chart, figures: Figures): boolean =>
  positions.some(
    ({ id, endWorth }) =>
      endWorth !== undefined && (figures.positions[id]?.visits ?? 0) >= SOME && !moves.some(({ from }) => from === id),
  )

const meetsSomething = (chart: Chart, move: MoveId) => reactionsMet(lookUp(chart.moves, move) ?? {}).length > 0

/** The tries by which a move goes there: an answer's own, or those of its move. */
function ownTries(chart: Chart, { move, answer }: Use): Tries | undefined {
  const own = answer === null ? undefined : sure(chart.answers[answer])
  return own && isOwn(own) ? own.tries : lookUp(chart.moves, move)?.tries
}
