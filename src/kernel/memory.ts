/*
 * Where everything lies in memory. The host sets the addresses; what is there is said at `Batches`, `Chances` and
 * `Game`.
 */

export let sharpness: f64 = 0
/** Addresses, by the names of `Batches`. */
export let batches: usize = 0
export let batchesEnd: usize = 0
export let actions: usize = 0
export let places: usize = 0
export let firsts: usize = 0
export let outcomeState: usize = 0
export let dealtState: usize = 0
export let dealtNothing: usize = 0
export let repeatState: usize = 0
export let landing: usize = 0
export let idle: usize = 0
export let slipsTo: usize = 0
export let groups: usize = 0
export let groupsEnd: usize = 0
export let moves: usize = 0
export let unprompted: usize = 0
export let unpromptedState: usize = 0
export let stalled: usize = 0
export let arrivals: usize = 0
export let arrivalsEnd: usize = 0
export let sights: usize = 0
export let sightState: usize = 0
/** Addresses, by the names of `Chances`. */
export let outcomeChance: usize = 0
export let dealtBound: usize = 0
export let dealtMass: usize = 0
export let weight: usize = 0
export let slipWeight: usize = 0
export let unpromptedChance: usize = 0
export let unpromptedMass: usize = 0
export let sightBound: usize = 0
/** Addresses, by the names of `Game`. */
export let groupStates: usize = 0
export let groupActions: usize = 0
export let groupIsReaction: usize = 0
export let groupWorth: usize = 0
export let stateGroup: usize = 0
export let reached: usize = 0
export let actionLike: usize = 0
export let actionSeconds: usize = 0
export let actionToll: usize = 0
export let actionAlive: usize = 0
/** All rows of values, a ring; and by seconds, the address of the row that lies so far behind, 0 where time is up. */
export let values: usize = 0
export let rowBehind: usize = 0
/**
 * By action: its value where it has not just stalled; by state: that of the move that just stalled. -Infinity: no time.
 */
export let fresh: usize = 0
export let again: usize = 0
/** By state: the best action, written by `record`. */
export let policy: usize = 0
/** States in which `keep` does what is planned there, NONE to do nothing. */
export let kept: usize = 0
export let keptEnd: usize = 0
export let planned: usize = 0
