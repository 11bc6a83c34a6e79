import { answerKey, type Answer } from '../chart/answer'
import type { Chart } from '../chart/chart'
import { isEndId } from '../chart/ids'
import type { Move } from '../chart/move'
import { isOwn, wholeOf } from '../chart/tries'
import { NOTHING_COUNTED, type Counted } from './estimates'
import { elsewhereKey, reactionKey, sharesOf } from './shares'
import { weightsOf, type LoggedTry, type TryLog, type TryOutcome } from './tryLog'

/** Names the record that tries are counted for: a move, or an answer with tries of its own. */
export const keyOf = (record: Move | Answer): string => ('move' in record ? answerKey(record) : record.id)

interface CountedTry {
  tried: LoggedTry
  weight: number
  outcomes: ReadonlyMap<string, number>
}

/** What was logged of each record of a chart. Tries that the chart does not know count nowhere. */
export class Counts {
  /** Tries as an answer that the chart does not plan, of a move that it does not have, or with an unknown outcome. */
  readonly unknown: LoggedTry[] = []
  private readonly tries = new Map<string, CountedTry[]>()
  private readonly found = new Map<string, Counted>()

  constructor(chart: Chart, log: TryLog) {
    const places = new Places(chart)
    const known = log.tries.flatMap((tried) => {
      const record = places.recordOf(tried)
      const outcomes = record && places.outcomesOf(record, tried.outcome)
      if (!outcomes) this.unknown.push(tried)
      return outcomes ? [{ tried, key: keyOf(record), outcomes }] : []
    })
    const weights = weightsOf({ ...log, tries: known.map(({ tried }) => tried) })
    known.forEach(({ key, tried, outcomes }, i) => {
      const own = this.tries.get(key) ?? []
      if (!own.length) this.tries.set(key, own)
      own.push({ tried, outcomes, weight: weights[i] ?? 0 })
    })
  }

  /** Everything of a record. */
  all = (key: string): Counted => this.counted(`all ${key}`, key, () => true)

  /** What one person did of it, as who tries it or as who it is tried on. */
  by = (side: 'us' | 'them', person: string, key: string): Counted =>
    this.counted(`${side} ${person} ${key}`, key, ({ tried }) => tried[side] === person)

  private counted(name: string, key: string, isIt: (one: CountedTry) => boolean): Counted {
    const known = this.found.get(name)
    if (known) return known
    const outcomes = new Map<string, number>()
    let total = 0
    for (const one of this.tries.get(key) ?? []) {
      if (one.weight === 0 || !isIt(one)) continue
      total += one.weight
      for (const [came, share] of one.outcomes) outcomes.set(came, (outcomes.get(came) ?? 0) + one.weight * share)
    }
    const found = total === 0 ? NOTHING_COUNTED : { outcomes, total }
    this.found.set(name, found)
    return found
  }
}

/** The records of a chart by what is logged of them. */
class Places {
  private readonly moves: ReadonlyMap<string, Move>
  private readonly answers: ReadonlyMap<string, Answer>
  private readonly reactions: ReadonlySet<string>
  private readonly positions: ReadonlySet<string>
  private readonly spreads = new Map<Move | Answer, ReadonlyMap<string, number>>()

  constructor({ moves, answers, reactions, positions }: Chart) {
    this.moves = new Map(moves.map((one) => [one.id, one]))
    this.answers = new Map(answers.map((one) => [keyOf(one), one]))
    this.reactions = new Set(reactions.map(({ id }) => id))
    this.positions = new Set(positions.map(({ id }) => id))
  }

  /** The record that a try counts for: an answer that borrows counts with its move. */
  recordOf({ move, reply }: LoggedTry): Move | Answer | undefined {
    const cold = this.moves.get(move)
    const answer = reply === undefined ? undefined : this.answers.get(answerKey({ reaction: reply, move }))
    if (reply !== undefined && !answer) return undefined
    const record = answer && isOwn(answer) ? answer : cold
    return record && isOwn(record) ? record : undefined
  }

  /** Its outcomes by key, as shares of one try; undefined for what the chart does not know. */
  outcomesOf(record: Move | Answer, outcome: TryOutcome): ReadonlyMap<string, number> | undefined {
    if (outcome === 'failed') return this.failed(record)
    if (typeof outcome === 'string') return new Map([[outcome, 1]])
    if ('reaction' in outcome)
      return this.reactions.has(outcome.reaction) ? new Map([[reactionKey(outcome.reaction), 1]]) : undefined
    const isKnown = this.positions.has(outcome.elsewhere) || isEndId(outcome.elsewhere)
    return isKnown ? new Map([[elsewhereKey(outcome.elsewhere), 1]]) : undefined
  }

  private failed(record: Move | Answer): ReadonlyMap<string, number> {
    const known = this.spreads.get(record) ?? spread(sharesOf(wholeOf(record)))
    this.spreads.set(record, known)
    return known
  }
}

/** What did not land, spread as it is guessed; all of it came to nothing where nothing else is guessed. */
function spread(shares: ReadonlyMap<string, number>): ReadonlyMap<string, number> {
  const others = [...shares].filter(([key, share]) => key !== 'lands' && share > 0)
  const all = others.reduce((sum, [, share]) => sum + share, 0)
  return all > 0 ? new Map(others.map(([key, share]) => [key, share / all])) : new Map([['stalls', 1]])
}
