import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import type { PositionId } from '../chart/ids'
import { isOwn } from '../chart/tries'
import { inFull, moveId, positionId } from '../game/describe'
import { NONE, OUTCOME, TERMINALS, type Game } from '../game/game'
import { FINISH } from '../game/tryCounts'
import { unansweredOf, visitsOf, type MetWhere } from '../insight/looseEnds'
import type { Occupancy } from '../solve/occupancy'
import { fullClock, type Solution } from '../solve/solution'
import { drillStep, type DrillTarget } from './target'
import { steppedShare } from './shifted'

/*
 * What promises most, to first order: the plan stays as it is, and the value of the start changes by how often each
 * action is taken times what it would be worth more (the envelope theorem). With the values of the full clock at all
 * times this is no more than an order; what leads it is solved again.
 */

/** Something to drill, and how often an exchange tries it. */
export interface RankedDrill {
  target: DrillTarget
  uses: number
}

/** What can be drilled in the chart that was solved, by what it promises, the most first. */
export function rankDrills(chart: Chart, solution: Solution, occupancy: Occupancy): RankedDrill[] {
  const { game } = solution
  const answers = ownTries(game)
  const promises = new Map<string, RankedDrill & { promise: number }>()
  for (let g = 0; g < game.groupCount; g++) {
    for (let a = sure(game.groupActions[g]); a < sure(game.groupActions[g + 1]); a++) {
      const move = sure(game.meaning.actionMove[a])
      if (move === NONE) continue
      const { kind } = sure(game.meaning.index.moves[move]).record
      const more = promiseOf(solution, occupancy, g, a, drillStep(chart, kind))
      const answer = sure(game.meaning.actionAnswer[a])
      const isOwn = answers.has(answer)
      const key = isOwn ? `answer ${answer}` : `move ${inFull(game, move)}`
      const target: DrillTarget = isOwn ? { of: 'answer', answer } : { of: 'move', move: moveId(game, move) }
      const { promise = 0, uses = 0 } = promises.get(key) ?? {}
      promises.set(key, { target, promise: promise + Math.max(0, more), uses: uses + sure(occupancy.actions[a]) })
    }
  }
  const ranked = [...promises.values()].filter(({ promise }) => promise > 0)
  return ranked.sort((one, other) => other.promise - one.promise)
}

function ownTries({ meaning }: Game): Set<number> {
  const answers = meaning.index.reactions.flatMap((reaction) => reaction.answers)
  return new Set(answers.filter(({ record }) => isOwn(record)).map(({ index }) => index))
}

/**
 * What one action promises to first order: its uses times what it would gain, or how far it would overtake the best.
 */
function promiseOf(solution: Solution, occupancy: Occupancy, g: number, a: number, step: number): number {
  const { game, values, evaluator } = solution
  const lands = landingChance(game, a)
  const worth = (steppedShare(lands, step) - lands) * sure(game.actionAlive[a]) * landingOverRest(solution, a)
  let promise = 0
  for (let state = sure(game.groupStates[g]); state < sure(game.groupStates[g + 1]); state++) {
    if (occupancy.states[state] === 0) continue
    const over = evaluator.actionInState(a, fullClock(solution), state) + worth - sure(values[state])
    if (over > 0) promise += sure(occupancy.states[state]) * over
  }
  return Math.max(promise, sure(occupancy.actions[a]) * worth)
}

function landingChance({ outcomes, outcomeChance, meaning }: Game, a: number): number {
  for (let o = sure(outcomes[a]); o < sure(outcomes[a + 1]); o++) {
    if (meaning.outcomeKind[o] === OUTCOME.lands) return sure(outcomeChance[o])
  }
  return 0
}

/** How much better landing is than what comes of it otherwise. */
function landingOverRest({ game, values }: Solution, a: number): number {
  let rest = 0
  let mass = 0
  let landing: number | null = null
  for (let o = sure(game.outcomes[a]); o < sure(game.outcomes[a + 1]); o++) {
    if (game.meaning.outcomeKind[o] === OUTCOME.lands) {
      landing = sure(values[sure(game.outcomeState[o])])
      continue
    }
    rest += sure(game.outcomeChance[o]) * sure(values[sure(game.outcomeState[o])])
    mass += sure(game.outcomeChance[o])
  }
  if (mass === 0) return 0
  return (landing ?? whereItWouldLand(game, values, a)) - rest / mass
}

function whereItWouldLand({ meaning }: Game, values: Float64Array, a: number): number {
  const { to } = sure(meaning.index.moves[sure(meaning.actionMove[a])])
  if (to === FINISH) return 1
  return to < 0 || meaning.ownState[to] === NONE ? -1 : sure(values[sure(meaning.ownState[to])])
}

/** The loose ends by first-order cost: visits times how much less conceding is worth. */
export function rankLooseEnds(solution: Solution, occupancy: Occupancy): { end: MetWhere; visits: number }[] {
  const { game, values } = solution
  const { index, ownState } = game.meaning
  const ends = unansweredOf(index)
  const visits = visitsOf(game, occupancy, ends)
  const fall = ({ position, reaction }: MetWhere) => {
    const from = sure(values[sure(ownState[present(index.positionOf.get(position))])])
    const { endsIn } = present(index.reactions.find(({ record }) => record.id === reaction))
    return from - (endsIn < 0 ? -1 : sure(values[sure(ownState[endsIn])]))
  }
  return ends
    .map((end, i) => ({ end, visits: sure(visits[i]) }))
    .sort((a, b) => b.visits * fall(b.end) - a.visits * fall(a.end) || fall(b.end) - fall(a.end))
}

/** Positions that an exchange is in, those that it comes to most often first. */
export function mostVisited({ game }: Solution, occupancy: Occupancy): PositionId[] {
  const visits = new Map<number, number>()
  for (let state = TERMINALS; state < game.stateCount; state++) {
    const g = sure(game.stateGroup[state])
    if (game.groupIsReaction[g] || occupancy.states[state] === 0) continue
    const place = sure(game.meaning.groupPlace[g])
    visits.set(place, (visits.get(place) ?? 0) + sure(occupancy.states[state]))
  }
  return [...visits].sort((a, b) => b[1] - a[1]).map(([place]) => positionId(game, place))
}

/**
 * What each reaction would gain them if used more, to first order: visits times how much it is below what they do else.
 */
export function promiseOfMet({ game, values }: Solution, occupancy: Occupancy): Map<string, number> {
  const own = ownTries(game)
  const { index, actionMove, actionAnswer, outcomeReaction, groupPlace } = game.meaning
  const promises = new Map<string, number>()
  for (let g = 0; g < game.groupCount; g++) {
    for (let a = sure(game.groupActions[g]); a < sure(game.groupActions[g + 1]); a++) {
      const answer = sure(actionAnswer[a])
      const by = own.has(answer)
        ? `answer ${answer}`
        : actionMove[a] === NONE
          ? game.groupIsReaction[g]
            ? ''
            : positionId(game, sure(groupPlace[g]))
          : moveId(game, sure(actionMove[a]))
      for (let o = sure(game.reactionsFrom[a]); o < sure(game.outcomes[a + 1]); o++) {
        const key = `${by} ${sure(index.reactions[sure(outcomeReaction[o])]).record.id}`
        const below = choiceBeside(game, values, g, a, o) - sure(values[sure(game.outcomeState[o])])
        promises.set(key, (promises.get(key) ?? 0) + sure(occupancy.outcomes[o]) * below)
      }
    }
  }
  return promises
}

/** The worth to us of what they may choose instead of a reaction: another reaction, or nothing. */
function choiceBeside(game: Game, values: Float64Array, g: number, a: number, but: number): number {
  let total = 0
  let mass = 0
  for (let o = sure(game.outcomes[a]); o < sure(game.outcomes[a + 1]); o++) {
    const kind = game.meaning.outcomeKind[o]
    if (o === but || (kind !== OUTCOME.stalls && kind !== OUTCOME.reaction)) continue
    total += sure(game.outcomeChance[o]) * sure(values[sure(game.outcomeState[o])])
    mass += sure(game.outcomeChance[o])
  }
  return mass > 0 ? total / mass : sure(values[sure(game.groupStates[g])])
}
