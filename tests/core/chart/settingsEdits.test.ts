import type { Chart } from '../../../src/core/chart/chart'
import { removeAnswer } from '../../../src/core/chart/edits/answers'
import * as fields from '../../../src/core/chart/edits/fields'
import { moveBefore } from '../../../src/core/chart/edits/find'
import { setGroup } from '../../../src/core/chart/edits/group'
import { addRound, roundIn, setRoundSeconds, tallyRound } from '../../../src/core/chart/edits/positionalRounds'
import { setProbe } from '../../../src/core/chart/edits/probe'
import * as records from '../../../src/core/chart/edits/records'
import { letGo, orderBands, putByHand } from '../../../src/core/chart/edits/slope'
import { chooseWay, keepAllWays } from '../../../src/core/chart/edits/ways'
import type { MoveId, PositionId, ReactionId } from '../../../src/core/chart/ids'
import { probeOf } from '../../../src/core/chart/probe'
import { readChart } from '../../../src/core/files/chartFile'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

const side = 'side' as PositionId
const step = 'step' as MoveId
const bridge = 'bridge' as ReactionId
let chart: Chart
beforeEach(() => (chart = taken(readChart(soundChart()))))
afterEach(() => expect(readChart(chart)).toMatchObject({ ok: true }))

describe('a field', () => {
  it('is set, and goes where it says nothing', () => {
    fields.setField(chart, 'moves', 'step', 'notes', 'slow')
    fields.setField(chart, 'moves', 'step', 'tags', ['gi'])
    fields.setField(chart, 'moves', 'step', 'across', true)
    expect(chart.moves[0]).toMatchObject({ notes: 'slow', tags: ['gi'], across: true })
    fields.setField(chart, 'moves', 'step', 'notes', '')
    fields.setField(chart, 'moves', 'step', 'tags', [])
    fields.setField(chart, 'moves', 'step', 'across', false)
    fields.setField(chart, 'moves', 'step', 'seconds', undefined)
    for (const field of ['notes', 'tags', 'across', 'seconds']) expect(chart.moves[0]).not.toHaveProperty(field)
    fields.setField(chart, 'positions', 'side', 'endWorth', 0)
    expect(chart.positions[0].endWorth).toBe(0)
  })

  it('of a record that is gone, or an id, is refused', () => {
    for (const [list, one] of [
      ['positions', 'position'],
      ['holds', 'hold'],
      ['moves', 'move'],
      ['reactions', 'reaction'],
      ['runs', 'run'],
      ['cards', 'round'],
    ] as const) {
      expect(() => fields.setField(chart, list, 'nothing', 'id', undefined)).toThrow(
        'an id stays what it is: "nothing"',
      )
      expect(() => fields.setField(chart, list as 'moves', 'nothing', 'notes', 'x')).toThrow(
        `the ${one} "nothing" is no longer there`,
      )
    }
  })

  it('of all of a chart is as another says it, under the chart’s own id', () => {
    const other = { ...taken(readChart(soundChart())), id: 'other', title: 'Other', notes: 'x' }
    delete other.holds
    other.positions = other.positions.map(({ holds: _, ...rest }) => rest)
    fields.replaceWith(chart, other)
    expect(chart).toEqual({ ...other, id: 'sound' })
    fields.setTitle(chart, 'Renamed')
    expect(chart.title).toBe('Renamed')
  })
})

describe('settings', () => {
  it('are there only while one says something', () => {
    fields.setSetting(chart, 'repeat', 0.5)
    fields.setSetting(chart, 'breakUp', null)
    expect(chart.settings).toEqual({ repeat: 0.5, breakUp: null })
    fields.setSetting(chart, 'repeat', undefined)
    fields.setSetting(chart, 'breakUp', undefined)
    expect(chart).not.toHaveProperty('settings')
  })

  it('say this school’s words, where they are others than the frames’', () => {
    fields.setWord(chart, 'near', 'strong')
    fields.setWord(chart, 'far', 'weak')
    expect(chart.settings).toEqual({ words: { near: 'strong', far: 'weak' } })
    fields.setWord(chart, 'near', 'near')
    fields.setWord(chart, 'far', '')
    expect(chart).not.toHaveProperty('settings')
  })

  it('say who trains; a reason given for another group goes', () => {
    setGroup(chart, 'minors')
    fields.setSetting(chart, 'shownBecause', 'supervised')
    setGroup(chart, 'beginners')
    expect(chart.settings).toEqual({ group: 'beginners' })
    setGroup(chart, undefined)
    expect(chart).not.toHaveProperty('settings')
  })

  it('keep places put by hand and the order of bands, until they are let go', () => {
    putByHand(chart, { side: { row: 0, x: 10 } })
    putByHand(chart, { mount: { row: 1, x: 20 }, side: { row: 2, x: 30 } })
    orderBands(chart, ['mount', 'back'])
    expect(chart.settings!.slope).toEqual({
      places: { side: { row: 2, x: 30 }, mount: { row: 1, x: 20 } },
      bands: ['mount', 'back'],
    })
    letGo(chart, ['side'])
    expect(chart.settings!.slope!.places).toEqual({ mount: { row: 1, x: 20 } })
    letGo(chart)
    expect(chart.settings!.slope).toEqual({ bands: ['mount', 'back'] })
    letGo(chart)
    expect(chart.settings!.slope).toEqual({ bands: ['mount', 'back'] })
  })

  it('keep one way of each that schools differ in', () => {
    const way = (variant: string, view: string) => ({ variant, view, says: view, aside: [step] })
    chooseWay(chart, way('grip', 'high'))
    chooseWay(chart, way('feet', 'square'))
    chooseWay(chart, way('grip', 'low'))
    expect(chart.settings!.ways).toEqual([way('feet', 'square'), way('grip', 'low')])
    keepAllWays(chart, 'feet')
    expect(chart.settings!.ways).toEqual([way('grip', 'low')])
    keepAllWays(chart, 'grip')
    expect(chart.settings).not.toHaveProperty('ways')
    keepAllWays(chart, 'grip')
    expect(chart.settings).not.toHaveProperty('ways')
  })
})

describe('how a move is shown', () => {
  it('is its own, or the chart’s, and goes where nothing is said', () => {
    setProbe(chart, step, { lands: 0.2, stalls: undefined, never: false } as never)
    setProbe(chart, null, { reactions: 0 })
    expect([chart.moves[0].probe, chart.settings]).toEqual([{ lands: 0.2 }, { probe: { reactions: 0 } }])
    setProbe(chart, step, { never: true })
    expect(chart.moves[0].probe).toEqual({ never: true })
    setProbe(chart, step, {})
    setProbe(chart, null, {})
    expect(chart.moves[0]).not.toHaveProperty('probe')
    expect(chart.settings).not.toHaveProperty('probe')
  })

  it('takes from the usual what it does not say itself', () => {
    const usual = { lands: 0.4, stalls: 1.5, reactions: 1 }
    expect(probeOf(undefined, usual)).toEqual(usual)
    expect(probeOf({ stalls: 2 }, usual)).toEqual({ ...usual, stalls: 2 })
    expect([probeOf({ never: true }, usual), probeOf({}, null)]).toEqual([null, null])
  })
})

describe('what a record says of bodies', () => {
  it('a turn, a fact, a threat: set, and gone where it says nothing', () => {
    records.setTurn(chart, step, 'roll', true)
    records.setTurn(chart, step, 'up', true)
    records.setTurn(chart, step, 'roll', false)
    records.setFact(chart, side, 'near', 'left')
    records.setFact(chart, side, 'down', 'right')
    records.setFact(chart, side, 'near', '')
    records.setThreat(chart, side, 40)
    chart.positions[0].threat!.uses = ['hand']
    records.setThreat(chart, side, 50)
    expect(chart.moves[0].turns).toEqual({ up: true })
    expect(chart.positions[0]).toMatchObject({
      orientation: { down: 'right' },
      threat: { every: 50, uses: ['hand'] },
    })
    records.setTurn(chart, step, 'up', false)
    records.setFact(chart, side, 'down', '')
    records.setThreat(chart, side, undefined)
    expect(chart.moves[0]).not.toHaveProperty('turns')
    for (const field of ['orientation', 'threat']) expect(chart.positions[0]).not.toHaveProperty(field)
  })

  it('a position is left after so many seconds, and a move is tried cold or only in reply', () => {
    records.setOut(chart, side, 25)
    chart.positions[0].out!.uses = ['bridge']
    records.setOut(chart, side, 30)
    expect(chart.positions[0].out).toEqual({ every: 30, uses: ['bridge'] })
    records.setOut(chart, side, undefined)
    expect(chart.positions[0]).not.toHaveProperty('out')
    const { tries } = chart.moves[0]
    records.setReply(chart, step, true)
    expect(chart.moves[0]).toMatchObject({ reply: true, tries })
    delete chart.moves[0].tries
    records.setReply(chart, step, false)
    expect(chart.moves[0]).not.toHaveProperty('reply')
    expect(chart.moves[0].tries).toEqual({ lands: 3, stalls: 7, weight: 1 })
  })

  it('they no longer do one thing unprompted; the last takes all of it along', () => {
    const turns = records.addReaction(chart, step, 'Turns in', side)
    records.dropUnprompted(chart, side, bridge)
    chart.positions[0].unprompted = { every: 9, reactions: { bridge: 1, [turns]: 2 } }
    records.dropUnprompted(chart, side, bridge)
    expect(chart.positions[0].unprompted).toEqual({ every: 9, reactions: { [turns]: 2 } })
    records.dropUnprompted(chart, side, turns)
    expect(chart.positions[0]).not.toHaveProperty('unprompted')
  })
})

describe('a round', () => {
  it('lasts from 5 to 600 seconds', () => {
    const id = addRound(chart, side, bridge, step)
    for (const seconds of [5, 600]) {
      setRoundSeconds(chart, id, seconds)
      expect(roundIn(chart, id).seconds).toBe(seconds)
    }
    for (const seconds of [4, 601, NaN]) {
      expect(() => setRoundSeconds(chart, id, seconds)).toThrow('a round lasts from 5 to 600 seconds')
    }
    expect(() => setRoundSeconds(chart, 'nothing', 60)).toThrow('the round "nothing" is no longer there')
  })

  it('is tallied by day and outcome, up to a thousand; without an answer there is nothing to tally', () => {
    const id = addRound(chart, side, bridge, step)
    tallyRound(chart, id, true, '2026-11-27')
    tallyRound(chart, id, true, '2026-11-28')
    tallyRound(chart, id, false, '2026-11-28')
    tallyRound(chart, id, true, '2026-11-28')
    const tallies = () => chart.answers[0].tries!.tallies!
    expect(tallies()).toEqual([
      { when: '2026-11-27', worked: true, weight: 1 },
      { when: '2026-11-28', worked: true, weight: 2 },
      { when: '2026-11-28', worked: false, weight: 1 },
    ])
    tallies()[2].weight = 999.5
    tallyRound(chart, id, false, '2026-11-28')
    expect(
      tallies()
        .slice(2)
        .map(({ weight }) => weight),
    ).toEqual([999.5, 1])
    removeAnswer(chart, { reaction: bridge, move: step })
    expect(() => tallyRound(chart, id, true, '2026-11-28')).toThrow(`the answer "${id}" is no longer there`)
  })
})

describe('a place in a list', () => {
  it.each([
    [0, 2, 'bac'],
    [0, 3, 'bca'],
    [2, 0, 'cab'],
    [2, 1, 'acb'],
    [1, 1, 'abc'],
    [-1, 1, 'abc'],
  ])('of %i before %i gives %s', (from, before, expected) => {
    const list = ['a', 'b', 'c']
    moveBefore(list, from, before)
    expect(list.join('')).toBe(expected)
  })
})
