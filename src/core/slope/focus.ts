import { toPositionId } from '../chart/ids'
import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { reactionsMet } from '../chart/tries'
import { lookUp } from '../chart/lookUp'
import type { Figures } from '../insight/figures'
import { escapeKey, type Escape } from './escapes'
import { landingOf } from './graph'
import { ON_PLAN } from './lines'

/** Which part of the picture is emphasised; the rest is faded but keeps its place. */
export type Focus =
  { on: 'whole' | 'traps' | 'leaks' | 'loose' | 'run' } | { on: 'around'; place: string; exchanges: 1 | 2 | 3 }

/** Places, moves and escape attempts that are in focus, by id and key. */
export interface InFocus {
  places: Set<string>
  moves: Set<string>
  escapes: Set<string>
}

/** The parts of the picture in focus; null where nothing is faded. */
export function inFocus(chart: Chart, figures: Figures, escapes: readonly Escape[], focus: Focus): InFocus | null {
  if (focus.on === 'whole') return null
  if (focus.on === 'around') return around(chart, escapes, focus.place, focus.exchanges)
  if (focus.on === 'run') return bestRun(chart, figures, escapes)
  const kind = ({ traps: 'trap', leaks: 'leak', loose: 'loose' } as const)[focus.on]
  return withEscapes(
    chart,
    escapes.filter((escape) => escape.kind === kind),
  )
}

function withEscapes(chart: Chart, escapes: readonly Escape[]): InFocus {
  const found: InFocus = { places: new Set(), moves: new Set(), escapes: new Set() }
  for (const { key, move, position, to } of escapes) {
    found.escapes.add(key)
    found.places.add(position).add(to)
    const record = lookUp(chart.moves, move)
    if (record) found.moves.add(record.id)
  }
  return found
}

/** Everything within `exchanges` of a place; one exchange is our moves there, their reactions, and where those lead. */
function around(chart: Chart, escapes: readonly Escape[], place: string, exchanges: number): InFocus {
  const found: InFocus = { places: new Set([place]), moves: new Set(), escapes: new Set() }
  let edge = new Set([place])
  for (let n = 0; n < exchanges; n++) {
    const next = new Set<string>()
    for (const move of chart.moves) {
      const isFrom = edge.has(move.from)
      if (!isFrom && !(n === 0 && edge.has(landingOf(move)))) continue
      found.moves.add(move.id)
      next.add(isFrom ? landingOf(move) : move.from)
    }
    for (const escape of escapes) {
      if (!edge.has(escape.position)) continue
      found.escapes.add(escape.key)
      next.add(escape.to)
    }
    edge = new Set([...next].filter((id) => !found.places.has(id)))
    next.forEach((id) => found.places.add(id))
  }
  return found
}

/** The best plan from the start to a finish: its moves, the reactions to each, and our answers. */
export function bestRun(chart: Chart, figures: Figures, escapes: readonly Escape[]): InFocus {
  const found: InFocus = { places: new Set(), moves: new Set(), escapes: new Set() }
  const walked = new Set<string>()
  let at: string | undefined = figures.start
  while (at && !walked.has(at)) {
    walked.add(at)
    found.places.add(at)
    const move = lookUp(chart.moves, nextMove(chart, figures, at))
    if (!move) break
    found.moves.add(move.id)
    for (const reaction of reactionsMet(move)) {
      const escape = escapes.find(({ key }) => key === escapeKey(move.id, reaction))
      if (!escape) continue
      found.escapes.add(escape.key)
      const answer = lookUp(chart.moves, escape.answer)
      if (answer) found.moves.add(answer.id)
      if (answer) found.places.add(answer.from)
      found.places.add(escape.to)
    }
    at = landingOf(move)
    if (move.to === 'finish') found.places.add(at)
  }
  return found
}

/** Id of the best move in a position; where that is waiting, of the move that the plan tries most; null: none. */
function nextMove(chart: Chart, figures: Figures, place: string): string | null {
  const best = figures.positions[toPositionId(place)]?.best
  if (best && best !== 'wait') return best
  const own = chart.moves.filter(({ from, id }) => from === place && (figures.moves[id]?.uses ?? 0) >= ON_PLAN)
  own.sort((a, b) => sure(figures.moves[b.id]).uses - sure(figures.moves[a.id]).uses)
  return own[0]?.id ?? null
}
