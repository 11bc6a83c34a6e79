import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseDocument } from '../core/document/read'
import { problemText } from '../core/problem'
import { joinRegions, type ShelfRegion } from '../core/shelf/shelf'
import { SHELF_KIND } from '../core/shelf/shelfKind'
import { GAME } from './shelfCheck/game'
import { STRUCTURE } from './shelfCheck/structure'
import { filesAndOptions, readText } from './usage'

/** `shelf-check [FILE …] [--json]`: what is wrong with shelves, as they are written and as they are played. */
export function shelfCheck(args: string[]): number {
  const { files, values } = filesAndOptions(args, { json: { type: 'boolean', default: false } })
  const regions: ShelfRegion[] = []
  let broken = false
  for (const file of files) {
    const text = readText(file)
    const read = text.ok ? parseDocument(SHELF_KIND, text.value) : text
    if (read.ok) regions.push(read.value)
    else {
      broken = true
      read.problems.forEach((problem) => console.error(`${file}: ${problemText(problem)}`))
    }
  }
  if (broken) return 1
  const shelf = joinRegions(files.length ? regions : ownRegions())
  const rows = [...STRUCTURE, ...GAME].filter(({ isOfOurs }) => !isOfOurs || !files.length)
  const found = rows.map(({ what, find }) => ({ what, found: find(shelf) }))
  const faults = found.reduce((sum, one) => sum + one.found.length, 0)
  if (values.json) console.log(JSON.stringify({ faults, checks: found }))
  else {
    for (const one of found)
      console.log(
        `${String(one.found.length).padStart(4)}  ${one.what}${one.found.length ? `: ${one.found.join(', ')}` : ''}`,
      )
    console.log(`${String(faults).padStart(4)}  in all`)
  }
  return faults ? 1 : 0
}

/** The regions of our Shelf, from the files of the package, wherever in it this is built to. */
function ownRegions(): ShelfRegion[] {
  let at = dirname(fileURLToPath(import.meta.url))
  while (!existsSync(join(at, 'src/shelf')) && dirname(at) !== at) at = dirname(at)
  const folder = join(at, 'src/shelf')
  return readdirSync(folder)
    .filter((name) => name.endsWith('.json'))
    .map((name) => JSON.parse(readFileSync(join(folder, name), 'utf8')) as ShelfRegion)
}
