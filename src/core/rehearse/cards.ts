import { answersTo } from '../chart/edits/answers'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import { askedKey, type Asked } from '../club/rehearsed'
import type { Figures, MetFigure } from '../insight/figures'
import { seedOf } from '../seed'
import { entriesOf } from '../typed'
import { CONCEDE, WAIT } from './choices'

/** A question made of a chart, with what the plan does, and what else one might say. */
export interface Card {
  key: string
  asked: Asked
  /** Id of a move (from their chair: of a reaction), `wait` or `concede`. */
  answer: string
  /** What is offered, the answer among it, in an order that is the card's own. Ids. */
  choices: string[]
  /** From their chair: what we do then. Id of a move, or `concede`. */
  then?: string
  /** What not knowing it costs in a hundredth of a hundred: expected worth of an exchange, 0 to 2. */
  cost: number
}

type Question = Omit<Card, 'key' | 'choices'> & { others: string[] }

/** So many are offered: what a thumb finds without reading long. */
const MOST_CHOICES = 4

/**
 * The questions of a plan, those first of which not knowing the answer costs most. `may`: whether who is asked may do a
 * move; nothing is asked in which any other occurs.
 */
export function cardsOf(chart: Chart, figures: Figures, may: (move: Move) => boolean): Card[] {
  const barred = new Set(chart.moves.filter((move) => !may(move)).map(({ id }): string => id))
  const isFree = (id: string) => !barred.has(id)
  const questions = [...ofPlaces(chart, figures), ...ofReactions(chart, figures), ...ofTheirs(figures)]
  return questions
    .filter(({ asked, answer }) => isFree(answer) && isFree(asked.move ?? ''))
    .flatMap((one) => cardOf(one, isFree))
    .toSorted((a, b) => b.cost - a.cost)
}

/** One that leaves no choice asks nothing. */
function cardOf({ others, ...question }: Question, may: (id: string) => boolean): Card[] {
  const key = askedKey(question.asked)
  const offered = [...new Set([question.answer, ...others.filter(may)])].slice(0, MOST_CHOICES)
  if (offered.length < 2) return []
  return [{ key, ...question, choices: mixed(offered, key) }]
}

/** In an order that is the text's own. */
const mixed = (ids: readonly string[], text: string): string[] =>
  ids.toSorted((a, b) => seedOf(`${text} ${a}`) - seedOf(`${text} ${b}`))

/** What we do in a position, or when something is seen there. */
function ofPlaces(chart: Chart, figures: Figures): Question[] {
  return Object.entries(figures.positions).flatMap(([position, { value, best, visits, still, seen }]) => {
    const others = [...chart.moves.filter(({ from, reply }) => from === position && !reply).map(({ id }) => id), WAIT]
    const loses = (worth: number) => worth - (still ?? worth)
    if (seen)
      return seen.flatMap((one) => {
        if (one.best === null) return []
        const cost = visits * one.share * Math.max(0, loses(one.value))
        return [{ asked: { position, cue: one.cue }, answer: one.best, others, cost }]
      })
    return best === null
      ? []
      : [{ asked: { position }, answer: best, others, cost: visits * Math.max(0, loses(value)) }]
  })
}

/** What we do to each reaction that has an answer. */
function ofReactions(chart: Chart, figures: Figures): Question[] {
  const all = [...new Set(chart.answers.map(({ move }): string => move))]
  return figures.met.flatMap(({ position, move, reaction, best, saves, visits }): Question[] => {
    const answers = answersTo(chart, reaction).map(({ answer }): string => answer.move)
    if (!answers.length) return []
    const kin = all.filter((id) => lookUp(chart.moves, id)?.from === position)
    const asked = { position, ...(move === null ? {} : { move }), reaction }
    return [
      { asked, answer: best, others: [...answers, CONCEDE, ...kin, ...mixed(all, reaction)], cost: visits * saves },
    ]
  })
}

/** What they do best to each of our moves: what we should be ready for. */
const ofTheirs = (figures: Figures): Question[] =>
  entriesOf(figures.moves).flatMap(([move, { uses }]): Question[] => {
    const met = figures.met.filter((one) => one.move === move)
    const [first] = met
    if (!first || met.length < 2) return []
    const best = met.reduce((worst, one) => (one.value < worst.value ? one : worst))
    const asked: Asked = { position: first.position, move, chair: 'theirs' }
    const others = met.map(({ reaction }): string => reaction)
    return [{ asked, answer: best.reaction, then: best.best, others, cost: uses * (usual(met) - best.value) }]
  })

/** What a move is worth once it is met, as they usually do. */
function usual(met: readonly MetFigure[]): number {
  const all = met.reduce((sum, { share }) => sum + share, 0)
  return met.reduce((sum, { share, value }) => sum + share * value, 0) / (all || 1)
}
