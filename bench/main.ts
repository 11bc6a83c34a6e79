import { readFileSync } from 'node:fs'
import { parseChart } from '../src/core/files/chartFile'
import { taken } from '../tests/reference/taken'
import { benchClocked, benchHolds, benchMemory, benchSeen, benchUnclocked } from './core'
import { benchInterface } from './interface'
import { benchMatch } from './match'
import { meets, table, type Row } from './measure'
import { benchQuestions } from './questions'
import { benchLayout, benchPanning } from './slope'
import { benchSpar } from './spar'
import { benchWeight } from './weight'

// `npm run bench` prints a table part by part; with `--json`, all rows as JSON. With names of parts, only those.
// Ratios are taken within one run.
const demo = () => taken(parseChart(readFileSync('demo/tern-street.ataque.json', 'utf8')))
const PARTS: Record<string, () => Row[] | Promise<Row[]>> = {
  clocked: benchClocked,
  memory: benchMemory,
  unclocked: benchUnclocked,
  seen: benchSeen,
  holds: benchHolds,
  match: () => benchMatch(demo()),
  spar: () => benchSpar(demo()),
  layout: () => benchLayout(demo()),
  questions: benchQuestions,
  panning: benchPanning,
  interface: benchInterface,
  weight: benchWeight,
}
const wanted = process.argv.slice(2).filter((word) => word in PARTS)
const asJson = process.argv.includes('--json')
const rows: Row[] = []
for (const part of wanted.length ? wanted : Object.keys(PARTS)) {
  const own = await PARTS[part]()
  rows.push(...own)
  if (!asJson) console.log(table(own))
}
if (asJson) console.log(JSON.stringify(rows, null, 2))
else {
  const missed = rows.filter((entry) => meets(entry) === false)
  console.log(missed.length ? `\n${missed.length} targets missed` : '\nall targets met')
}
