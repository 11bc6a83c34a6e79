import { bandsOf, FOOT } from '../chart/bands'
import type { Chart } from '../chart/chart'
import { END_IDS, type EndId } from '../chart/ids'
import { reactionsMet } from '../chart/tries'

/** Key of the band of finishes at the crest. */
export const CREST = 'finishes'

/** A band of the Slope, with its places in the chart's order. */
export interface SlopeBand {
  key: string
  name: string
  places: string[]
}

/** A connection between two places, by a move or an escape. */
export interface SlopeEdge {
  from: string
  to: string
  weight: number
}

/** The bands from the crest down, and the connections that decide the order of places within them. */
export interface SlopeGraph {
  bands: SlopeBand[]
  edges: SlopeEdge[]
}

/** Key of a finish's place. All finishing moves of the same name share one. */
export const finishPlace = (name: string): string => `finish ${name.trim().toLowerCase()}`

/** Key of the place where a move lands: a position, or its finish. */
export const landingOf = ({ name, to }: { name: string; to: string }): string =>
  to === 'finish' ? finishPlace(name) : to

/** Weights in the layout. Moves weigh more, since they are always drawn; escapes only where they matter. */
const WEIGHTS = { move: 2, escape: 1 }

/** The places and connections of a chart. Values do not enter, so the layout stays when the scenario changes. */
export function slopeGraph(chart: Chart): SlopeGraph {
  const finishes = new Set(chart.moves.filter(({ to }) => to === 'finish').map(({ name }) => finishPlace(name)))
  const bands: SlopeBand[] = bandsOf(chart.positions, chart.settings?.slope?.bands).map(({ key, name, positions }) => ({
    key,
    name,
    places: positions.map(({ id }) => id),
  }))
  if (finishes.size) bands.unshift({ key: CREST, name: 'Finishes', places: [...finishes] })
  const ends = END_IDS.filter((end) => mayEndIn(chart, end))
  if (ends.length) {
    const foot = bands.find(({ key }) => key === FOOT)
    if (foot) foot.places.push(...ends)
    else bands.push({ key: FOOT, name: 'Theirs', places: [...ends] })
  }
  return { bands, edges: edgesOf(chart) }
}

/** Whether it is charted that an exchange may end so; each such end is a place at the foot, with its id for a key. */
function mayEndIn({ moves, reactions }: Chart, end: EndId): boolean {
  return (
    reactions.some(({ endsIn }) => endsIn === end) ||
    moves.some(({ stallsIn, tries }) => stallsIn === end || tries?.elsewhere?.[end] !== undefined)
  )
}

function edgesOf({ moves, reactions }: Chart): SlopeEdge[] {
  const ends = new Map<string, string>(reactions.map(({ id, endsIn }) => [id, endsIn]))
  const edges = new Map<string, SlopeEdge>()
  const add = (from: string, to: string, weight: number) => {
    if (from === to) return
    const edge = edges.get(`${from} > ${to}`)
    if (edge) edge.weight += weight
    else edges.set(`${from} > ${to}`, { from, to, weight })
  }
  for (const move of moves) {
    add(move.from, landingOf(move), WEIGHTS.move)
    for (const id of reactionsMet(move)) add(move.from, ends.get(id) ?? move.from, WEIGHTS.escape)
  }
  return [...edges.values()]
}
