import { XMLParser } from 'fast-xml-parser'
import { SyntaxValidator } from 'fast-xml-validator'
import { isRecord, type Fields } from '../../document/fields'
import { failure, messageOf, success, type Result } from '../../problem'
import type { ReadTable } from './readTable'

/** What a graph says of positions and moves, as tables, and what of it cannot be told, in words. */
export interface ReadGraph {
  positions: ReadTable
  moves: ReadTable
  rest: string[]
}

const parser = new XMLParser({
  ...{ ignoreAttributes: false, attributeNamePrefix: '@', parseAttributeValue: false, parseTagValue: false },
  isArray: (name) => ['key', 'node', 'edge', 'data', 'graph', 'hyperedge'].includes(name),
})

/** Reads GraphML: nodes as positions, arrows as moves. Reactions that we wrote ourselves are told, not taken. */
export function readGraphml(text: string): Result<ReadGraph> {
  const wrong = syntaxError(text)
  if (wrong !== null) return failure({ code: 'not-xml', path: [], message: wrong })
  const data: unknown = parser.parse(text)
  const root = isRecord(data) ? data.graphml : undefined
  if (!isRecord(root)) return failure({ code: 'not-xml', path: [], message: 'the file is no GraphML' })
  const names = new Map(
    records(root.key).map((key) => [
      String(key['@id']),
      String(key['@attr.name'] ?? key['@yfiles.type'] ?? key['@id']),
    ]),
  )
  const graphs = records(root.graph).flatMap(within)
  const nodes = graphs.flatMap((graph) => records(graph.node)).map((node) => told(node, names))
  const edges = graphs.flatMap((graph) => records(graph.edge)).map((edge) => told(edge, names))
  return success(graphOf(nodes, edges, graphs.flatMap((graph) => records(graph.hyperedge)).length))
}

/** Why a text is no XML, with the place; null where it is. */
function syntaxError(text: string): string | null {
  try {
    SyntaxValidator.validate(text)
    return null
  } catch (error) {
    const at =
      error instanceof Error && 'line' in error && 'col' in error
        ? ` (line ${String(error.line)}, column ${String(error.col)})`
        : ''
    return `the file is no XML: ${messageOf(error)}${at}`
  }
}

const records = (value: unknown): Fields[] => (Array.isArray(value) ? value.filter(isRecord) : [])

/** A graph and those in its nodes. */
function within(graph: Fields): Fields[] {
  return [graph, ...records(graph.node).flatMap((node) => records(node.graph).flatMap(within))]
}

interface Told {
  id: string
  from: string
  to: string
  /** What its data say, by the names of the keys. */
  says: Partial<Record<string, string>>
}

function told(record: Fields, names: ReadonlyMap<string, string>): Told {
  const says: Partial<Record<string, string>> = {}
  for (const one of records(record.data)) {
    const name = (names.get(String(one['@key'])) ?? '').toLowerCase()
    const text = textIn(one)
    if (text) says[name] ??= text
  }
  const of = (name: string) => (typeof record[name] === 'string' ? record[name] : '')
  return { id: of('@id'), from: of('@source'), to: of('@target'), says }
}

/** The first text within data: editors of graphs put labels into elements of their own. */
function textIn(value: unknown): string {
  if (typeof value === 'string') return value.trim()
  if (Array.isArray(value)) return value.map(textIn).find(Boolean) ?? ''
  if (!isRecord(value)) return ''
  const own = typeof value['#text'] === 'string' ? value['#text'].trim() : ''
  if (own) return own
  const within = Object.entries(value).filter(([name]) => !name.startsWith('@'))
  const label = within.find(([name]) => /label$/i.test(name))
  return label ? textIn(label[1]) : (within.map(([, one]) => textIn(one)).find(Boolean) ?? '')
}

const labelOf = ({ says, id }: Told) =>
  says.label ?? says.name ?? says.title ?? says.nodegraphics ?? says.edgegraphics ?? id

function graphOf(nodes: readonly Told[], edges: readonly Told[], hyperedges: number): ReadGraph {
  const nameOf = new Map(nodes.map((node) => [node.id, node.says.what === 'end' ? node.id : labelOf(node)]))
  const reactions = edges.filter(({ says }) => says.what === 'reaction')
  const lost = edges.filter(({ from, to }) => !nameOf.has(from) || !nameOf.has(to))
  const moves = edges.filter((one) => !reactions.includes(one) && !lost.includes(one))
  const places = nodes.filter(({ says }) => says.what !== 'end')
  return {
    positions: {
      ...{ table: 'positions', matched: [], ignored: [] },
      rows: places.map((node, i) => ({
        line: i + 1,
        cells: { name: labelOf(node), ...(says(node, 'ahead') ? { ahead: says(node, 'ahead') } : {}) },
      })),
    },
    moves: {
      ...{ table: 'moves', matched: [], ignored: [] },
      rows: moves.map((edge, i) => {
        const [from, to] = [nameOf.get(edge.from) ?? '', nameOf.get(edge.to) ?? '']
        const label = edge.says.label ?? edge.says.name ?? edge.says.edgegraphics
        const counts = Number(edge.says.of) > 0 ? { lands: edge.says.count, of: edge.says.of } : {}
        return { line: i + 1, cells: { name: label ?? `To ${to}`, from, to, ...kindOf(edge), ...counts } }
      }),
    },
    rest: [
      ...reactions.map((one) => `reaction “${labelOf(one)}”`),
      ...lost.map((one) => `arrow “${labelOf(one)}” from or to nothing`),
      ...(hyperedges ? [`${hyperedges} ${hyperedges === 1 ? 'arrow' : 'arrows'} between more than two`] : []),
    ],
  }
}

const says = ({ says: all }: Told, name: string) => all[name] ?? ''
const kindOf = (edge: Told) => (edge.says.what === 'move' && edge.says.kind ? { kind: edge.says.kind } : {})
