import { editionDifferences } from '../shelf/editions'
import { joinRegions, shelfAsChart, type ShelfRegion } from '../shelf/shelf'
import { sayConflict, type SaidConflict } from './merge'

/** What differs between two editions of a shelf, in words: `mine` as it was, `theirs` as it is. */
export function sayEdition(old: ShelfRegion, fresh: ShelfRegion): SaidConflict[] {
  const asChart = (region: ShelfRegion) => shelfAsChart(joinRegions([region]))
  const [was, is] = [asChart(old), asChart(fresh)]
  return editionDifferences(old, fresh).map((one) => sayConflict(one, was, is))
}
