import { moveId } from '../game/describe'
import { NONE, TERMINAL, TERMINALS, type Game } from '../game/game'
import type { MoveId, PositionId } from '../chart/ids'
import { firstComing, keptOccupancyOf, type FirstComing } from '../solve/occupancy'
import type { Solution } from '../solve/solution'
import { sure } from '../sure'

/** That the plan comes to a position, and when first. `visits`: expected times per exchange. */
export interface Coming extends FirstComing {
  position: PositionId
  visits: number
}

/** Where the plan goes, and in what it ends. */
export interface Comings {
  positions: Coming[]
  /** By the move that finishes, the most often first: chances per exchange. */
  finishes: { move: MoveId; chance: number }[]
}

/** Positions that a picture of the plan has room for, and how often it must come to the rarest of them. */
const MOST = 12
const LEAST_VISITS = 0.02

/**
 * The positions that the plan uses most, with when it first comes to each (to a hundredth of a second), and its
 * finishes. The solution must have kept every second.
 */
export function comingsOf(solution: Solution): Comings {
  const before = known.get(solution)
  if (before) return before
  const comings = found(solution)
  known.set(solution, comings)
  return comings
}

/** A plan is looked at again and again: each is followed once. */
const known = new WeakMap<Solution, Comings>()

function found(solution: Solution): Comings {
  const { game } = solution
  const occupancy = keptOccupancyOf(solution)
  const placeOf = positionsByState(game)
  const visits = new Float64Array(game.meaning.index.positions.length)
  placeOf.forEach((p, state) => {
    if (p !== NONE) visits[p] = sure(visits[p]) + sure(occupancy.states[state])
  })
  const most = [...visits.keys()]
    .filter((p) => sure(visits[p]) >= LEAST_VISITS)
    .sort((a, b) => sure(visits[b]) - sure(visits[a]))
    .slice(0, MOST)
  return {
    positions: most.map((p) => ({
      position: sure(game.meaning.index.positions[p]).record.id,
      visits: sure(visits[p]),
      ...firstComing(
        solution,
        Uint8Array.from(placeOf, (place) => Number(place === p)),
      ),
    })),
    finishes: finishesOf(game, occupancy.outcomes),
  }
}

/** The position of each state in which something is done; NONE for reactions, terminals and arrivals. */
function positionsByState(game: Game): Int32Array {
  const places = new Int32Array(game.stateCount).fill(NONE)
  for (let state = TERMINALS; state < game.arrivalsFrom; state++) {
    const g = sure(game.stateGroup[state])
    if (!game.groupIsReaction[g]) places[state] = sure(game.meaning.groupPlace[g])
  }
  return places
}

function finishesOf(game: Game, outcomes: Float64Array): Comings['finishes'] {
  const by = new Map<MoveId, number>()
  game.meaning.actionMove.forEach((move, a) => {
    if (move === NONE) return
    for (let o = sure(game.outcomes[a]); o < sure(game.outcomes[a + 1]); o++) {
      const chance = sure(outcomes[o])
      if (game.outcomeState[o] !== TERMINAL.finish || chance === 0) continue
      const id = moveId(game, move)
      by.set(id, (by.get(id) ?? 0) + chance)
    }
  })
  return [...by].map(([move, chance]) => ({ move, chance })).sort((a, b) => b.chance - a.chance)
}
