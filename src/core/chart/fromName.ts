import type { Ahead, FAMILIES } from './words'

type Family = (typeof FAMILIES)[number]

/** Words in a position's name and the family that they indicate; the one that comes first in the name decides. */
const SIGNS_OF_FAMILY: [sign: RegExp, family: Family][] = [
  [/half[- ]guard/, 'half-guard'],
  [/crucifix/, 'crucifix'],
  [/knee[- ](on|ride|across the belly)/, 'knee-ride'],
  [/north[- ]south/, 'north-south'],
  [/guillotine|head ?lock(?! on the ground)|front quarter|head under our armpit|chin strap/, 'headlock'],
  [/turtle|all fours|referee/, 'turtle'],
  [/guard|butterfly/, 'guard'],
  [/side control|side mount|cross[- ](side|face)|scarf|kesa|100 kilos|head and (far )?arm|from the side/, 'side'],
  [/rear mount|rear naked|seat ?belt|(?<!\bover the )\bback\b(?! on (the|their) feet)|body triangle/, 'back'],
  [/mount/, 'mount'],
  [/clinch|\bties?\b|tie-up|underhook|high crotch|(single|double)[- ]leg|body ?lock|sprawl|over-?under/, 'clinch'],
  [/\brid(e|ing)\b/, 'ride'],
  [/stand|open hands|on the feet|neutral/, 'standing'],
  [/heel hook|leg (lock|entanglement)|ankle lock|knee ?bar/, 'legs'],
  [/\bside\b(?! down)/, 'side'],
]

/** The family that a position's name suggests; undefined where it has none of the known words. */
export function familyFromName(name: string): string | undefined {
  const text = plain(name)
  const found = SIGNS_OF_FAMILY.map(([sign, family]) => ({ at: text.search(sign), family })).filter(({ at }) => at >= 0)
  return found.toSorted((a, b) => a.at - b.at)[0]?.family
}

/** Whose the position is, from what it is called; the first sign that is found decides. `null`: it may be anyone's. */
const SIGNS_OF_AHEAD: [sign: RegExp, ahead: Ahead | null][] = [
  [
    /scramble|half[- ]turned|\blost\b|blocked (guillotine|underhook)|in the way|failed clock|hips out|coming up|sit(s|ting)? up\b|turned in|they tip/,
    null,
  ],
  [/\b(they|he|she) (have|has|hold|holds|are|is|got) (our|my|behind|on top|above|stepped behind)/, 'theirs'],
  [/\b(our|my) back\b|back (given|taken from us)|mounted on us|pinned under/, 'theirs'],
  [/guard (passed|cleared)|(passed|past) (the|their|his|her) guard/, 'ours'],
  [/\b(their|his|her) (mount|side control|crucifix|seat ?belt|knee on|scarf|pin|choke|armbar|kimura)/, 'theirs'],
  [/guard.*(kimura|guillotine|triangle|armbar)|(kimura|guillotine|triangle|armbar).*guard/, 'ours'],
  [/half[- ]guard|guard|butterfly/, 'even'],
  [/\bunderneath\b(?!-arm)|\bbottom\b(?! (leg|arm|hip|wrist|foot|hand|hook|knee|defen))/, 'theirs'],
  [/\bunder (their |the )?(side control|mount|knee|north|cross|scarf|sprawl|pin)/, 'theirs'],
  [/\b(our|my) (defensive )?turtle\b/, 'theirs'],
  [/from turtle|turtle single|our kimura, |^(closed|open|weak|strong) side/, null],
  [/standing over|over them|on top|behind them|they (turtle|are flat|are underneath)/, 'ours'],
  [/head ?lock|front quarter|guillotine|two[- ]on[- ]one/, 'ours'],
  [/mount|side control|cross[- ]side|scarf|kesa|knee[- ](on|ride)|north[- ]south|crucifix|\brid(e|ing)\b/, 'ours'],
  [/seat ?belt|rear|\bback\b(?! (to|on (their|the) feet))|body triangle|turtle|all fours/, 'ours'],
  [/choke|armbar|armlock|triangle|kimura|americana|keylock|hammerlock|\bpin(ned)?\b/, 'ours'],
  [/clinch|\bties?\b|tie-up|over-?under|neutral|stand|open hands|on the feet/, 'even'],
  [/\bside\b/, 'ours'],
]

/** Who is ahead in a position, from its name; undefined where the name does not tell. */
export function aheadFromName(name: string): Ahead | undefined {
  const text = plain(name)
  return SIGNS_OF_AHEAD.find(([sign]) => sign.test(text))?.[1] ?? undefined
}

const plain = (name: string) => name.normalize('NFKC').replace(/[’‘]/g, "'").trim().toLowerCase()

const FINISHES =
  /\b(choke|strangle|arm ?bar|arm ?lock|(leg|ankle|foot|wrist|key|knee|straight|bent) ?lock|lock|kimura|americana|keylock|triangle|guillotine|knee ?bar|heel hook|toe hold|crank|hammerlock)\b/
const NO_FINISH = /\b(body lock|lock down|grip|control|trap|threat|entry|set ?up|position|to the|into)\b/

/** Whether a move of this name ends the exchange: it is one of the locks and chokes. */
export const finishesByName = (name: string): boolean => FINISHES.test(plain(name)) && !NO_FINISH.test(plain(name))
