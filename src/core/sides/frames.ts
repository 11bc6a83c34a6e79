import type { Limb, Person } from '../chart/words'

type Side = 'left' | 'right'
/** A position's orientation: by fact, the side that it names; a fact that is not there is not known or does not apply. */
export type Orientation = Partial<Record<string, unknown>>

/** One thing that must be known to say sides: which arm is over the shoulder, which side is on the mat, and so on. */
export interface Fact {
  key: string
  ask: string
  /** For whom and for which limbs it gives words: on the side that it names, and on the other. */
  gives: { by: Person; limbs: 'arms' | 'legs' | 'all'; named: string; other: string }[]
}

/** A way in which two people lie or stand to each other, and the facts that give its limbs their words. */
export interface Frame {
  id: string
  name: string
  facts: Fact[]
}

const nearFar = { by: 'theirs', limbs: 'all', named: 'near', other: 'far' } as const

/**
 * Every frame with its facts. On their back both face the same way, so left stays left; facing each other our left meets
 * their right. Kneeling beside someone who lies on the back, the arm towards the hips is on the side that is near; beside
 * someone on hands and knees it is the other way about.
 */
export const FRAMES: readonly Frame[] = [
  {
    id: 'back',
    name: 'on their back',
    facts: [
      {
        key: 'over',
        ask: 'which of our arms is over the shoulder',
        gives: [{ by: 'ours', limbs: 'arms', named: 'over', other: 'under' }],
      },
      {
        key: 'down',
        ask: 'which side is on the mat',
        gives: [
          { by: 'ours', limbs: 'all', named: 'bottom', other: 'top' },
          { by: 'theirs', limbs: 'all', named: 'bottom', other: 'top' },
        ],
      },
    ],
  },
  ...(['side', 'knee-ride'] as const).map((id) => ({
    id,
    name: id === 'side' ? 'side control' : 'knee on belly',
    facts: [
      {
        key: 'near',
        ask: 'which of their sides is near',
        gives: [nearFar, { by: 'ours', limbs: 'all', named: 'hip-side', other: 'head-side' } as const],
      },
    ],
  })),
  {
    id: 'turtle',
    name: 'beside the turtle',
    facts: [
      {
        key: 'near',
        ask: 'which of their sides is near',
        gives: [nearFar, { by: 'ours', limbs: 'all', named: 'head-side', other: 'hip-side' }],
      },
    ],
  },
  {
    id: 'headlock',
    name: 'front headlock',
    facts: [
      {
        key: 'choking',
        ask: 'which of our arms is round the neck',
        gives: [{ by: 'ours', limbs: 'arms', named: 'choking', other: 'other' }],
      },
    ],
  },
  {
    id: 'standing',
    name: 'standing, face to face',
    facts: [
      {
        key: 'lead',
        ask: 'which of our sides leads',
        gives: [{ by: 'ours', limbs: 'all', named: 'lead', other: 'rear' }],
      },
      {
        key: 'theirLead',
        ask: 'which of their sides leads',
        gives: [{ by: 'theirs', limbs: 'all', named: 'lead', other: 'rear' }],
      },
    ],
  },
  {
    id: 'crucifix',
    name: 'crucifix',
    facts: [
      {
        key: 'hooked',
        ask: 'which of their arms do our legs hold',
        gives: [{ by: 'theirs', limbs: 'arms', named: 'hooked', other: 'other' }],
      },
    ],
  },
  { id: 'mount', name: 'mount', facts: [] },
  { id: 'north-south', name: 'north-south', facts: [] },
  { id: 'guard', name: 'guard', facts: [] },
]

export const frameOf = (id: string | undefined): Frame | undefined => FRAMES.find((frame) => frame.id === id)

const ARMS = ['hand', 'elbow', 'shoulder']
const isOf = (part: string, limbs: Fact['gives'][number]['limbs']) =>
  limbs === 'all' || ARMS.includes(part) === (limbs === 'arms')
const isSide = (value: unknown): value is Side => value === 'left' || value === 'right'

/**
 * The words that a coach says for a limb instead of left or right, those of the first fact first: none where the frame
 * has none, and none that do not apply (top and bottom while nobody lies on a side).
 */
export function sideWords(frame: string | undefined, orientation: Orientation, by: Person, limb: Limb): string[] {
  const [side, part] = limb.split('-')
  if (!part) return []
  return (frameOf(frame)?.facts ?? []).flatMap(({ key, gives }) => {
    const named = orientation[key]
    if (!isSide(named)) return []
    return gives
      .filter((give) => give.by === by && isOf(part, give.limbs))
      .map((give) => (side === named ? give.named : give.other))
  })
}

/** "under hand", "near foot"; with several words those after the first in brackets; left or right where there are none. */
export function limbInWords(frame: string | undefined, orientation: Orientation, by: Person, limb: Limb): string {
  const [side, part] = limb.split('-')
  const [word, ...more] = sideWords(frame, orientation, by, limb)
  if (!part) return side
  return word ? `${word} ${part}${more.length ? ` (${more.join(', ')})` : ''}` : `${side} ${part}`
}
