import { randomLcg } from 'd3-random'
import { callsOf, nextCall, seedOf, type Call } from '../../../src/core/club/live/caller'
import type { Block } from '../../../src/core/club/session'
import { demoPlan } from '../../fixtures/demoPlan'

const plan = demoPlan()
const block = (id: string, more: Partial<Block> = {}): Block => ({
  ...{ id: 'calls', kind: 'flow-drill', minutes: 5, about: { chart: plan.id, kind: 'position', id } },
  ...more,
})
const free = () => 0

describe('the caller', () => {
  it('calls what they do at the chart’s frequencies, with what is planned for it', () => {
    const calls = callsOf(plan, block('turtle-at-the-flank', { resistance: 'scripted' }), free)
    expect(calls.find(({ reaction }) => reaction === 'turns-in-under-us')).toMatchObject({
      ...{ says: 'Turns in under us', to: 'Clock the collar', answer: 'Cross-face and pass', weight: 4 },
    })
    const random = randomLcg(0.3)
    const times = new Map<string, number>()
    for (let i = 0; i < 20_000; i++) {
      const call = nextCall(calls, null, random)!
      times.set(`${call.reaction} ${call.to}`, (times.get(`${call.reaction} ${call.to}`) ?? 0) + 1)
    }
    const all = calls.reduce((sum, { weight }) => sum + weight, 0)
    for (const { reaction, to, weight } of calls)
      expect((times.get(`${reaction} ${to}`) ?? 0) / 20_000).toBeCloseTo(weight / all, 1.7)
  })

  it('never calls a finish or a throw where somebody resists, nor as an answer', () => {
    const names = (test: (move: (typeof plan.moves)[number]) => boolean) =>
      plan.moves.filter(test).map(({ name }) => name)
    const kept = new Set(names(({ to, kind }) => to === 'finish' || kind === 'takedown'))
    for (const { id } of plan.positions)
      for (const { to, answer } of callsOf(plan, block(id, { resistance: 'full' }), free)) {
        expect(kept.has(to)).toBe(false)
        expect(kept.has(answer)).toBe(false)
      }
    const scripted = callsOf(plan, block('turtle-at-the-flank', { resistance: 'scripted' }), free)
    expect(scripted.some(({ to }) => to === 'Clock the collar')).toBe(true)
    const struck = { ...plan, moves: plan.moves.map((move) => ({ ...move, tags: ['strikes'] })) }
    expect(callsOf(struck, block('turtle-at-the-flank', { resistance: 'scripted' }), free)).toEqual([])
  })

  it('calls more of what costs most', () => {
    const cost = (_move: string, reaction: string) => (reaction === 'sits-to-a-hip' ? 4 : -1)
    const before = callsOf(plan, block('turtle-at-the-flank'), free)
    const after = callsOf(plan, block('turtle-at-the-flank'), cost)
    expect(after.map(({ reaction, weight }, i) => [reaction, weight / before[i].weight])).toEqual(
      before.map(({ reaction }) => [reaction, reaction === 'sits-to-a-hip' ? 3 : 1]),
    )
  })

  it('calls nothing twice running where there is something else, and the same for the same seed', () => {
    const call = (reaction: string): Call => ({ reaction, says: reaction, to: 'a', answer: '', weight: 1 })
    const two = [call('x'), call('y')]
    expect([nextCall(two, two[0], free)?.reaction, nextCall([two[0]], two[0], free)?.reaction]).toEqual(['y', 'x'])
    expect(nextCall([], null, free)).toBeNull()
    expect(nextCall(two, null, () => 0.999999999)?.reaction).toBe('y')
    expect(seedOf('tuesday')).toBe(seedOf('tuesday'))
    expect(seedOf('tuesday')).not.toBe(seedOf('thursday'))
    expect(seedOf('')).toBeLessThan(1)
  })
})
