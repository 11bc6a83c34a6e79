import dagre from '@dagrejs/dagre'
import { chromium, type Page } from '@playwright/test'
import { chromiumPath } from '../scripts/chromium.mjs'
import type { AddressInfo } from 'node:net'
import type { Chart } from '../src/core/chart/chart'
import { makeChart } from '../src/core/files/chartFile'
import { countCrossings, meanLength, type Segment } from '../src/core/slope/crossings'
import { slopeGraph } from '../src/core/slope/graph'
import { layOutSlope } from '../src/core/slope/layout'
import { layoutTask, standLedges } from '../src/core/slope/ledges'
import { makeApp } from '../server/app.mjs'
import { generateChart } from './generate'
import { ARGS, openChart } from './interface'
import { row, timed, type Row } from './measure'

const measureText = (text: string) => text.length * 6.5
const SIZES = [
  { name: 'demo plan', demo: true },
  { name: '60 positions', positions: 60, moves: 240, reactions: 100, seed: 7 },
  { name: '300 positions', positions: 300, moves: 1200, reactions: 500, seed: 7 },
  { name: '1,500 positions', positions: 1500, moves: 6000, reactions: 2500, seed: 7 },
]

/** For so long, in milliseconds, the Desk works on a large chart that has just come. */
const DESK_WORKS = 20_000

/** The plain layout takes minutes for charts of more positions. */
const COMPARED = 100

/** Our bands against a plain layered layout of the same places and lines (dagre): crossings, and how long lines are. */
export function benchLayout(demo: Chart): Row[] {
  return SIZES.flatMap((size) => {
    const chart = 'demo' in size ? demo : generateChart(size as Parameters<typeof generateChart>[0])
    const [ours, ms] = timed(() => ourSegments(chart))
    const rows = [row(`slope, ${size.name}`, 'laid out, ms', ms)]
    if (chart.positions.length > COMPARED) return rows
    const plain = plainSegments(chart)
    return [
      ...rows,
      row(`slope, ${size.name}`, 'crossings', countCrossings(ours)),
      row(`slope, ${size.name}`, 'crossings, to a plain layered layout', countCrossings(ours) / countCrossings(plain)),
      row(`slope, ${size.name}`, 'length of a line, to a plain layered layout', meanLength(ours) / meanLength(plain)),
    ]
  })
}

function ourSegments(chart: Chart): Segment[] {
  const graph = slopeGraph(chart)
  const layout = layOutSlope(layoutTask(chart, graph, measureText))
  const { ledges } = standLedges(chart, graph, layout, { measure: measureText, folded: new Set() })
  const at = (id: string) => ({ x: ledges.get(id)!.x + ledges.get(id)!.width / 2, y: ledges.get(id)!.y })
  return graph.edges.map(({ from, to }) => segment(at(from), at(to)))
}

function plainSegments(chart: Chart): Segment[] {
  const { bands, edges } = slopeGraph(chart)
  const plain = new dagre.graphlib.Graph().setGraph({ nodesep: 40, ranksep: 35 }).setDefaultEdgeLabel(() => ({}))
  for (const { places } of bands) for (const id of places) plain.setNode(id, { width: 130, height: 25 })
  for (const { from, to } of edges) plain.setEdge(from, to)
  dagre.layout(plain)
  return edges.map(({ from, to }) => segment(plain.node(from), plain.node(to)))
}

const segment = (a: { x: number; y: number }, b: { x: number; y: number }): Segment => ({
  ...{ ax: a.x, ay: a.y, bx: b.x, by: b.y },
})

/** Opening the Slope of large charts and panning it, beside bare rectangles and lines drawn the same way. */
export async function benchPanning(): Promise<Row[]> {
  const server = makeApp().listen(0, 'localhost')
  await new Promise((ready) => server.once('listening', ready))
  const base = `http://localhost:${(server.address() as AddressInfo).port}`
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: ARGS,
  })
  const rows: Row[] = []
  for (const { name, ...size } of SIZES.slice(2)) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const chart = generateChart(size as Parameters<typeof generateChart>[0])
    await openChart(page, base, makeChart(chart), 'desk')
    // What the Desk works out by itself is there.
    await page.waitForTimeout(DESK_WORKS)
    const from = Date.now()
    await page.evaluate(() => (location.hash = '#/slope?show=all'))
    await page.locator('.moving .bare, .moving .bar').first().waitFor()
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn))))
    rows.push(row(`slope, ${name}`, 'opens, ms', Date.now() - from, { most: 2000 }))
    await page.waitForTimeout(1500)
    for (const zoomed of [0, 4]) {
      for (let i = 0; i < zoomed; i++) await page.getByRole('button', { name: 'Zoom in' }).click()
      const drawn = await page.locator('.moving *').count()
      const level = zoomed ? 'zoomed in' : 'whole'
      const ours = await framesPerSecond(page, 'slope')
      rows.push(row(`slope, ${name}`, `elements drawn, ${level}`, drawn))
      rows.push(row(`slope, ${name}`, `frames a second while panning, ${level}`, ours, { least: 40 }))
    }
    rows.push(row(`slope, ${name}`, 'our plan opens, ms', await planOpens(page), { most: 2000 }))
    rows.push(
      row(
        `slope, ${name}`,
        'the same, bare rectangles and lines',
        await bareFrames(page, size.positions!, size.moves!),
      ),
    )
    await page.close()
  }
  await browser.close()
  server.close()
  return rows
}

/** Milliseconds until our plan stands as a climb, from Everything. */
async function planOpens(page: Page): Promise<number> {
  const from = Date.now()
  await page.evaluate(() => (location.hash = '#/slope'))
  await page.locator('.climb .ledge').first().waitFor()
  await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn))))
  return Date.now() - from
}

/** Median frames a second while something is panned by a few pixels each frame, as with a trackpad. */
function framesPerSecond(page: Page, pan: 'slope' | 'bare'): Promise<number> {
  return page.evaluate(async (what) => {
    const times: number[] = []
    let last = performance.now()
    for (let i = 0; i < 90; i++) {
      const far = 12 * Math.sin(i / 8)
      if (what === 'slope') {
        document.querySelector('.canvas')!.dispatchEvent(new WheelEvent('wheel', { deltaX: far, cancelable: true }))
      } else document.querySelector<SVGElement>('.bare')!.style.transform = `translate(${i}px, ${far}px)`
      await new Promise((next) => requestAnimationFrame(next))
      times.push(performance.now() - last)
      last = performance.now()
    }
    return 1000 / times.sort((a, b) => a - b)[times.length >> 1]
  }, pan)
}

async function bareFrames(page: Page, rectangles: number, lines: number): Promise<number> {
  await page.evaluate(
    ([n, m]) => {
      const svg = 'http://www.w3.org/2000/svg'
      const root = document.createElementNS(svg, 'svg')
      root.setAttribute('width', '1192')
      root.setAttribute('height', '640')
      root.setAttribute('class', 'bare')
      root.style.willChange = 'transform'
      const group = document.createElementNS(svg, 'g')
      const add = (name: string, attributes: Record<string, number | string>) => {
        const element = document.createElementNS(svg, name)
        for (const key in attributes) element.setAttribute(key, String(attributes[key]))
        group.append(element)
      }
      const at = (i: number) => [(i * 397) % 1190, (i * 211) % 640]
      for (let i = 0; i < m; i++) {
        const [x1, y1] = at(i)
        add('line', { x1, y1, x2: x1 + 60, y2: y1 - 40, stroke: '#8fb0a7', 'stroke-width': 0.6 })
      }
      for (let i = 0; i < n; i++) add('rect', { x: at(i)[0], y: at(i)[1], width: 22, height: 3, fill: '#14524a' })
      root.append(group)
      document.querySelector('main')!.replaceChildren(root)
    },
    [rectangles, lines] as const,
  )
  return framesPerSecond(page, 'bare')
}
