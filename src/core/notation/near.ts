import { distance } from 'fastest-levenshtein'
import type { Chart } from '../chart/chart'
import { nameKey, type Created } from './fork'

/** A name that is new to the chart but nearly one that it has. */
export interface NearMiss {
  kind: Created['kind']
  said: string
  /** The name or other name in the chart that may be meant. */
  meant: string
}

interface Named {
  name: string
  aliases?: string[]
}

/** Words that say little: "turn in on the hip" is "turns in on hip". */
const SMALL = /\b(the|a|an|our|their|his|her|my)\b/g

/** What is left of a name without articles and without the endings of verbs and plurals. */
const rootOf = (name: string): string =>
  nameKey(name)
    .replace(SMALL, ' ')
    .replace(/(es|s|ing)\b/g, '')
    .replace(/[\s,’'-]+/g, ' ')
    .trim()

/** How many letters may differ: none in short names, where every letter makes another word. */
const slack = (length: number) => (length < 5 ? 0 : length < 7 ? 1 : 2)

/**
 * The charted name that a new one is nearly: the same but for small words and endings, or off by a letter or two
 * (Levenshtein distance). Undefined where there is none, and for a name that is charted.
 */
export function nearlyNamed(name: string, records: readonly Named[]): string | undefined {
  const names = records.flatMap(({ name: own, aliases = [] }) => [own, ...aliases])
  const key = nameKey(name)
  if (names.some((one) => nameKey(one) === key)) return undefined
  const root = rootOf(name)
  const byDistance = names
    .map((one) => ({ one, off: distance(rootOf(one), root) }))
    .filter(({ off }) => off <= slack(root.length))
  return byDistance.toSorted((a, b) => a.off - b.off)[0]?.one
}

/** Of the records that a line would create, those whose names are nearly charted ones. */
export function nearMisses(chart: Chart, created: readonly Created[]): NearMiss[] {
  const records = { position: chart.positions, move: chart.moves, reaction: chart.reactions, cue: chart.cues ?? [] }
  return created.flatMap(({ kind, name }) => {
    const meant = nearlyNamed(name, records[kind])
    return meant === undefined ? [] : [{ kind, said: name, meant }]
  })
}
