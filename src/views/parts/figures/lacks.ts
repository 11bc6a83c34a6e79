import type { Lack } from '../../../core/insight/trust'

/** The screen on which something that is lacking is charted. */
export const addressOf = (lack: Lack) => ({
  path: `/worksheet/${lack.position}`,
  query: 'move' in lack ? { move: lack.move } : {},
})
