import { randomLcg, randomNormal } from 'd3-random'
import type { Chart } from '../../../src/core/chart/chart'
import type { Move } from '../../../src/core/chart/move'
import { lookUp } from '../../../src/core/chart/lookUp'
import { totalOf } from '../../../src/core/chart/tries'
import { adjusted } from '../../../src/core/match/adjust'
import type { LoggedTry } from '../../../src/core/match/tryLog'
import { landingShare } from '../../../src/core/match/recordOf'
import { PEOPLE } from '../../../scripts/demoClub'
import { demoPlan } from '../../fixtures/demoPlan'

/*
 * The people of the demo club, whose differences are known, try moves for six weeks. What is estimated from each of
 * fifty such logs is held against the truth.
 */
const plan = demoPlan()
const moves = plan.moves.filter(({ tries }) => tries?.lands && tries.lands < totalOf(tries)).slice(0, 10)
const WEEKS = ['2026-10-13', '2026-10-20', '2026-10-27', '2026-11-03', '2026-11-10', '2026-11-17']
const LOGS = 50
/** Tries of each pair in a week: as many as in the demo club, whose six pairs have six hundred in six weeks. */
const TRIES = 16
/** How far off a guess is, in log-odds. */
const GUESS_IS_OFF = 0.7

const logit = (p: number) => Math.log(p / (1 - p))
const inverse = (x: number) => 1 / (1 + Math.exp(-x))
const guessOf = ({ tries }: Move) => (tries?.lands ?? 0) / totalOf(tries ?? {})
const person = (i: number) => `p${i}`
const mean = (list: readonly number[]) => list.reduce((all, one) => all + one, 0) / list.length

/** A log of six weeks, and how often a move truly lands between two, or (null) on everybody. */
function played(seed: number) {
  const random = randomLcg(seed)
  const off = randomNormal.source(random)(0, GUESS_IS_OFF)
  const own = new Map(moves.map((move) => [move.id, logit(guessOf(move)) + off()]))
  const between = (move: Move, us: number, them: number) =>
    inverse(own.get(move.id)! + PEOPLE[us].lands - PEOPLE[them].stops)
  const all = PEOPLE.flatMap((_, us) => PEOPLE.flatMap((__, them) => (us === them ? [] : [[us, them] as const])))
  const log = WEEKS.flatMap((when) => {
    const order = PEOPLE.map((_, i) => [random(), i] as const).sort((a, b) => a[0] - b[0])
    return order.flatMap(([, us], k) => {
      const them = order[k % 2 ? k - 1 : k + 1][1]
      return Array.from({ length: TRIES }, (): LoggedTry => {
        const move = moves[Math.floor(random() * moves.length)]
        const lands = random() < between(move, us, them)
        const of = { when, in: 'round' as const, us: person(us), them: person(them), move: move.id }
        return { ...of, outcome: lands ? 'lands' : 'failed' }
      })
    })
  })
  const onAll = (move: Move) => mean(all.map(([us, them]) => between(move, us, them)))
  const some = Array.from({ length: 8 }, () => all[Math.floor(random() * all.length)])
  return { log, between, onAll, some }
}

const until = (log: readonly LoggedTry[], week: number) => ({
  tries: log.filter(({ when }) => when <= WEEKS[week]),
  now: WEEKS[week],
  halfLife: 100_000,
})
const landing = (chart: Chart, move: Move) => landingShare(chart, { move: move.id })!
const errorOf = (estimate: (move: Move) => number, truth: (move: Move) => number) =>
  mean(moves.map((move) => Math.abs(estimate(move) - truth(move))))

const nobody = { us: null, them: null }
const athlete = (i: number) => ({ id: person(i), traits: {} })

const errors = Array.from({ length: LOGS }, (_, i) => {
  const { log, between, onAll, some } = played((i + 1) / LOGS / 1.01)
  const group = [0, 5].map((week) => adjusted(plan, { ...nobody, log: until(log, week) }))
  const raw = (move: Move) => {
    const own = log.filter((one) => one.move === move.id)
    return own.length ? own.filter(({ outcome }) => outcome === 'lands').length / own.length : 0
  }
  // Of one person alone: what landed on whom they happened to meet, which is little.
  const pairs = some.map(([us, them]) => {
    const of = (who: { us: number | null; them: number | null }) => {
      const [a, b] = [who.us, who.them].map((one) => (one === null ? null : athlete(one)))
      const chart = adjusted(plan, { us: a, them: b, log: until(log, 5) })
      return errorOf(
        (move) => landing(chart, move),
        (move) => between(move, us, them),
      )
    }
    return { both: of({ us, them }), us: of({ us, them: null }), them: of({ us: null, them }) }
  })
  return {
    guess: errorOf(guessOf, onAll),
    weekOne: errorOf((move) => landing(group[0], move), onAll),
    weekSix: errorOf((move) => landing(group[1], move), onAll),
    raw: errorOf(raw, onAll),
    both: mean(pairs.map(({ both }) => both)),
    us: mean(pairs.map((one) => one.us)),
    them: mean(pairs.map((one) => one.them)),
  }
})
const error = (of: keyof (typeof errors)[number]) => mean(errors.map((one) => one[of]))

test('after six weeks the estimates are nearer the truth than after one, than the guess and than raw counts', () => {
  expect(error('weekSix')).toBeLessThan(error('weekOne'))
  expect(error('weekOne')).toBeLessThan(error('guess'))
  expect(error('weekSix')).toBeLessThan(error('raw'))
  // It is not by a hair: half of what the guess was off is gone.
  expect(error('weekSix')).toBeLessThan(error('guess') * 0.7)
})

test('a match-up is nearer the truth than either person alone', () => {
  expect(error('both')).toBeLessThan(error('us'))
  expect(error('both')).toBeLessThan(error('them'))
})

test('the moves are of the plan', () => {
  expect(moves.every(({ id }) => lookUp(plan.moves, id))).toBe(true)
  expect(moves).toHaveLength(10)
})
