import { LYING } from './lying'
import type { FramePoses } from './pairs'
import { UPRIGHT } from './upright'

/** How two people are in each frame, and in what a position's name tells of it. */
export const POSES: Record<string, FramePoses> = { ...LYING, ...UPRIGHT }
export type PoseName = keyof typeof LYING | keyof typeof UPRIGHT

/** What a name of a position tells of how they are in its frame; the first that fits counts. */
const BY_NAME: readonly [frame: RegExp, name: RegExp, pose: PoseName][] = [
  [/headlock/, /on the feet|standing|upright/i, 'headlock-standing'],
  [/headlock/, /guard|on the hip|leg over|raised elbow|arm inside|in the way/i, 'headlock-guard'],
  [/crucifix/, /kneel|free arm/i, 'crucifix-kneeling'],
  [/side/, /armbar|straight armlock|between (the|our) legs|clamped straight/i, 'armbar'],
  [/side/, /scarf|headlock on the ground/i, 'scarf'],
  [/side|standing/, /seated/i, 'seated-guard'],
  [/guard/, /half guard/i, 'half-guard'],
  [/guard/, /seated|sat up/i, 'seated-guard'],
  [/standing|clinch/, /knees/i, 'knees'],
  [/standing|clinch/, /underhook|head coming up|tie|body lock/i, 'clinch'],
  [/standing|clinch/, /high crotch|single|double|shot/i, 'shot'],
  [/standing|clinch/, /sprawl/i, 'headlock'],
  [/turtle/, /face down|to the belly/i, 'prone'],
  [/turtle/, /ride|leg entwined/i, 'ride'],
  [/kimura/, /as we pass|guard/i, 'from-below'],
  [/kimura/, /triangle/i, 'headlock-guard'],
  [/kimura/, /across the head|over the head/i, 'armbar'],
]

/** Frames that are another's picture where the name tells no more. */
const LIKE = new Map<string, PoseName>([['kimura', 'side']])

/** The picture for a position in a frame; undefined where its frame has none. */
export function poseFor(frame: string | undefined, name = ''): FramePoses | undefined {
  if (frame === undefined) return undefined
  const told = BY_NAME.find(([of, words]) => of.test(frame) && words.test(name))?.[2]
  const pose = told ?? LIKE.get(frame) ?? frame
  return Object.hasOwn(POSES, pose) ? POSES[pose] : undefined
}
