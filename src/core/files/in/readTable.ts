import Papa from 'papaparse'
import { BETWEEN, columnsOf, TABLE_NAMES, type TableName } from '../out/tables'

/** Something that is wrong in a file of rows. */
export interface CellError {
  /** From 1, as editors count. */
  line: number
  /** The column as the file names it; '' for the whole row. */
  column: string
  message: string
}

/** A row with its cells by the names that we have for the columns. Empty cells are absent. */
export interface Row {
  line: number
  cells: Partial<Record<string, string>>
}

export interface ReadTable {
  table: TableName
  /** Columns of the file, each with our name for it. */
  matched: { column: string; as: string }[]
  /** Columns that say nothing to us. */
  ignored: string[]
  rows: Row[]
}

export type TableRead = { ok: true; value: ReadTable } | { ok: false; errors: CellError[] }

/** What else columns are called, besides their own names. */
const ALSO: Record<string, readonly string[]> = {
  name: ['title', 'label', 'technique'],
  from: ['start', 'source', 'startposition', 'fromposition'],
  to: ['end', 'target', 'leadsto', 'endposition', 'toposition', 'landsin'],
  endsIn: ['ends', 'endsin'],
  kind: ['type'],
  lands: ['landed', 'works', 'success', 'successes'],
  of: ['tries', 'attempts', 'outof'],
  notes: ['note', 'comment', 'comments'],
  ahead: ['control', 'whoisahead'],
}
/** Columns of moves that are short for their tries. */
const SHORT = ['lands', 'of']
const OWN = [...new Set([...TABLE_NAMES.flatMap(columnsOf), ...SHORT])]

const plain = (name: string) => name.toLowerCase().replace(/[^a-z0-9]/g, '')

/** Our name of a column; undefined where it says nothing to us. */
function meant(column: string): string | undefined {
  const asked = plain(column)
  return OWN.find((one) => plain(one) === asked) ?? Object.keys(ALSO).find((one) => ALSO[one]?.includes(asked))
}

/** Which table it is, by the columns that it has. A column called after what it lists names that. */
function tableOf(columns: ReadonlySet<string>): TableName | null {
  const has = (...names: string[]) => names.every((name) => columns.has(name))
  if (has('outcome', 'count')) return 'tries'
  if (has('from') || has('to', 'kind')) return 'moves'
  if (has('reaction', 'move')) return 'answers'
  if (has('endsIn')) return 'reactions'
  return has('name') || has('position') ? 'positions' : null
}

/** The name of a record stands in a column that is called after its kind, too. */
const NAMED_AFTER: Partial<Record<TableName, string>> = { positions: 'position', moves: 'move', reactions: 'reaction' }

/** Reads comma-, semicolon- or tab-separated values, of which the first line names the columns. */
export function readTable(text: string): TableRead {
  const { rows, errors, header } = rowsIn(text.replace(/^\uFEFF/, ''))
  const wrong = (message: string): TableRead => ({ ok: false, errors: [{ line: 1, column: '', message }] })
  if (errors.length) return { ok: false, errors }
  const found = header.map((column) => ({ column, as: meant(column) }))
  const table = tableOf(new Set(found.flatMap(({ as }) => as ?? [])))
  if (!table) return wrong('the first line names no columns that we know, such as name, from, to')
  const matched = found.flatMap(({ column, as }) =>
    as === undefined ? [] : [{ column, as: as === NAMED_AFTER[table] ? 'name' : as }],
  )
  const twice = matched.find(({ as }, i) => matched.findIndex((one) => one.as === as) < i)
  if (twice) return { ok: false, errors: [{ line: 1, column: twice.column, message: 'says what another column says' }] }
  const cellsOf = (cells: readonly string[]) =>
    Object.fromEntries(
      matched.flatMap(({ column, as }) => {
        const cell = bare(cells[header.indexOf(column)] ?? '')
        return cell === '' ? [] : [[as, cell]]
      }),
    )
  const ignored = found.flatMap(({ column, as }) => (as === undefined && column ? [column] : []))
  return {
    ok: true,
    value: { table, matched, ignored, rows: rows.map(({ line, cells }) => ({ line, cells: cellsOf(cells) })) },
  }
}

/** Without the apostrophe that keeps a spreadsheet from taking it for a formula. */
const bare = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r])/, '').trim()

/** A list as it stands in one cell. */
export const listIn = (cell: string): string[] =>
  cell
    .split(BETWEEN.trim())
    .map((one) => one.trim())
    .filter(Boolean)

function rowsIn(text: string) {
  const rows: { line: number; cells: string[] }[] = []
  const errors: CellError[] = []
  const header: string[] = []
  let [at, line] = [0, 1]
  Papa.parse<string[]>(text, {
    step({ data, errors: wrong, meta }) {
      const start = line
      line += text.slice(at, meta.cursor).split('\n').length - 1
      at = meta.cursor
      // A single column has nothing that divides its cells.
      const real = wrong.filter(({ code }) => code !== 'UndetectableDelimiter')
      for (const { message } of real) errors.push({ line: start, column: '', message: message.toLowerCase() })
      if (data.every((cell) => cell.trim() === '')) return
      if (!header.length) return void header.push(...data.map((cell) => cell.trim()))
      if (data.length > header.length)
        errors.push({
          line: start,
          column: '',
          message: `has ${data.length} cells; the first line names ${header.length}`,
        })
      rows.push({ line: start, cells: data })
    },
  })
  return { rows, errors, header }
}
