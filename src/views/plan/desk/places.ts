import type { Chart } from '../../../core/chart/chart'
import type { MoveId, PositionId, ReactionId } from '../../../core/chart/ids'
import { lookUp } from '../../../core/chart/lookUp'
import { t } from '../../../words'

/** Where a reaction is met: in words, and the address of the screen that shows it. */
export function placeOf(chart: Chart, move: MoveId | null, position: PositionId, reaction: ReactionId, answer = false) {
  const record = lookUp(chart.moves, move)
  const where = lookUp(chart.positions, record?.from ?? position)
  return {
    reaction: lookUp(chart.reactions, reaction)?.name ?? '',
    to: record ? t('common.toGoal', { goal: record.name }) : t('desk.whileWeHoldStillInWhere', { where: where?.name }),
    go: {
      path: `/worksheet/${where?.id}`,
      query: { ...(move ? { move } : {}), reaction, ...(answer ? { answer: '1' } : {}) },
    },
  }
}

/** Where they get out, in a way that is not charted: what is to be charted next. */
export function placeOfGettingOut(chart: Chart, position: PositionId) {
  const where = lookUp(chart.positions, position)
  return { reaction: t('common.getsOut'), to: `of ${where?.name}`, go: { path: `/worksheet/${position}`, query: {} } }
}
