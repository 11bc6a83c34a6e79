import { benchClocked, benchHolds, benchMemory, benchUnclocked } from './core'
import { readFileSync } from 'node:fs'
import { parseChart } from '../src/core/format/chartFile'
import { taken } from '../tests/reference/taken'
import { benchInterface } from './interface'
import { meets, table } from './measure'
import { benchLayout, benchPanning } from './slope'

// `npm run bench` prints a table; with `--json`, the rows as JSON. Ratios are taken within one run.
const rows = [
  ...benchClocked(),
  ...benchMemory(),
  ...(await benchUnclocked()),
  ...benchHolds(),
  ...benchLayout(taken(parseChart(readFileSync('demo/tern-street.ataque.json', 'utf8')))),
  ...(await benchPanning()),
  ...(await benchInterface()),
]
if (process.argv.includes('--json')) console.log(JSON.stringify(rows, null, 2))
else {
  console.log(table(rows))
  const missed = rows.filter((entry) => meets(entry) === false)
  console.log(missed.length ? `\n${missed.length} targets missed` : '\nall targets met')
}
