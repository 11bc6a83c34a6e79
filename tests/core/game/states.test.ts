import type { Chart } from '../../../src/core/chart/chart'
import { readChart } from '../../../src/core/files/chartFile'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf } from '../../../src/core/game/scenario'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

type Draft = ReturnType<typeof soundChart> & { holds: object[]; moves: object[] }

const states = (change: (chart: Draft) => void) => {
  const draft = soundChart() as Draft
  change(draft)
  const chart: Chart = taken(readChart(draft))
  return taken(compileGame(chart, scenarioOf(chart, { start: 'side' as never }))).reachedCount
}

const grip = (fields: object) => (chart: Draft) => {
  chart.holds.push({ id: 'grip', name: 'Grip', limbs: ['right-hand'], ...fields })
  const tries = { lands: 5, stalls: 5 }
  chart.moves.push({ id: 'take', name: 'Take a grip', kind: 'grip', from: 'side', to: 'side', adds: ['grip'], tries })
}

describe('states', () => {
  it('are not told apart by a hold that nothing depends on', () => {
    const withGrip = states(grip({}))
    const withDenial = states(grip({ denies: [{ capability: 'hip-in', strength: 0.5 }] }))
    expect(withDenial).toBe(withGrip)
  })

  it('are told apart by a hold that a reaction, a need or a limb depends on', () => {
    const withGrip = states(grip({}))
    const denial = (chart: Draft) => {
      grip({ denies: [{ capability: 'bridge', strength: 0.5 }] })(chart)
      Object.assign(chart.reactions[0], { uses: ['bridge'] })
    }
    const need = (chart: Draft) => {
      grip({})(chart)
      Object.assign(chart.moves[0], { needs: ['grip'] })
    }
    const limb = (chart: Draft) => {
      grip({ limbs: ['left-elbow'], denies: [] })(chart)
      Object.assign(chart.moves[0], { needs: ['cross'] })
    }
    for (const change of [denial, need, limb]) expect(states(change)).toBeGreaterThan(withGrip)
  })

  it('do not remember a stalled move that is not tried from there', () => {
    const elsewhere = (chart: Draft) => {
      Object.assign(chart.moves[0], { stallsIn: 'mount' })
      Object.assign(chart.reactions[0], { endsIn: 'mount' })
    }
    expect(states(elsewhere)).toBeLessThan(states(() => undefined))
  })

  it('beyond the limit stop the compiling with the holds that multiply them', () => {
    const draft = soundChart() as Draft
    for (let i = 0; i < 8; i++) {
      const limbs = [
        ['left-hand', 'right-hand', 'left-knee', 'right-knee', 'left-foot', 'right-foot', 'head', 'chest'][i],
      ]
      draft.holds.push({ id: `grip-${i}`, name: `Grip ${i}`, limbs, denies: [{ capability: 'bridge', strength: 0.1 }] })
      const tries = { lands: 5, stalls: 5 }
      draft.moves.push({
        id: `take-${i}`,
        name: `Take ${i}`,
        kind: 'grip',
        from: 'side',
        to: 'side',
        adds: [`grip-${i}`],
        tries,
      })
    }
    Object.assign(draft.reactions[0], { uses: ['bridge'] })
    const chart: Chart = taken(readChart(draft))
    const result = compileGame(chart, scenarioOf(chart), { stateLimit: 500 })
    expect(result.ok).toBe(false)
    if (result.ok) return
    expect(result.problems[0].code).toBe('too-many-states')
    for (const part of ['500', 'Side control', '"grip-0"', '"grip-7"'])
      expect(result.problems[0].message).toContain(part)
  })
})
