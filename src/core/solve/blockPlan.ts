import { NONE, TERMINALS, type Game } from '../game/game'

/** Seconds that are valued at once where nothing shorter stands in the way. */
export const BLOCK = 4

/** In which order the groups of a block are valued. */
export interface BlockPlan {
  /** Groups whose values for a whole block can be found at once, each after those that its short actions lead to. */
  atOnce: Int32Array
  /** The others, to be taken second by second: through short actions they depend on themselves. */
  bySecond: Int32Array
}

/**
 * Sorts the groups by what they need from within a block: an action shorter than the block (or waiting where they
 * may do something unprompted) needs its outcomes' later seconds first. Kahn's topological order (1962).
 */
export function planBlocks(game: Game): BlockPlan {
  const needs = Array.from({ length: game.groupCount }, (_, g) => shortTargets(game, g))
  const waiting = needs.map((targets) => targets.size)
  const dependents: number[][] = needs.map(() => [])
  needs.forEach((targets, g) => targets.forEach((target) => dependents[target].push(g)))
  const atOnce = waiting.flatMap((count, g) => (count === 0 ? [g] : []))
  for (let i = 0; i < atOnce.length; i++) {
    for (const g of dependents[atOnce[i]]) if (--waiting[g] === 0) atOnce.push(g)
  }
  const done = new Uint8Array(game.groupCount)
  for (const g of atOnce) done[g] = 1
  const bySecond = Array.from(done.keys()).filter((g) => !done[g])
  return { atOnce: Int32Array.from(atOnce), bySecond: Int32Array.from(bySecond) }
}

/**
 * Groups whose values of the same block a group's short actions read; undisturbed waiting reads only the state itself.
 * A move without a state to stall in stalls, when repeated, in the state it is tried from.
 */
function shortTargets(game: Game, g: number): Set<number> {
  const targets = new Set<number>()
  const read = (state: number) => {
    if (state >= TERMINALS) targets.add(game.stateGroup[state])
  }
  for (let a = game.groupActions[g]; a < game.groupActions[g + 1]; a++) {
    if (game.actionSeconds[a] >= BLOCK) continue
    for (let o = game.outcomes[a]; o < game.outcomes[a + 1]; o++) read(game.outcomeState[o])
    if (game.actionNothing[a] !== NONE) read(game.actionNothing[a])
    else if (a > game.groupActions[g]) targets.add(g)
  }
  return targets
}
