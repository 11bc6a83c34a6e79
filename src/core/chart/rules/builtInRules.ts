import type { RuleSet, StrikeChange, Struck } from './ruleSet'

/** Every built-in set is generic: events differ. */
const CHECK = 'Generic: check your event’s own book.'

/** What is the same wherever points are counted; what a book gives for mount and back differs more. */
const COMMON = { takedown: 2, sweep: 2, pass: 3, kneeRide: 2 }
/** Where points are counted, what scores must be held: seconds. */
const HELD_FOR = 3

/** What wrestling knows nothing of. */
const LOCKS: RuleSet['forbids'] = ['choke', 'armlock', 'wrist-lock', 'leglock', 'twisting-leg-lock', 'groin-split']

/** Guesses: how much less of each is seen where it is answered with a strike. */
const STRIKES: StrikeChange[] = [
  { uses: 'hand', says: 'A hand that pushes or posts leaves the head open.', left: 0.7 },
  { uses: 'turn-away', says: 'Who turns away no longer sees the strike.', left: 0.8 },
  { uses: 'sit-up', says: 'Sitting up brings the head into range.', left: 0.8 },
  { uses: 'stand', says: 'The head comes up through the range of knees and hands.', left: 0.8 },
]

/** Guesses: how soon strikes end it against who is under them, or in reach of them. */
const STRUCK: Struck[] = [
  { family: 'crucifix', ahead: 'theirs', every: 15 },
  { family: 'mount', ahead: 'theirs', every: 25 },
  { family: 'back', ahead: 'theirs', every: 35 },
  { family: 'turtle', ahead: 'theirs', every: 40 },
  { family: 'headlock', ahead: 'theirs', every: 45 },
  { family: 'guard', ahead: 'theirs', every: 240 },
  { ahead: 'theirs', every: 60 },
  { family: 'half-guard', ahead: 'even', every: 90 },
  { family: 'guard', ahead: 'even', every: 120 },
  { ahead: 'even', every: 180 },
  { family: 'guard', ahead: 'ours', every: 300 },
]

export const BUILT_IN_RULES: readonly RuleSet[] = [
  {
    id: 'gi-points',
    name: 'Gi, points',
    gi: true,
    level: 'adults',
    rounds: { count: 1, seconds: 360 },
    points: { ...COMMON, mount: 4, back: 4 },
    heldFor: HELD_FOR,
    forbids: ['neck-crank', 'spine-lock', 'twisting-leg-lock', 'mouth-covering', 'slam', 'scissor-takedown', 'strikes'],
    notes: CHECK,
  },
  {
    id: 'no-gi-points',
    name: 'No-gi, points',
    gi: false,
    level: 'adults',
    rounds: { count: 1, seconds: 360 },
    points: { ...COMMON, mount: 2, back: 3 },
    heldFor: HELD_FOR,
    forbids: ['lapel-grip', 'neck-crank', 'spine-lock', 'mouth-covering', 'slam', 'scissor-takedown', 'strikes'],
    notes: CHECK,
  },
  {
    id: 'submission-only',
    name: 'Submission only, no-gi',
    gi: false,
    level: 'adults',
    rounds: { count: 1, seconds: 600 },
    forbids: ['lapel-grip', 'mouth-covering', 'slam', 'strikes'],
    notes: CHECK,
  },
  {
    id: 'strikes-allowed',
    name: 'Strikes allowed',
    gi: false,
    level: 'adults',
    rounds: { count: 3, seconds: 300 },
    forbids: ['lapel-grip'],
    strikes: STRIKES,
    struck: STRUCK,
    notes: `How much less they push and post under strikes, and how soon strikes end it, are guesses. ${CHECK}`,
  },
  {
    id: 'wrestling',
    name: 'Wrestling',
    gi: false,
    level: 'adults',
    rounds: { count: 2, seconds: 180 },
    points: { takedown: 2, sweep: 1, exposure: 2 },
    controlTime: { every: 60, points: 1 },
    stoodUp: 25,
    forbids: [
      ...LOCKS,
      'neck-crank',
      'spine-lock',
      'lapel-grip',
      'mouth-covering',
      'slam',
      'scissor-takedown',
      'strikes',
    ],
    notes: `A fall ends a match: chart it as a finish. How soon the referee stands them up is a guess. ${CHECK}`,
  },
  {
    id: 'judo',
    name: 'Judo',
    gi: true,
    level: 'adults',
    rounds: { count: 1, seconds: 240 },
    points: { takedown: 5 },
    holdDown: [
      { seconds: 10, points: 5 },
      { seconds: 20, points: 5 },
    ],
    stoodUp: 15,
    forbids: [
      ...['neck-crank', 'spine-lock', 'wrist-lock', 'leglock', 'twisting-leg-lock', 'groin-split'],
      ...['mouth-covering', 'slam', 'scissor-takedown', 'strikes'],
    ],
    notes: `Ten points end a match; a throw counts half of that here. How soon the referee stands them up is a guess. ${CHECK}`,
  },
  {
    id: 'first-year',
    name: 'First year',
    level: 'first year of training',
    rounds: { count: 1, seconds: 300 },
    points: { ...COMMON, mount: 4, back: 4 },
    heldFor: HELD_FOR,
    forbids: [
      'neck-crank',
      'spine-lock',
      'twisting-leg-lock',
      'groin-split',
      'mouth-covering',
      'wrist-lock',
      'slam',
      'scissor-takedown',
      'jump-entry',
      'drop-throw',
      'strikes',
    ],
    notes: `For training groups: what gives little warning is out. ${CHECK}`,
  },
  {
    id: 'juniors',
    name: 'Juniors: positions only',
    level: 'juniors',
    rounds: { count: 1, seconds: 240 },
    points: { ...COMMON, mount: 4, back: 4 },
    heldFor: HELD_FOR,
    noFinish: true,
    forbids: [
      'neck-crank',
      'spine-lock',
      'twisting-leg-lock',
      'groin-split',
      'mouth-covering',
      'wrist-lock',
      'slam',
      'scissor-takedown',
      'jump-entry',
      'drop-throw',
      'strikes',
      'choke',
      'armlock',
    ],
    notes: `Control is the goal; no finish is tried. ${CHECK}`,
  },
]
