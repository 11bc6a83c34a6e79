import { readFileSync } from 'node:fs'
import { seeded } from '../../../bench/generate'
import type { Chart } from '../../../src/core/chart/chart'
import { partCount, partsOf, setTries, withPart } from '../../../src/core/chart/edits/tries'
import type { HoldId, MoveId, PositionId } from '../../../src/core/chart/ids'
import { chanceFirst, normal, type RaceTimes } from '../../../src/core/chart/race'
import { isOwn, wholeOf } from '../../../src/core/chart/tries'
import { parseChart } from '../../../src/core/files/chartFile'
import { scenarioOf } from '../../../src/core/game/scenario'
import { brakesOf, chanceStartingLate, lateForHalf, raceUnder } from '../../../src/core/holds/race'
import { figuresOf } from '../../../src/core/insight/figures'
import { brakeWorths } from '../../../src/core/questions/brakes'
import { sayBrake, sayRace, sayTimes } from '../../../src/core/say/race'
import { finished } from '../../reference/finished'
import { taken } from '../../reference/taken'

const chart: Chart = taken(
  parseChart(readFileSync(new URL('../../fixtures/cases/10-race.json', import.meta.url), 'utf8')),
)
const moveOf = (id: string) => chart.moves.find((move) => move.id === id)!
const comeUp = moveOf('come-up')
const bothDown = 'both-down' as PositionId

/** Who is first in 200,000 races that are run, times lognormal about their medians. */
function raced({ ours, theirs, spread }: RaceTimes, late: number): number {
  const random = seeded(23)
  const bell = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  let won = 0
  for (let i = 0; i < 200_000; i++) {
    if (ours * Math.exp(spread * bell()) + late < theirs * Math.exp(spread * bell())) won++
  }
  return won / 200_000
}

describe('a race under holds', () => {
  it('takes twice as long where a hold leaves half of what it needs', () => {
    const state = raceUnder(chart, comeUp, comeUp.race!, ['triceps', 'their-underhook'])
    expect(state).toMatchObject({ ours: 4, theirs: 4.8, spread: 0.3 })
    expect(state.chance).toBeCloseTo(normal(Math.log(1.2) / (0.3 * Math.SQRT2)), 12)
    expect(raceUnder(chart, comeUp, comeUp.race!, [])).toMatchObject({ ours: 2, theirs: 2.4 })
    // What the move lets go slows nobody any more.
    const dropping = { ...comeUp, drops: ['triceps' as HoldId] }
    expect(raceUnder(chart, dropping, comeUp.race!, ['triceps'])).toMatchObject({ ours: 2, theirs: 2.4 })
  })

  it.each([
    [{ ours: 2, theirs: 2.4, spread: 0.3 }, 0.3],
    [{ ours: 2.5, theirs: 2, spread: 0.3 }, -0.6],
    [{ ours: 3, theirs: 3.5, spread: 0.9 }, 1],
  ])('is won as often as races that are run, where we start late: %j', (times, late) => {
    expect(chanceStartingLate(times, late)).toBeCloseTo(raced(times, late), 2)
    expect(chanceStartingLate(times, 0)).toBeCloseTo(chanceFirst(times), 9)
    const half = lateForHalf(times)
    expect(raced(times, half)).toBeCloseTo(0.5, 2)
    expect(Math.sign(half)).toBe(Math.sign(times.theirs - times.ours))
  })

  it('is even where both need as long, and decided where one never gets there', () => {
    expect(lateForHalf({ ours: 2, theirs: 2, spread: 0.4 })).toBeCloseTo(0, 6)
    expect(lateForHalf({ ours: Infinity, theirs: 2, spread: 0.4 })).toBe(-Infinity)
    expect(lateForHalf({ ours: 2, theirs: Infinity, spread: 0.4 })).toBe(Infinity)
    expect(chanceStartingLate({ ours: Infinity, theirs: 2, spread: 0.4 }, 0)).toBe(0)
    expect(chanceStartingLate({ ours: 1, theirs: Infinity, spread: 0.4 }, 50)).toBe(1)
  })
})

describe('what slows them', () => {
  it('is each hold of ours that takes what they need, on or to be put on by free limbs', () => {
    const brakes = brakesOf(chart, bothDown, comeUp, comeUp.race!)
    expect(brakes.map(({ hold, isOn }) => [hold, isOn])).toEqual([['triceps', true]])
    expect(brakes[0].otherwise.theirs).toBeCloseTo(2.4, 12)
    const loose = moveOf('come-up-loose')
    const free = brakesOf(chart, loose.from, loose, loose.race!)
    expect(free.map(({ hold, isOn }) => [hold, isOn])).toEqual([['triceps', false]])
    expect(free[0].otherwise.theirs).toBeCloseTo(4, 12)
    // A hand that holds something else cannot slow them.
    const busy = structuredClone(chart)
    busy.holds!.push({ id: 'sleeve' as HoldId, name: 'Sleeve', limbs: ['left-hand'] })
    busy.positions.find(({ id }) => id === loose.from)!.holds = ['sleeve' as HoldId]
    expect(brakesOf(busy, loose.from, loose, loose.race!)).toEqual([])
  })

  it('is worth what the position is worth more with it', () => {
    const scenario = scenarioOf(chart, { seconds: 60 })
    const loose = moveOf('come-up-loose')
    const asked = { position: loose.from, move: loose.id, race: loose.race! }
    const [found] = finished(brakeWorths(chart, scenario, asked))
    const worth = (holds: HoldId[]) => {
      const other = structuredClone(chart)
      other.positions.find(({ id }) => id === loose.from)!.holds = holds
      return taken(figuresOf(other, scenario)).figures.positions[loose.from]!.value
    }
    expect(found.gain).toBeCloseTo(worth(['triceps' as HoldId]) - worth([]), 9)
    const [on] = finished(brakeWorths(chart, scenario, { position: bothDown, move: comeUp.id, race: comeUp.race! }))
    expect(on.isOn).toBe(true)
    expect(finished(brakeWorths(chart, scenario, { ...asked, move: 'gone' as MoveId }))).toEqual([])
  })

  it('is said', () => {
    const state = raceUnder(chart, comeUp, comeUp.race!, ['triceps', 'their-underhook'])
    expect(sayTimes(state)).toBe('ours 4 s, theirs 4.8 s')
    expect(sayRace(state)).toMatch(
      /^We are first seven times of ten\. We may start 0\.8 s after them and still win half\.$/,
    )
    expect(sayRace({ ours: 2.5, theirs: 2, spread: 0.3, chance: 0.2995 })).toMatch(
      /To win half we must start 0\.5 s before/,
    )
    expect(sayRace({ ours: 2, theirs: 2, spread: 0.3, chance: 0.5 })).toMatch(/an even start wins half/)
    expect(sayRace({ ours: Infinity, theirs: 2, spread: 0.3, chance: 0 })).toMatch(/they are always first/)
    expect(sayRace({ ours: 2, theirs: Infinity, spread: 0.3, chance: 1 })).toMatch(/we are always first/)
    const [brake] = brakesOf(chart, bothDown, comeUp, comeUp.race!)
    expect(sayBrake(brake)).toBe('is on; without it they need 2.4 s, and we are first once in ten')
  })
})

describe('the tries of a race', () => {
  it('are a part of the strip, and are set like the others', () => {
    const whole = wholeOf(moveOf('sweep'))
    expect(partsOf(whole).map(({ part }) => part)).toEqual(['lands', 'race', 'reaction', 'stalls'])
    expect(partCount(whole, { part: 'race' })).toBe(3)
    const more = withPart(whole, { part: 'race' }, 5)
    expect(more).toEqual({ ...whole, race: { ...whole.race, tries: 5 } })
    const draft = structuredClone(chart)
    setTries(draft, { of: 'move', move: 'sweep' as MoveId }, more)
    expect(draft.moves.find(({ id }) => id === 'sweep')!.race).toEqual({ ...whole.race, tries: 5 })
    setTries(draft, { of: 'move', move: 'sweep' as MoveId }, withPart(more, { part: 'race' }, 0))
    expect(draft.moves.find(({ id }) => id === 'sweep')).not.toHaveProperty('race')
    expect(isOwn(comeUp)).toBe(true)
  })

  it('stay alone where a move has nothing but its race', () => {
    const draft = structuredClone(chart)
    setTries(draft, { of: 'move', move: comeUp.id }, withPart(wholeOf(comeUp), { part: 'race' }, 4))
    expect(draft.moves.find(({ id }) => id === comeUp.id)).toEqual({ ...comeUp, race: { ...comeUp.race!, tries: 4 } })
  })
})
