import type { Game } from '../game/game'
import type { Dealer } from './deal'
import type { ValueTable } from './valueTable'

/** Value of an action (no waiting) that ends with `left` seconds left. */
export function valueOfAction(game: Game, table: ValueTable, dealer: Dealer, a: number, left: number): number {
  const { values, stride } = table
  const column = table.column(left)
  const to = game.outcomes[a + 1]
  const end = game.scenario.sharpness > 0 ? game.reactionsFrom[a] : to
  let sum = 0
  for (let o = game.outcomes[a]; o < end; o++) {
    sum += game.outcomeChance[o] * values[game.outcomeState[o] * stride + column]
  }
  if (end < to) {
    const nothing = values[game.actionNothing[a] * stride + column]
    sum += dealer.deal(values, stride, column, end, to, game.actionMass[a], nothing)
  }
  return game.actionToll[a] + game.actionAlive[a] * sum
}
