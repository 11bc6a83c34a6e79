import { joinRegions } from '../src/core/shelf/shelf'
import { GAME } from './shelfCheck/game'
import { STRUCTURE } from './shelfCheck/structure'
import { readRegions } from './shelfDoc'

// Lists what is wrong with the Shelf, as it is written and as it is played; fails where there is anything.
const shelf = joinRegions(readRegions())
let faults = 0
for (const { what, find } of [...STRUCTURE, ...GAME]) {
  const found = find(shelf)
  faults += found.length
  console.log(`${String(found.length).padStart(4)}  ${what}${found.length ? `: ${found.join(', ')}` : ''}`)
}
console.log(`${String(faults).padStart(4)}  in all`)
process.exitCode = faults ? 1 : 0
