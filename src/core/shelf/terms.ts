/** Words that a search ignores, and words that it treats as the same. */
const EMPTY = new Set([
  'the',
  'a',
  'an',
  'of',
  'to',
  'on',
  'in',
  'is',
  'our',
  'us',
  'we',
  'my',
  'me',
  'i',
  'and',
  'or',
  'with',
  'it',
  'his',
  'he',
  'she',
  'they',
  'them',
  'their',
  'at',
  'by',
  'for',
  'from',
  'into',
  'across',
])
const SAME: Record<string, string> = {
  ...{ folded: 'bent', tap: 'finish', submission: 'finish', choke: 'strangle', blood: 'strangle', takeback: 'back' },
  ...{ pushes: 'push', pushed: 'push', pushing: 'push', turns: 'turn', turned: 'turn', turning: 'turn', rolls: 'roll' },
  ...{
    bridges: 'bridge',
    bridging: 'bridge',
    grabs: 'grab',
    holds: 'hold',
    held: 'hold',
    posts: 'post',
    posted: 'post',
  },
  ...{
    hands: 'hand',
    arms: 'arm',
    legs: 'leg',
    knees: 'knee',
    hips: 'hip',
    elbows: 'elbow',
    wrists: 'wrist',
    feet: 'foot',
  },
  ...{ floor: 'mat', ground: 'mat', shin: 'knee', hides: 'hide', hidden: 'hide', tucked: 'hide', clasps: 'clasp' },
  ...{ clasped: 'clasp', joins: 'clasp', joined: 'clasp', locked: 'clasp', tucks: 'tuck', straightens: 'straight' },
  ...{ lost: 'lose', loses: 'lose', losing: 'lose', pops: 'pop', hurts: 'hurt', slips: 'slip', crush: 'hurt' },
}

/** A word as a search compares it; null where it is ignored. */
export const term = (word: string): string | null => {
  const low = word.toLowerCase()
  return EMPTY.has(low) ? null : (SAME[low] ?? low)
}

/** The words of a text as a search compares them. */
export const termsOf = (text: string): string[] =>
  text
    .split(/[^\p{L}\p{N}’'-]+/u)
    .map((word) => term(word) ?? '')
    .filter((word) => word.length > 2)
