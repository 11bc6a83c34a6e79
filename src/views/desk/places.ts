import type { Chart } from '../../core/chart/chart'
import type { MoveId, PositionId, ReactionId } from '../../core/chart/ids'

/** Where a reaction is met, in words and as a way to go there. */
export function placeOf(chart: Chart, move: MoveId | null, position: PositionId, reaction: ReactionId, answer = false) {
  const record = chart.moves.find(({ id }) => id === move)
  const where = chart.positions.find(({ id }) => id === (record?.from ?? position))
  return {
    reaction: chart.reactions.find(({ id }) => id === reaction)?.name ?? '',
    to: record ? `to ${record.name}` : `while we hold still in ${where?.name}`,
    go: {
      path: `/worksheet/${where?.id}`,
      query: { ...(move ? { move } : {}), reaction, ...(answer ? { answer: '1' } : {}) },
    },
  }
}
