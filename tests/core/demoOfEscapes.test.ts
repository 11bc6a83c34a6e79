import { readFileSync } from 'node:fs'
import { lookUp } from '../../src/core/chart/lookUp'
import { parseChart } from '../../src/core/files/chartFile'
import { scenarioOf } from '../../src/core/game/scenario'
import { figuresOf } from '../../src/core/insight/figures'
import { taken } from '../reference/taken'

const wayOut = taken(parseChart(readFileSync('demo/the-way-out.ataque.json', 'utf8')))
const { figures } = taken(figuresOf(wayOut, scenarioOf(wayOut)))

describe('the demo of escapes', () => {
  it('begins where they have our back, and defends the neck first', () => {
    expect(lookUp(wayOut.positions, figures.start)!.ahead).toBe('theirs')
    expect(lookUp(wayOut.moves, figures.best ?? undefined)!.adds).toEqual(['our-hands-on-the-choking-wrist'])
    expect(figures.value).toBeGreaterThan(-0.3)
    expect(figures.value).toBeLessThan(0.3)
  })

  it('is the coach’s own from end to end, with rounds that were tallied and kept', () => {
    for (const { id, tries, guessed } of wayOut.moves)
      expect([id, tries?.weight, guessed]).toEqual([id, undefined, undefined])
    expect(wayOut.moves.filter(({ tries }) => tries?.tallies?.length).length).toBeGreaterThan(1)
    expect(wayOut.cards!.length).toBeGreaterThan(0)
    expect(wayOut.notes).toContain('does not replace a qualified coach')
  })

  it('ends at its edges: the way out is the goal, and nothing is attacked from there', () => {
    const { goal } = scenarioOf(wayOut)
    expect(goal.length).toBeGreaterThan(3)
    expect(wayOut.moves.filter(({ from }) => goal.includes(from))).toEqual([])
    for (const move of wayOut.moves) expect(move.to).not.toBe('finish')
  })
})
