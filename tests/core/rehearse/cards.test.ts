import { makeChart, parseChart } from '../../../src/core/files/chartFile'
import { mirrorChart } from '../../../src/core/sides/mirror'
import { cardsOf } from '../../../src/core/rehearse/cards'
import { seedOf } from '../../../src/core/seed'
import { sayBehind, sayCard, sayChoice } from '../../../src/core/say/rehearse'
import { demoFigures, demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const chart = demoPlan()
const figures = demoFigures()
const cards = cardsOf(chart, figures, () => true)
const ours = cards.filter(({ asked }) => asked.chair === undefined)
const reactions = ours.filter(({ asked }) => asked.reaction !== undefined)
const theirs = cards.filter(({ asked }) => asked.chair === 'theirs')

describe('the questions of a plan', () => {
  it('answer a reaction with what is worth most then, and cost what that saves as often as it is met', () => {
    expect(reactions.length).toBeGreaterThan(60)
    for (const { asked, answer, cost } of reactions) {
      const met = figures.met.find(
        (one) =>
          one.reaction === asked.reaction && one.position === asked.position && one.move === (asked.move ?? null),
      )!
      const worth = (id: string) =>
        Math.max(...met.answers.filter((one) => chart.answers[one.answer]!.move === id).map(({ value }) => value))
      const most = Math.max(met.concede, ...met.answers.map(({ value }) => value))
      expect(answer === 'concede' ? met.concede : worth(answer)).toBeCloseTo(most, 9)
      expect(cost).toBeCloseTo(met.visits * (most - met.concede), 9)
    }
  })

  it('answer a position with what is worth most there', () => {
    const places = ours.filter(({ asked }) => asked.reaction === undefined && asked.cue === undefined)
    expect(places.length).toBeGreaterThan(10)
    for (const { asked, answer } of places) {
      const tried = chart.moves.filter(({ from, reply }) => from === asked.position && !reply)
      const worths = tried.map(({ id }) => figures.moves[id]?.value ?? -Infinity)
      const { still } = figures.positions[asked.position as keyof typeof figures.positions]!
      const most = Math.max(still ?? -Infinity, ...worths)
      const given = answer === 'wait' ? still : figures.moves[answer as keyof typeof figures.moves]?.value
      expect(given).toBeCloseTo(most, 9)
    }
  })

  it('cost in a position what holding still would lose, as often as one comes there, by what is seen where it is', () => {
    const places = ours.filter(({ asked }) => asked.reaction === undefined)
    expect(places.some(({ asked }) => asked.cue !== undefined)).toBe(true)
    for (const { asked, answer, cost } of places) {
      const { value, best, visits, still, seen } = figures.positions[asked.position as never]!
      const here = asked.cue === undefined ? { value, best, share: 1 } : seen!.find(({ cue }) => cue === asked.cue)!
      expect(answer).toBe(here.best)
      expect(cost).toBeCloseTo(still === null ? 0 : visits * here.share * Math.max(0, here.value - still), 12)
      expect(cost).toBeGreaterThanOrEqual(0)
    }
    for (const { asked, choices } of cardsOf(chart, figures, () => true).filter((one) => !one.asked.move))
      if (!asked.reaction)
        for (const id of choices)
          if (id !== 'wait') expect(chart.moves.find((move) => move.id === id)!.from).toBe(asked.position)
    expect(places.filter(({ cost }) => cost > 0.001).length).toBeGreaterThan(5)
    // Each place where there is something to choose is asked about once for each thing that is seen.
    const asked = new Set(places.map((one) => `${one.asked.position} ${one.asked.cue ?? ''}`))
    for (const [id, { best, seen }] of Object.entries(figures.positions)) {
      const moves = chart.moves.filter(({ from, reply }) => from === id && !reply).length
      if (best !== null && moves > 0) expect(asked.has(`${id} ${seen ? seen[0]!.cue : ''}`)).toBe(true)
    }
  })

  it('cost from their chair what the worst reaction takes from the usual one, as often as the move is tried', () => {
    for (const { asked, answer, cost } of theirs) {
      const met = figures.met.filter(({ move }) => move === asked.move)
      const [all, worth] = [0, 1].map((power) => met.reduce((sum, one) => sum + one.share * one.value ** power, 0))
      const worst = met.find(({ reaction }) => reaction === answer)!.value
      const usual = all! > 0 ? worth! / all! : 0
      expect(cost).toBeCloseTo(figures.moves[asked.move as never]!.uses * (usual - worst), 12)
      expect(met.length).toBeGreaterThan(1)
      expect(asked.position).toBe(chart.moves.find(({ id }) => id === asked.move)!.from)
    }
  })

  it('offer the answers that were charted before anything else, and all four where there are enough', () => {
    for (const { asked, answer, choices } of reactions) {
      const charted = chart.answers.filter(({ reaction }) => reaction === asked.reaction).map(({ move }) => `${move}`)
      const first = [...new Set([answer, ...charted, 'concede'])].slice(0, 4)
      for (const id of first) expect(choices).toContain(id)
      expect(choices).toHaveLength(4)
    }
  })

  it('say from their chair which reaction leaves us least', () => {
    expect(theirs.length).toBeGreaterThan(20)
    for (const { asked, answer, then, cost } of theirs) {
      const met = figures.met.filter(({ move }) => move === asked.move)
      const worst = met.find(({ reaction }) => reaction === answer)!
      for (const { value } of met) expect(worst.value).toBeLessThanOrEqual(value)
      expect(then).toBe(worst.best)
      expect(cost).toBeGreaterThanOrEqual(0)
    }
  })

  it('offer two to four choices, each once, with the answer among them, the costliest question first', () => {
    for (const { choices, answer } of cards) {
      expect(choices.length).toBeGreaterThanOrEqual(2)
      expect(choices.length).toBeLessThanOrEqual(4)
      expect(new Set(choices).size).toBe(choices.length)
      expect(choices).toContain(answer)
    }
    expect(cards.map(({ cost }) => cost)).toEqual(cards.map(({ cost }) => cost).toSorted((a, b) => b - a))
    expect(new Set(cards.map(({ key }) => key)).size).toBe(cards.length)
    // The answer must not be where it can be found without reading.
    const first = ours.filter(({ choices, answer }) => choices[0] === answer).length / ours.length
    expect(first).toBeGreaterThan(0.1)
    expect(first).toBeLessThan(0.5)
  })

  it('are the same each time they are made', () => {
    expect(cardsOf(taken(parseChart(makeChart(chart))), figures, () => true)).toEqual(cards)
    expect(seedOf('')).toBeCloseTo(0x811c9dc5 / 2 ** 32, 12)
    // The published value of FNV-1a for "foobar".
    expect(seedOf('foobar')).toBeCloseTo(0xbf9cf968 / 2 ** 32, 12)
  })

  it('leave out whatever somebody may not do, as a question and as a choice', () => {
    const free = cardsOf(chart, figures, ({ to }) => to !== 'finish')
    const finishes = new Set(chart.moves.filter(({ to }) => to === 'finish').map(({ id }): string => id))
    expect(free.length).toBeLessThan(cards.length)
    for (const { asked, choices } of free)
      for (const id of [asked.move, ...choices]) expect(finishes.has(id ?? '')).toBe(false)
  })
})

describe('a card in words', () => {
  it('says where, what happens, and what is asked', () => {
    const said = cards.map(({ asked }) => sayCard(chart, asked))
    expect(said).toContainEqual({
      where: 'We are in underhook, head clear.',
      happens: 'We shoot the high crotch; they sprawl on us.',
      asks: 'What do we do?',
    })
    expect(said).toContainEqual({
      where: 'We are in turtle, at the flank.',
      happens: 'We see: their hand on the mat.',
      asks: 'What do we do?',
    })
    expect(said).toContainEqual({
      where: 'We are in high crotch, in on the leg.',
      happens: 'We step across and lift.',
      asks: 'What do they do best?',
    })
  })

  it('has behind it what may not be let go, the mistake and the caution of the move', () => {
    const kimura = cards.find(({ answer }) => answer === 'kimura-from-guard')!
    const behind = sayBehind(chart, kimura)
    expect(behind).toContain('Keep the leg on the back until the elbow is away from the ribs.')
    expect(behind.some((line) => line.startsWith('Caution, shoulder: tap'))).toBe(true)
    const dangers = cards.filter(({ asked, answer }) => {
      const move = chart.moves.find(({ id }) => id === answer)
      return asked.chair === undefined && move?.hazard?.tap
    })
    expect(dangers.length).toBeGreaterThan(5)
    for (const card of dangers) {
      const lines = sayBehind(chart, card)
      expect(lines.some((line) => line.startsWith('Caution'))).toBe(true)
      expect(lines.at(-1)).toMatch(/^Tap early, apply slowly, release at once/)
    }
  })

  it('names choices, also what is no move', () => {
    const { asked } = ours[0]!
    expect(sayChoice(chart, asked, 'wait')).toBe('Hold still')
    expect(sayChoice(chart, asked, 'concede')).toBe('Let them have it')
    for (const card of cards) for (const id of card.choices) expect(sayChoice(chart, card.asked, id)).not.toBe(id)
  })

  it('turns its sides with the chart', () => {
    const other = mirrorChart(chart)
    const turned = ours.map((card) => sayBehind(other, card).join(' '))
    const plain = ours.map((card) => sayBehind(chart, card).join(' '))
    expect(turned.length).toBe(plain.length)
    const sided = plain.flatMap((text, i) => (/\b(left|right)\b/.test(text) ? [i] : []))
    for (const i of sided) expect(turned[i]).not.toBe(plain[i])
  })
})
