import { NONE, OUTCOME } from '../game/game'
import type { Evaluator } from './evaluate'

/** Called for every way an action can go: the outcome's index (NONE for staying put), where to, and its chance. */
export type Step = (outcome: number, state: number, chance: number) => void

/**
 * How action `a`, taken in `state` with t seconds left and not interrupted, goes against this defender.
 * The chances sum to 1.
 */
export function follow(evaluator: Evaluator, a: number, t: number, state: number, step: Step): void {
  const { game } = evaluator
  const waits = evaluator.isWaiting(a, state)
  const from = game.outcomes[a]
  const to = game.outcomes[a + 1]
  const reactions = game.reactionsFrom[a]
  const nothing = game.actionNothing[a] === NONE ? state : game.actionNothing[a]
  const loss = a === game.stateStalled[state] ? game.stateLoss[state] : 0
  let idle = loss
  let stalls: number = NONE
  for (let o = from; o < reactions; o++) {
    const kind = game.meaning.outcomeKind[o]
    if (kind === OUTCOME.stalls) {
      stalls = o
      idle += game.outcomeChance[o]
    } else step(o, game.outcomeState[o], game.outcomeChance[o] - (kind === OUTCOME.lands ? loss : 0))
  }
  if (waits) idle = 1 - game.actionMass[a]
  idle += react(evaluator, a, t, waits ? state : nothing, reactions, to, step)
  if (idle > 0) step(stalls, waits ? state : nothing, idle)
}

/** Steps into the reactions; returns how much of their mass comes to nothing. */
function react(
  evaluator: Evaluator,
  a: number,
  t: number,
  nothing: number,
  from: number,
  to: number,
  step: Step,
): number {
  const { game, table, dealer } = evaluator
  if (from === to) return 0
  if (game.scenario.sharpness === 0) {
    for (let o = from; o < to; o++) step(o, game.outcomeState[o], game.outcomeChance[o])
    return 0
  }
  const left = t - game.actionSeconds[a]
  const nothingValue = table.at(nothing, left)
  dealer.deal(table.values, table.row(left), from, to, game.actionMass[a], nothingValue)
  for (let o = from; o < to; o++) {
    const dealt = dealer.dealt[o - from]
    if (dealt > 0) step(o, game.outcomeState[o], dealt)
  }
  return dealer.nothing
}
