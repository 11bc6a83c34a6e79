import { readFileSync } from 'node:fs'
import type { PositionId } from '../../src/core/chart/ids'
import { parseChart } from '../../src/core/files/chartFile'
import { scenarioOf } from '../../src/core/game/scenario'
import { figuresOf } from '../../src/core/insight/figures'
import { sayLines } from '../../src/core/notation/edits/sayLines'
import { seeCard, waitsFor } from '../../src/core/say/seen'
import { sayItem } from '../../src/core/say/slopeItem'
import { demoPlan } from '../fixtures/demoPlan'
import { taken } from '../reference/taken'

const caseNine = () =>
  taken(parseChart(readFileSync(new URL('../fixtures/cases/9-seen.json', import.meta.url), 'utf8')))

describe('a see-and-do card', () => {
  it('says what is best when each thing is seen, the worst first, as the worked case has it', () => {
    const chart = caseNine()
    const { figures } = taken(figuresOf(chart, scenarioOf(chart)))
    for (const { id, seen } of chart.positions) {
      const card = seeCard(chart, figures, id)
      if (!seen) expect(card).toBeNull()
      else {
        const worths = card!.lines.map(({ worth }) => worth!)
        expect(worths).toEqual(worths.toSorted((a, b) => a - b))
        for (const { cue, worth, does } of card!.lines) {
          const figure = figures.positions[id]!.seen!.find((one) => one.cue === cue)!
          expect(worth).toBe(figure.value)
          expect(does).toBe(chart.moves.find((move) => move.id === figure.best)?.name ?? 'hold still')
        }
        expect(card!.lines.reduce((sum, { ofTen }) => sum + ofTen, 0)).toBeCloseTo(10, 12)
      }
    }
  })

  it('carries the cautions of what it says to do, and what may not be let go', () => {
    const chart = demoPlan()
    const id = 'side-control-head-and-far-arm' as PositionId
    const text = 'seen far hand: 4 at our neck, 3 to the hip\nStep-around armbar when at our neck 6 of 10'
    expect(sayLines(chart, id, text).ok).toBe(true)
    const { figures } = taken(figuresOf(chart, scenarioOf(chart)))
    const { lines, cautions } = seeCard(chart, figures, id)!
    const neck = lines.find(({ name }) => name === 'Far hand at our neck')!
    expect(neck).toMatchObject({ ofTen: 4, does: 'Step-around armbar' })
    expect(neck.heed).toContain('Keep the head low until the palm is on')
    expect(cautions.at(-1)).toMatch(/^Tap early/)
    expect(
      waitsFor(
        chart,
        chart.moves.find(({ name }) => name === 'Step-around armbar')!,
      ),
    ).toBe('at our neck')
    expect(sayItem(chart, figures, { kind: 'place', place: id })).toMatch(
      /3 things are told apart on coming here\. The worst to see is .+, worth \d+: \w/,
    )
    const move = chart.moves.find(({ name }) => name === 'Step-around armbar')!.id
    expect(sayItem(chart, null, { kind: 'move', move })).toMatch(/Only when we see it at our neck\./)
    expect(seeCard(chart, null, id)!.lines.every(({ does, worth }) => does === '' && worth === null)).toBe(true)
  })
})
