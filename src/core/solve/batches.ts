import { NONE, type Game } from '../game/game'

/**
 * The game's moves sorted for stepping: those that take as many seconds and have as many outcomes lie side by side, so
 * that a batch is one loop without branches that reads a single row of values. All actions take a second or more, so
 * within one step no action waits for another.
 */
export interface Batches {
  plain: Batch[]
  /** Of the plain batches, in their order: actions, their outcomes' states and chances. */
  actions: Int32Array
  outcomeState: Int32Array
  outcomeChance: Float64Array
  toll: Float64Array
  alive: Float64Array
  /** Actions whose reactions a sharp defender chooses, by seconds. */
  read: Int32Array
  /** States in which a move has just stalled, by that move's seconds. */
  stalled: StalledStates
}

export interface Batch {
  seconds: number
  /** Outcomes of each action. */
  width: number
  /** Places in `actions`; and of the first outcome. */
  from: number
  to: number
  firstOutcome: number
}

/** The move tried again is worth its fresh value plus `weight` times (idle - landing). */
interface StalledStates {
  states: Int32Array
  weight: Float64Array
  landing: Int32Array
  idle: Int32Array
}

/** Sorts a game's moves, answers and concessions into batches; waiting stays with its group. */
export function makeBatches(game: Game): Batches {
  const sharp = game.scenario.sharpness > 0
  const width = (a: number) => game.outcomes[a + 1] - game.outcomes[a]
  const moves = Array.from(movesOf(game))
  const isRead = (a: number) => sharp && game.reactionsFrom[a] < game.outcomes[a + 1]
  const bySeconds = (a: number, b: number) => game.actionSeconds[a] - game.actionSeconds[b]
  const plain = moves.filter((a) => !isRead(a)).sort((a, b) => bySeconds(a, b) || width(a) - width(b) || a - b)
  const outcomes = plain.flatMap((a) => Array.from({ length: width(a) }, (_, i) => game.outcomes[a] + i))
  return {
    plain: batchesOf(game, plain, width),
    actions: Int32Array.from(plain),
    outcomeState: Int32Array.from(outcomes, (o) => game.outcomeState[o]),
    outcomeChance: Float64Array.from(outcomes, (o) => game.outcomeChance[o]),
    toll: Float64Array.from(plain, (a) => game.actionToll[a]),
    alive: Float64Array.from(plain, (a) => game.actionAlive[a]),
    read: Int32Array.from(moves.filter(isRead).sort((a, b) => bySeconds(a, b) || a - b)),
    stalled: stalledStates(game),
  }
}

function* movesOf(game: Game): Generator<number> {
  for (let g = 0; g < game.groupCount; g++) {
    const first = game.groupActions[g] + (game.groupIsReaction[g] ? 0 : 1)
    for (let a = first; a < game.groupActions[g + 1]; a++) yield a
  }
}

function batchesOf(game: Game, plain: number[], width: (a: number) => number): Batch[] {
  const batches: Batch[] = []
  let firstOutcome = 0
  plain.forEach((a, i) => {
    const last = batches[batches.length - 1]
    const seconds = game.actionSeconds[a]
    if (last && last.seconds === seconds && last.width === width(a)) last.to++
    else batches.push({ seconds, width: width(a), from: i, to: i + 1, firstOutcome })
    firstOutcome += width(a)
  })
  return batches
}

function stalledStates(game: Game): StalledStates {
  const { stateStalled, actionSeconds, actionNothing } = game
  const states = Array.from(stateStalled.keys())
    .filter((state) => stateStalled[state] !== NONE)
    .sort((a, b) => actionSeconds[stateStalled[a]] - actionSeconds[stateStalled[b]] || a - b)
  const idle = (state: number) => {
    const nothing = actionNothing[stateStalled[state]]
    return nothing === NONE ? state : nothing
  }
  return {
    states: Int32Array.from(states),
    weight: Float64Array.from(states, (state) => game.actionAlive[stateStalled[state]] * game.stateLoss[state]),
    landing: Int32Array.from(states, (state) => game.actionLanding[stateStalled[state]]),
    idle: Int32Array.from(states, idle),
  }
}
