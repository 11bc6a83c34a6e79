import { idsUsedTwice } from '../document/twice'
import { present } from '../sure'
import type { Problem, ProblemCode } from '../problem'
import type { Chart } from './chart'
import { holder, type Hold } from './hold'
import type { Move } from './move'
import { MAX_SEEN, NOTHING_SEEN } from './cue'
import { END_IDS } from './ids'
import { comesToSomething, isOwn, wholeOf, type Goes } from './tries'
import type { Limb, Person } from './words'

/**
 * Checks what ties the records together: unique ids, references, whose holds, shared limbs, tries that come to nothing.
 * The records of `chart` have passed the check of their own fields. Returns all problems at once, in file order.
 */
export function checkReferences(chart: Chart): Problem[] {
  return new ReferenceCheck(chart).run()
}

class ReferenceCheck {
  private readonly problems: Problem[] = []
  private readonly positions: Set<string>
  private readonly moves: Set<string>
  private readonly reactions: Set<string>
  private readonly holds: Map<string, Hold>
  /** Moves that have no tries, which only those may that are only in reply. */
  private readonly withoutTries: Set<string>
  private readonly checkpoints: Set<string>
  private readonly cues: Set<string>
  /** By position: what is seen there. */
  private readonly seenIn: Map<string, Record<string, number> | undefined>

  constructor(private readonly chart: Chart) {
    this.positions = new Set(chart.positions.map(({ id }) => id))
    this.moves = new Set(chart.moves.map(({ id }) => id))
    this.reactions = new Set(chart.reactions.map(({ id }) => id))
    this.withoutTries = new Set(chart.moves.flatMap((move) => (move.reply && !isOwn(move) ? move.id : [])))
    this.holds = new Map((chart.holds ?? []).map((hold) => [hold.id, hold]))
    this.seenIn = new Map(chart.positions.map(({ id, seen }) => [id, seen]))
    this.cues = new Set((chart.cues ?? []).map(({ id }) => id))
    this.checkpoints = new Set(chart.moves.flatMap((move) => (move.checkpoints ?? []).map(({ id }) => id)))
  }

  run(): Problem[] {
    for (const kind of ['positions', 'holds', 'cues', 'moves', 'reactions', 'runs', 'cards'] as const) {
      this.problems.push(...idsUsedTwice(this.chart[kind] ?? [], [kind]))
    }
    this.checkPositions()
    this.checkMoves()
    this.checkReactions()
    this.checkAnswers()
    this.checkRuns()
    this.checkCards()
    return this.problems
  }

  private say(code: ProblemCode, path: Problem['path'], message: string): void {
    this.problems.push({ code, path, message })
  }

  private refer(
    kind: string,
    known: { has: (id: string) => boolean },
    id: string | undefined,
    path: Problem['path'],
  ): void {
    if (id !== undefined && !known.has(id)) this.say('unknown-reference', path, `there is no ${kind} "${id}"`)
  }

  /** A position, or one of `also`. */
  private place(id: string | undefined, path: Problem['path'], also: readonly string[] = []): void {
    if (id !== undefined && !also.includes(id)) this.refer('position', this.positions, id, path)
  }

  private ownedHolds(ids: readonly string[] | undefined, by: Person | 'either', path: Problem['path']): void {
    ids?.forEach((id, index) => {
      const hold = this.holds.get(id)
      if (!hold) return this.say('unknown-reference', [...path, index], `there is no hold "${id}"`)
      if (by !== 'either' && holder(hold) !== by) {
        this.say('wrong-person', [...path, index], `"${id}" is not one of ${by === 'ours' ? 'our' : 'their'} holds`)
      }
    })
  }

  private sharedLimbs(ids: readonly string[] | undefined, path: Problem['path']): void {
    const taken = new Map<`${Person} ${Limb}`, string>()
    ids?.forEach((id, index) => {
      const hold = this.holds.get(id)
      for (const limb of new Set(hold?.limbs)) {
        const key = `${holder(present(hold))} ${limb}` as const
        const other = taken.get(key)
        if (other !== undefined) {
          this.say('shared-limb', [...path, index], `"${id}" and "${other}" both use the ${limb.replace('-', ' ')}`)
        }
        taken.set(key, id)
      }
    })
  }

  /** The tries of a move or an answer, and its race. */
  private goes(record: Goes, path: Problem['path']): void {
    const { tries = {}, race } = record
    const inTries = [...path, 'tries']
    if (!comesToSomething(wholeOf(record))) {
      this.say('empty-tries', inTries, 'needs a try that lands, ends elsewhere or meets a reaction')
    }
    for (const id of Object.keys(tries.elsewhere ?? {})) this.place(id, [...inTries, 'elsewhere', id], END_IDS)
    this.reactionKeys(tries.reactions, [...inTries, 'reactions'])
    this.refer('reaction', this.reactions, race?.reaction, [...path, 'race', 'reaction'])
  }

  private reactionKeys(counts: Record<string, number> | undefined, path: Problem['path']): void {
    for (const id of Object.keys(counts ?? {})) this.refer('reaction', this.reactions, id, [...path, id])
  }

  private checkPositions(): void {
    this.chart.positions.forEach((position, index) => {
      const path = ['positions', index]
      this.ownedHolds(position.holds, 'either', [...path, 'holds'])
      this.sharedLimbs(position.holds, [...path, 'holds'])
      this.place(position.mirror, [...path, 'mirror'])
      this.place(position.slipsTo, [...path, 'slipsTo'], END_IDS)
      this.seen(position.seen, [...path, 'seen'])
      const counts = position.unprompted?.reactions
      if (!counts) return
      this.reactionKeys(counts, [...path, 'unprompted', 'reactions'])
      if (!Object.values(counts).some((n) => n > 0)) {
        this.say('empty-tries', [...path, 'unprompted', 'reactions'], 'needs a reaction with a count')
      }
    })
  }

  private seen(seen: Record<string, number> | undefined, path: Problem['path']): void {
    if (!seen) return
    const ids = Object.keys(seen).filter((id) => id !== NOTHING_SEEN)
    for (const id of ids) this.refer('cue', this.cues, id, [...path, id])
    if (ids.length > MAX_SEEN) this.say('too-many', path, `has ${ids.length} cues, more than ${MAX_SEEN}`)
    if (!Object.values(seen).some((n) => n > 0)) this.say('empty-tries', path, 'needs a cue with a count')
  }

  /** A move waits only for what may be seen where it is from. */
  private when({ when, from }: Move, path: Problem['path']): void {
    const seen = this.seenIn.get(from)
    when?.forEach((cue, at) => {
      this.refer('cue', this.cues, cue, [...path, at])
      if (!this.positions.has(from) || !this.cues.has(cue) || seen?.[cue] !== undefined) return
      this.say('unknown-reference', [...path, at], `"${cue}" is not among what is seen in "${from}"`)
    })
  }

  private checkMoves(): void {
    this.chart.moves.forEach((move, index) => {
      const path = ['moves', index]
      this.place(move.from, [...path, 'from'])
      this.place(move.to, [...path, 'to'], ['finish'])
      this.place(move.stallsIn, [...path, 'stallsIn'], END_IDS)
      for (const list of ['needs', 'adds', 'drops', 'keeps'] as const) {
        this.ownedHolds(move[list], 'ours', [...path, list])
      }
      this.ownedHolds(move.strips, 'theirs', [...path, 'strips'])
      this.sharedLimbs(move.adds, [...path, 'adds'])
      this.when(move, [...path, 'when'])
      this.movesTries(move, path)
      this.problems.push(...idsUsedTwice(move.checkpoints ?? [], [...path, 'checkpoints']))
      move.checkpoints?.forEach(({ gate }, at) => {
        if (!gate) return
        this.ownedHolds([gate.hold], 'ours', [...path, 'checkpoints', at, 'gate', 'hold'])
        this.ownedHolds([gate.next], 'ours', [...path, 'checkpoints', at, 'gate', 'next'])
      })
    })
  }

  private movesTries(move: Move, path: Problem['path']): void {
    if (isOwn(move)) return this.goes(move, path)
    const says = 'is missing: only a move that is only in reply, or that has a race, goes without'
    if (!move.reply) this.say('missing', [...path, 'tries'], says)
  }

  private checkReactions(): void {
    this.chart.reactions.forEach((reaction, index) => {
      const path = ['reactions', index]
      this.place(reaction.endsIn, [...path, 'endsIn'], END_IDS)
      this.ownedHolds(reaction.strips, 'ours', [...path, 'strips'])
      this.ownedHolds(reaction.adds, 'theirs', [...path, 'adds'])
      this.sharedLimbs(reaction.adds, [...path, 'adds'])
      this.refer('move', this.moves, reaction.mirror, [...path, 'mirror'])
      reaction.breaks?.forEach((id, at) => this.refer('checkpoint', this.checkpoints, id, [...path, 'breaks', at]))
    })
  }

  private checkAnswers(): void {
    const seen = new Set<string>()
    this.chart.answers.forEach((answer, index) => {
      const path = ['answers', index]
      const key = `${answer.reaction} > ${answer.move}`
      if (seen.has(key)) this.say('duplicate-answer', path, `"${answer.move}" answers "${answer.reaction}" twice`)
      seen.add(key)
      this.refer('reaction', this.reactions, answer.reaction, [...path, 'reaction'])
      this.refer('move', this.moves, answer.move, [...path, 'move'])
      this.place(answer.stallsIn, [...path, 'stallsIn'], END_IDS)
      if (isOwn(answer)) this.goes(answer, path)
      else if (this.withoutTries.has(answer.move)) {
        this.say(
          'missing',
          [...path, 'tries'],
          `are missing: "${answer.move}" is only in reply and has none of its own`,
        )
      }
    })
  }

  private checkRuns(): void {
    this.chart.runs?.forEach((run, index) => {
      const path = ['runs', index]
      this.place(run.start, [...path, 'start'])
      run.steps.forEach(({ move, reaction, elsewhere }, at) => {
        this.refer('move', this.moves, move, [...path, 'steps', at, 'move'])
        this.refer('reaction', this.reactions, reaction, [...path, 'steps', at, 'reaction'])
        this.place(elsewhere, [...path, 'steps', at, 'elsewhere'], END_IDS)
      })
    })
  }

  private checkCards(): void {
    this.chart.cards?.forEach(({ position, move, reaction }, index) => {
      const path = ['cards', index]
      this.place(position, [...path, 'position'])
      this.refer('move', this.moves, move, [...path, 'move'])
      this.refer('reaction', this.reactions, reaction, [...path, 'reaction'])
    })
  }
}
