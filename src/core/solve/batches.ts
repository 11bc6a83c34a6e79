import { NONE, type Game } from '../game/game'

/**
 * The game's moves sorted for stepping: those that take as many seconds and have as many outcomes lie side by side, so
 * that a batch is one loop without branches that reads a single row of values. All actions take a second or more, so
 * within one step no action waits for another. A move's place is where it stands in this order. Games that differ in
 * chances only have the same batches, and `Chances` of their own.
 */
export interface Batches {
  /**
   * Eight numbers a batch: seconds, outcomes per action, dealt reactions per action; the places where it begins, where
   * those that can repeat begin, and where it ends; its first outcome; its first dealt reaction.
   */
  batches: Int32Array
  /** Action at each place. Waiting is left out (its group steps it), and of equal actions only the first is in. */
  actions: Int32Array
  /** By action: its place; NONE for waiting. */
  places: Int32Array
  /** By place, and once more at the end: its first outcome and its first dealt reaction. */
  firsts: Int32Array
  /** By outcome in order of place: the state it leads to. Dealt reactions are kept apart. */
  outcomeState: Int32Array
  /** By dealt reaction in order of place: the state it leads to; and by place, the state if nothing comes of it. */
  dealtState: Int32Array
  dealtNothing: Int32Array
  /** By place: the state in which the move has just stalled (0: none), where it lands, and where it stalls. */
  repeatState: Int32Array
  landing: Int32Array
  idle: Int32Array
  /** By place: the state where a part of what stalls in place slips to (0: none). */
  slipsTo: Int32Array
  /** Runs of groups with equally many actions; and by group, its first action that is not waiting. */
  groups: Int32Array
  moves: Int32Array
  /** What they do unprompted in group g: unprompted[g] to unprompted[g + 1]. */
  unprompted: Int32Array
  unpromptedState: Int32Array
  /** By state: the action that has just stalled, or one past the last. */
  stalled: Int32Array
  /** The first arrival; and for each, what may be seen: sights[i] to sights[i + 1] of `sightState`, each state once. */
  arrivals: Int32Array
  sights: Int32Array
  sightState: Int32Array
}

/** Sorts a game's moves, answers and concessions into batches. */
export function makeBatches(game: Game): Batches {
  const repeatState = repeatStates(game)
  const kind = (a: number): Kind => ({
    seconds: game.actionSeconds[a],
    width: plainEnd(game, a) - game.outcomes[a],
    dealt: game.outcomes[a + 1] - plainEnd(game, a),
  })
  const moves = Int32Array.from(
    { length: game.groupCount },
    (_, g) => game.groupActions[g] + 1 - game.groupIsReaction[g],
  )
  const actions = sortedActions(game, moves, kind, repeatState)
  const firsts = firstsOf(actions, kind)
  const dealing = Array.from(actions, (a) => game.outcomeState.subarray(plainEnd(game, a), game.outcomes[a + 1]))
  return {
    batches: batchesOf(actions, firsts, kind, repeatState),
    actions,
    places: placesOf(game, actions),
    firsts,
    outcomeState: joined(Array.from(actions, (a) => game.outcomeState.subarray(game.outcomes[a], plainEnd(game, a)))),
    dealtState: joined(dealing),
    dealtNothing: actions.map((a) => Math.max(0, game.actionNothing[a])),
    ...repeatsOf(game, actions, repeatState),
    ...sightsOf(game),
    groups: Int32Array.from(moves.keys()).sort((a, b) => sizeOf(game, a) - sizeOf(game, b) || a - b),
    moves,
    ...unpromptedOf(game),
    stalled: game.stateStalled.map((a) => (a === NONE ? game.actionSeconds.length : a)),
  }
}

/** Cues that nobody chooses by lead to the same state as nothing in particular, and are dealt as one. */
function sightsOf(game: Game): Pick<Batches, 'arrivals' | 'sights' | 'sightState'> {
  const rows = Array.from({ length: game.stateCount - game.arrivalsFrom }, (_, i) =>
    Int32Array.from(new Set(game.sightState.subarray(game.sights[i], game.sights[i + 1]))),
  )
  const sights = new Int32Array(rows.length + 1)
  rows.forEach((row, i) => (sights[i + 1] = sights[i] + row.length))
  const arrivals = Int32Array.from(rows, (_, i) => game.arrivalsFrom + i)
  return { arrivals, sights, sightState: joined(rows) }
}

/** Where the outcomes of an action end that nobody deals out. */
export function plainEnd(game: Game, a: number): number {
  return game.scenario.sharpness > 0 ? game.reactionsFrom[a] : game.outcomes[a + 1]
}

/** What decides which batch an action is in. */
interface Kind {
  seconds: number
  width: number
  dealt: number
}

/** By action: the state in which it has just stalled and can be tried again, or NONE. */
function repeatStates(game: Game): Int32Array {
  const states = new Int32Array(game.actionSeconds.length).fill(NONE)
  game.stateStalled.forEach((a, state) => {
    if (a !== NONE && !Number.isNaN(game.stateLoss[state])) states[a] = state
  })
  return states
}

const sizeOf = (game: Game, g: number) =>
  2 * (game.groupActions[g + 1] - game.groupActions[g]) - (game.groupIsReaction[g] ? 1 : 2)

/** Actions but for waiting, by batch, those that can repeat last, and then by their number. */
function sortedActions(game: Game, moves: Int32Array, kind: (a: number) => Kind, repeatState: Int32Array): Int32Array {
  const count = game.actionSeconds.length
  const keys: number[] = []
  const widest =
    game.outcomes.reduce((most, from, a) => Math.max(most, from - game.outcomes[Math.max(0, a - 1)]), 0) + 1
  moves.forEach((first, g) => {
    for (let a = first; a < game.groupActions[g + 1]; a++) {
      if (game.actionLike[a] !== a) continue
      const { seconds, width, dealt } = kind(a)
      const batch = (seconds * widest + width) * widest + dealt
      keys.push((batch * 2 + Number(repeatState[a] !== NONE)) * count + a)
    }
  })
  return Int32Array.from(Float64Array.from(keys).sort(), (key) => key % count)
}

function batchesOf(
  actions: Int32Array,
  firsts: Int32Array,
  kind: (a: number) => Kind,
  repeatState: Int32Array,
): Int32Array {
  const batches: number[][] = []
  let batch: number[] = []
  actions.forEach((a, place) => {
    const { seconds, width, dealt } = kind(a)
    if (batch[0] !== seconds || batch[1] !== width || batch[2] !== dealt) {
      batch = [seconds, width, dealt, place, place, place, firsts[2 * place], firsts[2 * place + 1]]
      batches.push(batch)
    }
    if (repeatState[a] === NONE) batch[4] = place + 1
    batch[5] = place + 1
  })
  return Int32Array.from(batches.flat())
}

function placesOf(game: Game, actions: Int32Array): Int32Array {
  const places = new Int32Array(game.actionSeconds.length).fill(NONE)
  actions.forEach((a, place) => (places[a] = place))
  game.actionLike.forEach((like, a) => (places[a] = places[like]))
  return places
}

function firstsOf(actions: Int32Array, kind: (a: number) => Kind): Int32Array {
  const firsts = new Int32Array(2 * actions.length + 2)
  actions.forEach((a, place) => {
    const { width, dealt } = kind(a)
    firsts[2 * place + 2] = firsts[2 * place] + width
    firsts[2 * place + 3] = firsts[2 * place + 1] + dealt
  })
  return firsts
}

function joined(rows: Int32Array[]): Int32Array {
  const all = new Int32Array(rows.reduce((sum, row) => sum + row.length, 0))
  let at = 0
  for (const row of rows) {
    all.set(row, at)
    at += row.length
  }
  return all
}

function repeatsOf(game: Game, actions: Int32Array, repeatState: Int32Array) {
  const ofRepeated = (stateOf: (a: number) => number) => actions.map((a) => (repeatState[a] === NONE ? 0 : stateOf(a)))
  return {
    repeatState: ofRepeated((a) => repeatState[a]),
    landing: ofRepeated((a) => Math.max(0, game.actionLanding[a])),
    slipsTo: ofRepeated((a) => Math.max(0, game.actionSlipsTo[a])),
    idle: ofRepeated((a) => (game.actionNothing[a] === NONE ? repeatState[a] : game.actionNothing[a])),
  }
}

function unpromptedOf(game: Game) {
  const unprompted = new Int32Array(game.groupCount + 1)
  const rows: Int32Array[] = []
  for (let g = 0; g < game.groupCount; g++) {
    const wait = game.groupActions[g]
    const row = game.outcomeState.subarray(
      game.outcomes[wait],
      game.groupIsReaction[g] ? game.outcomes[wait] : game.outcomes[wait + 1],
    )
    rows.push(row)
    unprompted[g + 1] = unprompted[g] + row.length
  }
  return { unprompted, unpromptedState: joined(rows) }
}
