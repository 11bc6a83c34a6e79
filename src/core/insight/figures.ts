import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import type { MoveId, PositionId, ReactionId } from '../chart/ids'
import { compileGame } from '../game/compileGame'
import { Compiler } from '../game/compiler'
import { inFull, isProbe, moveId, reactionId, statesSeen, waitingIn } from '../game/describe'
import { NONE, TERMINALS, terminalWorth, type Game } from '../game/game'
import type { Scenario } from '../game/scenario'
import { failure, success, type Result } from '../problem'
import { keptOccupancyOf, type Occupancy } from '../solve/occupancy'
import { fullClock, type Solution } from '../solve/solution'
import { sightsOf } from '../solve/sights'
import { solve } from '../solve/solve'
import { looseEndsOf, visitsOf, withoutLooseEnd, type LooseEnd } from './looseEnds'
import { VariantSolver } from './variantSolver'
import { netsOf } from './nets'
import { seenFigures, type SeenFigure } from './seen'
import { bestIn, bestTried } from './tried'

/**
 * All figures of a chart in a scenario, as plain data by the chart’s ids. Values are worth, −1 to 1; visits and uses
 * are expected times per exchange.
 */
export interface Figures {
  start: PositionId
  /** States that the game has, terminals not counted. */
  states: number
  value: number
  bounds?: { lower: number; upper: number }
  best: string | null
  endings: Endings
  /** What the endings add to the value; they sum to it. */
  worths: Endings
  positions: Record<PositionId, PositionFigure>
  moves: Record<MoveId, MoveFigure>
  met: MetFigure[]
  looseEnds: LooseEndFigure[]
}

/** Chances of how an exchange ends under the best plan against the same defender; goals count as finishes. */
export interface Endings {
  finish: number
  caught: number
  ours: number
  even: number
  theirs: number
}

export interface PositionFigure {
  value: number
  /** Id of the best move, `wait`, or null where there is nothing to do. */
  best: string | null
  /** The best move is only shown. */
  isShown?: boolean
  visits: number
  /** By what is seen on coming here: what it is worth, what is best then, and how often they make us see it, 0 to 1. */
  seen?: SeenFigure[]
  /** Worth of waiting one second and then playing the best plan; null where one cannot wait. */
  still: number | null
}

/**
 * A move tried from its own position with its own holds, in full or only shown; value null where it cannot be tried.
 */
export interface MoveFigure {
  value: number | null
  /** It is worth more there when it is only shown. */
  isShown?: boolean
  /** Expected times that an exchange tries it, from anywhere. */
  uses: number
  /** `uses` by where the move is tried: from its own position (answer null), or as an answer of the chart, by index. */
  usedAs: { answer: number | null; uses: number }[]
  /** How many of the uses only show the move; absent where it is never shown. */
  shown?: number
}

/** A reaction met from a position with its own holds: by a move, or (move null) unprompted. */
export interface MetFigure {
  move: MoveId | null
  position: PositionId
  reaction: ReactionId
  /** Chance that the move meets it; unprompted: each second. */
  share: number
  value: number
  net: number
  saves: number
  best: string
  concede: number
  /** Value of each feasible answer, by its index in the chart. */
  answers: { answer: number; value: number }[]
  /** Expected times that an exchange meets it so. */
  visits: number
}

export type LooseEndFigure = LooseEnd & { visits: number }

/** A solved chart: its figures, and the solution that explanations are read from. */
export interface Solved {
  figures: Figures
  solution: Solution
}

/**
 * Compiles and solves a checked chart and gathers its figures. `compiler`: what compiled the chart as it was before.
 * Fails as `compileGame` and `solve` do.
 */
export function figuresOf(chart: Chart, scenario: Scenario, compiler = new Compiler()): Result<Solved> {
  const compiled = compiler.compile(chart, scenario)
  if (!compiled.ok) return compiled
  const solved = solve(compiled.value, { everySecond: true })
  if (!solved.ok) return solved
  const solution = solved.value
  return success({ figures: gather(solution), solution })
}

/**
 * A function that gives the cost of a loose end: the start’s value if it did not hang open, less `value`. Null where
 * that cannot be computed.
 */
export function costsOf(
  chart: Chart,
  scenario: Scenario,
  value: number,
  compiler = new Compiler(),
): (end: LooseEnd) => number | null {
  const compiled = compiler.compile(chart, scenario, 'start')
  const near = compiled.ok ? new VariantSolver(chart, compiled.value) : null
  return (end) => {
    const worth = near?.startWorth(withoutLooseEnd(chart, end)) ?? null
    return worth === null ? null : worth - value
  }
}

/** The worth of the start and of a position with its own holds. Fails as `compileGame` and `solve` do. */
export function worthsOf(chart: Chart, scenario: Scenario, position: PositionId): Result<Worths> {
  const compiled = compileGame(chart, scenario)
  if (!compiled.ok) return failure(...compiled.problems)
  const solved = solve(compiled.value)
  if (!solved.ok) return failure(...solved.problems)
  const { game, values } = solved.value
  const { index, ownState } = game.meaning
  const p = index.positions.findIndex(({ record }) => record.id === position)
  const moves = sure(index.positions[p]).moves.map((move) => {
    const tried = bestTried(solved.value, sure(ownState[p]), { move: inFull(game, move) })
    return [moveId(game, move), tried?.value ?? null] as const
  })
  return success({
    start: sure(values[game.start]),
    position: sure(values[sure(ownState[p])]),
    moves: Object.fromEntries(moves),
  })
}

export interface Worths {
  start: number
  position: number
  /** What each move from the position is worth, tried there. */
  moves: Record<MoveId, number | null>
}

function gather(solution: Solution): Figures {
  const { game, values, bounds } = solution
  const occupancy = keptOccupancyOf(solution)
  const { index } = game.meaning
  const uses = usesByMove(game, occupancy)
  const positionVisits = visitsByPosition(game, occupancy)
  const ends = looseEndsOf(index)
  const visits = visitsOf(game, occupancy, ends)
  return {
    start: game.scenario.start,
    states: game.reachedCount,
    value: sure(values[game.start]),
    ...(bounds ? { bounds: { lower: bounds.lower, upper: bounds.upper } } : {}),
    best: bestIn(solution, game.start).best,
    ...endingsOf(game, occupancy),
    positions: Object.fromEntries(
      index.positions.map(({ record }, p) => [record.id, positionFigure(solution, p, sure(positionVisits[p]))]),
    ),
    moves: Object.fromEntries(
      index.moves.flatMap(({ record, probeOf }, m) =>
        probeOf === undefined ? [[record.id, { ...moveFigure(solution, m), ...sure(uses[m]) }]] : [],
      ),
    ),
    met: metFigures(solution, occupancy),
    looseEnds: ends.map((end, i) => ({ ...end, visits: sure(visits[i]) })),
  }
}

/** How often each move is tried, in all and by where. */
function usesByMove(game: Game, occupancy: Occupancy): Pick<MoveFigure, 'uses' | 'usedAs' | 'shown'>[] {
  const uses = game.meaning.index.moves.map(() => new Map<number, number>())
  const shown = new Float64Array(uses.length)
  game.meaning.actionMove.forEach((move, a) => {
    const times = sure(occupancy.actions[a])
    if (move === NONE || times === 0) return
    const answer = sure(game.meaning.actionAnswer[a])
    const by = sure(uses[inFull(game, move)])
    if (isProbe(game, a)) shown[inFull(game, move)] = sure(shown[inFull(game, move)]) + times
    by.set(answer, (by.get(answer) ?? 0) + times)
  })
  return uses.map((by, m) => ({
    uses: [...by.values()].reduce((sum, times) => sum + times, 0),
    usedAs: [...by].map(([answer, times]) => ({ answer: answer === NONE ? null : answer, uses: times })),
    ...(sure(shown[m]) > 0 ? { shown: shown[m] } : {}),
  }))
}

function endingsOf(game: Game, { finish, caught, ended, endedWorth }: Occupancy) {
  const [finishWorth, caughtWorth] = terminalWorth(game.scenario)
  return {
    endings: { finish, caught, ours: ended[0], even: ended[1], theirs: ended[2] },
    worths: {
      finish: finish * finishWorth,
      caught: caught * caughtWorth,
      ours: endedWorth[0],
      even: endedWorth[1],
      theirs: endedWorth[2],
    },
  }
}

function visitsByPosition(game: Game, occupancy: Occupancy): Float64Array {
  const visits = new Float64Array(game.meaning.index.positions.length)
  for (let g = 0; g < game.groupCount; g++) {
    if (game.groupIsReaction[g]) continue
    for (let s = sure(game.groupStates[g]); s < sure(game.groupStates[g + 1]); s++) {
      visits[sure(game.meaning.groupPlace[g])] =
        sure(visits[sure(game.meaning.groupPlace[g])]) + sure(occupancy.states[s])
    }
  }
  return visits
}

function positionFigure(solution: Solution, p: number, visits: number): PositionFigure {
  const state = sure(solution.game.meaning.ownState[p])
  return {
    value: sure(solution.values[state]),
    ...bestIn(solution, state),
    ...(state >= solution.game.arrivalsFrom ? { seen: seenFigures(solution, state) } : {}),
    visits,
    still: worthOfWaiting(solution, state),
  }
}

function worthOfWaiting(solution: Solution, state: number): number | null {
  if (state < TERMINALS) return null
  const { game, evaluator } = solution
  const worths = sightsOf(solution, state).map(({ state: seen, share }) => {
    const wait = waitingIn(game, sure(game.stateGroup[seen]))
    return share * evaluator.actionInState(wait, fullClock(solution), seen)
  })
  const value = worths.reduce((sum, worth) => sum + worth, 0)
  return Number.isFinite(value) ? value : null
}

function moveFigure(solution: Solution, m: number): Pick<MoveFigure, 'value' | 'isShown'> {
  const { game } = solution
  const tried = bestTried(solution, sure(game.meaning.ownState[sure(game.meaning.index.moves[m]).from]), { move: m })
  return { value: tried?.value ?? null, ...(tried && isProbe(game, tried.action) ? { isShown: true } : {}) }
}

function metFigures(solution: Solution, occupancy: Occupancy): MetFigure[] {
  const { game } = solution
  const visits = metVisits(game, occupancy)
  const moveOf = new Map<string, number>(
    game.meaning.index.moves.map(({ record, probeOf }, m) => [record.id, probeOf ?? m]),
  )
  const byMoves = netsOf(solution).map((net): MetFigure => {
    const move = present(moveOf.get(net.move))
    const { from } = sure(game.meaning.index.moves[move])
    const { record } = sure(game.meaning.index.positions[from])
    const { share, value, saves, best } = net
    const seen = visits.get(`${move} ${sure(game.meaning.outcomeReaction[net.outcome])}`) ?? 0
    return {
      ...{ move: net.move, position: record.id, reaction: net.reaction, share, value, net: net.net, saves, best },
      ...answersIn(solution, net.state),
      visits: seen,
    }
  })
  return [...byMoves, ...unpromptedFigures(solution, visits)]
}

/** Expected times that each reaction is met, by move (or `wait` and position). */
function metVisits(game: Game, occupancy: Occupancy): Map<string, number> {
  const visits = new Map<string, number>()
  const { actionMove, groupPlace, outcomeReaction } = game.meaning
  for (let g = 0; g < game.groupCount; g++) {
    for (let a = sure(game.groupActions[g]); a < sure(game.groupActions[g + 1]); a++) {
      const by = actionMove[a] === NONE ? `wait ${groupPlace[g]}` : inFull(game, sure(actionMove[a]))
      for (let o = sure(game.reactionsFrom[a]); o < sure(game.outcomes[a + 1]); o++) {
        const key = `${by} ${outcomeReaction[o]}`
        visits.set(key, (visits.get(key) ?? 0) + sure(occupancy.outcomes[o]))
      }
    }
  }
  return visits
}

function unpromptedFigures(solution: Solution, visits: Map<string, number>): MetFigure[] {
  const { game, values } = solution
  return game.meaning.index.positions.flatMap(({ record }, p) => {
    const own = sure(game.meaning.ownState[p])
    if (own < TERMINALS) return []
    const wait = waitingIn(game, sure(game.stateGroup[sure(statesSeen(game, own)[0])]))
    const figures: MetFigure[] = []
    for (let o = sure(game.reactionsFrom[wait]); o < sure(game.outcomes[wait + 1]); o++) {
      const state = sure(game.outcomeState[o])
      const value = sure(values[state])
      const reaction = sure(game.meaning.outcomeReaction[o])
      const { concede, answers } = answersIn(solution, state)
      figures.push({
        ...{
          move: null,
          position: record.id,
          reaction: reactionId(game, reaction),
          share: sure(game.outcomeChance[o]),
        },
        ...{
          value,
          net: value - sure(values[own]),
          saves: value - concede,
          best: bestIn(solution, state).best ?? 'concede',
        },
        ...{ concede, answers, visits: visits.get(`wait ${p} ${reaction}`) ?? 0 },
      })
    }
    return figures
  })
}

function answersIn(solution: Solution, state: number) {
  const { game, evaluator } = solution
  const t = fullClock(solution)
  const g = sure(game.stateGroup[state])
  const first = sure(game.groupActions[g])
  const conceding = evaluator.actionInState(first, t, state)
  const answers: MetFigure['answers'] = []
  for (let a = first + 1; a < sure(game.groupActions[g + 1]); a++) {
    if (isProbe(game, a)) continue
    const answer = sure(game.meaning.actionAnswer[a])
    const tried = bestTried(solution, state, { answer })
    if (tried) answers.push({ answer, value: tried.value })
  }
  return { concede: conceding === -Infinity ? sure(solution.values[state]) : conceding, answers }
}
