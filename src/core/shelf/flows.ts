import { lookUp } from '../chart/lookUp'
import type { Problem } from '../problem'
import { sure } from '../sure'
import type { ShelfRegion } from './shelf'
import type { FlowDrill, ShelfMove } from './shelfRecords'

/* Flow drills: loops of positions in which nobody is finished. */

/** Whether a step’s move begins where the step is, and lands where the next one is; the last leads to the first. */
export function flowHolds({ steps }: FlowDrill, moves: readonly ShelfMove[]): boolean {
  if (steps.length < 2) return false
  return steps.every(({ position, move: id }, i) => {
    const move = lookUp(moves, id)
    const next = sure(steps[(i + 1) % steps.length])
    if (move?.to !== next.position) return false
    return move.from === position || (move.alsoFrom ?? []).some((place) => place === position)
  })
}

/** Steps of flows that name a position or a move which a shelf of one’s own does not have, or that do not join. */
export const checkFlows = ({ flows = [], positions, moves }: ShelfRegion): Problem[] =>
  flows.flatMap((flow, at): Problem[] => {
    const unknown = flow.steps.flatMap(({ position, move }, step): Problem[] => {
      const path = ['flows', at, 'steps', step]
      return [
        ...(lookUp(positions, position) ? [] : [missing('position', position, [...path, 'position'])]),
        ...(lookUp(moves, move) ? [] : [missing('move', move, [...path, 'move'])]),
      ]
    })
    if (unknown.length || flowHolds(flow, moves)) return unknown
    const message = `does not go round: each move must begin where its step is, and land where the next one is`
    return [{ code: 'unknown-reference', path: ['flows', at, 'steps'], message }]
  })

const missing = (kind: string, id: string, path: Problem['path']): Problem => ({
  ...{ code: 'unknown-reference' as const, path },
  message: `there is no ${kind} "${id}"`,
})
