import { produce } from 'immer'
import type { Chart } from '../../../src/core/chart/chart'
import { addRound, answerOfRound, removeRound, tallyRound } from '../../../src/core/chart/edits/positionalRounds'
import { setField } from '../../../src/core/chart/edits/fields'
import { removeMove, removePosition, removeReaction } from '../../../src/core/chart/edits/records'
import type { MoveId, PositionId, ReactionId } from '../../../src/core/chart/ids'
import { ALWAYS } from '../../../src/core/chart/hazard'
import { lookUp } from '../../../src/core/chart/lookUp'
import { isOwn, talliedRounds, totalOf, wholeOf, withTallies, type Tries } from '../../../src/core/chart/tries'
import { readChart } from '../../../src/core/files/chartFile'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { sayRound } from '../../../src/core/say/positionalRound'
import { demoPlan } from '../../fixtures/demoPlan'
import { randomChart } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

/** The demo plan without the rounds that it comes with. */
const demo: Chart = demoPlan()
delete demo.cards
const [underhook, sprawls, shoot] = ['underhook-head-clear', 'sprawls-on-us', 'shoot-the-high-crotch'] as [
  PositionId,
  ReactionId,
  MoveId,
]
const carded = produce(demo, (draft) => void addRound(draft, underhook, sprawls, shoot))
const counted = (chart: Chart, worked: number, failed: number) =>
  produce(chart, (draft) => {
    for (let i = 0; i < worked; i++) tallyRound(draft, 'sprawls-on-us', true, '2026-11-28')
    for (let i = 0; i < failed; i++) tallyRound(draft, 'sprawls-on-us', false, '2026-11-28')
  })

/** So many rounds that worked and that did not, on two days. */
const rounds = (worked: number, failed: number) => [
  ...(worked ? [{ when: '2026-11-26', worked: true, weight: worked }] : []),
  ...(failed ? [{ worked: false, weight: failed }] : []),
]

describe('rounds beside a guess', () => {
  const tries: Tries = { lands: 4, stalls: 3, elsewhere: { p: 1 }, reactions: { r: 2 } }

  it('are weighed as the tries that they are: ten guessed, ten counted', () => {
    const even = withTallies({ ...tries, tallies: rounds(8, 2) })
    expect([even.lands, even.stalls]).toEqual([6, 2])
    expect([even.elsewhere!.p, even.reactions!.r]).toEqual([expect.closeTo(2 / 3, 12), expect.closeTo(4 / 3, 12)])
    expect(withTallies({ ...tries, weight: 5, tallies: rounds(5, 0) }).lands).toBeCloseTo(7, 12)
    expect(withTallies(tries)).toEqual(tries)
    expect(withTallies({ ...tries, tallies: [] })).toEqual(tries)
    expect(withTallies({ lands: 10, tallies: rounds(0, 10) })).toEqual({ lands: 5, stalls: 5 })
  })

  it.each([1, 2, 3, 4])(
    'come as near to what was counted as one likes, and keep how many tries there are: chart %i',
    (seed) => {
      for (const whole of randomChart(seed, false).moves.filter(isOwn).map(wholeOf)) {
        const many = withTallies({ ...whole, tallies: rounds(300, 700) })
        expect(totalOf(many)).toBeCloseTo(totalOf(whole), 9)
        expect((many.lands ?? 0) / totalOf(many)).toBeGreaterThan(0.28)
        expect((many.lands ?? 0) / totalOf(many)).toBeLessThan(0.32)
      }
    },
  )
})

describe('a card', () => {
  it('is made once for a leak, kept in the file, and changed', () => {
    expect(carded.cards).toEqual([
      { id: 'sprawls-on-us', position: underhook, reaction: sprawls, move: shoot, seconds: 30 },
    ])
    const again = produce(carded, (draft) => void addRound(draft, underhook, sprawls, shoot))
    expect(again.cards).toHaveLength(1)
    const still = produce(carded, (draft) => void addRound(draft, underhook, sprawls, null))
    expect(still.cards!.map(({ id, move }) => [id, move])).toEqual([
      ['sprawls-on-us', shoot],
      ['sprawls-on-us-2', undefined],
    ])
    const changed = produce(carded, (draft) => setField(draft, 'cards', 'sprawls-on-us', 'seconds', 60))
    expect(taken(readChart(JSON.parse(JSON.stringify(changed)))).cards).toEqual(changed.cards)
    expect(produce(carded, (draft) => removeRound(draft, 'sprawls-on-us')).cards).toBeUndefined()
    expect(() => setField(demo, 'cards', 'nothing', 'seconds', 60)).toThrow('the round "nothing" is no longer there')
  })

  it('stops at control by itself where minors or beginners train, until a coach says why not', () => {
    const of = (settings: object) =>
      produce(demo, (draft) => {
        draft.settings = { ...draft.settings, ...settings }
        addRound(draft, underhook, sprawls, shoot)
      }).cards![0].positionOnly
    expect([
      of({}),
      of({ group: 'minors' }),
      of({ group: 'beginners' }),
      of({ group: 'minors', shownBecause: 'supervised' }),
    ]).toEqual([undefined, true, true, undefined])
  })

  it('goes with what it is about, and a file with a card about nothing is refused by name', () => {
    for (const remove of [
      (draft: Chart) => removeReaction(draft, sprawls),
      (draft: Chart) => removeMove(draft, shoot),
      (draft: Chart) => removePosition(draft, underhook),
    ]) {
      expect(produce(carded, remove).cards).toBeUndefined()
    }
    const read = readChart({
      ...JSON.parse(JSON.stringify(carded)),
      cards: [{ ...carded.cards![0], reaction: 'gone' }],
    })
    expect(!read.ok && read.problems[0]).toMatchObject({ code: 'unknown-reference', path: ['cards', 0, 'reaction'] })
  })

  it('counts for the first answer, which gets tries of its own, and moves the leak’s number', () => {
    const net = (chart: Chart) =>
      taken(figuresOf(chart, scenarioOf(chart))).figures.met.find(
        ({ move, reaction }) => move === shoot && reaction === sprawls,
      )!.net
    const good = counted(carded, 9, 1)
    const bad = counted(carded, 0, 10)
    const { tries } = answerOfRound(good, good.cards![0])!
    expect(tries!.tallies).toEqual([
      { when: '2026-11-28', worked: true, weight: 9 },
      { when: '2026-11-28', worked: false, weight: 1 },
    ])
    expect(talliedRounds(tries!)).toEqual({ worked: 9, failed: 1 })
    expect(net(good)).toBeGreaterThan(net(demo) + 0.01)
    expect(net(bad)).toBeLessThan(net(demo))
    const open = produce(demo, (draft) => void addRound(draft, underhook, 'steps-around' as ReactionId, null))
    expect(() => tallyRound(structuredClone(open), 'steps-around', true, '2026-11-28')).toThrow('answer')
  })

  it('is read out: start with its holds, who begins, what each may do, what ends it, the cautions', () => {
    const said = sayRound(carded, carded.cards![0])
    expect(said).toMatchObject({
      title: 'Sprawls on us: what now?',
      start: 'Underhook, head clear, with right underhook on.',
      begins: 'We begin: shoot the high crotch, and stop where it meets them.',
      they: 'They sprawl on us; nothing else.',
      we: 'Go for the hip-sit to guard.',
      ends: 'We are in our closed guard; or they are out in turtle, underneath; or 30 s are over. Then back to the start.',
    })
    expect(said.cautions).toEqual([ALWAYS])
    const finishing = demo.answers.find(
      ({ reaction, move }) =>
        lookUp(demo.moves, move)!.to === 'finish' &&
        demo.answers.find((one) => one.reaction === reaction)!.move === move,
    )!
    const chart = produce(demo, (draft) => void addRound(draft, underhook, finishing.reaction, null))
    const [card] = chart.cards!
    expect(sayRound(chart, card)).toMatchObject({
      begins: 'They begin.',
      ends: expect.stringMatching(/^Control is held for three seconds, the finish only shown; or/),
    })
    expect(sayRound(chart, { ...card, positionOnly: true }).ends).toMatch(/^Control is held for three seconds; or/)
    expect(sayRound(chart, card).cautions.length).toBeGreaterThan(1)
  })
})
