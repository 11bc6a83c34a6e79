import { isDocument } from './document'
import { readGraphml, type ReadGraph } from './readGraphml'
import { readTable, type CellError, type ReadTable } from './readTable'

/** What a file that is no document of ours brings: rows of a table, a graph, or lines of the notation. */
export type Incoming =
  { of: 'table'; table: ReadTable } | { of: 'graph'; graph: ReadGraph } | { of: 'lines'; text: string }
export type IncomingRead = { ok: true; value: Incoming } | { ok: false; errors: CellError[] }

const isTable = (name: string) => /\.(csv|tsv)$/i.test(name)
/** A line in the middle of which a sign divides cells that the first line names. */
function namesColumns(text: string): boolean {
  const first = readTable(text.split(/\r?\n/, 1)[0] ?? '')
  return first.ok && first.value.matched.length > 1 && !/^#\s/.test(text)
}

/** Whether a text without a name looks like a document of ours, a graph, lines under a heading or a table. */
export const isForUs = (text: string): boolean =>
  isDocument(text) || /^\uFEFF?\s*(<\?xml|<graphml|#\s)/.test(text) || (text.includes('\n') && namesColumns(text))

/** What a text brings, by its name and what it begins with. */
export function incomingOf(name: string, text: string): IncomingRead {
  if (/^\uFEFF?\s*</.test(text)) {
    const graph = readGraphml(text)
    if (graph.ok) return { ok: true, value: { of: 'graph', graph: graph.value } }
    return { ok: false, errors: graph.problems.map(({ message }) => ({ line: 1, column: '', message })) }
  }
  if (isTable(name) || namesColumns(text)) {
    const table = readTable(text)
    return table.ok ? { ok: true, value: { of: 'table', table: table.value } } : table
  }
  return { ok: true, value: { of: 'lines', text } }
}
