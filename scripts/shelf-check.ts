import { shelfCheck } from '../src/cli/shelfCheckCommand'

// Lists what is wrong with the Shelf, as it is written and as it is played; fails where there is anything.
process.exitCode = shelfCheck([])
