import { writeFileSync } from 'node:fs'
import { chartSchemaText } from './chartSchema'

// Writes docs/chart.schema.json from the validator's own rules; a test fails when it is out of date.
writeFileSync(new URL('../docs/chart.schema.json', import.meta.url), await chartSchemaText())
