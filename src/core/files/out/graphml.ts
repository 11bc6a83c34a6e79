import Builder from 'fast-xml-builder'
import type { Graph } from './graph'

/** What is told of nodes and arrows, with its type as GraphML names it. */
const KEYS = [
  ...(['label', 'what', 'band', 'ahead'] as const).map((name) => ({ of: 'node', name, type: 'string' }) as const),
  ...(['label', 'what', 'kind'] as const).map((name) => ({ of: 'edge', name, type: 'string' }) as const),
  ...(['count', 'of'] as const).map((name) => ({ of: 'edge', name, type: 'double' }) as const),
]
const NAMESPACE = 'http://graphml.graphdrawing.org/xmlns'

const builder = new Builder({ ignoreAttributes: false, format: true, suppressEmptyNode: true })

/** A graph as GraphML, the format of graphs in XML that general tools read. */
export function graphmlOf({ title, nodes, arrows }: Graph): string {
  const data = (of: 'node' | 'edge', record: object) =>
    KEYS.filter((key) => key.of === of).map(({ name }) => ({
      '@_key': `${of}-${name}`,
      '#text': clean(String((record as Record<string, unknown>)[name])),
    }))
  return builder.build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    graphml: {
      '@_xmlns': NAMESPACE,
      key: [
        { '@_id': 'graph-title', '@_for': 'graph', '@_attr.name': 'title', '@_attr.type': 'string' },
        ...KEYS.map(({ of, name, type }) => ({
          ...{ '@_id': `${of}-${name}`, '@_for': of, '@_attr.name': name, '@_attr.type': type },
        })),
      ],
      graph: {
        ...{ '@_id': 'chart', '@_edgedefault': 'directed' },
        data: [{ '@_key': 'graph-title', '#text': clean(title) }],
        node: nodes.map((node) => ({ '@_id': node.id, data: data('node', node) })),
        edge: arrows.map((arrow) => ({
          ...{ '@_id': arrow.id, '@_source': arrow.from, '@_target': arrow.to, data: data('edge', arrow) },
        })),
      },
    },
  })
}

/** Without the control characters that XML 1.0 does not allow in any form. */
// eslint-disable-next-line no-control-regex
const clean = (text: string): string => text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
