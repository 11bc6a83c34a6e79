import { joinRegions } from '../src/core/shelf/shelf'
import { STRUCTURE } from './shelfCheck/structure'
import { readRegions } from './shelfDoc'

// Lists what is wrong with the Shelf, kind by kind; fails where there is anything.
const shelf = joinRegions(readRegions())
let faults = 0
for (const { what, find } of STRUCTURE) {
  const found = find(shelf)
  faults += found.length
  console.log(`${String(found.length).padStart(4)}  ${what}${found.length ? `: ${found.join(', ')}` : ''}`)
}
console.log(`${String(faults).padStart(4)}  in all`)
process.exitCode = faults ? 1 : 0
