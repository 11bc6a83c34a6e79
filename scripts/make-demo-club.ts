import { readFileSync, writeFileSync } from 'node:fs'
import { parseChart } from '../src/core/files/chartFile'
import { makeDocument } from '../src/core/document/read'
import { demoClub } from './demoClub'

// Writes demo/tern-street.ataque-club.json anew from the demo plan; a test fails when it is out of date.
const plan = parseChart(readFileSync(new URL('../demo/tern-street.ataque.json', import.meta.url), 'utf8'))
if (!plan.ok) throw new Error('the demo plan is broken')
writeFileSync(new URL('../demo/tern-street.ataque-club.json', import.meta.url), makeDocument(demoClub(plan.value)))
