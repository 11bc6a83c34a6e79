import { randomLcg } from 'd3-random'
import { callsOf, inTurn, nextCall, type Call, type Planned } from '../../../src/core/club/live/caller'
import { seedOf } from '../../../src/core/seed'
import { OUR_LIMITS } from '../../../src/core/club/limits'
import { mayAllDo } from '../../../src/core/club/protect'
import type { Block } from '../../../src/core/club/session'
import { demoPlan } from '../../fixtures/demoPlan'

const plan = demoPlan()
const block = (id: string, more: Partial<Block> = {}): Block => ({
  ...{ id: 'calls', kind: 'flow-drill', minutes: 5, about: { chart: plan.id, kind: 'position', id } },
  ...more,
})
const free: Planned = { cost: () => 0, visits: () => 0, best: () => undefined, may: () => true }

describe('the caller', () => {
  it('calls what they do at the chart’s frequencies, with what is planned for it', () => {
    const calls = callsOf(plan, block('turtle-at-the-flank', { resistance: 'scripted' }), 'reactions', free)
    expect(calls.find(({ key }) => key.endsWith(' turns-in-under-us'))).toMatchObject({
      ...{ says: 'Turns in under us', to: 'Clock the collar', answer: 'Cross-face and pass', weight: 4 },
    })
    const random = randomLcg(0.3)
    const times = new Map<string, number>()
    for (let i = 0; i < 20_000; i++) {
      const call = nextCall(calls, null, random)!
      times.set(call.key, (times.get(call.key) ?? 0) + 1)
    }
    const all = calls.reduce((sum, { weight }) => sum + weight, 0)
    for (const { key, weight } of calls) expect((times.get(key) ?? 0) / 20_000).toBeCloseTo(weight / all, 1.7)
  })

  it('never calls a finish or a throw where somebody resists, nor as an answer', () => {
    const names = (test: (move: (typeof plan.moves)[number]) => boolean) =>
      plan.moves.filter(test).map(({ name }) => name)
    const finishes = new Set(names(({ to }) => to === 'finish'))
    const kept = new Set(names(({ to, kind }) => to === 'finish' || kind === 'takedown'))
    const kids = { ...free, may: mayAllDo([{ id: 'kid', name: 'K', ageBand: '10-13' }], OUR_LIMITS) }
    const gentle = callsOf(plan, block('side-control-hips-low', { resistance: 'scripted' }), 'reactions', kids)
    expect(gentle.length).toBeGreaterThan(0)
    expect(gentle.filter(({ to, answer }) => finishes.has(to) || finishes.has(answer))).toEqual([])
    // Even where the plan's best is one.
    const [finish] = plan.moves.filter(({ to }) => to === 'finish')
    const finishing: Planned = { ...free, best: () => finish.id }
    for (const { id } of plan.positions)
      for (const what of ['reactions', 'positions', 'open'] as const)
        for (const { to, answer } of callsOf(plan, block(id, { resistance: 'full' }), what, finishing)) {
          expect(kept.has(to)).toBe(false)
          expect(kept.has(answer)).toBe(false)
        }
    const scripted = callsOf(plan, block('turtle-at-the-flank', { resistance: 'scripted' }), 'reactions', free)
    expect(scripted.some(({ to }) => to === 'Clock the collar')).toBe(true)
    const struck = { ...plan, moves: plan.moves.map((move) => ({ ...move, tags: ['strikes'] })) }
    expect(callsOf(struck, block('turtle-at-the-flank', { resistance: 'scripted' }), 'reactions', free)).toEqual([])
  })

  it('calls more of what costs most', () => {
    const cost = (_move: string, reaction: string) => (reaction === 'sits-to-a-hip' ? 4 : -1)
    const before = callsOf(plan, block('turtle-at-the-flank'), 'reactions', free)
    const after = callsOf(plan, block('turtle-at-the-flank'), 'reactions', { ...free, cost })
    expect(after.map(({ key, weight }, i) => [key, weight / before[i].weight])).toEqual(
      before.map(({ key }) => [key, key.endsWith(' sits-to-a-hip') ? 3 : 1]),
    )
  })

  it('calls where we are, as often as the plan comes there, with what is best then', () => {
    const planned: Planned = {
      ...free,
      visits: (position) => (position === 'turtle-at-the-flank' ? 0.5 : 0),
      best: (position) => plan.moves.find(({ from, to }) => from === position && to !== 'finish')?.id,
    }
    const calls = callsOf(plan, block('turtle-at-the-flank', { resistance: 'scripted' }), 'positions', planned)
    const here = calls.find(({ key }) => key === 'turtle-at-the-flank')
    expect(here).toMatchObject({ says: 'Turtle, at the flank', weight: 0.5 })
    expect(plan.moves.find(({ name }) => name === here?.answer)?.from).toBe('turtle-at-the-flank')
    // Where it goes on from there, also where the plan never comes.
    expect(calls.length).toBeGreaterThan(1)
    expect(Math.min(...calls.map(({ weight }) => weight))).toBe(0.01)
  })

  it('calls what is open, as often as it is seen, with the move for it', () => {
    const [move] = plan.moves.filter(({ from, to }) => from === 'turtle-at-the-flank' && to !== 'finish')
    const seeing = {
      ...plan,
      cues: [{ id: 'arm-out' as never, name: 'The arm is out' }],
      positions: plan.positions.map((one) =>
        one.id === 'turtle-at-the-flank' ? { ...one, seen: { 'arm-out': 3, nothing: 7 } } : one,
      ),
    }
    const planned: Planned = { ...free, best: (_, cue) => (cue === 'arm-out' ? move.id : undefined) }
    expect(callsOf(seeing, block('turtle-at-the-flank', { resistance: 'scripted' }), 'open', planned)).toEqual([
      {
        ...{ key: 'turtle-at-the-flank arm-out', says: 'The arm is out', to: 'Turtle, at the flank' },
        ...{ answer: move.name, weight: 3 },
      },
    ])
    const blind = { ...plan, positions: plan.positions.map(({ seen: _, ...one }) => one) }
    expect(callsOf(blind, block('turtle-at-the-flank'), 'open', planned)).toEqual([])
  })

  it('calls of a region what its positions have, and of a flow each in its turn', () => {
    const about = { chart: plan.id, kind: 'region' as const, id: 'turtle' }
    const keys = (one: Block) => callsOf(plan, one, 'reactions', free).map(({ key }) => key)
    const region = keys({ ...block(''), about })
    expect(region).toEqual(expect.arrayContaining(keys(block('turtle-at-the-flank')).slice(0, 1)))
    expect(keys({ ...block(''), about: { ...about, id: 'nowhere' } })).toEqual([])
    const round = ['a', 'b', 'c'].map((key): Call => ({ key, says: key, to: '', answer: '', weight: 1 }))
    expect([null, ...round].map((last) => inTurn(round, last)?.key)).toEqual(['a', 'b', 'c', 'a'])
    expect(inTurn([], null)).toBeNull()
  })

  it('calls nothing twice running where there is something else, and the same for the same seed', () => {
    const call = (key: string): Call => ({ key, says: key, to: 'a', answer: '', weight: 1 })
    const two = [call('x'), call('y')]
    expect([nextCall(two, two[0], () => 0)?.key, nextCall([two[0]], two[0], () => 0)?.key]).toEqual(['y', 'x'])
    expect(nextCall([], null, () => 0)).toBeNull()
    expect(nextCall(two, null, () => 0.999999999)?.key).toBe('y')
    expect(seedOf('tuesday')).toBe(seedOf('tuesday'))
    expect(seedOf('tuesday')).not.toBe(seedOf('thursday'))
    expect(seedOf('')).toBeLessThan(1)
  })
})
