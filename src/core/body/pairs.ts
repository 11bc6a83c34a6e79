import type { Pose } from './skeleton'

/** From where a pair is seen: turned to the left by, and from above by, in degrees. */
export interface View {
  turned: number
  above: number
}

export interface FramePoses {
  /** The person in control, and the other. */
  over: Pose
  under: Pose
  view: View
  /** The fact on which the picture depends and the side for which it is drawn; for the other it is mirrored. */
  drawnFor?: { fact: string; side: 'left' | 'right' }
  /** Standing: each person leads with a side of their own; drawn for the left. */
  leads?: true
  /** They lie on a side where that is known (fact `down`). */
  tips?: true
}

/** Drawn for the right arm round the neck. */
export const FOR_CHOKING = { fact: 'choking', side: 'right' } as const
/** Beside one who lies or kneels, and from the side. */
export const BESIDE: View = { turned: 14, above: 36 }
export const PROFILE: View = { turned: 22, above: 20 }
