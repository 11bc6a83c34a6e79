import { freshId } from '../../club/freshId'
import type { Rehearsed } from '../../club/rehearsed'
import type { Pack } from '../packKind'

/** Keeps in a pack that a question of it was asked, and how well it was known. */
export function keepInPack(pack: Pack, fact: Omit<Rehearsed, 'id'>): void {
  pack.rehearsed.push({ id: freshId(pack.rehearsed, 'k'), ...fact })
}
