import { sure } from '../sure'
import type { Boxes } from './boxes'
import { type Box } from './boxes'
import type { Escape } from './escapes'
import type { Ledge, Measure } from './ledges'
import type { MoveLine } from './lines'
import { bentPart, pointAt, type Point } from './routes'

/** A text with the left end of its base line. */
export interface MarkText {
  x: number
  y: number
  text: string
}

/** The mark of an escape attempt: a wedge, a bar or a ring of a size in pixels round its centre. */
export interface EscapeMark {
  escape: Escape
  /** Where the attempt leaves its move. */
  notch: Point
  at: Point
  size: number
  /** Net and, where there is room, name; null where there is room for neither. */
  label: MarkText | null
}

export const SMALL_TEXT = 0.9
const TEXT_HEIGHT = 13
const LEAST_SIZE = { loose: 9, leak: 8, trap: 7, even: 6 }
const MAX_SIZE = { loose: 19, leak: 18, trap: 13, even: 6 }
/** Parts of the way at which a mark may sit, the usual first. */
const PARTS = [0.5, 0.38, 0.62, 0.28, 0.72, 0.2, 0.82, 0.14, 0.9]

export interface MarkWords {
  /** Texts of an escape's mark, the fullest first. */
  of: (escape: Escape) => string[]
  /** Whether it stands out; the others take the room that is left. */
  isInFocus: (escape: Escape) => boolean
  measure: Measure
}

/**
 * Puts the marks on the ways of their moves, those that weigh most among their kind first, largest and where nothing is
 * in the way; what comes later takes the room that is left, with less of a label or none.
 */
export function placeMarks(
  escapes: readonly Escape[],
  lines: ReadonlyMap<string, MoveLine>,
  ledges: ReadonlyMap<string, Ledge>,
  taken: Boxes,
  words: MarkWords,
): EscapeMark[] {
  const heaviest = { loose: 0, leak: 0, trap: 0, even: 0 }
  for (const { kind, weight } of escapes) heaviest[kind] = Math.max(heaviest[kind], weight)
  const partOf = ({ kind, weight }: Escape) => Math.sqrt(weight / (heaviest[kind] || 1))
  const inOrder = escapes.toSorted(
    (a, b) => Number(words.isInFocus(b)) - Number(words.isInFocus(a)) || partOf(b) - partOf(a),
  )
  const met = new Map<string, number>()
  return inOrder.flatMap((escape): EscapeMark[] => {
    const spots = spotsOf(escape, lines, ledges, met)
    if (!spots.length) return []
    const { [escape.kind]: least } = LEAST_SIZE
    const size = least + (MAX_SIZE[escape.kind] - least) * partOf(escape)
    const texts = words.of(escape)
    for (const text of [...texts, '']) {
      const width = text ? words.measure(text) * SMALL_TEXT + 4 : 0
      const mark = free(escape, spots, size, text, width, taken)
      if (mark) return [mark]
    }
    const spot = sure(spots[0])
    return [markAt(escape, spot, spot, least * 0.8, '', 0, 'right').mark]
  })
}

const NUDGES = [
  [0, 0],
  [9, 0],
  [-9, 0],
  [0, 9],
  [0, -9],
] as const

/** The mark at the first spot where nothing is in its way, its room taken; or undefined. */
function free(escape: Escape, spots: Point[], size: number, text: string, width: number, taken: Boxes) {
  for (const spot of spots) {
    for (const [dx, dy] of NUDGES) {
      for (const side of text ? (['right', 'left'] as const) : (['right'] as const)) {
        const { boxes, mark } = markAt(escape, spot, [spot[0] + dx, spot[1] + dy], size, text, width, side)
        if (boxes.some((box) => taken.hits(box))) continue
        boxes.forEach((box) => taken.add(box))
        return mark
      }
    }
  }
  return undefined
}

/** Points that it may leave its move at. Several attempts of one move begin to look at different parts of the way. */
function spotsOf(
  { move, position }: Escape,
  lines: ReadonlyMap<string, MoveLine>,
  ledges: ReadonlyMap<string, Ledge>,
  met: Map<string, number>,
): Point[] {
  if (move === null) {
    const ledge = ledges.get(position)
    return ledge
      ? [0.9, 0.7, 0.5, 0.3, 0.1].map((t): Point => [ledge.x + ledge.width * t, ledge.y + ledge.height + 10])
      : []
  }
  const line = lines.get(move)
  if (!line) return []
  const order = met.get(move) ?? 0
  met.set(move, order + 1)
  const parts = [...PARTS.slice(order % PARTS.length), ...PARTS.slice(0, order % PARTS.length)]
  const [from, to] = bentPart(line.points)
  const beyond = line.points.slice(line.points.indexOf(to), -1).flatMap((point, i, rest): Point[] => {
    const next = rest[i + 1]
    return next ? [0.5, 0.25, 0.75].map((t) => pointAt(point, next, t)) : []
  })
  return [...parts.map((t) => pointAt(from, to, t)), ...beyond]
}

function markAt(
  escape: Escape,
  notch: Point,
  at: Point,
  size: number,
  text: string,
  width: number,
  side: 'left' | 'right',
): { boxes: Box[]; mark: EscapeMark } {
  const half = size / 2 + 1.5
  const box: Box = [at[0] - half, at[1] - half, at[0] + half, at[1] + half]
  if (!text) return { boxes: [box], mark: { escape, notch, at, size, label: null } }
  const left = side === 'right' ? at[0] + half + 2 : at[0] - half - 2 - width
  const label = { x: left, y: at[1] + 4.5, text }
  const textBox: Box = [left - 1, at[1] - TEXT_HEIGHT / 2, left + width, at[1] + TEXT_HEIGHT / 2]
  return { boxes: [box, textBox], mark: { escape, notch, at, size, label } }
}

/** Names beside the lines that are asked for, in the order given, as far as there is room. */
export function placeNames(
  lines: readonly MoveLine[],
  taken: Boxes,
  textOf: (line: MoveLine) => string,
  measure: Measure,
): (MarkText & { move: string })[] {
  return lines.flatMap((line) => {
    const text = textOf(line)
    const width = measure(text) * SMALL_TEXT
    for (const [x, y] of besideLine(line)) {
      for (const left of [x + line.width / 2 + 5, x - line.width / 2 - 5 - width]) {
        const box: Box = [left - 2, y - TEXT_HEIGHT / 2, left + width + 2, y + TEXT_HEIGHT / 2]
        if (taken.hits(box)) continue
        taken.add(box)
        return [{ x: left, y: y + 4.5, text, move: line.move }]
      }
    }
    return []
  })
}

/** Points along a line at which its name may stand, from its beginning on. */
function besideLine({ points }: MoveLine): Point[] {
  return points.slice(1).flatMap((to, i) => [0.5, 0.3, 0.7, 0.15, 0.85].map((t) => pointAt(sure(points[i]), to, t)))
}
