import type { Game } from '../game/game'
import { plainEnd, type Batches } from './batches'

/** The chances of a game in the order of its batches. */
export interface Chances {
  /** By outcome: its chance times the chance that the exchange goes on. */
  outcomeChance: Float64Array
  /** By dealt reaction: the most that a sharp defender can give it, chance / (1 − sharpness); and by place, the sum. */
  dealtBound: Float64Array
  dealtMass: Float64Array
  /** By place: how much more a try is worth where the move has just stalled, as a factor on (idle − landing). */
  weight: Float64Array
  /** By place: the part of that weight which slips, as a factor on (what it slips to − idle). */
  slipWeight: Float64Array
  /** By unprompted reaction: its chance, or its bound where they are sharp; and by group, the sum. */
  unpromptedChance: Float64Array
  unpromptedMass: Float64Array
  /** By sight: its share, or the most that a sharp defender can give it. */
  sightBound: Float64Array
}

/** The chances of `game`. `batches`: its own, or those of a game that differs in chances only. */
export function chancesOf(game: Game, batches: Batches): Chances {
  const { actions, repeatState } = batches
  const dealtMass = new Float64Array(actions.length)
  const weight = new Float64Array(actions.length)
  const slipWeight = new Float64Array(actions.length)
  for (let i = 0; i < actions.length; i++) {
    const alive = game.actionAlive[actions[i]]
    dealtMass[i] = alive * game.actionMass[actions[i]]
    if (!repeatState[i]) continue
    weight[i] = alive * game.stateLoss[repeatState[i]]
    slipWeight[i] = weight[i] * game.actionSlips[actions[i]]
  }
  return {
    ...outcomesOf(game, batches),
    dealtMass,
    weight,
    slipWeight,
    ...unpromptedOf(game, batches),
    sightBound: sightBounds(game, batches),
  }
}

function outcomesOf(game: Game, { actions, outcomeState, dealtState }: Batches) {
  const { outcomes, outcomeChance: chance } = game
  const outcomeChance = new Float64Array(outcomeState.length)
  const dealtBound = new Float64Array(dealtState.length)
  const bound = 1 / (1 - game.scenario.sharpness)
  let [plainAt, dealtAt] = [0, 0]
  for (let i = 0; i < actions.length; i++) {
    const a = actions[i]
    const alive = game.actionAlive[a]
    const end = plainEnd(game, a)
    for (let o = outcomes[a]; o < end; o++) outcomeChance[plainAt++] = chance[o] * alive
    for (let o = end; o < outcomes[a + 1]; o++) dealtBound[dealtAt++] = chance[o] * alive * bound
  }
  return { outcomeChance, dealtBound }
}

function unpromptedOf(game: Game, { unprompted, unpromptedState }: Batches) {
  const unpromptedChance = new Float64Array(unpromptedState.length)
  const unpromptedMass = new Float64Array(game.groupCount)
  const bound = 1 / (1 - game.scenario.sharpness)
  for (let g = 0; g < game.groupCount; g++) {
    const wait = game.groupActions[g]
    const first = game.outcomes[wait] - unprompted[g]
    unpromptedMass[g] = game.actionMass[wait]
    for (let i = unprompted[g]; i < unprompted[g + 1]; i++) unpromptedChance[i] = game.outcomeChance[first + i] * bound
  }
  return { unpromptedChance, unpromptedMass }
}

function sightBounds(game: Game, { sights, sightState }: Batches): Float64Array {
  const bounds = new Float64Array(sightState.length)
  const bound = 1 / (1 - game.scenario.sharpness)
  for (let i = 0; i + 1 < sights.length; i++) {
    for (let s = game.sights[i]; s < game.sights[i + 1]; s++) {
      bounds[sightState.indexOf(game.sightState[s], sights[i])] += game.sightShare[s] * bound
    }
  }
  return bounds
}
