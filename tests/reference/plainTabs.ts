import { produce } from 'immer'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import type { Edit } from '../../src/core/document/history'
import { readDocument } from '../../src/core/document/read'

/* What tabs that share a chart should come to, in the plainest way: whole charts before and after each step. */

/** What a coach did in a tab: for an edit also the chart there, before and after; else the step that it was about. */
export type Done =
  { do: 'edit'; label: string; edit: Edit<Chart>; before: Chart; after: Chart } | { do: 'undo' | 'redo'; label: string }

interface Entry {
  label: string
  before: Chart
  after: Chart
}

const LISTS = ['positions', 'holds', 'moves', 'reactions', 'answers', 'runs', 'cards'] as const
const keyOf = (record: object): string => {
  const { id, reaction, move } = record as Record<string, string>
  return id ?? `${reaction} > ${move}`
}
const recordsOf = (chart: Chart, list: (typeof LISTS)[number]) =>
  new Map((chart[list] ?? []).map((record) => [keyOf(record), record as object]))

/** The chart with its lists in the order of their keys: what it says, wherever its records stand. */
export const inAnyOrder = (chart: Chart): Chart => ({
  ...chart,
  ...Object.fromEntries(
    LISTS.filter((list) => chart[list]).map((list) => [
      list,
      (chart[list] as object[]).toSorted((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1)),
    ]),
  ),
})

/** Every single value of a chart by its place, records by their keys. */
function valuesOf(chart: Chart): Map<string, string> {
  const values = new Map<string, string>()
  const visit = (place: string, value: unknown): void => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) {
      return void values.set(place, JSON.stringify(value))
    }
    for (const [key, inner] of Object.entries(value)) visit(`${place}/${key}`, inner)
  }
  for (const [field, value] of Object.entries(chart)) {
    const list = LISTS.find((one) => one === field)
    if (!list) visit(field, value)
    else for (const [key, record] of recordsOf(chart, list)) visit(`${list}/${key}`, record)
  }
  return values
}

/** Whether a value in a record that stayed was made something else by both. */
export function clash(before: Chart, ours: Chart, base: Chart, theirs: Chart): boolean {
  const [was, is, first, other] = [before, ours, base, theirs].map(valuesOf)
  const stayed = (place: string) => {
    const [list, key] = place.split('/')
    const at = LISTS.find((one) => one === list)
    return !at || [before, ours, base, theirs].every((chart) => recordsOf(chart, at).has(key))
  }
  return [...new Set([...was.keys(), ...is.keys()])].some(
    (place) =>
      was.get(place) !== is.get(place) &&
      first.get(place) !== other.get(place) &&
      is.get(place) !== other.get(place) &&
      stayed(place),
  )
}

/** Keys of records that two charts do not have alike. */
function changedKeys(before: Chart, after: Chart): string[] {
  return LISTS.flatMap((list) => {
    const [was, is] = [recordsOf(before, list), recordsOf(after, list)]
    return [...new Set([...was.keys(), ...is.keys()])]
      .filter((key) => JSON.stringify(was.get(key)) !== JSON.stringify(is.get(key)))
      .map((key) => `${list}/${key}`)
  })
}

/** The chart with whatever is otherwise in `to` than in `from` made as it is in `to`. */
function patched(chart: Chart, from: Chart, to: Chart): Chart {
  return produce(chart, (draft) => {
    for (const list of LISTS) {
      const [was, is] = [recordsOf(from, list), recordsOf(to, list)]
      for (const path of changedKeys(from, to).filter((one) => one.startsWith(`${list}/`))) {
        const key = path.slice(list.length + 1)
        const records = (draft[list] ??= []) as object[]
        const at = records.findIndex((record) => keyOf(record) === key)
        const record = is.get(key)
        if (!record) records.splice(at, 1)
        else if (was.has(key)) records[at] = record
        else records.push(record)
      }
    }
  })
}

/** Whether both changed which records a list has, or their order. */
const sharesAnOrder = (one: Entry, other: Entry): boolean =>
  LISTS.some((list) =>
    [one, other].every(({ before, after }) => {
      const [was, is] = [before, after].map((chart) => [...recordsOf(chart, list).keys()].join())
      return was !== is
    }),
  )

/** The chart after an edit, or null where it cannot be done. */
function tried(chart: Chart, edit: Edit<Chart>): Chart | null {
  try {
    return produce(chart, edit)
  } catch {
    return null
  }
}

const isSound = (chart: Chart) => readDocument(CHART_KIND, chart).ok

/** A chart that several tabs work on: one list of steps, of which each tab takes back only what is its own. */
export class PlainTabs {
  private entries: Entry[] = []
  private done = 0
  /** Set once steps have changed places: from then on the order of records is not held. */
  isLoose = false
  /** Labels that each tab counts as its own. */
  private readonly own = new Map<string, Set<string>>()

  constructor(
    readonly first: Chart,
    public chart = first,
  ) {}

  /** A tab opens the chart: all that is there is its own. */
  open(tab: string): void {
    this.own.set(tab, new Set(this.entries.map(({ label }) => label)))
  }

  get labels(): [labels: string[], done: number] {
    return [this.entries.map(({ label }) => label), this.done]
  }

  /**
   * Does what was done in a tab that last knew `base`, and returns whether it is lost. `wasLost`: whether the tab said
   * so, which is taken where both would do: a record may come back to another place, or stay.
   */
  loses(tab: string, deed: Done, base: Chart, theirs: Chart, wasLost: boolean): boolean {
    if (deed.do === 'edit') return clash(deed.before, deed.after, base, theirs) || !this.edit(tab, deed)
    if (deed.do === 'redo') return !this.redo(deed.label)
    return !this.undo(tab, deed.label, wasLost)
  }

  private edit(tab: string, { label, edit }: Done & { do: 'edit' }): boolean {
    const before = this.chart
    const after = tried(before, edit)
    if (!after) return false
    // Another tab has done the same: nothing is lost.
    if (JSON.stringify(after) === JSON.stringify(before)) return true
    if (!isSound(after)) return false
    this.entries = [...this.entries.slice(0, this.done++), { label, before, after }]
    this.own.get(tab)!.add(label)
    this.chart = after
    return true
  }

  private redo(label: string): boolean {
    const entry = this.entries[this.done]
    if (entry?.label !== label) return false
    const after = patched(this.chart, entry.before, entry.after)
    this.chart = this.isLoose ? after : entry.after
    this.done++
    return true
  }

  private undo(tab: string, label: string, wasLost: boolean): boolean {
    const at = this.entries.slice(0, this.done).findLastIndex((entry) => this.own.get(tab)!.has(entry.label))
    const entry = this.entries[at]
    if (entry?.label !== label) return false
    const later = this.entries.slice(at + 1, this.done)
    const ours = new Set(changedKeys(entry.before, entry.after))
    if (later.some(({ before, after }) => changedKeys(before, after).some((key) => ours.has(key)))) return false
    if (wasLost && later.some((other) => sharesAnOrder(entry, other))) return false
    const back = patched(this.chart, entry.after, entry.before)
    if (!isSound(back)) return false
    if (later.length) this.isLoose = true
    this.chart = this.isLoose ? back : entry.before
    this.entries = this.entries.toSpliced(at, 1).toSpliced(this.done - 1, 0, entry)
    this.done--
    return true
  }
}
