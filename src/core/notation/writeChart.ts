import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { PositionId } from '../chart/ids'
import { writeFork } from './writeFork'
import { writeSeen } from './writeSeen'

/** Begins the line with the name of the position that the lines after it are about. */
export const HEADING = '# '

/** What is seen in a position and the fork of each of its moves, a line each; none where nothing is charted there. */
export function writePosition(chart: Chart, id: PositionId): string[] {
  const seen = writeSeen(chart, id)
  const moves = chart.moves.filter(({ from }) => from === id)
  return [...(seen ? [seen] : []), ...moves.map((move) => writeFork(chart, move))]
}

/** The chart as lines of the notation, under a heading for each position. */
export function writeChart(chart: Chart): string {
  const parts = chart.positions.map(({ id }) => {
    const name = lookUp(chart.positions, id)?.name ?? id
    return [`${HEADING}${name}`, ...writePosition(chart, id)].join('\n')
  })
  return `${parts.join('\n\n')}\n`
}
