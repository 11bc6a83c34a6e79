import MiniSearch from 'minisearch'
import type { Chart } from '../chart/chart'
import { alsoSaid } from '../sides/vocabulary'
import { lookUp } from '../chart/lookUp'
import type { Shelf } from './shelf'
import { symptomsOf } from './symptoms'
import { term } from './terms'

/** An entry of the Shelf as a result of a search. */
export interface Found {
  kind: 'position' | 'move' | 'reaction'
  id: string
}

interface Entry extends Found {
  key: string
  name: string
  cue: string
  /** What one feels or sees when it goes wrong. */
  felt: string
  text: string
}

export interface ShelfIndex {
  /** The matching entries, best first. A few letters, another school's word, or a misspelt word match as well. */
  search: (text: string) => Found[]
}

export function indexShelf(shelf: Shelf): ShelfIndex {
  const index = new MiniSearch<Entry>({
    idField: 'key',
    fields: ['name', 'cue', 'felt', 'text'],
    storeFields: ['kind', 'id'],
    processTerm: term,
    searchOptions: {
      boost: { name: 3, cue: 2, felt: 1.5 },
      prefix: (one) => one.length > 2,
      fuzzy: (one) => (one.length > 4 ? 0.2 : false),
    },
  })
  index.addAll(entriesOf(shelf))
  return {
    search: (text) =>
      index.search(text).map((found): Found => ({ kind: found.kind as Found['kind'], id: String(found.id) })),
  }
}

function entriesOf({ positions, moves, reactions, answers, regionOf }: Shelf): Entry[] {
  const names = (name: string, aliases: readonly string[] = []) =>
    [name, ...aliases].flatMap((one) => [one, ...alsoSaid(one)]).join('. ')
  const entry = (
    kind: Found['kind'],
    id: string,
    name: string,
    cue: string,
    text: (string | undefined)[],
    felt = '',
  ): Entry => ({
    ...{ kind, id, key: `${kind} ${id}`, name, cue, felt },
    text: [...text, regionOf.get(id)?.title].filter(Boolean).join('. '),
  })
  const answering = new Map<string, string[]>()
  for (const { reaction, move } of answers) {
    const name = lookUp(reactions, reaction)?.name
    if (name) answering.set(move, [...(answering.get(move) ?? []), name])
  }
  return [
    ...positions.map(({ id, name, aliases, notes, made = [], takes, leaves }) =>
      entry('position', id, names(name, aliases), notes ?? '', [...made, takes, leaves]),
    ),
    ...moves.map(({ id, name, aliases, cue, notes, holdsFirst, checkpoints = [], hazard, kind }) =>
      entry(
        'move',
        id,
        names(name, aliases),
        `${cue ?? ''}. ${answering.get(id)?.join('. ') ?? ''}`,
        [notes, holdsFirst, kind, hazard?.part ?? '', ...checkpoints.map(({ text }) => text)],
        symptomsOf({ checkpoints })
          .map(({ felt, because }) => `${felt}. ${because}`)
          .join('. '),
      ),
    ),
    ...reactions.map(({ id, name, notes, opens }) => entry('reaction', id, name, notes ?? '', [opens])),
  ]
}

/** The chart's record for an entry of the Shelf: by its id, else by its name or an alias. */
export function inChart<R extends { id: string; name: string; aliases?: string[] }>(
  records: readonly R[],
  one: { id: string; name: string; aliases?: string[] },
): R | undefined {
  const plain = (text: string) => text.trim().toLowerCase()
  const names = new Set([one.name, ...(one.aliases ?? [])].map(plain))
  return (
    records.find(({ id }) => id === one.id) ??
    records.find(({ name, aliases = [] }) => [name, ...aliases].some((said) => names.has(plain(said))))
  )
}

/** By the chart's id: the position of the Shelf for each position of the chart that is on it. */
export function placesOnShelf(chart: Chart, shelf: Shelf): Map<string, string> {
  const places = new Map<string, string>()
  for (const position of shelf.positions) {
    const own = inChart(chart.positions, position)
    if (own && !places.has(own.id)) places.set(own.id, position.id)
  }
  return places
}
