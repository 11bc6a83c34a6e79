import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import type { MoveId, PositionId } from '../chart/ids'
import { totalOf, wholeOf, withTallies, type Whole } from '../chart/tries'
import { lookUp } from '../chart/lookUp'
import { actionOfMove, actionSeen } from '../game/describe'
import { NONE, OUTCOME, TERMINAL, TERMINALS } from '../game/game'
import type { Scenario } from '../game/scenario'
import { VariantSolver } from '../insight/variantSolver'
import { usualBestIn } from '../insight/tried'
import { occupancyOf } from '../solve/occupancy'
import type { Solution } from '../solve/solution'
import { mostVisited } from './shortlist'
import { withTries } from './target'
import type { Job } from '../job'
import { solved } from './solved'

/** The outcomes of tries that end where we are worse off than if nothing had come of them. */
interface Wrong {
  reactions: ReadonlySet<string>
  elsewhere: ReadonlySet<string>
  stalls: boolean
}

/** From which share of tries going wrong a move is given up, and for which move of its position. */
export interface GiveUp {
  move: MoveId
  position: PositionId
  /** Share of tries that go wrong now; and the share from which another move is better, null where none ever is. */
  wrong: number
  limit: number | null
  /** What is best then: a move, or `wait`. */
  instead: string | null
}

const MOVES = 8
/** The limit is known so well. */
const CLOSE = 1 / 128

/** For the best move of each of the most visited positions: how much may go wrong before it is given up. */
export function* giveUps(chart: Chart, scenario: Scenario): Job<GiveUp[]> {
  const now = solved(chart, scenario, { everySecond: true })
  if (!now) return []
  const moves = mostVisited(now, occupancyOf(now)).flatMap((position) => {
    const best = bestAt(now, position)
    const move = lookUp(chart.moves, best ?? undefined)
    return move ? [{ position, move }] : []
  })
  const near = new VariantSolver(chart, now.game)
  const found: GiveUp[] = []
  const some = moves.slice(0, MOVES)
  for (const [i, { position, move }] of some.entries()) {
    yield i / some.length
    const wrong = wrongOf(now, move.id)
    const share = shareWrong(wholeOf(move), wrong)
    if (share === 0) continue
    const at = (loss: number) => bestWith(chart, near, { position, move: move.id }, wrong, loss)
    found.push({ move: move.id, position, wrong: share, ...(yield* limitOf(move.id, share, at, i / some.length)) })
  }
  return found
}

/** Bisection between what goes wrong now and everything going wrong. */
function* limitOf(
  move: MoveId,
  share: number,
  at: (loss: number) => string | null,
  done: number,
): Job<Pick<GiveUp, 'limit' | 'instead'>> {
  let instead = at(1)
  if (instead === move) return { limit: null, instead: null }
  let [keeps, gives] = [share, 1]
  while (gives - keeps > CLOSE) {
    yield done
    const middle = (keeps + gives) / 2
    const best = at(middle)
    if (best === move) keeps = middle
    else [gives, instead] = [middle, best]
  }
  return { limit: gives, instead }
}

function bestWith(
  chart: Chart,
  near: VariantSolver,
  { position, move }: Pick<GiveUp, 'position' | 'move'>,
  wrong: Wrong,
  loss: number,
): string | null {
  const other = withTries(chart, { of: 'move', move }, (tries) => withLoss(tries, wrong, loss))
  const solution = near.solve(other)
  return solution.ok ? bestAt(solution.value, position) : null
}

const bestAt = (solution: Solution, position: PositionId): string | null =>
  usualBestIn(
    solution,
    sure(solution.game.meaning.ownState[present(solution.game.meaning.index.positionOf.get(position))]),
  )

/** Which outcomes of a move, tried from its own position, are worth less than if nothing had come of it. */
function wrongOf({ game, values }: Solution, id: MoveId): Wrong {
  const { index, ownState, stalledState, outcomeKind, outcomeReaction, groupPlace } = game.meaning
  const m = index.moves.findIndex(({ record }) => record.id === id)
  const own = sure(ownState[sure(index.moves[m]).from])
  const a = actionSeen(game, own, (group) => actionOfMove(game, group, m))
  const level = sure(values[sure(stalledState[m])])
  const reactions = new Set<string>()
  const elsewhere = new Set<string>()
  let stalls = false
  if (a === NONE) return { reactions, elsewhere, stalls }
  for (let o = sure(game.outcomes[a]); o < sure(game.outcomes[a + 1]); o++) {
    const to = sure(game.outcomeState[o])
    if (sure(values[to]) >= level - 1e-9) continue
    if (outcomeKind[o] === OUTCOME.reaction) reactions.add(sure(index.reactions[sure(outcomeReaction[o])]).record.id)
    if (outcomeKind[o] === OUTCOME.elsewhere)
      elsewhere.add(
        to < TERMINALS
          ? to === TERMINAL.over
            ? 'over'
            : 'caught'
          : sure(index.positions[sure(groupPlace[sure(game.stateGroup[to])])]).record.id,
      )
    if (outcomeKind[o] === OUTCOME.stalls) stalls = true
  }
  return { reactions, elsewhere, stalls }
}

/** The tries with a given share going wrong, both parts in their present proportions. No race goes wrong. */
export function withLoss(guess: Whole, wrong: Wrong, share: number): Whole {
  const tries = withTallies(guess)
  const now = shareWrong(tries, wrong)
  const [more, less] = [share / now, now < 1 ? (1 - share) / (1 - now) : 0]
  const scale = (counts: Record<string, number>, of: ReadonlySet<string>) =>
    Object.fromEntries(Object.entries(counts).map(([id, n]) => [id, n * (of.has(id) ? more : less)]))
  const { lands = 0, stalls = 0, elsewhere, reactions, race } = tries
  return {
    ...tries,
    ...{ lands: lands * less, stalls: stalls * (wrong.stalls ? more : less) },
    ...(elsewhere ? { elsewhere: scale(elsewhere, wrong.elsewhere) } : {}),
    ...(reactions ? { reactions: scale(reactions, wrong.reactions) } : {}),
    ...(race ? { race: { ...race, tries: race.tries * less } } : {}),
  }
}

export function shareWrong(guess: Whole, { reactions, elsewhere, stalls }: Wrong): number {
  const tries = withTallies(guess)
  const of = (counts: Record<string, number> | undefined, ids: ReadonlySet<string>) =>
    Object.entries(counts ?? {}).reduce((sum, [id, n]) => sum + (ids.has(id) ? n : 0), 0)
  const count = of(tries.reactions, reactions) + of(tries.elsewhere, elsewhere) + (stalls ? (tries.stalls ?? 0) : 0)
  return count / (totalOf(tries) || 1)
}
