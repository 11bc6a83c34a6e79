declare module 'edmonds-blossom-fixed' {
  /** For each vertex the one that it is matched with, or -1. Edges are pairs of vertices with a weight. */
  export default function blossom(
    edges: readonly (readonly [one: number, other: number, weight: number])[],
    maxCardinality?: boolean,
  ): number[]
}
