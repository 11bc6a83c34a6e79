import { sure } from '../sure'
import type { Position } from '../chart/position'
import type { Limb, Person } from '../chart/words'

type Side = 'left' | 'right'
/** A position's orientation: for each fact, its side. A fact that is absent is unknown or does not apply. */
export type Orientation = Partial<Record<string, unknown>>

/** One question whose answer gives limbs their words: which arm is over the shoulder, which side is on the mat. */
export interface Fact {
  key: string
  ask: string
  /** The person whose control it describes; it is asked only where that person is in control. Absent: always. */
  of?: Person
  /** Which limbs of whom it gives words: one for the side that it names, one for the other side. */
  gives: Gives[]
}

/** Words for limbs. `out`: only while the under arm is out (true) or is not (false). */
interface Gives {
  by: Person
  limbs: 'arms' | 'legs' | 'all'
  named: string
  other: string
  out?: boolean
}

/** How two people lie or stand to each other, and the facts that give the limbs their words there. */
export interface Frame {
  id: string
  name: string
  /** Which side of them we have before us: behind someone left stays left, face to face our left meets their right. */
  meets: 'back' | 'front'
  facts: Fact[]
}

/** The key of the same fact about the opponent: `theirX` for `x`. */
export const theirKey = (key: string): string => `their${sure(key[0]).toUpperCase()}${key.slice(1)}`

/** Two facts: one for when we are in control, and the same with the people swapped for when they are. */
function eitherWay(fact: Fact, askOfThem: string): Fact[] {
  const key = theirKey(fact.key)
  const gives = fact.gives.map((give) => ({
    ...give,
    by: give.by === 'ours' ? ('theirs' as const) : ('ours' as const),
  }))
  return [
    { ...fact, of: 'ours' },
    { key, ask: askOfThem, of: 'theirs', gives },
  ]
}

const nearFar = { by: 'theirs', limbs: 'all', named: 'near', other: 'far' } as const

/**
 * Every frame with its facts. On their back both face the same way, so left stays left; facing each other our left
 * meets their right. Kneeling beside someone who lies on the back, the arm towards the hips is on the side that is
 * near; beside someone on hands and knees it is the other way about.
 */
export const FRAMES: readonly Frame[] = [
  {
    id: 'back',
    name: 'on their back',
    meets: 'back',
    facts: [
      ...eitherWay(
        {
          key: 'over',
          ask: 'which of our arms is over the shoulder',
          gives: [
            { by: 'ours', limbs: 'arms', named: 'over', other: 'under', out: false },
            { by: 'ours', limbs: 'arms', named: 'choking', other: 'other', out: true },
          ],
        },
        'which of their arms is over our shoulder',
      ),
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
    meets: 'front' as const,
    facts: eitherWay(
      {
        key: 'near',
        ask: 'which of their sides is near',
        gives: [nearFar, { by: 'ours', limbs: 'all', named: 'hip-side', other: 'head-side' } as const],
      },
      'which of our sides is near',
    ),
  })),
  {
    id: 'turtle',
    name: 'beside the turtle',
    meets: 'back',
    facts: eitherWay(
      {
        key: 'near',
        ask: 'which of their sides is near',
        gives: [nearFar, { by: 'ours', limbs: 'all', named: 'head-side', other: 'hip-side' }],
      },
      'which of our sides is near',
    ),
  },
  {
    id: 'headlock',
    name: 'front headlock',
    meets: 'front',
    facts: eitherWay(
      {
        key: 'choking',
        ask: 'which of our arms is round the neck',
        gives: [{ by: 'ours', limbs: 'arms', named: 'choking', other: 'other' }],
      },
      'which of their arms is round our neck',
    ),
  },
  {
    id: 'standing',
    name: 'standing, face to face',
    meets: 'front',
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
    meets: 'back',
    facts: eitherWay(
      {
        key: 'hooked',
        ask: 'which of their arms do our legs hold',
        gives: [{ by: 'theirs', limbs: 'arms', named: 'hooked', other: 'other' }],
      },
      'which of our arms do their legs hold',
    ),
  },
  { id: 'mount', name: 'mount', meets: 'front', facts: [] },
  { id: 'north-south', name: 'north-south', meets: 'front', facts: [] },
  { id: 'guard', name: 'guard', meets: 'front', facts: [] },
]

/** The facts of a frame to ask for while this person is in control. */
export const factsOf = (frame: string | undefined, controls: Person): Fact[] =>
  (frameOf(frame)?.facts ?? []).filter(({ of }) => !of || of === controls)

export const frameOf = (id: string | undefined): Frame | undefined => FRAMES.find((frame) => frame.id === id)

const ARMS = ['hand', 'elbow', 'shoulder']
const isOf = (part: string, limbs: Gives['limbs']) => limbs === 'all' || ARMS.includes(part) === (limbs === 'arms')
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
      .filter(({ out }) => out === undefined || out === (orientation.out === 'yes'))
      .map((give) => (side === named ? give.named : give.other))
  })
}

/**
 * "under hand", "near foot"; with several words those after the first in brackets; left or right where there are none.
 * `vocabulary`: what a school says for a word.
 */
export function limbInWords(
  frame: string | undefined,
  orientation: Orientation,
  by: Person,
  limb: Limb,
  vocabulary: Partial<Record<string, string>> = {},
): string {
  const [side = '', part] = limb.split('-')
  const [word, ...more] = sideWords(frame, orientation, by, limb).map((one) => vocabulary[one] ?? one)
  if (!part) return side
  return word ? `${word} ${part}${more.length ? ` (${more.join(', ')})` : ''}` : `${side} ${part}`
}

/**
 * Who controls whom, for a picture: whoever is ahead; where nobody is, we do unless the position says that we are
 * below.
 */
export const whoControls = ({ ahead, orientation }: Pick<Position, 'ahead' | 'orientation'>): Person =>
  ahead === 'theirs' || orientation?.below === 'ours' ? 'theirs' : 'ours'
