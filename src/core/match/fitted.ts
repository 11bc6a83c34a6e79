import type { Chart } from '../chart/chart'
import { buildsOf, type Fit } from '../chart/fit'
import type { MoveId, ReactionId } from '../chart/ids'
import { isOwn, wholeOf } from '../chart/tries'
import { adjusted, fitOf, type Match } from './adjust'
import { sharesOf } from './shares'

/** What a match-up changes of a move: how often it lands, 0 to 1, and why, in the words of the chart. */
export interface Fitted {
  move: MoveId
  before: number
  after: number
  says: string[]
}

/** A reaction that they do more, or less, for what the two are like. */
export interface FittedReaction {
  reaction: ReactionId
  isMore: boolean
  says: string[]
}

/** A smaller change of a share is not worth a word. */
const LEAST = 0.005

/** What two people change against nobody in particular, the largest change first. */
export function fittedBy(chart: Chart, match: Match): { moves: Fitted[]; reactions: FittedReaction[] } {
  const plain = adjusted(chart, { ...match, us: null, them: null })
  const theirs = adjusted(chart, match)
  const moves = plain.moves.flatMap((move, i): Fitted[] => {
    const other = theirs.moves[i]
    if (!other || !isOwn(move)) return []
    const [before, after] = [move, other].map((one) => sharesOf(wholeOf(one)).get('lands') ?? 0)
    if (before === undefined || after === undefined || Math.abs(after - before) < LEAST) return []
    return [{ move: move.id, before, after, says: saidOf(move.fit, match) }]
  })
  const reactions = chart.reactions.flatMap((reaction): FittedReaction[] => {
    const by = fitOf(reaction.fit, match)
    return by === 0 ? [] : [{ reaction: reaction.id, isMore: by > 0, says: saidOf(reaction.fit, match) }]
  })
  return { moves: moves.sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before)), reactions }
}

/** What the chart says of builds that these two have. */
const saidOf = (fits: readonly Fit[] = [], match: Match) => buildsOf(fits.filter((fit) => fitOf([fit], match) !== 0))
