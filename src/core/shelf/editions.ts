import { orderedWithin } from '../chart/chainRecords'
import { idFromName } from '../document/ids'
import { merge, type Conflict } from '../document/merge'
import { idsOnShelf, withFreshIds } from './freshIds'
import type { ShelfRegion } from './shelf'
import { ownShelf, SHELF_KIND } from './shelfKind'

/*
 * A shelf that was given away comes again when its maker has worked on it. Its entries keep their ids from edition to
 * edition, so that plans which took some of them are offered what is new.
 */

type Known = Pick<ShelfRegion, 'title' | 'author'>

/** Whether one is an edition of the other: by what it is called, and by who made it. */
export const isEditionOf = (one: Known, other: Known): boolean =>
  one.title === other.title && (one.author ?? '') === (other.author ?? '')

/**
 * Another edition of a shelf, with an id of its own and its entries under the ids that they have in `old`. `taken`: all
 * ids that are on any shelf, those of `old` among them.
 */
export function asEditionOf(old: ShelfRegion, edition: ShelfRegion, taken: ReadonlySet<string>): ShelfRegion {
  const own = idsOnShelf([old])
  const others = new Set([...taken].filter((id) => !own.has(id)))
  const fresh = withFreshIds({ ...edition, id: old.id }, others)
  return { ...fresh, id: idFromName(edition.title, new Set([...taken, ...idsOnShelf([fresh])])) }
}

/** What differs between two editions, by record and field; `mine` is that of the first, `theirs` of the other. */
export function editionDifferences(old: ShelfRegion, fresh: ShelfRegion): Conflict[] {
  const [was, is] = [ownShelf({ ...old, id: fresh.id }), ownShelf(fresh)]
  const { conflicts } = merge({ kind: SHELF_KIND, groupOf: orderedWithin }, null, was, is, () => 'theirs')
  return conflicts.filter(({ list, field }) => list !== undefined || field !== 'edition')
}
