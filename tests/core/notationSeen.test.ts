import type { Chart } from '../../src/core/chart/chart'
import type { PositionId } from '../../src/core/chart/ids'
import { readChart } from '../../src/core/files/chartFile'
import { completeFork } from '../../src/core/notation/complete'
import { sayLines } from '../../src/core/notation/edits/sayLines'
import { readSeen } from '../../src/core/notation/readFork'
import { writeFork } from '../../src/core/notation/writeFork'
import { writeSeen } from '../../src/core/notation/writeSeen'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'

const sound = (): Chart => taken(readChart(soundChart()))
const side = 'side' as PositionId

describe('what is seen, as a line', () => {
  const FAR_HAND = 'seen far hand: 4 at our neck, 3 to the hip, 2 "between, or hidden"'
  const seenIn = (chart: Chart) => chart.positions.find(({ id }) => id === side)!.seen
  const sayAll = (chart: Chart, ...lines: string[]) => sayLines(chart, side, lines.join('\n'))

  it('makes the cues, and is nothing in particular for the rest', () => {
    const chart = sound()
    const said = sayAll(chart, FAR_HAND)
    expect(said).toMatchObject({ ok: true, value: { moves: [], isSeenSaid: true } })
    expect(chart.cues!.map(({ name }) => name)).toEqual([
      'Far hand at our neck',
      'Far hand to the hip',
      'Far hand between, or hidden',
    ])
    expect(seenIn(chart)).toEqual({
      'far-hand-at-our-neck': 4,
      'far-hand-to-the-hip': 3,
      'far-hand-between-or-hidden': 2,
      nothing: 1,
    })
  })

  it('lets a move wait for what it ends in, said before or behind where it leads', () => {
    const chart = sound()
    const said = sayAll(
      chart,
      'Americana when at our neck (finish): 4 of 10',
      'Kimura (finish) when to the hip, at our neck 3 of 10',
      'Armbar when to the hip or at our neck (finish): 3 land',
      FAR_HAND,
    )
    expect(said.ok ? [] : said.errors).toEqual([])
    const when = (name: string) => chart.moves.find((move) => move.name === name)!.when
    expect(when('Americana')).toEqual(['far-hand-at-our-neck'])
    expect(when('Kimura')).toEqual(['far-hand-to-the-hip', 'far-hand-at-our-neck'])
    expect(when('Armbar')).toEqual(when('Kimura'))
    sayAll(chart, 'Americana 4 of 10')
    expect(chart.moves.find(({ name }) => name === 'Americana')).not.toHaveProperty('when')
  })

  it('is written so that it changes nothing when it is said again, and neither does a move that waits', () => {
    const chart = sound()
    sayAll(
      chart,
      FAR_HAND,
      'Americana when at our neck, "between, or hidden" (finish): 4 of 10',
      'seen: 2 #far-hand-to-the-hip; 0 nothing',
    )
    expect(seenIn(chart)).toMatchObject({ 'far-hand-to-the-hip': 2, nothing: 0 })
    const written = writeSeen(chart, side)
    expect(written).toBe('seen far hand: 4 at our neck, 2 to the hip, 2 "between, or hidden", 0 nothing')
    const americana = chart.moves.find(({ name }) => name === 'Americana')!
    const line = writeFork(chart, americana)
    expect(line).toBe('Americana (finish) when at our neck, "between, or hidden": 4 land; 6 nothing')
    const again = structuredClone(chart)
    expect(sayAll(again, written, line).ok).toBe(true)
    expect(again).toEqual(chart)
  })

  it.each([
    ['seen: ', /say what we see/],
    ['seen far hand: at our neck', /how many of ten/],
    ['seen far hand 4 at our neck', /say how often/],
    ['seen: 0 at our neck, 0 nothing', /at least one/],
    [`seen: ${Array.from({ length: 13 }, (_, n) => `1 place ${'abcdefghijklm'[n]}`).join(', ')}`, /at most 12/],
    ['seen: 3 #no-such-cue', /no cue #no-such-cue/],
    ['Americana when over there: 4 land', /not seen here/],
  ])('%s is refused, and changes nothing', (line, message) => {
    const chart = sound()
    const before = structuredClone(chart)
    const said = line.startsWith('seen far hand 4') ? readSeen(line) : sayAll(chart, line)
    expect(said.ok ? '' : said.errors[0].message).toMatch(message)
    expect(chart).toEqual(before)
  })

  it('is offered behind "when"', () => {
    const chart = sound()
    sayAll(chart, FAR_HAND)
    const offered = (line: string) => completeFork(chart, side, line, line.length).options.map(({ label }) => label)
    expect(offered('Americana when to')).toEqual(['Far hand to the hip'])
    expect(offered('Americana when to the hip, ')).toHaveLength(3)
  })
})
