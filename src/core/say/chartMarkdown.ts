import { bandsOf } from '../chart/bands'
import type { Chart } from '../chart/chart'
import { cautionLines } from '../chart/hazard'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import { totalOf, wholeOf } from '../chart/tries'
import { plain } from './script'

/** A whole chart to read, as Markdown: positions by band, each with its moves, what they do, and our answers. */
export function chartAsMarkdown(chart: Chart): string {
  const parts = bandsOf(chart.positions).map(({ name, positions }) => [
    `## ${escaped(name)}`,
    ...positions.map((position) => {
      const moves = chart.moves.filter(({ from }) => from === position.id)
      return [`### ${escaped(position.name)}`, ...moves.map((move) => moveLines(chart, move))].join('\n\n')
    }),
  ])
  const cautions = cautionLines(chart.moves)
  return [
    `# ${escaped(chart.title)}`,
    ...(chart.notes ? [escaped(chart.notes)] : []),
    ...parts.flat(),
    ...(cautions.length ? ['## Cautions', cautions.map((line) => `- ${escaped(line)}`).join('\n')] : []),
    '',
  ].join('\n\n')
}

function moveLines(chart: Chart, move: Move): string {
  const whole = wholeOf(move)
  const to = move.to === 'finish' ? 'finish' : (lookUp(chart.positions, move.to)?.name ?? move.to)
  const of = totalOf(whole)
  const lands = of ? `: ${shown(whole.lands ?? 0)} of ${shown(of)} land` : ''
  const met = Object.entries(whole.reactions ?? {}).map(([id, n]) => {
    const answers = chart.answers
      .filter(({ reaction }) => reaction === id)
      .map((answer) => lookUp(chart.moves, answer.move)?.name ?? answer.move)
    const name = lookUp(chart.reactions, id)?.name ?? id
    return `  - ${escaped(name)} (${shown(n)}) → ${answers.length ? escaped(answers.join(', ')) : '**no answer yet**'}`
  })
  const checks = (move.checkpoints ?? []).map(({ text }) => `  - ${escaped(plain(text))}`)
  return [`- **${escaped(move.name)}** (${escaped(to)})${lands}`, ...checks, ...met].join('\n')
}

const shown = (n: number) => String(Math.round(n * 10) / 10)

/** What Markdown would read as markup, and what would begin a tag. */
const escaped = (text: string): string => text.replace(/[\\`*_[\]<>#|]/g, (sign) => `\\${sign}`).replace(/\s+/g, ' ')
