import type { Chart } from '../chart/chart'
import { NOTHING_SEEN, type Cue } from '../chart/cue'
import { cautionLines } from '../chart/hazard'
import type { CueId, PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import type { Figures } from '../insight/figures'
import { subjectIn } from '../notation/writeSeen'
import { present } from '../sure'
import { plain } from './script'
import { lowerFirst, upperFirst } from './speech'

/** A line of a see-and-do card: what is seen, how often of ten, what we do then, and what to heed in it. */
export interface SeeAndDo {
  cue: CueId | typeof NOTHING_SEEN
  name: string
  ofTen: number
  /** Null while it is not worked out. */
  worth: number | null
  /** What we do: the name of a move, "hold still", or "" while it is not worked out or nothing can be done. */
  does: string
  heed: string[]
}

/** A card for one position, the worst line first. */
export interface SeeCard {
  position: PositionId
  name: string
  lines: SeeAndDo[]
  cautions: string[]
}

/** What is seen on coming to a position and what we do then; null where nothing is seen. */
export function seeCard(chart: Chart, figures: Figures | null, id: PositionId): SeeCard | null {
  const position = lookUp(chart.positions, id)
  if (!position?.seen) return null
  const figuresHere = figures?.positions[id]?.seen ?? []
  const sum = Object.values(position.seen).reduce((all, n) => all + n, 0)
  const moves: Move[] = []
  const lines = Object.entries(position.seen).map(([cue, n]): SeeAndDo => {
    const figure = figuresHere.find((one) => one.cue === cue)
    const move = lookUp(chart.moves, figure?.best ?? undefined)
    if (move) moves.push(move)
    return {
      ...{
        cue: cue as SeeAndDo['cue'],
        name: cueName(chart, cue),
        ofTen: (10 * n) / sum,
        worth: figure?.value ?? null,
      },
      does: move?.name ?? (figure?.best === 'wait' ? 'hold still' : ''),
      heed: move ? heedIn(move) : [],
    }
  })
  lines.sort((a, b) => (a.worth ?? 2) - (b.worth ?? 2))
  return { position: id, name: position.name, lines, cautions: cautionLines(moves) }
}

export const cueName = (chart: Chart, cue: string): string =>
  cue === NOTHING_SEEN ? 'nothing in particular' : (lookUp(chart.cues ?? [], cue)?.name ?? cue)

/** What a cue is called beside the others of a position: "at our neck" of "Far hand at our neck". */
export function shortCue(chart: Chart, position: PositionId, { name }: Cue): string {
  return name.trim().slice(subjectIn(chart, position).length).trim() || name
}

/** What a move waits for: "at our neck or to the hip"; "" where it waits for nothing. */
export const waitsFor = (chart: Chart, { from, when = [] }: Move): string =>
  when
    .flatMap((id) => lookUp(chart.cues ?? [], id) ?? [])
    .map((cue) => lowerFirst(shortCue(chart, from, cue)))
    .join(' or ')

/** The first checkpoint of a move, and what it says may not be let go. */
function heedIn({ checkpoints = [] }: Move): string[] {
  const [first] = checkpoints
  const gate = checkpoints.find(({ until }) => until)
  return [...(first ? [plain(first.text)] : []), ...(gate ? [upperFirst(plain(present(gate.until)))] : [])]
}
