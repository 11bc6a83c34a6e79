import { NONE, type Game } from '../game/game'

/**
 * The game's moves sorted for stepping: those that take as many seconds and have as many outcomes lie side by side, so
 * that a batch is one loop without branches that reads a single row of values. All actions take a second or more, so
 * within one step no action waits for another. A move's place is where it stands in this order.
 */
export interface Batches {
  batches: Batch[]
  /** Actions by place, waiting left out: it stays with its group. */
  actions: Int32Array
  /** Outcomes in order of place; the chances count that the exchange goes on. None for actions that are `read`. */
  outcomeState: Int32Array
  outcomeChance: Float64Array
  toll: Float64Array
  /** Places from here on are of actions whose reactions a sharp defender chooses, by seconds. */
  read: number
  /** The move tried again, where it stalled, is worth its fresh value plus `weight` times (idle - landing). */
  weight: Float64Array
  landing: Int32Array
  idle: Int32Array
  /** The state in which it just stalled, 0 for none; and back: place of the move that just stalled, or NONE. */
  repeatState: Int32Array
  stalledPlace: Int32Array
  /** Groups with as many actions side by side; slots of groups[i]: slots[i] to slots[i + 1]; place to slot, and back. */
  groups: Int32Array
  slots: Int32Array
  slotOfPlace: Int32Array
  placeOfSlot: Int32Array
}

export interface Batch {
  seconds: number
  /** Outcomes of each action. */
  width: number
  /** Places of its moves; from `repeats` on they have a state in which they just stalled. */
  from: number
  repeats: number
  to: number
  firstOutcome: number
}

/** Sorts a game's moves, answers and concessions into batches. */
export function makeBatches(game: Game): Batches {
  const repeatState = repeatStates(game)
  const sharp = game.scenario.sharpness > 0
  const isRead = (a: number) => sharp && game.reactionsFrom[a] < game.outcomes[a + 1]
  const width = (a: number) => (isRead(a) ? 0 : game.outcomes[a + 1] - game.outcomes[a])
  const repeats = (a: number) => (repeatState[a] === NONE ? 0 : 1)
  const widest =
    game.outcomes.reduce((most, from, a) => Math.max(most, from - game.outcomes[Math.max(0, a - 1)]), 0) + 1
  const rank = (a: number) => (isRead(a) ? game.maxSeconds + 1 : 0) + game.actionSeconds[a]
  const actions = sortedActions(game, (a) => (rank(a) * widest + width(a)) * 2 + repeats(a))
  const isFirstRead = actions.findIndex(isRead)
  const read = isFirstRead < 0 ? actions.length : isFirstRead
  return {
    batches: batchesOf(game, actions, read, width, repeatState),
    actions,
    read,
    ...outcomesOf(game, actions, width),
    ...repeated(game, actions, repeatState),
    ...slotsOf(game, actions),
  }
}

type Width = (a: number) => number

function batchesOf(game: Game, actions: Int32Array, read: number, width: Width, repeatState: Int32Array): Batch[] {
  const batches: Batch[] = []
  let firstOutcome = 0
  let batch: Batch | undefined
  actions.forEach((a, place) => {
    const seconds = game.actionSeconds[a]
    if (batch?.seconds !== seconds || batch.width !== width(a) || place === read) {
      batch = { seconds, width: width(a), from: place, repeats: place, to: place, firstOutcome }
      batches.push(batch)
    }
    batch.to = place + 1
    if (repeatState[a] === NONE) batch.repeats = place + 1
    firstOutcome += width(a)
  })
  return batches
}

function outcomesOf(game: Game, actions: Int32Array, width: Width) {
  const count = actions.reduce((sum, a) => sum + width(a), 0)
  const outcomeState = new Int32Array(count)
  const outcomeChance = new Float64Array(count)
  const toll = new Float64Array(actions.length)
  let at = 0
  actions.forEach((a, place) => {
    toll[place] = game.actionToll[a]
    const end = game.outcomes[a] + width(a)
    for (let o = game.outcomes[a]; o < end; o++, at++) {
      outcomeState[at] = game.outcomeState[o]
      outcomeChance[at] = game.outcomeChance[o] * game.actionAlive[a]
    }
  })
  return { outcomeState, outcomeChance, toll }
}

/** By action: the state in which it has just stalled and can be tried again, or NONE. */
function repeatStates(game: Game): Int32Array {
  const states = new Int32Array(game.actionSeconds.length).fill(NONE)
  game.stateStalled.forEach((a, state) => {
    if (a !== NONE && !Number.isNaN(game.stateLoss[state])) states[a] = state
  })
  return states
}

/** Actions but for waiting, by a key of their own and then by their number. */
function sortedActions(game: Game, keyOf: (a: number) => number): Int32Array {
  const count = game.actionSeconds.length
  const keys = new Float64Array(count - game.groupCount + game.groupIsReaction.reduce((n, is) => n + is, 0))
  let n = 0
  for (let g = 0; g < game.groupCount; g++) {
    const first = game.groupActions[g] + 1 - game.groupIsReaction[g]
    for (let a = first; a < game.groupActions[g + 1]; a++) keys[n++] = keyOf(a) * count + a
  }
  return Int32Array.from(keys.sort(), (key) => key % count)
}

function repeated(game: Game, actions: Int32Array, repeatState: Int32Array) {
  const weight = new Float64Array(actions.length)
  const landing = new Int32Array(actions.length)
  const idle = new Int32Array(actions.length)
  const states = new Int32Array(actions.length)
  actions.forEach((a, place) => {
    const state = repeatState[a]
    if (state === NONE) return
    states[place] = state
    weight[place] = game.actionAlive[a] * game.stateLoss[state]
    landing[place] = Math.max(0, game.actionLanding[a])
    idle[place] = game.actionNothing[a] === NONE ? state : game.actionNothing[a]
  })
  return { repeatState: states, weight, landing, idle }
}

function slotsOf(game: Game, actions: Int32Array) {
  const placeOf = new Int32Array(game.actionSeconds.length).fill(NONE)
  actions.forEach((a, place) => (placeOf[a] = place))
  const firstMove = (g: number) => game.groupActions[g] + 1 - game.groupIsReaction[g]
  const size = Int32Array.from(
    { length: game.groupCount },
    (_, g) => 2 * (game.groupActions[g + 1] - firstMove(g)) + game.groupIsReaction[g],
  )
  const groups = Int32Array.from(size.keys()).sort((a, b) => size[a] - size[b] || a - b)
  const slots = new Int32Array(game.groupCount + 1)
  const placeOfSlot = new Int32Array(actions.length)
  groups.forEach((g, i) => {
    const places = placeOf.subarray(firstMove(g), game.groupActions[g + 1])
    placeOfSlot.set(places, slots[i])
    slots[i + 1] = slots[i] + places.length
  })
  const slotOfPlace = new Int32Array(actions.length)
  placeOfSlot.forEach((place, slot) => (slotOfPlace[place] = slot))
  return {
    stalledPlace: game.stateStalled.map((a) => (a === NONE ? NONE : placeOf[a])),
    groups,
    slots,
    placeOfSlot,
    slotOfPlace,
  }
}
