import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { adjusted, type Athlete } from '../../../src/core/match/adjust'
import { Counts } from '../../../src/core/match/counts'
import { sharesOf } from '../../../src/core/match/shares'
import { wholeOf } from '../../../src/core/chart/tries'
import { exchangeLog } from '../../../src/core/simulate/exchangeLog'
import type { LoggedTry } from '../../../src/core/match/tryLog'
import { solved } from '../../../src/core/questions/solved'
import { seeded } from '../../../bench/generate'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const NOW = '2026-11-29'
const about = { when: NOW, in: 'spar' as const, us: 'ana', them: 'bo' }

function logOf(chart: Chart, exchanges: number, seed: number): LoggedTry[] {
  const solution = solved(chart, scenarioOf(chart, { sharpness: 0, slips: 0, repeat: 1 }), { everySecond: true })!
  const random = seeded(seed)
  return Array.from({ length: exchanges }, () => exchangeLog(solution, random, about).tries).flat()
}

describe('exchanges that are played and logged', () => {
  it('log only what the chart knows, and the same for the same seed', () => {
    const log = logOf(demo, 60, 4)
    expect(log.length).toBeGreaterThan(60)
    expect(new Counts(demo, { tries: log, now: NOW }).unknown).toEqual([])
    expect(log.some(({ reply }) => reply)).toBe(true)
    expect(log.some(({ outcome }) => typeof outcome === 'object' && 'reaction' in outcome)).toBe(true)
    expect(logOf(demo, 60, 4)).toEqual(log)
    expect(logOf(demo, 60, 5)).not.toEqual(log)
  })

  it('come out as often as was charted, where no hold is on', () => {
    const chart: Chart = {
      ...emptyChart('one', 'One'),
      positions: [
        { id: 'side', name: 'Side', family: 'side', ahead: 'ours' },
        { id: 'guard', name: 'Guard', family: 'guard', ahead: 'even' },
      ] as never,
      reactions: [{ id: 'turns', name: 'Turns', endsIn: 'side', seconds: 2 }] as never,
      moves: [
        {
          ...{ id: 'lock', name: 'Lock', kind: 'submission', from: 'side', to: 'finish', seconds: 4 },
          tries: { lands: 3, stalls: 4, reactions: { turns: 2 }, elsewhere: { guard: 1 } },
        },
      ] as never,
    }
    const log = logOf(chart, 4000, 8)
    const { total, outcomes } = new Counts(chart, { tries: log, now: NOW }).all('lock')
    expect(total).toBe(log.length)
    for (const [key, share] of sharesOf(wholeOf(chart.moves[0]))) {
      const seen = (outcomes.get(key) ?? 0) / total
      expect(Math.abs(seen - share)).toBeLessThan(5 * Math.sqrt((share * (1 - share)) / total))
    }
  })

  it('bring back what a person is, from their log alone', () => {
    const [move] = demo.moves.filter(({ from }) => from === scenarioOf(demo).start)
    const fitting: Chart = {
      ...demo,
      moves: demo.moves.map((one) => (one === move ? { ...one, fit: [{ trait: 'arms', of: 'ours', per: 0.8 }] } : one)),
    } as Chart
    const long: Athlete = { id: 'ana', traits: { arms: 2 } }
    const truth = adjusted(fitting, { us: long, them: null })
    const log = logOf(truth, 900, 21)
    const landing = (chart: Chart) => {
      const { lands = 0, stalls = 0, reactions = {} } = chart.moves.find(({ id }) => id === move.id)!.tries!
      return lands / (lands + stalls + Object.values(reactions).reduce((sum, n) => sum + n, 0))
    }
    const usual: Athlete = { id: 'ana', traits: {} }
    const learned = adjusted(demo, { us: usual, them: null, log: { tries: log, now: NOW } })
    expect(log.filter((one) => one.move === move.id && !one.reply).length).toBeGreaterThan(100)
    const [guessed, found, real] = [demo, learned, truth].map(landing)
    expect(Math.abs(found - real)).toBeLessThan(Math.abs(guessed - real) / 2)
    const { figures } = taken(figuresOf(learned, scenarioOf(learned)))
    expect(Number.isFinite(figures.value)).toBe(true)
  })
})
