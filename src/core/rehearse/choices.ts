/** What can be done besides the moves: nothing, and (to a reaction) letting them have it. As figures name them. */
export const WAIT = 'wait'
export const CONCEDE = 'concede'
