import { produce } from 'immer'
import type { LiveRound } from '../../../src/core/club/live/liveRecords'
import {
  isPartial,
  logScreen,
  newRound,
  pressMove,
  pressNotIt,
  pressOutcome,
  pressTheirs,
  pressUndo,
  standingOf,
} from '../../../src/core/club/live/pressLog'
import { demoPlan } from '../../fixtures/demoPlan'

const plan = demoPlan()
const start = newRound('ana', 'bo', 'turtle-at-the-flank', 1000)
const screenOf = (round: LiveRound, order?: string[]) => logScreen(plan, standingOf(round), order)
const after = (...presses: ((round: LiveRound) => void)[]) =>
  presses.reduce((round, press) => produce(round, press), start)
const ids = (choices: { id: string }[]) => choices.map(({ id }) => id)

describe('the press log', () => {
  it('asks what is tried, in the order of the plan, six at most', () => {
    const screen = screenOf(start, ['leg-in', 'follow-to-the-seatbelt'])
    if (screen.asks !== 'try') throw new Error(screen.asks)
    expect(screen.place).toBe('Turtle, at the flank')
    expect(ids(screen.most).slice(0, 2)).toEqual(['leg-in', 'follow-to-the-seatbelt'])
    expect(screen.most.length).toBeLessThanOrEqual(6)
    // What is tried only in reply is no way to begin.
    const cold = plan.moves.filter(({ from, reply }) => from === 'turtle-at-the-flank' && !reply)
    expect(ids([...screen.most, ...screen.more]).sort()).toEqual(ids(cold).sort())
  })

  it('asks what came of it: what they do, the most usual first', () => {
    const screen = screenOf(after((round) => pressMove(round, 'clock-the-collar')))
    if (screen.asks !== 'outcome') throw new Error(screen.asks)
    expect([screen.lands, screen.move.name]).toEqual(['', 'Clock the collar'])
    expect(ids(screen.most)).toEqual(['turns-in-under-us', 'rolls-over-the-shoulder'])
    expect(screen.most.length + screen.more.length).toBe(plan.reactions.length)
  })

  it('logs an exchange of three tries in eight presses', () => {
    const round = after(
      (at) => pressMove(at, 'clock-the-collar'),
      (at) => pressOutcome(plan, at, { reaction: 'turns-in-under-us' }),
      (at) => pressMove(at, 'cross-face-and-pass'),
      (at) => pressOutcome(plan, at, 'lands'),
      (at) => pressMove(at, 'cross-face-and-underhook'),
      (at) => pressOutcome(plan, at, 'stalls'),
    )
    expect(round.tries).toEqual([
      { move: 'clock-the-collar', outcome: { reaction: 'turns-in-under-us' } },
      { move: 'cross-face-and-pass', reply: 'turns-in-under-us', outcome: 'lands' },
      { move: 'cross-face-and-underhook', outcome: 'stalls' },
    ])
    const lands = plan.moves.find(({ id }) => id === 'cross-face-and-pass')!.to
    expect(round.course[4]).toEqual({ position: lands })
    expect(isPartial(round)).toBe(false)
  })

  it('offers the answers first after what they did', () => {
    const round = after(
      (at) => pressMove(at, 'seatbelt-from-the-flank'),
      (at) => pressOutcome(plan, at, { reaction: 'sits-to-a-hip' }),
    )
    const screen = screenOf(round)
    const answers = plan.answers.filter(({ reaction }) => reaction === 'sits-to-a-hip').map(({ move }) => move)
    expect(screen.asks === 'try' && ids(screen.most).slice(0, answers.length)).toEqual(answers)
    expect(standingOf(round)).toEqual({ position: 'turtle-at-the-flank', reply: 'sits-to-a-hip' })
  })

  it('asks how a finish ended, and goes on where it was not one', () => {
    const caught = [
      (at: LiveRound) => pressMove(at, 'clock-the-collar'),
      (at: LiveRound) => pressOutcome(plan, at, 'lands'),
    ]
    expect(screenOf(after(...caught))).toMatchObject({ asks: 'finish', move: { id: 'clock-the-collar' } })
    const not = after(...caught, pressNotIt)
    expect(not.tries).toEqual([{ move: 'clock-the-collar', outcome: 'stalls' }])
    expect(screenOf(not)).toMatchObject({ asks: 'try', place: 'Turtle, at the flank' })
    expect(produce(not, (at) => void pressUndo(at)).tries).toEqual([{ move: 'clock-the-collar', outcome: 'lands' }])
  })

  it('says that a round was not known whole where something was not seen, until that is taken back', () => {
    const unseen = after(
      (at) => pressMove(at, 'leg-in'),
      (at) => pressOutcome(plan, at, 'unseen'),
    )
    expect([unseen.tries, isPartial(unseen)]).toEqual([[], true])
    const back = produce(unseen, (at) => void pressUndo(at))
    expect(isPartial(back)).toBe(false)
    expect(standingOf(back)).toMatchObject({ move: 'leg-in' })
  })

  it('takes back any press, down to the first', () => {
    const presses = [
      (at: LiveRound) => pressMove(at, 'clock-the-collar'),
      (at: LiveRound) => pressOutcome(plan, at, { reaction: 'rolls-over-the-shoulder' }),
      (at: LiveRound) => pressMove(at, 'hide-the-near-elbow'),
      (at: LiveRound) => pressOutcome(plan, at, 'lands'),
    ]
    for (let n = presses.length; n > 0; n--) {
      const undone = produce(after(...presses.slice(0, n)), (at) => void pressUndo(at))
      expect(undone).toEqual(after(...presses.slice(0, n - 1)))
    }
    expect(produce(start, (at) => void expect(pressUndo(at)).toBe(false))).toEqual(start)
  })

  it('follows what they do by themselves, and knows when it is over', () => {
    const screen = screenOf(start)
    const theirs = screen.asks === 'try' ? screen.theirs : []
    const unprompted = plan.positions.find(({ id }) => id === 'turtle-at-the-flank')!.unprompted?.reactions ?? {}
    expect(ids(theirs).sort()).toEqual(Object.keys(unprompted).sort())
    const ends = { ...plan, reactions: [{ id: 'gone' as never, name: 'Gone', endsIn: 'over' as never }], answers: [] }
    const round = produce(start, (at) => pressTheirs(ends, at, 'gone'))
    expect(logScreen(ends, standingOf(round))).toEqual({ asks: 'over', place: '' })
    const answered = { ...ends, answers: [{ reaction: 'gone' as never, move: 'leg-in' as never }] }
    const again = produce(start, (at) => pressTheirs(answered, at, 'gone'))
    expect(logScreen(answered, standingOf(again))).toMatchObject({ asks: 'try', most: [{ id: 'leg-in' }] })
  })

  it('stands where an answer that comes to nothing leads', () => {
    const round = after(
      (at) => pressMove(at, 'clock-the-collar'),
      (at) => pressOutcome(plan, at, { reaction: 'turns-in-under-us' }),
      (at) => pressMove(at, 'cross-face-and-pass'),
      (at) => pressOutcome(plan, at, 'stalls'),
    )
    const answer = plan.answers.find(
      ({ reaction, move }) => reaction === 'turns-in-under-us' && move === 'cross-face-and-pass',
    )!
    const reaction = plan.reactions.find(({ id }) => id === 'turns-in-under-us')!
    expect(standingOf(round).position).toBe(answer.stallsIn ?? reaction.endsIn)
  })

  it('survives a chart in which the move is gone', () => {
    const round = after((at) => pressMove(at, 'gone'))
    expect(screenOf(round).asks).toBe('try')
    expect(produce(round, (at) => pressOutcome(plan, at, 'lands'))).toEqual(round)
  })
})
