import type { Chart } from '../../../src/core/chart/chart'
import type { Run, RunStep } from '../../../src/core/chart/run'
import type { Hold } from '../../../src/core/chart/hold'
import { readChart } from '../../../src/core/files/chartFile'
import { compareRuns, sayDifferences, type RunFigures } from '../../../src/core/limbScore/compareRuns'
import { costsOf } from '../../../src/core/limbScore/costs'
import { cannotStayOn } from '../../../src/core/limbScore/frameChange'
import { armsFree, limbState } from '../../../src/core/limbScore/limbs'
import { nowOrLater } from '../../../src/core/limbScore/nowOrLater'
import { play, type Beat } from '../../../src/core/limbScore/play'
import { ROWS } from '../../../src/core/limbScore/rows'
import { stepName, type Taken } from '../../../src/core/limbScore/steps'
import { taken } from '../../reference/taken'

/** From the back to the mount and to a finish, with a reaction that is answered and a place to end elsewhere. */
const file = {
  format: 'ataque-chart',
  version: 1,
  id: 'small',
  title: 'Small',
  positions: [
    { id: 'back', name: 'Back', family: 'back', ahead: 'ours', frame: 'back', holds: ['seatbelt', 'hook'] },
    { id: 'mount', name: 'Mount', family: 'mount', ahead: 'ours', frame: 'mount', unprompted: unprompted() },
    { id: 'guard', name: 'Guard', family: 'guard', ahead: 'even', frame: 'guard' },
  ],
  holds: [
    { id: 'seatbelt', name: 'Seatbelt', limbs: ['right-hand'], on: 'neck', denies: denies('turn-in', 0.6) },
    { id: 'hook', name: 'Hook', limbs: ['left-foot'], on: 'left-thigh', denies: denies('bridge', 0.3) },
    { id: 'grip', name: 'Grip', limbs: ['left-hand'], on: 'right-wrist', denies: denies('right-hand', 0.95) },
  ],
  moves: [
    move('slide', 'Slide over', 'mount', { lands: 4, stalls: 4, reactions: { turn: 2 } }, { seconds: 4 }),
    move('choke', 'Choke', 'finish', { lands: 2, stalls: 4, reactions: { turn: 3, pull: 1 } }, { drops: ['hook'] }),
    move('short', 'Short choke', 'finish', { lands: 1, stalls: 9 }, {}),
    move(
      'grab',
      'Grab the wrist',
      'back',
      { lands: 5, stalls: 4, elsewhere: { guard: 1 } },
      { seconds: 3, adds: ['grip'] },
    ),
  ],
  reactions: [
    { id: 'turn', name: 'Turns in', endsIn: 'guard', uses: ['turn-in'], seconds: 2 },
    { id: 'pull', name: 'Pulls down', endsIn: 'back' },
    { id: 'bump', name: 'Bumps', endsIn: 'guard' },
  ],
  answers: [{ reaction: 'turn', move: 'slide', tries: { lands: 8, stalls: 2 } }],
}
function denies(capability: string, strength: number) {
  return [{ capability, strength }]
}
function unprompted() {
  return { every: 10, reactions: { bump: 1 } }
}
function move(id: string, name: string, to: string, tries: object, rest: object) {
  const kind = to === 'finish' ? 'submission' : 'advance'
  return { id, name, kind, from: 'back', to, tries, ...rest }
}

const chart: Chart = taken(readChart(file))
const run = (steps: object[], start = 'back') => ({ id: 'run', name: 'Run', start, steps }) as unknown as Run
const played = (steps: object[], start?: string) => play(chart, run(steps, start))
const places = (steps: object[], start?: string) =>
  played(steps, start).beats.map(({ place }) => ('id' in place ? place.id : place.kind))
const holds = (steps: object[]) => played(steps).beats.map((beat) => beat.holds.join(' '))

describe('a run played step by step', () => {
  it('lands, is met, is answered, ends elsewhere, stalls, is conceded: with the time that each takes', () => {
    const steps = [{ move: 'slide', reaction: 'turn' }, { move: 'slide' }]
    expect(places(steps)).toEqual(['back', 'turn', 'mount'])
    expect(played(steps).beats.map(({ seconds }) => seconds)).toEqual([0, 4, 8])
    const conceded = [{ move: 'slide', reaction: 'turn' }, {}]
    expect(places(conceded)).toEqual(['back', 'turn', 'guard'])
    expect(played(conceded).beats.at(-1)!.seconds).toBe(6)
    expect(
      places([
        { move: 'slide', reaction: 'turn' },
        { move: 'slide', stalls: true },
      ]),
    ).toEqual([...['back', 'turn', 'guard']])
    expect(places([{ move: 'grab', elsewhere: 'guard' }])).toEqual(['back', 'guard'])
    expect(places([{ move: 'grab', elsewhere: 'caught' }])).toEqual(['back', 'caught'])
    expect(places([{ move: 'slide', stalls: true }])).toEqual(['back', 'back'])
    expect(places([{ reaction: 'bump' }], 'mount')).toEqual(['mount', 'bump'])
  })

  it('puts holds on and takes them off; at the finish it shows what would be on', () => {
    expect(holds([{ move: 'grab' }, { move: 'choke' }])).toEqual([
      'seatbelt hook',
      'seatbelt hook grip',
      'seatbelt grip',
    ])
  })

  it.each<[object[], string | undefined, number, string]>([
    [[{}], undefined, 0, 'nothing happens in it'],
    [[{ move: 'choke' }, { move: 'choke' }], undefined, 1, 'the exchange is over before it'],
    [[{ move: 'grab', elsewhere: 'caught' }, {}], undefined, 1, 'the exchange is over before it'],
    [[{ move: 'slide' }], 'mount', 0, 'Slide over is not done from here'],
    [[{ move: 'choke', reaction: 'turn' }, { move: 'choke' }], undefined, 1, 'Choke is no answer to Turns in'],
    [
      [{ move: 'slide', reaction: 'turn' }, { reaction: 'bump' }],
      undefined,
      1,
      'a reaction is not answered by another',
    ],
  ])('%j from %s cannot go on at step %i: %s', (steps, start, step, reason) => {
    expect(played(steps, start).broken).toEqual({ step, reason })
    expect(played(steps, start).beats).toHaveLength(step + 1)
  })

  it('names each step by what came of it', () => {
    const names = (steps: object[], start?: string) =>
      played(steps, start).beats.map((beat) => stepName(chart, beat, run(steps, start)))
    expect(names([{ move: 'slide', reaction: 'turn' }, {}])).toEqual(['Back', 'Turns in', 'We let it happen'])
    expect(
      names([
        { move: 'slide', stalls: true },
        { move: 'grab', elsewhere: 'guard' },
      ]),
    ).toEqual([...['Back', 'Slide over: nothing', 'Grab the wrist: Guard']])
    expect(names([{ move: 'grab', elsewhere: 'caught' }])).toEqual(['Back', 'Grab the wrist: they finish us'])
    expect(names([{ reaction: 'bump' }], 'mount')).toEqual(['Mount', 'Bumps'])
  })
})

describe('what a step gives back to them', () => {
  it('is what at least a tenth more is left of, the most first, and nothing at the finish', () => {
    const [start, guard] = costsOf(chart, played([{ move: 'grab', elsewhere: 'guard' }]).beats)
    expect(start).toEqual([])
    expect(guard.map(({ capability }) => capability)).toEqual(['turn-in', 'bridge'])
    expect(guard[0].before).toBeCloseTo(0.4, 12)
    expect(guard[0].after).toBe(1)
    expect(costsOf(chart, played([{ move: 'choke' }]).beats)).toEqual([[], []])
  })
})

describe('a hold when the frame changes', () => {
  const beat = (frame: string | undefined) => ({ frame }) as Beat
  const change = (hold: Partial<Hold>, from: string, to: string, step: object = {}) =>
    cannotStayOn(
      { limbs: ['left-foot'], ...hold } as Hold,
      { before: beat(from), after: beat(to), lands: true, ...step } as Taken,
    )
  const FACE = 'they face us now: that leg meets their other side'
  const BEHIND = 'we are behind them now: that leg meets their other side'

  it.each<[Partial<Hold>, string, string, object, string | undefined]>([
    [{ on: 'left-thigh' }, 'back', 'side', {}, FACE],
    [{ on: 'left-thigh' }, 'side', 'turtle', {}, BEHIND],
    [{ on: 'left-thigh', limbs: ['right-hip'] }, 'back', 'side', {}, FACE],
    [{ on: 'left-thigh' }, 'back', 'turtle', {}, undefined],
    [{ on: 'left-thigh' }, 'back', 'unheard', {}, undefined],
    [{ on: 'belly' }, 'back', 'side', {}, undefined],
    [{}, 'back', 'side', {}, undefined],
    [{ on: 'left-thigh', limbs: ['left-hand'] }, 'back', 'side', {}, undefined],
    [{ on: 'left-thigh' }, 'side', 'side', { move: { across: true } }, 'we are on the other side of them now'],
    [{ on: 'left-thigh' }, 'side', 'side', { move: { across: true }, lands: false }, undefined],
    [{ on: 'belly' }, 'side', 'side', { move: { across: true } }, undefined],
    [{ on: 'back', limbs: ['chest'] }, 'back', 'side', {}, 'they face us now'],
    [{ on: 'chest', limbs: ['chest'] }, 'side', 'back', {}, 'we are behind them now'],
    [{ on: 'back', limbs: ['chest'] }, 'back', 'turtle', {}, undefined],
    [{ on: 'left-shoulder', limbs: ['chest'] }, 'back', 'side', {}, undefined],
    [{ on: 'back', limbs: ['right-hand'] }, 'back', 'side', {}, undefined],
  ])('%j from %s to %s %j: %s', (hold, from, to, step, says) => {
    expect(change(hold, from, to, step)).toBe(says)
  })
})

describe('the state of a limb', () => {
  const row = (by: 'ours' | 'theirs', limb: string) => ROWS.find((one) => one.by === by && one.limb === limb)!
  const hold = (limbs: string[], on?: string, by?: 'theirs') =>
    ({ id: 'x', name: 'X', limbs, on, by }) as unknown as Hold

  it.each<[string, Hold[], string]>([
    ['left-arm', [], 'free'],
    ['left-arm', [hold(['right-hand'], 'left-wrist')], 'held'],
    ['left-arm', [hold(['right-hand', 'right-knee'], 'left-wrist')], 'trapped'],
    ['left-arm', [hold(['right-hand'], 'left-shoulder')], 'free'],
    ['left-leg', [hold(['right-knee'], 'left-thigh')], 'held'],
    ['left-arm', [hold(['left-hand'], 'right-wrist', 'theirs')], 'holds'],
    ['left-arm', [hold(['left-hand'], 'neck', 'theirs')], 'attacks'],
    ['left-arm', [hold(['left-hand'], 'neck', 'theirs'), hold(['right-hand'], 'left-wrist')], 'held'],
  ])('of their %s with %j is %s', (limb, on, state) => {
    expect(limbState(row('theirs', limb), on)).toBe(state)
  })

  it('decides how many arms can attack and defend', () => {
    expect(armsFree([])).toEqual({ attack: 2, defend: 2 })
    expect(armsFree([hold(['right-hand'], 'left-wrist'), hold(['left-hand'], 'neck')])).toEqual({
      attack: 1,
      defend: 1,
    })
    expect(armsFree([hold(['right-knee'], 'left-wrist')])).toEqual({ attack: 2, defend: 1 })
  })
})

describe('a finish at once', () => {
  const ways = (steps: object[], other = chart) => nowOrLater(other, run(steps))

  it('is the one that lands most often; each reaction to it with what the run leaves of it', () => {
    const found = ways([{ move: 'slide' }])!
    expect([found.first.id, found.now.id]).toEqual(['slide', 'choke'])
    expect(found.met.map(({ name, ofTen }) => [name, ofTen])).toEqual([
      ['Turns in', 3],
      ['Pulls down', 1],
    ])
    expect(found.met[0].left).toBeCloseTo(0.4, 12)
    expect(found.met[1].left).toBe(1)
    expect(found.bait).toEqual({ name: 'Turns in', ofTen: 3, lands: 8, cold: 4 })
  })

  it('has a bait only where the first move answers what they do to it', () => {
    expect(ways([{ move: 'grab' }])!.bait).toBeNull()
    const alike = { ...chart, answers: chart.answers.map(({ tries: _, ...rest }) => rest) }
    expect(ways([{ move: 'slide' }], alike)!.bait).toMatchObject({ lands: 4, cold: 4 })
  })

  it('is not compared with itself, nor where none can be tried', () => {
    expect(ways([{ move: 'choke' }])).toBeNull()
    expect(ways([])).toBeNull()
    expect(nowOrLater(chart, run([{ move: 'slide' }], 'mount'))).toBeNull()
  })
})

describe('two runs beside each other', () => {
  it('are told apart by time, hazards, open reactions, arms: each by what it is better in', () => {
    const [a, b] = compareRuns(chart, [run([{ move: 'grab' }]), run([{ move: 'slide' } as RunStep])])
    expect(a).toMatchObject({ seconds: 3, open: [], hazards: [], broken: null, arms: { attack: 1, defend: 1 } })
    const quick: RunFigures = { ...a, run: { ...a.run, name: 'A' }, remarks: 0 }
    const slow: RunFigures = { ...b, run: { ...b.run, name: 'B' }, remarks: 2, open: ['Bumps'], hazards: ['neck'] }
    const both = sayDifferences(quick, slow, [0.2, 0.5], (worth) => worth.toFixed(1))
    expect(both).toEqual([
      '“B” begins where it is worth 0.3 more than where “A” begins.',
      '“A” takes 1 s less than “B”.',
      'Only “B” meets something without an answer: Bumps.',
      'Only “B” can injure: neck.',
      'The check finds less to look at in “A” than in “B”.',
    ])
    const turned = sayDifferences(slow, quick, [0.5, 0.2], (worth) => worth.toFixed(1))
    expect([...turned].sort()).toEqual([...both].sort())
    const ahead = { ...quick, arms: { attack: 2, defend: 0 } }
    expect(sayDifferences(quick, ahead, [null, 1], String)).toEqual(['“A” ends with more arms over.'])
    expect(sayDifferences(quick, quick, [0.5, 0.5049], String)).toEqual([
      'Nothing that is counted here sets them apart.',
    ])
  })
})
