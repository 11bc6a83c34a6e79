import { sure } from '../sure'

/*
 * How a coach's names become parts of sentences. What is not known to be a verb is said as a thing, in the coach's
 * words.
 */

/** Verbs that names of moves and of what they do begin with. */
const VERBS = new Set(
  `add answer attack back bail bait base bend block break bridge bring bump bury catch change circle clamp clasp clear climb clock close collapse
  come cover cross cuff cup deny dig do draw drag drive drop duck enter escape expect face fall feel fight flatten float fold follow
  force frame free freeze gather get give glue go grab grip guard hang have help hide hitch hold hook hop hug hunt jam jerk join
  jump keep kick lay lean leave lengthen let lie lift lock lower make meet mount move open overhook palm parry peel pin place plant
  pop post press pull pummel punch push put race raise reach refuse release retreat rip rise roll rotate run scoop scrape
  set settle shake shelve shift shoot show shrimp sink sit slide slip smother snap sneak spin split sprawl square stack stand
  stay step stop straighten stretch squeeze strip sweep swim swing switch take tap threaten throw tip track trap triangle try tuck turn turtle
  use wait walk wedge whip whizzer win withdraw work wrap wriggle yank`.split(/\s+/),
)

/** Names that begin like this say where something goes; a verb is put before them. */
const PARTS =
  /^(top |bottom |near |far |second |inside |head-side |hip-side |both |late )?(hands?|arms?|elbows?|forearm|knees?|legs?|foot|feet|shin|chest|head|chin|fist|palm|thumb|shoulders?)\b.* (to|over|behind|across|under|round|on|onto|along|in|through|between|near)\b/i
/** A hand that is given is a verb, and so is a palm that is put somewhere. */
const HANDING = /^(hand|palm) (the|a|an|it|them|our|their) /i
const MANY = /^(both|hands|arms|elbows|knees|legs|feet|shoulders)\b/i

export const lowerFirst = (text: string): string =>
  /^[A-Z][a-z’' ]/.test(text) ? sure(text[0]).toLowerCase() + text.slice(1) : text
export const upperFirst = (text: string): string => text && sure(text[0]).toUpperCase() + text.slice(1)

/** Words that are nouns as often as verbs: taken for verbs only before a word that follows a verb. */
const ALSO_THINGS = new Set(
  'attack base block bridge choke clamp clasp clock collapse cross drag drop escape face float fold frame grip guard hold hook hunt lift lock mount palm pin place post press pull punch push race roll scoop shift shoot slide slip snap spin split sprawl square stack step strip sweep switch tap throw tip track trap triangle turn walk wedge whip whizzer work wrap'.split(
    ' ',
  ),
)
const AFTER_VERBS = new Set(
  'the a an our their your his her its it them him us to on in into onto over under up down out off back behind across round around along away through with as and at from for both one two here tall together straight between them, down, over, up,'.split(
    ' ',
  ),
)

const wordOf = (text: string) => text.toLowerCase().replace(/[^a-z-]/g, '')
const isVerb = (word: string) => VERBS.has(word)

/** A move as it is told to do: "Snap the head down" -> "snap the head down", "Kimura" -> "go for the kimura". */
export function tellMove(name: string): string {
  const said = lowerFirst(name.trim())
  const [first = '', next] = said.split(' ')
  if (HANDING.test(said)) return said
  if (PARTS.test(said) && first.startsWith('palm')) return `bring the ${said}`
  if (next && isVerb(wordOf(first)) && (!ALSO_THINGS.has(wordOf(first)) || AFTER_VERBS.has(next))) return said
  if (PARTS.test(said)) return `bring ${MANY.test(said) || /^(a|an|the|our) /.test(said) ? '' : 'the '}${said}`
  if (/^(a|an|the|our|your) /.test(said)) return `go for ${said}`
  if (/^from /.test(said)) return `change ${said}`
  return `go for the ${said}`
}

/**
 * A move that is only shown: "Kimura" -> "show the kimura", "Snap the head down" -> "only begin to snap the head down".
 */
export function showMove(name: string): string {
  const told = tellMove(name)
  return told.startsWith('go for ') ? told.replace('go for', 'show') : `only begin to ${told}`
}

/** What is meant in earnest after something was shown: "commit to the armbar", "commit and step over the head". */
export function commitTo(name: string): string {
  const told = tellMove(name)
  return told.startsWith('go for ') ? told.replace('go for', 'commit to') : `commit and ${told}`
}

/** What they do after an "if": "Sprawls on us" -> "they sprawl on us"; what is no verb stays as the coach says it. */
export function whenThey(name: string): string {
  const words = name.trim().split(' ')
  const base = baseOf(sure(words[0]), words[1])
  if (!base) return `they answer with “${lowerFirst(name.trim())}”`
  const rest = words
    .slice(1)
    .map((word, i) => (/^(and|then|or)$|,$/.test(sure(words[i])) ? (baseOf(word, words[i + 2]) ?? word) : word))
  return `they ${[base, ...rest].join(' ')}`
}

const IRREGULAR: Partial<Record<string, string>> = {
  is: 'are',
  has: 'have',
  does: 'do',
  goes: 'go',
  lies: 'lie',
  ties: 'tie',
}

/** The plain form of a verb in the third person, with what is written behind it; null where it is none. */
function baseOf(word: string, next = ''): string | null {
  const low = wordOf(word)
  const tail = /[,;:]$/.exec(word)?.[0] ?? ''
  if (IRREGULAR[low]) return IRREGULAR[low] + tail
  if (low === 'hips' && /^(out|back|away)$/.test(next)) return `hip${tail}`
  const forms = [low.replace(/ies$/, 'y'), low.replace(/es$/, ''), low.replace(/s$/, '')]
  const base = low.endsWith('s') ? forms.reverse().find((form) => form !== low && isVerb(form)) : undefined
  return base ? base + tail : null
}

/** A name that says itself where one is: by a preposition, or by how one came to be there. */
const PLACED = new RegExp(
  '^(in|on|under|at|above|across|behind|over|beside|from|sat|thrown|rolled|taken|backed|stopped|' +
    '(standing|seated)(?=,| at)|face down)\\b',
  'i',
)

/** A name that is a sentence: "They have our back", "Our hips are out". */
const isSentence = (name: string) => /^((they|we|he|she) |[^,]* (is|are) )/i.test(name)

/** A name of what a body does where it says no place: "Near arm between our legs", "Two on the far arm". */
const BODY = /^[^,]*\b(hands?|arms?|head|neck|shoulders?|elbows?|wrists?|hips?|knees?|legs?|foot|feet|sleeves?)\b/i
const A_PLACE =
  /^[^,]*\b(kneeling|control|mount|back|belly|guard|ride|turtle|crucifix|underhook|crotch|(single|double) leg|headlock|scarf|kimura|guillotine|triangle|lock|clamp)\b/i
const isBody = (name: string) => BODY.test(name) && !A_PLACE.test(name) && !PLACED.test(name)

/** "Near arm between our legs" -> "the near arm between our legs". */
const theBody = (name: string) =>
  /^(our|their|a|an|the|one|two|both) /i.test(name) ? lowerFirst(name) : `the ${lowerFirst(name)}`

/**
 * A position as a place: "Mount" -> "in mount", "Back, hooks in" -> "on the back, hooks in". A name that begins with a
 * preposition stays: "Under side control"; one of what a body does is with us: "with the near arm between our legs"; a
 * sentence is quoted: "in “They have our back”".
 */
export const inPlace = (name: string): string => {
  if (isSentence(name)) return `in “${name}”`
  if (isBody(name)) return `with ${theBody(name)}`
  if (PLACED.test(name)) return lowerFirst(name)
  return /^back(,|$)/i.test(name) ? `on the ${lowerFirst(name)}` : `in ${lowerFirst(name)}`
}

/** Being there: "we are in mount"; "they have our back"; "we have the near arm between our legs". */
export const weAreIn = (name: string): string => {
  if (isSentence(name)) return lowerFirst(name)
  return isBody(name) ? `we have ${theBody(name)}` : `we are ${inPlace(name)}`
}

/** The beginning of what is done there: "In mount", "When they have our back". */
export const whenIn = (name: string): string =>
  isSentence(name) ? `When ${lowerFirst(name)}` : upperFirst(inPlace(name))

/** "a", "a and b", "a, b and c". */
export const listed = (parts: readonly string[], and = 'and'): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} ${and} ${parts[parts.length - 1]}`

/** A share of tries as it is said: 0.31 -> "three times of ten". */
export function timesOfTen(share: number): string {
  const n = Math.round(share * 10)
  if (n <= 0) return share > 0 ? 'now and then' : 'never'
  return sure(
    [
      'once in ten',
      'twice in ten',
      'three times of ten',
      'four times of ten',
      'half of the time',
      'six times of ten',
      'seven times of ten',
      'eight times of ten',
      'nine times of ten',
      'nearly always',
    ][n - 1],
  )
}
