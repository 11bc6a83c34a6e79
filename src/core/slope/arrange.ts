import { sure, present } from '../sure'
import { countCrossings, meanLength, type Segment } from './crossings'
import type { LayoutTask, SlopeLayout } from './places'
import { spread } from './spread'

/** Width over height that a picture should have; pixels that a band's margins take, and its least width. */
const SHAPE = 1.52
const BAND_HEIGHT = 8
const LEAST_WIDTH = 1060
/** Share of a row's width that ledges may fill; lines pass through the rest. */
const FILLED = 0.92
/**
 * Limits of the search: crossings are counted on a sample of at most so many lines, and at most so many pairs are
 * compared, so that a large chart gets fewer passes.
 */
const SAMPLE = 900
const LOOKS = 2e7
const MAX_SWEEPS = 40
/** Places that are brought to their middles in all sweeps together: it settles in the first few. */
const PLACED = 9_000
/** In a chart with at most this many places, neighbouring places are also exchanged one by one. */
const EXCHANGED = 200

interface Node {
  id: string
  width: number
  band: number
  row: number
  x: number
  near: { node: number; weight: number }[]
}

/** The places of a band in their order, and the number of its rows. */
interface Band {
  band: number[]
  rows: number
  gap: number
}

/**
 * Orders the places of each band anew so that few lines cross: sweeps down and up that bring each place to the middle
 * of what it is tied to (the barycentre method; Sugiyama, Tagawa and Toda 1981), the best sweep kept.
 */
export function arrange(task: LayoutTask): SlopeLayout {
  const width = widthFor(task)
  const nodes = nodesOf(task)
  const bands = task.bands.map((band, b): Band => {
    const own = nodes.flatMap((node, i) => (node.band === b ? [i] : []))
    return { band: own, rows: rowsIn(band, width), gap: band.gap }
  })
  const pairs = Math.min(SAMPLE, task.edges.length) ** 2 / 2
  const [byPairs, byPlaces] = [LOOKS / 4 / Math.max(1, pairs), PLACED / Math.max(1, nodes.length)]
  const sweeps = Math.max(4, Math.floor(Math.min(MAX_SWEEPS, byPairs, byPlaces)))
  bands.forEach((band) => place(nodes, band, width, (_, order) => (order * width) / band.band.length))
  let best: { cost: number; at: [number, number][] } | undefined
  for (let sweep = 0; sweep < sweeps; sweep++) {
    const order = sweep % 2 ? [...bands].reverse() : bands
    for (const band of order) place(nodes, band, width, (i) => middle(nodes, i))
    fill(nodes, bands, width)
    const cost = costOf(nodes)
    if (!best || cost < best.cost) best = { cost, at: nodes.map(({ row, x }) => [row, x]) }
  }
  best?.at.forEach(([row, x], i) => Object.assign(sure(nodes[i]), { row, x }))
  if (nodes.length <= EXCHANGED) exchange(nodes, bands, width, Math.floor(LOOKS / Math.max(1, pairs)))
  return {
    width,
    places: Object.fromEntries(nodes.map(({ id, band, row, x }) => [id, { band: sure(task.bands[band]).key, row, x }])),
  }
}

/** Exchanges near places of a band while that removes crossings, with at most `looks` comparisons in all. */
function exchange(nodes: Node[], bands: Band[], width: number, looks: number): void {
  let cost = costOf(nodes)
  for (let isBetter = true; isBetter;) {
    isBetter = false
    for (const band of bands) {
      for (let i = 0; i < band.band.length; i++) {
        for (const j of [i + 1, i + 2, i + 3].filter((next) => next < band.band.length)) {
          if (looks-- <= 0) return
          const before = band.band.map((node) => ({ node, row: sure(nodes[node]).row, x: sure(nodes[node]).x }))
          const wishes = new Map(band.band.map((node) => [node, sure(nodes[node]).x]))
          const [a, b] = [sure(band.band[i]), sure(band.band[j])]
          wishes.set(a, sure(nodes[b]).x).set(b, sure(nodes[a]).x)
          place(nodes, band, width, (node) => present(wishes.get(node)))
          const now = costOf(nodes)
          if (now < cost) {
            cost = now
            isBetter = true
          } else {
            band.band = before.map(({ node }) => node)
            for (const { node, row, x } of before) Object.assign(sure(nodes[node]), { row, x })
          }
        }
      }
    }
  }
}

/** The least width in pixels at which the picture has the wanted shape or is wider. */
function widthFor({ bands }: LayoutTask): number {
  for (let width = LEAST_WIDTH; ; width *= 1.06) {
    const height = bands.reduce((sum, band) => sum + rowsIn(band, width) * band.rowHeight + BAND_HEIGHT, 0)
    if (width / height >= SHAPE || width > 60_000) return Math.round(width)
  }
}

/** The number of rows that a band's places take in a picture of this width. */
function rowsIn({ places, gap }: LayoutTask['bands'][number], width: number): number {
  const need = places.reduce((sum, place) => sum + place.width + gap, 0)
  return Math.max(1, Math.ceil(need / (width * FILLED)))
}

function nodesOf({ bands, edges }: LayoutTask): Node[] {
  const nodes: Node[] = bands.flatMap(({ places }, band) =>
    places.map(({ id, width }) => ({ id, width, band, row: 0, x: 0, near: [] })),
  )
  const at = new Map(nodes.map(({ id }, i) => [id, i]))
  for (const { from, to, weight } of edges) {
    const a = at.get(from)
    const b = at.get(to)
    if (a === undefined || b === undefined) continue
    sure(nodes[a]).near.push({ node: b, weight })
    sure(nodes[b]).near.push({ node: a, weight })
  }
  return nodes
}

/** Weighted mean centre of a place's neighbours; those many bands away weigh less, since their lines may bend. */
function middle(nodes: Node[], i: number): number {
  const { near, band, x } = sure(nodes[i])
  let sum = x * 0.2
  let weight = 0.2
  for (const { node, weight: tie } of near) {
    const pull = tie / (1 + Math.abs(sure(nodes[node]).band - band))
    sum += pull * sure(nodes[node]).x
    weight += pull
  }
  return sum / weight
}

/** Sorts the places of a band by their wished centres and deals them out to its rows in turn. */
function place(
  nodes: Node[],
  { band, rows, gap }: Band,
  width: number,
  wish: (i: number, order: number) => number,
): void {
  const wishes = new Map(band.map((i, order) => [i, wish(i, order)]))
  band.sort((a, b) => present(wishes.get(a)) - present(wishes.get(b)))
  for (let row = 0; row < rows; row++) {
    const own = band.filter((_, order) => order % rows === row)
    const centres = spread(
      own.map((i) => ({ wish: present(wishes.get(i)), width: sure(nodes[i]).width })),
      gap,
      width,
    )
    own.forEach((i, order) => Object.assign(sure(nodes[i]), { row, x: centres[order] }))
  }
}

/** Stretches the places over the width, since the sweeps pull them together on one side. */
function fill(nodes: Node[], bands: Band[], width: number): void {
  const left = Math.min(...nodes.map((node) => node.x - node.width / 2))
  const right = Math.max(...nodes.map((node) => node.x + node.width / 2))
  if (right - left >= width) return
  for (const band of bands) {
    const wishes = new Map(band.band.map((i) => [i, ((sure(nodes[i]).x - left) * width) / (right - left)]))
    place(nodes, band, width, (i) => present(wishes.get(i)))
  }
}

function costOf(nodes: Node[]): number {
  const height = (node: Node) => (node.band * 4 + node.row) * 20
  const segments: Segment[] = nodes.flatMap((node, i) =>
    node.near
      .filter(({ node: other }) => other > i)
      .map(({ node: other }) => ({
        ...{ ax: node.x, ay: height(node), bx: sure(nodes[other]).x, by: height(sure(nodes[other])) },
      })),
  )
  const every = Math.ceil(segments.length / SAMPLE)
  return countCrossings(segments.filter((_, i) => i % every === 0)) + meanLength(segments) / 1000
}
