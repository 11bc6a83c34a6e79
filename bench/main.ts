import { benchClocked, benchHolds, benchMemory, benchUnclocked } from './core'
import { benchInterface } from './interface'
import { meets, table } from './measure'

// `npm run bench` prints a table; with `--json`, the rows as JSON. Ratios are taken within one run.
const rows = [
  ...benchClocked(),
  ...benchMemory(),
  ...(await benchUnclocked()),
  ...benchHolds(),
  ...(await benchInterface()),
]
if (process.argv.includes('--json')) console.log(JSON.stringify(rows, null, 2))
else {
  console.log(table(rows))
  const missed = rows.filter((entry) => meets(entry) === false)
  console.log(missed.length ? `\n${missed.length} targets missed` : '\nall targets met')
}
