import { positionFromName } from '../../chart/guesses'
import type { Chart } from '../../chart/chart'
import { toPositionId, type PositionId } from '../../chart/ids'
import { idFromName } from '../../document/ids'
import { copyOf } from '../../typed'
import { asTitle, type Created } from '../fork'
import { findPosition } from '../names'
import { HEADING } from '../writeChart'
import { sayParts, type LineError } from './sayLines'

export type SaidChart = { ok: true; created: Created[]; moves: number } | { ok: false; errors: LineError[] }

interface Headed {
  heading: string
  /** Index of the line of the heading, from 0. */
  line: number
  lines: string[]
}

/**
 * Says a whole text: lines of the notation under headings ("# Side control") that name their position; one that is not
 * charted is made. If any line has an error, the chart is not changed and all errors are returned, with their lines.
 */
export function sayChart(chart: Chart, text: string): SaidChart {
  const { parts, errors } = partsOf(text)
  const copy = copyOf(chart)
  const created: Created[] = []
  const said = sayParts(
    copy,
    parts.map(({ heading, line, lines }) => ({
      ...{ position: placeNamed(copy, heading, created), text: lines.join('\n'), from: line + 1 },
    })),
  )
  const all = said.ok ? errors : [...errors, ...said.errors]
  if (!said.ok || all.length) return { ok: false, errors: all.toSorted((a, b) => a.line - b.line) }
  const { positions, moves, reactions, answers, cues } = copy
  Object.assign(chart, { positions, moves, reactions, answers, ...(cues ? { cues } : {}) })
  return { ok: true, created: [...created, ...said.value.created], moves: said.value.moves.length }
}

/** The id of the position that a heading names, which is made where it is not charted. */
function placeNamed(chart: Chart, heading: string, created: Created[]): PositionId {
  const known = findPosition(chart, { text: heading, at: 0, end: heading.length })
  if (known) return known.id
  const name = asTitle(heading)
  const id = toPositionId(idFromName(name, new Set<string>(chart.positions.map((one) => one.id))))
  chart.positions.push({ id, ...positionFromName(name) })
  created.push({ kind: 'position', name })
  return id
}

function partsOf(text: string): { parts: Headed[]; errors: LineError[] } {
  const parts: Headed[] = []
  const errors: LineError[] = []
  text
    .replace(/^\uFEFF/, '')
    .split(/\r?\n/)
    .forEach((words, line) => {
      const last = parts.at(-1)
      if (words.startsWith(HEADING) && words.slice(HEADING.length).trim()) {
        parts.push({ heading: words.slice(HEADING.length).trim(), line, lines: [] })
      } else if (last) last.lines.push(words)
      else if (words.trim()) {
        const message = 'say first where we are, in a line such as "# Side control"'
        errors.push({ at: 0, end: words.length, line, message })
      }
    })
  return { parts, errors }
}
