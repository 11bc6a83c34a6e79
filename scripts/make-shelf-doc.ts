import { readFileSync, writeFileSync } from 'node:fs'
import { readRegions, shelfDocText } from './shelfDoc'

// Writes docs/shelf.md: what of the catalogue stands where on the Shelf; a test fails when it is out of date.
const ids = JSON.parse(readFileSync(new URL('../tests/fixtures/catalogueIds.json', import.meta.url), 'utf8'))
writeFileSync(new URL('../docs/shelf.md', import.meta.url), await shelfDocText(readRegions(), ids))
