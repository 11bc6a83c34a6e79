import { produce } from 'immer'
import { CLUB_KIND, emptyClub, type Club } from '../../../src/core/club/clubKind'
import { giveHomework, newAnswers, takeAnswers } from '../../../src/core/club/edits/homework'
import { addPeople, removePerson } from '../../../src/core/club/edits/people'
import { limitsOf } from '../../../src/core/club/limits'
import { mayAllDo, refusedFor, refusedOf } from '../../../src/core/club/protect'
import { askedKey } from '../../../src/core/club/rehearsed'
import { bandsOf } from '../../../src/core/chart/bands'
import { lookUp } from '../../../src/core/chart/lookUp'
import { partOf } from '../../../src/core/chart/part'
import { checkReferences } from '../../../src/core/chart/references'
import { emptyChart } from '../../../src/core/chart/chart'
import { checkDocument, makeDocument, parseDocument } from '../../../src/core/document/read'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { problemText } from '../../../src/core/problem'
import { ANSWERS_KIND, answersOf } from '../../../src/core/rehearse/answersKind'
import { cardsOf } from '../../../src/core/rehearse/cards'
import { keepInPack } from '../../../src/core/rehearse/edits/keepInPack'
import { lacksOf } from '../../../src/core/insight/trust'
import { sparWith } from '../../../src/core/rehearse/spar'
import { compileGame } from '../../../src/core/game/compileGame'
import { solve } from '../../../src/core/solve/solve'
import type { PositionId } from '../../../src/core/chart/ids'
import { packOf, subjectOf, type HomeworkSubject } from '../../../src/core/rehearse/makePack'
import { PACK_KIND, type Pack } from '../../../src/core/rehearse/packKind'
import { randomChart } from '../../reference/randomChart'
import { demoFigures, demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const chart = demoPlan()
const figures = demoFigures()
const club = produce(emptyClub('hall', 'Hall'), (draft) => {
  addPeople(draft, ['Ada'], { ageBand: 'adult', experience: 'competes' })
  addPeople(draft, ['Bo'], { ageBand: '10-13', guardianAgrees: true })
  addPeople(draft, ['Cy'], { ageBand: '14-17' })
})
const person = (id: string) => lookUp(club.people, id)!
const may = (id: string) => mayAllDo([person(id)], limitsOf(club))
const regions = bandsOf(chart.positions).map(({ key }): HomeworkSubject => ({ kind: 'region', id: key }))
const runs = (chart.runs ?? []).map(({ id }): HomeworkSubject => ({ kind: 'run', id }))
const given = (subject: HomeworkSubject, us = 'ada') => ({
  ...{ id: 'work-1', club: 'hall', person: person(us), subject, day: '2026-11-30', says: 'Twice a day.' },
})
const pack = (subject: HomeworkSubject, us = 'ada'): Pack => packOf(chart, figures, given(subject, us), may(us))!

describe('a part of a chart', () => {
  it('refers to nothing outside itself, whatever part of whatever chart it is', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const whole = randomChart(seed, true)
      const some = whole.positions.filter((_, i) => (i + seed) % 3 === 0).map(({ id }) => id)
      for (const hasAllAnswers of [false, true]) {
        const part = partOf(whole, some, { hasAllAnswers, may: ({ id }) => id.length % 5 !== seed % 5 })
        const problems = checkReferences({ ...emptyChart('part', 'Part'), ...part })
        // A move that is only in reply may have lost the answers that say how it goes.
        expect(problems.map(problemText)).toEqual([])
        expect(part.moves.every(({ id }) => id.length % 5 !== seed % 5)).toBe(true)
      }
    }
  })
})

describe('homework', () => {
  it('has the questions of its part, with the answers of the whole plan', () => {
    const whole = new Map(cardsOf(chart, figures, () => true).map((card) => [card.key, card]))
    expect(regions.length + runs.length).toBeGreaterThan(8)
    for (const subject of [...regions, ...runs]) {
      const { cards, chart: part } = pack(subject)
      const { positions } = subjectOf(chart, subject)!
      const there = [...whole.values()].filter(({ asked }) => positions.includes(asked.position))
      expect(cards.length).toBeGreaterThan(there.length * 0.9 - 1)
      for (const card of cards) {
        expect(positions).toContain(card.asked.position)
        expect(card.answer).toBe(whole.get(askedKey(card.asked))!.answer)
        expect(lookUp(part.positions, card.asked.position)).toBeDefined()
        expect(card.choices).toContain(card.answer)
      }
    }
    expect(packOf(chart, figures, given({ kind: 'run', id: 'gone' }), may('ada'))).toBeNull()
  })

  it('passes the door as a file, and its part opens and is worth about what the whole is worth there', () => {
    const apart: number[] = []
    let rough = 0
    for (const subject of [...regions, ...runs]) {
      const one = pack(subject)
      expect(taken(parseDocument(PACK_KIND, makeDocument(one)))).toEqual(one)
      const alone = taken(figuresOf(one.chart, scenarioOf(one.chart))).figures
      rough += Number(lacksOf(one.chart, alone).some(({ of }) => of !== 'reactions'))
      for (const id of subjectOf(chart, subject)!.positions) {
        const [was, is] = [figures.positions[id as never]!, alone.positions[id as never]!]
        if (was?.visits > 0.05) apart.push(Math.abs(was.value - is.value))
      }
    }
    // The whole lacks nothing, and neither does its part for having been cut out.
    expect(rough).toBe(0)
    // What is worth so much at its rim is worth so much whatever time is left, hence a little more than in the whole.
    expect(apart.length).toBeGreaterThan(15)
    expect(Math.max(...apart)).toBeLessThan(0.13)
    expect(apart.reduce((sum, one) => sum + one, 0) / apart.length).toBeLessThan(0.05)
  })

  it('is sparred with as far as its part goes: nobody holds still at its rim until the clock ends', () => {
    const hows = new Set<string>()
    for (const subject of regions.slice(0, 5)) {
      const { chart: part } = pack(subject)
      const solution = taken(solve(taken(compileGame(part, scenarioOf(part))), { everySecond: true }))
      const rim = new Map(
        part.positions.flatMap(({ id, endWorth }) => (endWorth === undefined ? [] : [[id, endWorth]])),
      )
      for (let seed = 0; seed < 20; seed++) {
        const chosen: number[] = []
        let spar = sparWith(solution, seed, chosen)
        while (spar.turn) {
          const { options } = spar.turn
          chosen.push(options.reduce((best, one) => (one.worth > best.worth ? one : best)).action)
          spar = sparWith(solution, seed, chosen)
        }
        hows.add(spar.ended!.how)
        // Who holds still until the clock ends could have done something else there.
        const last = spar.choices.at(-1)!.asked.position
        if (spar.ended!.how === 'time') expect(part.moves.map(({ from }): string => from)).toContain(last)
        if (spar.ended!.how !== 'beyond') continue
        const came = spar.choices.at(-1)?.came
        const place = came && 'place' in came ? came.place : ''
        expect(spar.ended!.worth).toBeCloseTo(rim.get(place as PositionId)!, 9)
      }
    }
    expect(hows).toContain('beyond')
  })

  it('has nothing in it that the person may not do, and nothing that the coach keeps to himself', () => {
    const refused = refusedFor([person('bo')], undefined, limitsOf(club))
    const before = { ...chart, notes: 'secret', moves: chart.moves.map((move) => ({ ...move, notes: 'secret' })) }
    const text = regions.map((subject) => {
      const one = packOf(before, figures, given(subject, 'bo'), may('bo'))!
      expect(one.chart.moves.flatMap((move) => refusedOf(move, refused))).toEqual([])
      expect(one.chart.settings?.group).toBe('minors')
      return makeDocument(one)
    })
    expect(text.join('')).not.toContain('secret')
    for (const { name } of club.people) expect(text.join('')).not.toContain(`"${name}"`)
  })

  it('is refused with the place of what is wrong in it', () => {
    const one = pack(regions[0]!)
    const read = parseDocument(
      PACK_KIND,
      JSON.stringify({ ...one, chart: { ...one.chart, id: 'other' }, given: 'today' }),
    )
    expect(read.ok ? [] : read.problems.map(problemText)).toEqual(['given: must be a day, as 2026-11-28'])
    const [move, ...moves] = one.chart.moves
    const broken = { ...one, chart: { ...one.chart, moves: [{ ...move, to: 'nowhere' }, ...moves] } }
    const problems = checkDocument(PACK_KIND, broken).map(problemText)
    expect(problems).toEqual([`chart.moves[0].to: (${move!.id}) there is no position "nowhere"`])
    const other = { ...one, id: 'work-2', cards: [{ ...one.cards[0]!, answer: 'nothing-such' }] }
    expect(checkDocument(PACK_KIND, other).map(problemText)).toEqual([
      'chart.id: there is no "work-2" in its chart',
      'cards[0]: there is no "nothing-such" in its chart',
    ])
    const [card] = one.cards
    const asked = { ...card!.asked, cue: 'nothing-seen' }
    expect(checkDocument(PACK_KIND, { ...one, cards: [{ ...card!, asked }] }).map(problemText)).toEqual([
      'cards[0]: there is no "nothing-seen" in its chart',
    ])
  })
})

describe('answers that come back', () => {
  const done = produce(pack(regions[0]!), (draft) => {
    draft.cards
      .slice(0, 3)
      .forEach(({ asked }, i) =>
        keepInPack(draft, { at: 1000 + i, us: 'ada', chart: chart.id, ...asked, known: i ? 'good' : 'again' }),
      )
  })
  const back = taken(parseDocument(ANSWERS_KIND, makeDocument(answersOf(done))))
  const homework = { id: 'work-1', us: 'ada', chart: chart.id, title: 'Back', given: '2026-11-30', cards: 3 }
  const withWork = produce(club, (draft) => giveHomework(draft, homework))
  const take = (into: Club, answers = back) => produce(into, (draft) => takeAnswers(draft, answers, '2026-12-02'))

  it('join the log of whom they are of, each once, however often they come', () => {
    const once = take(withWork)
    expect(once.rehearsed!.map(({ us, chart: of, at, known }) => [us, of, at, known])).toEqual([
      ['ada', chart.id, 1000, 'again'],
      ['ada', chart.id, 1001, 'good'],
      ['ada', chart.id, 1002, 'good'],
    ])
    expect(once.homework).toEqual([{ ...homework, back: '2026-12-02' }])
    expect(checkDocument(CLUB_KIND, once)).toEqual([])
    expect(newAnswers(once, back)).toEqual([])
    expect(take(once).rehearsed).toEqual(once.rehearsed)
    const more = produce(back, (draft) => void draft.rehearsed.push({ ...draft.rehearsed[0]!, id: 'k9', at: 5000 }))
    expect(take(once, more).rehearsed).toHaveLength(4)
    // Somebody else's log is their own, whatever the file says in its facts.
    const ofCy = produce(back, (draft) => draft.rehearsed.forEach((one) => void (one.us = 'cy')))
    expect(take(withWork, ofCy).rehearsed!.map(({ us }) => us)).toEqual(['ada', 'ada', 'ada'])
  })

  it('are refused of whom the club does not have, and of a minor before a guardian has agreed', () => {
    const gone = produce(withWork, (draft) => removePerson(draft, 'ada'))
    expect(gone.homework).toEqual([])
    expect(() => take(gone)).toThrow('the club has nobody "ada" any more')
    expect(() => take(withWork, { ...back, us: 'cy' })).toThrow('before a guardian has agreed')
    expect(() => produce(club, (draft) => giveHomework(draft, { ...homework, us: 'cy' }))).toThrow('guardian')
    expect(() => produce(club, (draft) => giveHomework(draft, { ...homework, us: 'no' }))).toThrow('nobody "no"')
  })
})
