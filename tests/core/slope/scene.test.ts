import type { Chart } from '../../../src/core/chart/chart'
import { escapesOf } from '../../../src/core/slope/escapes'
import { slopeGraph } from '../../../src/core/slope/graph'
import { layOutSlope } from '../../../src/core/slope/layout'
import { layoutTask } from '../../../src/core/slope/ledges'
import { ON_PLAN } from '../../../src/core/slope/lines'
import { pathOf, pointAt, type Point } from '../../../src/core/slope/routes'
import { drawScene, groundOf, type SceneTask } from '../../../src/core/slope/scene'
import { generateChart } from '../../../bench/generate'
import { demoFigures, demoPlan } from '../../fixtures/demoPlan'

const measure = (text: string) => text.length * 6.5
const figures = demoFigures()
const costs = figures.looseEnds.map(({ visits }) => visits * 0.05)

function groundFor(chart: Chart, folded = new Set<string>()) {
  const graph = slopeGraph(chart)
  return groundOf(chart, graph, layOutSlope(layoutTask(chart, graph, measure)), { measure, folded })
}

function taskOf(chart = demoPlan(), of: SceneTask['figures'] = figures): SceneTask {
  return {
    ...{ ground: groundFor(chart), figures: of, escapes: of ? escapesOf(chart, of, costs) : [], measure },
    detail: 'full',
    isNamed: (line) => line.uses >= ON_PLAN,
    isInFocus: () => true,
    isWhole: () => true,
    escapeTexts: ({ name }) => [name, '−9'],
    lineText: ({ name }) => name,
  }
}

const task = taskOf()
const scene = drawScene(task)

/** Points along a way, close enough that nothing slips through between them. */
function along(points: readonly Point[]): Point[] {
  return points.slice(1).flatMap((to, i) => Array.from({ length: 12 }, (_, t) => pointAt(points[i], to, t / 12)))
}

describe('what is drawn', () => {
  it('is a ledge for every place, a line for every move and a mark for every attempt', () => {
    expect(scene.ledges).toHaveLength(task.ground.ledges.size)
    expect(scene.lines.map(({ move }) => move).sort()).toEqual(task.ground.chart.moves.map(({ id }) => id).sort())
    expect(scene.marks).toHaveLength(figures.met.length)
  })

  it('stands in the picture, bands one under the other', () => {
    for (const { x, y, width, height } of scene.ledges) {
      expect(x).toBeGreaterThan(0)
      expect(x + width).toBeLessThanOrEqual(scene.width)
      expect(y + height).toBeLessThan(scene.height)
    }
    scene.bands.forEach(({ y }, i) => expect(y).toBe(i ? scene.bands[i - 1].y + scene.bands[i - 1].height : 0))
  })

  it.each([
    ['the demo plan', scene],
    [
      'a generated chart',
      drawScene(taskOf(generateChart({ positions: 80, moves: 300, reactions: 120, seed: 3 }), null)),
    ],
  ])('never runs a line behind a name: %s', (_, drawn) => {
    const names = drawn.ledges.map(({ id, x, y, width, height, kind }) => {
      const porch = kind === 'position' ? 18 : 0
      return { id, left: x + porch, right: x + width - porch, top: y + 1, bottom: y + height - 8 }
    })
    const behind = drawn.lines.flatMap(({ move, points }) =>
      along(points).flatMap(([x, y]) =>
        names
          .filter(({ left, right, top, bottom }) => x > left && x < right && y > top && y < bottom)
          .map(({ id }) => `${move} ${id}`),
      ),
    )
    expect(behind).toEqual([])
  })

  it('weighs lines by how often the best plan uses them', () => {
    const byUse = [...scene.lines].sort((a, b) => a.uses - b.uses)
    expect(scene.lines[scene.lines.length - 1].uses).toBe(Math.max(...scene.lines.map(({ uses }) => uses)))
    byUse.forEach(({ width }, i) => i && expect(width).toBeGreaterThanOrEqual(byUse[i - 1].width))
  })

  it('puts no label on another, on a ledge or on a mark', () => {
    const boxes = [
      ...scene.ledges.map(({ name, x, y, width, height }) => ({
        name,
        left: x,
        top: y,
        right: x + width,
        bottom: y + height,
      })),
      ...scene.marks.flatMap(({ label }) =>
        label
          ? [
              {
                name: label.text,
                left: label.x,
                top: label.y - 11,
                right: label.x + measure(label.text) * 0.9,
                bottom: label.y,
              },
            ]
          : [],
      ),
      ...scene.names.map(({ text, x, y }) => ({
        name: text,
        left: x,
        top: y - 11,
        right: x + measure(text) * 0.9,
        bottom: y,
      })),
    ]
    const on = boxes.flatMap((a, i) =>
      boxes.slice(i + 1).filter((b) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom),
    )
    expect(on).toEqual([])
  })

  it('leads attempts to where the answer lands, and lets loose ends hang', () => {
    const ledges = new Map(scene.ledges.map((ledge) => [ledge.id, ledge]))
    for (const { escape } of scene.marks) {
      const points = scene.ways.get(escape.key)
      if (escape.kind === 'loose') expect(points).toBeUndefined()
      else {
        const { x, width } = ledges.get(escape.to)!
        const [end] = points![points!.length - 1]
        expect(end).toBeGreaterThanOrEqual(x)
        expect(end).toBeLessThanOrEqual(x + width)
      }
    }
  })

  it('leaves out what is in a folded band, and what leads there', () => {
    const folded = drawScene({ ...task, ground: groundFor(demoPlan(), new Set(['mount'])) })
    expect(folded.ledges.some(({ band }) => band === 'mount')).toBe(false)
    expect(folded.lines.some(({ from, to }) => [from, to].some((id) => id.startsWith('mount')))).toBe(false)
    expect(folded.height).toBeLessThan(scene.height)
    expect(folded.bands.map(({ key }) => key)).toEqual(scene.bands.map(({ key }) => key))
  })
})

test('an outline has the ledges, the best plan and the open rings, and nothing else', () => {
  const outline = drawScene({ ...task, detail: 'outline' })
  expect(outline.ledges).toEqual(scene.ledges)
  expect(outline.lines.length).toBeLessThan(scene.lines.length)
  const onPlan = scene.lines.filter(({ uses }) => uses >= ON_PLAN).map(({ move }) => move)
  expect(outline.lines.map(({ move }) => move)).toEqual(expect.arrayContaining(onPlan))
  const rings = scene.marks.filter(({ escape }) => escape.kind === 'loose')
  expect(outline.marks.map(({ escape }) => escape.key).sort()).toEqual(rings.map(({ escape }) => escape.key).sort())
})

describe('escape attempts', () => {
  const escapes = escapesOf(task.ground.chart, figures, costs)

  it('are sorted by what asks for work and what it weighs', () => {
    const kinds = escapes.map(({ kind }) => kind === 'loose' || kind === 'leak')
    expect(kinds.lastIndexOf(true)).toBeLessThan(kinds.indexOf(false))
    expect(escapes.filter(({ kind }) => kind === 'loose')).toHaveLength(
      figures.looseEnds.filter(({ met }) => met.by !== 'answer' && met.by !== 'out').length,
    )
  })

  it('have the largest mark where they weigh most', () => {
    for (const kind of ['leak', 'loose', 'trap'] as const) {
      const marks = scene.marks.filter(({ escape }) => escape.kind === kind)
      const heaviest = marks.reduce((most, mark) => (mark.escape.weight > most.escape.weight ? mark : most))
      expect(Math.max(...marks.map(({ size }) => size))).toBe(heaviest.size)
      expect(heaviest.label).not.toBeNull()
    }
  })
})

test('a way back to the same row sags below it, and a straight piece is one', () => {
  expect(
    pathOf([
      [0, 10],
      [90, 10],
    ]),
  ).toBe('M0 10C0 27 90 27 90 10')
  expect(
    pathOf([
      [5, 40],
      [5, 20],
      [25, 0],
    ]),
  ).toBe('M5 40V20C5 10 25 10 25 0')
  expect(pointAt([0, 10], [90, 10], 0.5)[1]).toBeGreaterThan(20)
})
