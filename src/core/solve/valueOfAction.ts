import type { Game } from '../game/game'
import type { Dealer } from './deal'

/** Value of an action (no waiting) after which the values are those of the row that begins at `row`. */
export function valueOfAction(game: Game, values: Float64Array, dealer: Dealer, a: number, row: number): number {
  const { outcomeState, outcomeChance } = game
  const to = game.outcomes[a + 1]
  const end = game.scenario.sharpness > 0 ? game.reactionsFrom[a] : to
  let sum = 0
  for (let o = game.outcomes[a]; o < end; o++) sum += outcomeChance[o] * values[outcomeState[o] + row]
  if (end < to) sum += dealer.deal(values, row, end, to, game.actionMass[a], values[game.actionNothing[a] + row])
  return game.actionToll[a] + game.actionAlive[a] * sum
}

/**
 * What comes of a second of waiting in which they may do something unprompted; `stay`: the value of nothing happening.
 */
export function afterWaiting(
  game: Game,
  values: Float64Array,
  dealer: Dealer,
  wait: number,
  row: number,
  stay: number,
): number {
  const from = game.outcomes[wait]
  const to = game.outcomes[wait + 1]
  const mass = game.actionMass[wait]
  const undisturbed = (1 - mass) * stay
  if (game.scenario.sharpness > 0) return undisturbed + dealer.deal(values, row, from, to, mass, stay)
  let sum = undisturbed
  for (let o = from; o < to; o++) sum += game.outcomeChance[o] * values[row + game.outcomeState[o]]
  return sum
}
