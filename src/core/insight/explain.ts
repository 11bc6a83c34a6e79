import { present, sure } from '../sure'
import type { NOTHING_SEEN } from '../chart/cue'
import type { CueId, MoveId, PlaceId, PositionId, ReactionId } from '../chart/ids'
import {
  actionName,
  actionOfMove,
  actionSeen,
  cueId,
  isProbe,
  positionId,
  reactionId,
  waitingIn,
} from '../game/describe'
import { NONE, OUTCOME, TERMINAL, TERMINALS, terminalWorth, type Game } from '../game/game'
import { endsOfGroup, overSeconds, shareStoodUp } from '../game/layOut'
import { follow, Ways } from '../solve/follow'
import { sightsOf } from '../solve/sights'
import { fullClock, tieTolerance, type Solution } from '../solve/solution'
import { bestTried } from './tried'

/** Which figure is asked for. */
export type Question =
  | { of: 'position'; position: PositionId }
  | { of: 'move'; move: MoveId }
  | { of: 'seen'; position: PositionId; cue: CueId | typeof NOTHING_SEEN }
  | (MetReaction & { of: 'net' | 'met' | 'concede' })
  | (MetReaction & { of: 'answer'; answer: number })

/** A reaction met from a position with its own holds: by a move, or (null) unprompted. */
interface MetReaction {
  move: MoveId | null
  position: PositionId
  reaction: ReactionId
}

/** One way in which an action can go, and what it adds to a figure: chance times value. */
export interface Term {
  kind:
    | 'lands'
    | 'nothing'
    | 'slips'
    | 'elsewhere'
    | 'reaction'
    | 'waits'
    | 'conceded'
    | 'broken'
    | 'caught'
    | 'out'
    | 'stood-up'
    | 'met'
    | 'stalled'
    | 'seen'
  /** Where that is; or which reaction. */
  place?: PlaceId | 'finish' | 'goal' | undefined
  reaction?: ReactionId
  cue?: CueId | typeof NOTHING_SEEN
  chance: number
  value: number
}

/** A figure taken apart: the terms' chance times value sum to `total`. */
export interface Explanation {
  total: number
  /** Id of the move that is planned, `wait` or `concede`; none for a difference of two values. */
  action?: string
  /** The move is only shown. */
  isShown?: boolean
  seconds?: number
  terms: Term[]
}

/** What a figure is made of, or null where it has none. */
export function explain(solution: Solution, question: Question): Explanation | null {
  const { game } = solution
  if (question.of === 'position') {
    const own = ownState(game, question.position)
    if (own >= game.arrivalsFrom) return seenApart(solution, own)
    return own < TERMINALS ? null : takenApart(solution, bestAction(solution, own), own)
  }
  if (question.of === 'seen') {
    const sights = sightsOf(solution, ownState(game, question.position))
    const seen = sights.find(({ cue }) => cueId(game, cue) === question.cue)
    return seen ? takenApart(solution, bestAction(solution, seen.state), seen.state) : null
  }
  if (question.of === 'move') {
    const move = game.meaning.index.moves.findIndex(({ record }) => record.id === question.move)
    if (move < 0) return null
    const own = sure(game.meaning.ownState[sure(game.meaning.index.moves[move]).from])
    const tried = bestTried(solution, own, { move })
    return tried && takenApart(solution, tried.action, tried.state)
  }
  const met = metState(game, question)
  if (!met) return null
  const { state, against } = met
  if (question.of === 'net') return difference(solution, state, against)
  if (question.of === 'met') return takenApart(solution, bestAction(solution, state), state)
  if (question.of === 'answer') return takenApart(solution, bestTried(solution, state, question)?.action ?? NONE, state)
  return takenApart(solution, sure(game.groupActions[sure(game.stateGroup[state])]), state)
}

const bestAction = (solution: Solution, state: number) =>
  solution.evaluator.bestAction(fullClock(solution), state, tieTolerance(solution))

function ownState(game: Game, position: PositionId): number {
  const p = game.meaning.index.positionOf.get(position)
  return p === undefined ? NONE : sure(game.meaning.ownState[p])
}

/** The state in which a reaction is met, and the state that its net is measured against. Null where it is not met. */
function metState(game: Game, { move, position, reaction }: MetReaction) {
  const own = ownState(game, position)
  if (own < TERMINALS) return null
  const m = move === null ? NONE : game.meaning.index.moves.findIndex(({ record }) => record.id === move)
  const a = actionSeen(game, own, (group) => (move === null ? waitingIn(game, group) : actionOfMove(game, group, m)))
  if (a === NONE) return null
  for (let o = sure(game.reactionsFrom[a]); o < sure(game.outcomes[a + 1]); o++) {
    if (reactionId(game, sure(game.meaning.outcomeReaction[o])) !== reaction) continue
    return { state: sure(game.outcomeState[o]), against: move === null ? own : sure(game.meaning.stalledState[m]) }
  }
  return null
}

/** What coming to a position is worth, by what is seen there. */
function seenApart(solution: Solution, arrival: number): Explanation {
  const terms = sightsOf(solution, arrival).map(({ cue, state, share }): Term => ({
    ...{ kind: 'seen', cue: cueId(solution.game, cue), chance: share, value: sure(solution.values[state]) },
  }))
  return { total: sure(solution.values[arrival]), terms }
}

function difference({ values }: Solution, state: number, against: number): Explanation {
  const terms: Term[] = [
    { kind: 'met', chance: 1, value: sure(values[state]) },
    { kind: 'stalled', chance: -1, value: sure(values[against]) },
  ]
  return { total: sure(values[state]) - sure(values[against]), terms }
}

function takenApart(solution: Solution, a: number, state: number): Explanation | null {
  const { game, evaluator } = solution
  const t = fullClock(solution)
  if (a === NONE || sure(game.actionSeconds[a]) > t) return null
  const g = sure(game.stateGroup[state])
  const seconds = sure(game.actionSeconds[a])
  const { alive, broken, caught, gone } = overSeconds(endsOfGroup(game, g), seconds)
  const worths = terminalWorth(game.scenario)
  const terms: Term[] = []
  const ways = new Ways()
  follow(evaluator, a, t, state, ways)
  for (let i = 0; i < ways.count; i++) {
    if (sure(ways.chance[i]) <= 0) continue
    const value = evaluator.table.at(sure(ways.state[i]), t - seconds)
    terms.push({
      ...meaningOf(game, a, sure(ways.outcome[i]), sure(ways.state[i])),
      chance: alive * sure(ways.chance[i]),
      value,
    })
  }
  if (broken > 0) terms.push({ kind: 'broken', chance: broken, value: sure(game.groupWorth[g]) })
  if (caught > 0) terms.push({ kind: 'caught', chance: caught, value: worths[TERMINAL.caught] })
  const stoodUp = gone * shareStoodUp(game, g)
  const value = worths[TERMINAL.over]
  if (gone > stoodUp) terms.push({ kind: 'out', chance: gone - stoodUp, value })
  if (stoodUp > 0) terms.push({ kind: 'stood-up', chance: stoodUp, value })
  return {
    total: evaluator.actionInState(a, t, state),
    action: actionName(game, a),
    ...(isProbe(game, a) ? { isShown: true } : {}),
    seconds,
    terms,
  }
}

function meaningOf(game: Game, a: number, outcome: number, next: number): Pick<Term, 'kind' | 'place' | 'reaction'> {
  const place = placeOf(game, next)
  if (outcome === NONE) return { kind: actionName(game, a) === 'wait' ? 'waits' : 'nothing', place }
  if (game.meaning.outcomeReaction[outcome] !== NONE) {
    return { kind: 'reaction', reaction: reactionId(game, sure(game.meaning.outcomeReaction[outcome])) }
  }
  if (actionName(game, a) === 'concede') return { kind: 'conceded', place }
  const kind = game.meaning.outcomeKind[outcome]
  return { kind: KINDS[present(kind)] ?? 'elsewhere', place }
}

const KINDS: Readonly<Record<number, Term['kind']>> = {
  [OUTCOME.lands]: 'lands',
  [OUTCOME.stalls]: 'nothing',
  [OUTCOME.slips]: 'slips',
}

function placeOf(game: Game, state: number): Term['place'] {
  if (state === TERMINAL.finish) return 'finish'
  if (state === TERMINAL.caught) return 'caught'
  if (state === TERMINAL.goal) return 'goal'
  if (state === TERMINAL.over) return 'over'
  const g = sure(game.stateGroup[state])
  return game.groupIsReaction[g] ? undefined : positionId(game, sure(game.meaning.groupPlace[g]))
}
