import type { Move } from '../chart/move'
import { termsOf } from './terms'

/** What one feels or sees when a move goes wrong: at which of its steps, why, and what to do. */
export interface Symptom {
  /** The step, from 1. */
  step: number
  felt: string
  because: string
  cure: string
}

/** The symptoms of a move, in the order of its steps. */
export const symptomsOf = ({ checkpoints = [] }: Pick<Move, 'checkpoints'>): Symptom[] =>
  checkpoints.flatMap(({ fault }, i): Symptom[] => {
    if (!fault) return []
    const { mistake, result, fix } = fault
    return [{ step: i + 1, felt: result || mistake, because: mistake, cure: fix }]
  })

/** Of the words that are looked for, the part that a symptom must have. */
const ENOUGH = 0.6

/** The symptom of a move that is meant by what is looked for: most of its words, or none where too few are there. */
export function symptomMeant(move: Pick<Move, 'checkpoints'>, text: string): Symptom | undefined {
  const wanted = termsOf(text)
  if (!wanted.length) return undefined
  const scored = symptomsOf(move).map((symptom) => {
    const there = termsOf(`${symptom.felt} ${symptom.because}`)
    const met = wanted.filter((term) => there.some((one) => one.startsWith(term) || term.startsWith(one)))
    return { symptom, share: met.length / wanted.length }
  })
  const best = scored.toSorted((a, b) => b.share - a.share)[0]
  return best && best.share >= ENOUGH ? best.symptom : undefined
}
