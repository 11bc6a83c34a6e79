import {
  isEndId,
  toMoveId,
  toPositionId,
  toReactionId,
  type CueId,
  type MoveId,
  type PositionId,
  type ReactionId,
} from '../../chart/ids'
import { sure, present } from '../../sure'
import type { Answer } from '../../chart/answer'
import type { Chart } from '../../chart/chart'
import { positionIn } from '../../chart/edits/find'
import { idFromName } from '../../document/ids'
import { finishesByName } from '../../chart/fromName'
import { markGuess, NEW_ANSWER, newMove, positionFromName } from '../../chart/guesses'
import type { Move } from '../../chart/move'
import { lookUp } from '../../chart/lookUp'
import type { Reaction } from '../../chart/reaction'
import type { Kind } from '../../chart/words'
import { comesToSomething, isOwn, reactionsMet, totalOf, wholeOf, type Tries } from '../../chart/tries'
import {
  asTitle,
  nameKey,
  WORDS,
  type Body,
  type Created,
  type Fork,
  type ForkAnswer,
  type ForkError,
  type ForkReaction,
  type ForkResult,
  type Name,
} from '../fork'
import { findAnswer, findCue, findMove, findPosition, findReaction } from '../names'

/** What applying a fork made: the move, and the records that were created. */
export interface Said {
  move: MoveId
  created: Created[]
}

/**
 * Sets the fork of a move from a position, in place. Names are looked up in the chart; what is not charted is created.
 * Fields that a line cannot express (holds, checkpoints, seconds, hazards) stay as they are. Returns errors with their
 * places; the chart may then be changed in part, so call it on a copy.
 */
export function applyFork(chart: Chart, position: PositionId, fork: Fork): ForkResult<Said> {
  const speaker = new Speaker(chart, position)
  const move = speaker.say(fork)
  if (speaker.errors.length) return { ok: false, errors: speaker.errors }
  return { ok: true, value: { move, created: speaker.created } }
}

/**
 * Sets what they do in a position while we hold still, in place, beside what is charted of it already: how often each,
 * and our answers. How often one of them comes is a guess until it is said. Errors as of `applyFork`.
 */
export function applyStill(chart: Chart, position: PositionId, said: ForkReaction[]): ForkResult<StillSaid> {
  const speaker = new Speaker(chart, position)
  const reactions = speaker.sayStill(said)
  if (speaker.errors.length) return { ok: false, errors: speaker.errors }
  return { ok: true, value: { reactions, created: speaker.created } }
}

/** What saying what they do made: their reactions, and the records that were created. */
export interface StillSaid {
  reactions: ReactionId[]
  created: Created[]
}

/** Mean seconds until they do something while we hold still, until the coach says it. */
const STILL_EVERY = 10

/** Creates the move that a fork begins with, if it is new and the fork says where it leads; adds it to `created`. */
export function nameHead(chart: Chart, position: PositionId, { move, place }: Fork, created: Created[]): void {
  if (move.byId || !(place || finishesByName(move.text)) || findMove(chart, position, move)) return
  const speaker = new Speaker(chart, position)
  speaker.newMove(move, place, position)
  created.push(...speaker.created)
}

const ON_THE_FEET = ['standing', 'clinch']

const isWord = ({ byId, text }: Name, word: string): boolean => !byId && nameKey(text) === word

/** What meets a reaction: a move, or the holding still of a position. */
interface Meeting {
  id?: MoveId
  from: PositionId
  tries?: { reactions?: Record<string, number> } | undefined
}

class Speaker {
  readonly errors: ForkError[] = []
  readonly created: Created[] = []

  constructor(
    private readonly chart: Chart,
    private readonly position: PositionId,
  ) {}

  say({ move: name, place, isReply, when = [], body }: Fork): MoveId {
    const known = findMove(this.chart, this.position, name)
    const move = known ?? this.newMove(name, place, this.position)
    if (known && place) move.to = this.landing(place)
    if (isReply) move.reply = true
    else delete move.reply
    const cues = [...new Set(when.flatMap((cue) => this.cues(cue)))]
    if (cues.length) move.when = cues
    else delete move.when
    const tries = this.tries(body, move, known?.tries)
    if (comesToSomething(wholeOf({ ...move, tries }))) move.tries = tries
    else if (isReply && !totalOf(tries)) delete move.tries
    else this.fail(name, 'at least one try must land or meet a reaction')
    for (const said of body.reactions) if (said.answers) this.setAnswers(said, this.reaction(said, move))
    return move.id
  }

  /** What is meant by "at our neck", or by "at our neck or to the hip": only what is seen in the position. */
  private cues(name: Name): CueId[] {
    const { seen = {} } = positionIn(this.chart, this.position)
    const parts = findCue(this.chart, this.position, name) ? [name.text] : name.text.split(/\s+or\s+/i)
    return parts.flatMap((text) => {
      const cue = findCue(this.chart, this.position, { ...name, text })
      if (cue && seen[cue.id] !== undefined) return [cue.id]
      this.fail(name, `"${text}" is not seen here: say first how often, such as "seen: 4 ${text}"`)
      return []
    })
  }

  sayStill(said: ForkReaction[]): ReactionId[] {
    const here = positionIn(this.chart, this.position)
    return said.map((one) => {
      const reaction = this.reaction(one, { from: this.position, tries: here.unprompted })
      if (!here.unprompted) markGuess(here, 'unprompted', true)
      const { every = STILL_EVERY, reactions } = here.unprompted ?? {}
      here.unprompted = { every, reactions: { ...reactions, [reaction.id]: one.count } }
      if (one.answers) this.setAnswers(one, reaction)
      return reaction.id
    })
  }

  newMove(name: Name, place: Name | undefined, from: PositionId): Move {
    const finishes = finishesByName(name.text)
    if (name.byId) this.fail(name, `there is no move #${name.text} here`)
    else if (!place && !finishes) {
      this.fail(name, `"${name.text}" is new: say where it leads behind it, such as (mount) or (finish)`)
    }
    const to = place ? this.landing(place) : finishes ? WORDS.finish : from
    const kind = this.kindOf(from, to)
    const id = toMoveId(idFromName(name.text, idsOf(this.chart.moves)))
    const fields = newMove({ name: asTitle(name.text), kind, from, to, tries: { lands: 1 } })
    const move: Move = { id, ...fields }
    this.chart.moves.push(move)
    this.created.push({ kind: 'move', name: move.name })
    return sure(this.chart.moves[this.chart.moves.length - 1])
  }

  /** What kind of move leads from here to there. */
  private kindOf(from: PositionId, to: Move['to']): Kind {
    if (to === WORDS.finish) return 'submission'
    const here = lookUp(this.chart.positions, from)
    if (here?.ahead === 'theirs') return 'escape'
    if (to === from) return 'hold'
    const isOnTheFeet = (id: string) => ON_THE_FEET.includes(lookUp(this.chart.positions, id)?.family ?? '')
    return isOnTheFeet(from) && !isOnTheFeet(to) ? 'takedown' : 'advance'
  }

  /** Where a move of ours lands: a position, charted or new, or the finish. */
  private landing(name: Name): Move['to'] {
    if (isWord(name, WORDS.finish)) return WORDS.finish
    if (isWord(name, WORDS.caught) || isWord(name, WORDS.over)) {
      this.fail(name, 'a move of ours lands in a position or in a finish')
    }
    return this.destination(name)
  }

  /** Where what they do ends: a position, charted or new, a finish of theirs, or the end with nobody ahead. */
  private end(name: Name): Reaction['endsIn'] {
    if (isWord(name, WORDS.caught)) return WORDS.caught
    if (isWord(name, WORDS.over)) return WORDS.over
    if (isWord(name, WORDS.finish)) this.fail(name, 'they cannot finish for us: say a position, "caught" or "over"')
    return this.destination(name)
  }

  private destination(name: Name): PositionId {
    const known = findPosition(this.chart, name)
    if (known) return known.id
    if (name.byId) {
      this.fail(name, `there is no position #${name.text}`)
      return this.position
    }
    const id = toPositionId(idFromName(name.text, idsOf(this.chart.positions)))
    this.chart.positions.push({ id, ...positionFromName(asTitle(name.text)) })
    this.created.push({ kind: 'position', name: asTitle(name.text) })
    return id
  }

  private tries(body: Body, move: Move, before: Tries | undefined): Tries {
    const tries: Tries = { ...before, lands: body.lands, stalls: body.stalls, elsewhere: {}, reactions: {} }
    for (const { count, place } of body.elsewhere) add(present(tries.elsewhere), this.end(place), count)
    for (const said of body.reactions) add(present(tries.reactions), this.reaction(said, move).id, said.count)
    for (const field of ['lands', 'stalls'] as const)
      if (!tries[field] && before?.[field] === undefined) delete tries[field]
    for (const field of ['elsewhere', 'reactions'] as const) {
      if (!Object.keys(present(tries[field])).length && !before?.[field]) delete tries[field]
    }
    // What the coach says is the coach's own; a line that changes no count leaves the guess a guess.
    if (before && !sameCounts(before, tries)) delete tries.weight
    return tries
  }

  private reaction({ name, place }: ForkReaction, move: Meeting): Reaction {
    const endsIn = place && this.end(place)
    const known = findReaction(this.chart, name, endsIn, move)
    if (known) return known
    const elsewhere = endsIn && findReaction(this.chart, name, undefined, move)
    if (elsewhere && !this.isShared(elsewhere.id, move)) {
      elsewhere.endsIn = endsIn
      return elsewhere
    }
    if (name.byId) this.fail(name, `there is no reaction #${name.text}`)
    const id = toReactionId(idFromName(name.text, idsOf(this.chart.reactions)))
    this.chart.reactions.push({ id, name: asTitle(name.text), endsIn: endsIn ?? move.from })
    this.created.push({ kind: 'reaction', name: asTitle(name.text) })
    return sure(this.chart.reactions[this.chart.reactions.length - 1])
  }

  /** Whether anything besides this move meets the reaction, so that it must not be changed for both. */
  private isShared(id: ReactionId, move: Meeting): boolean {
    const meets = (tries: Meeting['tries']) => tries?.reactions?.[id] !== undefined
    return (
      this.chart.moves.some((other) => other.id !== move.id && reactionsMet(other).includes(id)) ||
      this.chart.answers.some((answer) => reactionsMet(answer).includes(id)) ||
      this.chart.positions.some(({ unprompted }) => unprompted !== move.tries && meets(unprompted))
    )
  }

  /** Sets a reaction's answers to those in the line, in that order. Fields that the line cannot express are kept. */
  private setAnswers(said: ForkReaction, reaction: Reaction): void {
    const before = this.chart.answers.filter((answer) => answer.reaction === reaction.id)
    const answers = (said.answers ?? []).map((answer) => this.answer(answer, reaction, before))
    answers.forEach(({ move: id }, i) => {
      const isSaidAgain = answers.findIndex((other) => other.move === id) < i
      const name = said.answers?.[i]?.name
      if (isSaidAgain && name) this.fail(name, 'it is among the answers already')
    })
    if (sameAnswers(before, answers)) return
    const at = this.chart.answers.findIndex((answer) => answer.reaction === reaction.id)
    const others = this.chart.answers.filter((answer) => answer.reaction !== reaction.id)
    others.splice(at < 0 ? others.length : at, 0, ...answers)
    this.chart.answers = others
  }

  private answer({ name, place, tries }: ForkAnswer, reaction: Reaction, before: Answer[]): Answer {
    const known = findAnswer(this.chart, name, reaction)
    const move = known ?? this.newAnswerMove(name, place, reaction)
    if (known && place) move.to = this.landing(place)
    const { tries: hadTries, ...had } = before.find((answer) => answer.move === move.id) ?? {
      reaction: reaction.id,
      move: move.id,
    }
    if (!tries) return isOwn(move) || had.race ? had : { ...had, tries: hadTries ?? { ...NEW_ANSWER } }
    const own = this.tries(tries, move, hadTries)
    if (!comesToSomething(wholeOf({ ...had, tries: own })))
      this.fail(name, 'at least one try must land or meet a reaction')
    return { ...had, tries: own }
  }

  /** A move that is named as an answer is only in reply: how it goes cold, nobody has said. */
  private newAnswerMove(name: Name, place: Name | undefined, reaction: Reaction): Move {
    const { endsIn } = reaction
    if (isEndId(endsIn)) {
      const why = endsIn === WORDS.caught ? 'they finish us there' : 'it is over there'
      this.fail(name, `${why}: it can only be answered by a move charted elsewhere`)
    }
    const move = this.newMove(name, place, isEndId(endsIn) ? this.position : endsIn)
    move.reply = true
    delete move.tries
    return move
  }

  private fail({ at, end }: Name, message: string): void {
    this.errors.push({ at, end, message })
  }
}

const idsOf = (records: readonly { id: string }[]) => new Set(records.map(({ id }) => id))

function add(counts: Record<string, number>, id: string, n: number): void {
  if (n > 0) counts[id] = (counts[id] ?? 0) + n
}

const countsOf = ({ lands = 0, stalls = 0, elsewhere = {}, reactions = {} }: Tries) =>
  JSON.stringify([lands, stalls, ...[elsewhere, reactions].map((map) => Object.entries(map).toSorted())])
const sameCounts = (a: Tries, b: Tries) => countsOf(a) === countsOf(b)

const sameAnswers = (a: Answer[], b: Answer[]) => JSON.stringify(a) === JSON.stringify(b)
