import type { Reaction } from '../chart/reaction'
import type { ReactionId } from '../chart/ids'

/** What a note says somebody does, and how many steps more (2: always) or less (-2: never) than others. */
export interface NotedHabit {
  reaction: ReactionId
  step: number
}

/** How often, as coaches write it, the first that is found. */
const OFTEN: readonly (readonly [pattern: RegExp, step: number])[] = [
  [/\b(never|not once)\b/, -2],
  [/\b(seldom|rarely|hardly( ever)?)\b/, -1],
  [/\b(always|every time|each time|at once)\b/, 2],
  [/\b(often|mostly|a lot|likes to|usually)\b/, 1],
]
/** A note names a reaction if it has so much of its words. */
const ENOUGH = 0.6

const SMALL = new Set(['the', 'a', 'an', 'to', 'in', 'on', 'of', 'and', 'with', 'us', 'we', 'they', 'he', 'she', 'his'])
const wordsOf = (text: string): Set<string> =>
  new Set(
    text
      .toLowerCase()
      .split(/[^a-z0-9]+/)
      .filter((word) => word && !SMALL.has(word))
      .map((word) => word.replace(/(?<=..)(es|s|ing|ed)$/, '')),
  )

/** Reads a note such as "sits to the right hip every time"; null where it names no reaction of the chart. */
export function notedHabit(note: string, reactions: readonly Reaction[]): NotedHabit | null {
  const said = wordsOf(note)
  const scored = reactions.flatMap(({ id, name, aliases = [] }) =>
    [name, ...aliases].map((text) => {
      const words = [...wordsOf(text)]
      const common = words.filter((word) => said.has(word)).length
      return { id, common, share: words.length ? common / words.length : 0 }
    }),
  )
  const best = scored.filter(({ share }) => share >= ENOUGH).sort((a, b) => b.share - a.share || b.common - a.common)[0]
  if (!best) return null
  const [, step = 2] = OFTEN.find(([pattern]) => pattern.test(note.toLowerCase())) ?? []
  return { reaction: best.id, step }
}
