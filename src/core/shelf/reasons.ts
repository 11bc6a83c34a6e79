/** Why a try on the Shelf lands as often as it says: each with its words, and how many of ten may land, from and to. */
export const REASONS = {
  'own-movement': { says: 'only our own movement', lands: [6, 8] },
  'on-the-way': { says: 'they go there anyhow', lands: [6, 8] },
  given: { says: 'what they do, or what we see, gives it', lands: [5, 6] },
  'held-limb': { says: 'against a limb that is held', lands: [5, 6] },
  'free-hand': { says: 'against a free hand', lands: [3, 5] },
  weight: { says: 'against their weight', lands: [3, 5] },
  chin: { says: 'against the chin', lands: [4, 5] },
  'on-feet': { says: 'on the feet, against a balance that they still have', lands: [2, 3] },
  under: { says: 'out from under a settled pin', lands: [2, 4] },
  locked: { says: 'locked, with all on that it needs', lands: [6, 8] },
  'half-locked': { says: 'locked, but not all is on', lands: [3, 4] },
  ungated: { says: 'before what should be on first', lands: [1, 3] },
  late: { says: 'late: they are there already', lands: [2, 3] },
  race: { says: 'a race: who is there first', lands: [0, 0] },
} as const satisfies Record<string, { says: string; lands: readonly [number, number] }>

export type Reason = keyof typeof REASONS
export const REASON_IDS = Object.keys(REASONS) as Reason[]
