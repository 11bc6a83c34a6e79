import ICAL from 'ical.js'
import { TextEncoder } from 'node:util'
import { calendarOf } from '../../src/views/parts/club/calendar'
import { blockTitle, roundsText, startingText, strikesText } from '../../src/views/parts/club/blocks'
import { dayText } from '../../src/views/parts/club/days'
import { aboutOf, subjects } from '../../src/views/train/sessions/subjects'
import { refusedText } from '../../src/views/parts/club/refused'
import { remarkText } from '../../src/views/train/sessions/remarks'
import { heedsText } from '../../src/views/parts/club/heeds'
import type { Block, Session } from '../../src/core/club/session'
import { demoPlan } from '../fixtures/demoPlan'

// The page of these tests has none.
Object.assign(globalThis, { TextEncoder })
const plan = demoPlan()
const session: Session = {
  ...{ id: 'tuesday', when: '2026-11-24', at: '18:30', theme: 'Turtle', minutes: 60, people: ['ana'] },
  blocks: [
    { id: 'warm', kind: 'warm-up', minutes: 10 },
    { id: 'try', kind: 'try', minutes: 20, about: { kind: 'move', id: 'kimura', chart: plan.id }, title: 'Now you' },
  ],
}

/** The lines of an iCalendar text, unfolded: RFC 5545, 3.1. */
const linesOf = (text: string) => text.replace(/\r\n[ \t]/g, '').split('\r\n')

describe('a class in words', () => {
  it('goes to the calendar with its hour and its blocks, and names nobody', () => {
    const text = calendarOf('Tern Street', [session], plan)
    const lines = linesOf(text)
    expect([lines[0], lines.filter(Boolean).at(-1)]).toEqual(['BEGIN:VCALENDAR', 'END:VCALENDAR'])
    const fields = new Map(lines.map((line) => [line.split(/[:;]/)[0], line.slice(line.indexOf(':') + 1)]))
    const at = (stamp = '') =>
      Date.parse(stamp.replace(/^(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)Z$/, '$1-$2-$3T$4:$5:$6Z'))
    expect(at(fields.get('DTSTART'))).toBe(new Date(2026, 10, 24, 18, 30).getTime())
    expect(at(fields.get('DTEND')) - at(fields.get('DTSTART'))).toBe(60 * 60_000)
    expect(fields.get('SUMMARY')).toBe('Turtle')
    expect(fields.get('DESCRIPTION')).toBe('0 min: Warm-up\\n10 min: Now you Kimura')
    expect(text).not.toContain('ana')
    expect(calendarOf('Tern Street', [{ ...session, theme: undefined } as never], null)).toContain(
      'SUMMARY:Tern Street',
    )
  })

  it('is read by a reader of calendars that others wrote, class by class', () => {
    const later = { ...session, id: 'later', when: '2026-12-01', theme: 'Back; and, the "rest"\nof it' }
    const read = new ICAL.Component(ICAL.parse(calendarOf('Tern Street', [session, later], plan)) as [])
    const events = read.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))
    expect(events.map(({ summary, uid }) => [summary, uid])).toEqual([
      ['Turtle', 'tuesday@ataque'],
      ['Back; and, the "rest"\nof it', 'later@ataque'],
    ])
    expect(events.map(({ startDate }) => startDate.toJSDate().getTime())).toEqual([
      new Date(2026, 10, 24, 18, 30).getTime(),
      new Date(2026, 11, 1, 18, 30).getTime(),
    ])
    expect(events.map(({ duration }) => duration.toSeconds())).toEqual([3600, 3600])
    expect(events[0]!.description).toBe('0 min: Warm-up\n10 min: Now you Kimura')
  })

  it('says blocks and their rounds', () => {
    expect(session.blocks.map(blockTitle)).toEqual(['Warm-up', 'Now you'])
    const rounds = { id: 'r', kind: 'free-rounds' as const, minutes: 10, work: 95, rounds: 3 }
    expect([roundsText(rounds), roundsText({ ...rounds, rest: 20 }), roundsText(session.blocks[0])]).toEqual([
      ...['3 × 1:35', '3 × 1:35, rest 0:20', ''],
    ])
    expect(dayText('2020-01-07')).toMatch(/Tue,? 7 Jan 2020/)
  })

  it('offers what a block may be about, and takes what is picked', () => {
    const values = subjects(plan).map(({ value }) => value)
    expect(values).toEqual(
      expect.arrayContaining(['', 'move kimura', 'position knee-on-belly', 'card hips-low-frames']),
    )
    expect(aboutOf(plan, 'move kimura')).toEqual({ kind: 'move', id: 'kimura', chart: plan.id })
    expect([aboutOf(plan, ''), aboutOf(plan, 'elephant kimura')]).toEqual([undefined, undefined])
    expect(subjects(null)).toHaveLength(1)
    // A region of the chart, and a flow of the Shelf, which is of no chart.
    const flow = { id: 'six-holds', name: 'The six holds', steps: [] }
    expect(subjects(plan, [flow])).toEqual(
      expect.arrayContaining([
        { value: 'region side', label: 'Region: Side control' },
        { value: 'flow six-holds', label: 'Flow: The six holds' },
      ]),
    )
    expect(aboutOf(plan, 'flow six-holds')).toEqual({ kind: 'flow', id: 'six-holds' })
    expect(aboutOf(plan, 'region side')).toEqual({ kind: 'region', id: 'side', chart: plan.id })
  })

  it('says where rounds start and with what on, what is worn, and what a pair must heed', () => {
    const from = (kind: 'position' | 'move', id: string): Block => ({
      ...{ id: 'r', kind: 'rounds-from', minutes: 5, about: { chart: plan.id, kind, id } },
    })
    const on = plan.positions.find(({ holds = [] }) => holds.length)!
    const holds = on.holds!.map((id) => plan.holds!.find((one) => one.id === id)!.name.toLowerCase())
    const said = startingText(plan, from('position', on.id))
    expect(said.toLowerCase()).toBe(`start: with ${holds.join(', ')} on.`)
    const move = plan.moves.find((one) => one.from === on.id)!
    expect(startingText(plan, from('move', move.id)).toLowerCase()).toBe(
      `start: ${on.name.toLowerCase()}, with ${holds.join(', ')} on.`,
    )
    const bare = plan.positions.find(({ holds = [] }) => !holds.length)!
    expect([startingText(plan, from('position', bare.id)), startingText(null, from('position', on.id))]).toEqual([
      '',
      '',
    ])
    expect([strikesText({ gear: 'Gloves', contact: 'touch' }), strikesText({})]).toEqual(['Gloves, touch only', ''])
    const all = {
      noThrows: true,
      noStranglesOrLegLocks: true,
      endsAtHadIt: true,
      spared: [{ name: 'AB', parts: ['knee'] }],
    }
    expect(heedsText(all)).toEqual([
      ...['Ends at Had it.', 'No strangles, no leg locks.', 'AB: spare the knee.', 'No throws.'],
    ])
    // Nobody is caught where nobody resists.
    expect(heedsText(all, false)).toHaveLength(3)
  })

  it('says what does not fit, and what is refused for whom', () => {
    expect(remarkText({ says: 'too-long', minutes: 5 }, session)).toBe('The blocks take 5 min more than the class has.')
    expect(remarkText({ says: 'sits-out-too-long', block: 'try', rounds: 3 }, session)).toContain('Now you')
    const said = (
      [
        ...['rounds-too-long', 'live-before-warm-up', 'new-throw-late'],
        ...['strikes-unsaid', 'strangle-shown', 'no-winner-stays'],
      ] as const
    ).map((says) => remarkText({ says, block: 'warm', minutes: 2 } as never, session))
    expect(new Set(said).size).toBe(6)
    expect(said.every((one) => one.startsWith('Warm-up: '))).toBe(true)
    expect(refusedText({ tag: 'leglock', because: 'under-18', people: [], isAlways: false })).toBe(
      'Not under 18: leg locks',
    )
    expect(refusedText({ tag: 'finish', because: 'under-14', people: [], isAlways: false })).toBe(
      'Not under 14: all locks and strangles',
    )
  })
})
