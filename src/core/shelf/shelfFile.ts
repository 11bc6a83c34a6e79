import { readChart } from '../files/chartFile'
import { failure, success, type Result } from '../problem'
import { joinRegions, shelfAsChart, type ShelfRegion } from './shelf'

export const SHELF_FORMAT = 'ataque-shelf'
const SHELF_VERSION = 1
export const SHELF_EXTENSION = '.shelf.json'

/** A shelf's file: UTF-8 JSON, the records as in a chart's file. */
export function makeShelf(region: ShelfRegion): string {
  return JSON.stringify({ format: SHELF_FORMAT, version: SHELF_VERSION, ...region }, null, 2) + '\n'
}

const LISTS = ['positions', 'holds', 'moves', 'reactions', 'answers'] as const

/** The shelf in a file's text, or every problem with its place; what holds for a chart's records holds for a shelf's. */
export function parseShelf(text: string): Result<ShelfRegion> {
  let data: unknown
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (error) {
    return refuse('not-json', [], `the file is not JSON: ${(error as Error).message}`)
  }
  const file = data as Record<string, unknown>
  if (typeof data !== 'object' || data === null || file.format !== SHELF_FORMAT) {
    return refuse('not-a-shelf', ['format'], `the file is not a shelf: its format should be "${SHELF_FORMAT}"`)
  }
  if (file.version !== SHELF_VERSION) {
    return refuse('unsupported-version', ['version'], `this build reads version ${SHELF_VERSION} of shelves`)
  }
  if (typeof file.title !== 'string' || !file.title.trim()) return refuse('missing', ['title'], 'is missing')
  const wrong = LISTS.find((list) => !Array.isArray(file[list]))
  if (wrong) return refuse('wrong-type', [wrong], 'must be a list')
  const region = {
    ...(Object.fromEntries(LISTS.map((list) => [list, file[list]])) as unknown as ShelfRegion),
    ...{ id: String(file.id ?? 'shelf'), title: file.title, rules: [], variants: [], cautions: [] },
  }
  const read = readChart(shelfAsChart(joinRegions([region])))
  return read.ok ? success(region) : failure(...read.problems)
}

const refuse = (code: string, path: string[], message: string) => failure<ShelfRegion>({ code, path, message })
