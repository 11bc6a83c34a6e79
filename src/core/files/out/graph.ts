import { bandsOf } from '../../chart/bands'
import type { Chart } from '../../chart/chart'
import { END_IDS } from '../../chart/ids'
import { reactionsMet, totalOf, wholeOf } from '../../chart/tries'

/** A chart as nodes and arrows: what programs that draw graphs can read. */
export interface Graph {
  title: string
  nodes: { id: string; label: string; what: 'position' | 'end'; band: string; ahead: string }[]
  arrows: Arrow[]
}

export interface Arrow {
  id: string
  from: string
  to: string
  label: string
  /** Ours are moves; theirs, reactions, from where they meet a move to where they end. */
  what: 'move' | 'reaction'
  kind: string
  /** Of so many tries, how many land (of a reaction: how many meet it); 0 where nobody has said. */
  count: number
  of: number
}

const ENDS: Record<string, string> = { finish: 'Finish', caught: 'Caught', over: 'Over' }

/** The positions, what ends an exchange, and every move and reaction between them. */
export function graphOf(chart: Chart): Graph {
  const bandOf = new Map(
    bandsOf(chart.positions).flatMap(({ name, positions }) => positions.map(({ id }) => [id, name])),
  )
  const arrows = [...movesOf(chart), ...reactionsOf(chart)]
  const used = new Set(arrows.flatMap(({ from, to }) => [from, to]))
  const ends = ['finish', ...END_IDS].filter((id) => used.has(id))
  return {
    title: chart.title,
    nodes: [
      ...chart.positions.map(({ id, name, ahead }) => ({
        ...{ id, label: name, what: 'position' as const, band: bandOf.get(id) ?? '', ahead },
      })),
      ...ends.map((id) => ({ id, label: ENDS[id] ?? id, what: 'end' as const, band: '', ahead: '' })),
    ],
    arrows,
  }
}

const movesOf = ({ moves }: Chart): Arrow[] =>
  moves.map((move) => ({
    ...{ id: `move-${move.id}`, from: move.from, to: move.to, label: move.name, what: 'move', kind: move.kind },
    ...{ count: move.tries?.lands ?? 0, of: totalOf(wholeOf(move)) },
  }))

/** Each reaction once from each position in which a move meets it. */
function reactionsOf({ moves, reactions }: Chart): Arrow[] {
  return reactions.flatMap(({ id, name, endsIn }) => {
    const met = moves.filter((move) => reactionsMet(move).includes(id))
    return [...new Set(met.map(({ from }) => from))].map((from): Arrow => {
      const here = met.filter((move) => move.from === from)
      const sum = (of: (move: (typeof met)[number]) => number) => here.reduce((all, move) => all + of(move), 0)
      return {
        ...{ id: `reaction-${id}-${from}`, from, to: endsIn, label: name, what: 'reaction', kind: 'reaction' },
        ...{ count: sum(({ tries }) => tries?.reactions?.[id] ?? 0), of: sum((move) => totalOf(wholeOf(move))) },
      }
    })
  })
}
