import type { Arrow, Graph } from './graph'

/** A graph in the language of Graphviz: bands as clusters, our moves drawn through, their reactions dashed. */
export function dotOf({ title, nodes, arrows }: Graph): string {
  const bands = [...new Set(nodes.map(({ band }) => band))]
  const lines = bands.flatMap((band, i) => {
    const inside = nodes.filter((node) => node.band === band)
    const drawn = inside.map(
      ({ id, label, what }) => `${quoted(id)} [label=${quoted(label)}${what === 'end' ? ', shape=doublecircle' : ''}];`,
    )
    return band
      ? [`  subgraph cluster_${i} {`, `    label=${quoted(band)};`, ...drawn.map((line) => `    ${line}`), '  }']
      : drawn.map((line) => `  ${line}`)
  })
  return [
    `digraph ${quoted(title)} {`,
    '  newrank=true;',
    '  node [shape=box, style=rounded];',
    ...lines,
    ...arrows.map((arrow) => `  ${arrowLine(arrow)}`),
    '}',
    '',
  ].join('\n')
}

function arrowLine({ from, to, label, what, count, of }: Arrow): string {
  const said = of ? `${label} ${+count.toFixed(1)}/${+of.toFixed(1)}` : label
  return `${quoted(from)} -> ${quoted(to)} [label=${quoted(said)}${what === 'reaction' ? ', style=dashed' : ''}];`
}

/** A string of the language; within it only quotes and backslashes mean something. */
const quoted = (text: string): string => `"${text.replace(/\\/g, '\\\\').replace(/"/g, '\\"').replace(/\n/g, ' ')}"`
