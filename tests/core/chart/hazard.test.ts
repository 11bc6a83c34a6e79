import { ALWAYS, cautionLines } from '../../../src/core/chart/hazard'
import { demoPlan } from '../../fixtures/demoPlan'

const { moves } = demoPlan()

describe('what a sheet says of its dangers', () => {
  it('names every move that can injure, by part, and what always holds', () => {
    const lines = cautionLines(moves)
    expect(lines.at(-1)).toBe(ALWAYS)
    expect(ALWAYS).toMatch(/Tap early, apply slowly, release at once/)
    for (const { name, to, hazard } of moves) {
      if (to === 'finish' || hazard) expect(lines.some((line) => line.includes(name))).toBe(true)
    }
    expect(new Set(lines.map((line) => line.split(':')[0])).size).toBe(lines.length)
  })

  it('says that nothing is said yet of a finish without a caution, and nothing where nothing can injure', () => {
    expect(cautionLines([{ name: 'Pull', to: 'finish' }])[0]).toBe('Not said yet: Pull.')
    expect(cautionLines([{ name: 'Step', to: 'mount' }])).toEqual([])
  })
})
