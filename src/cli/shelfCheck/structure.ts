import { comesToSomething, reactionsMet, totalOf, wholeOf } from '../../core/chart/tries'
import { lookUp } from '../../core/chart/lookUp'
import { flowHolds } from '../../core/shelf/flows'
import { REASONS } from '../../core/shelf/reasons'
import type { Shelf } from '../../core/shelf/shelf'
import type { ShelfAnswer, ShelfMove } from '../../core/shelf/shelfRecords'

/** A kind of fault of the Shelf, and the records that have it. */
export interface Row {
  what: string
  find: (shelf: Shelf) => string[]
  /** It names records of our Shelf, and asks nothing of any other. */
  isOfOurs?: true
}

const tried = (move: ShelfMove) => [move.from, ...(move.alsoFrom ?? [])]
const weighed = (counts: Record<string, number> | undefined) =>
  Object.entries(counts ?? {}).flatMap(([id, n]) => (n > 0 ? [id] : []))
/** An answer is told by what it answers with what. */
const nameOf = (one: ShelfMove | ShelfAnswer) => ('id' in one ? one.id : `${one.reaction} > ${one.move}`)
const fraction = (one: ShelfMove | ShelfAnswer) => (10 * (one.tries?.lands ?? 0)) / totalOf(wholeOf(one))
/** Moves and answers that say how they go. */
const goes = ({ moves, answers }: Shelf) => [...moves, ...answers].filter((one) => comesToSomething(wholeOf(one)))

/** Where something leads: from moves, answers, what fails, and what they do. */
function ledTo({ moves, answers, reactions }: Shelf): Set<string> {
  const places = [...moves, ...answers].flatMap((one) => [one.stallsIn ?? '', ...weighed(one.tries?.elsewhere)])
  return new Set([...places, ...moves.map(({ to }) => to), ...reactions.map(({ endsIn }) => endsIn)])
}

const met = ({ moves, answers, positions }: Shelf): Set<string> =>
  new Set([
    ...[...moves, ...answers].flatMap(reactionsMet),
    ...positions.flatMap(({ unprompted }) => weighed(unprompted?.reactions)),
  ])

const LEFTOVER =
  /\bsection \d|garbled|by voice|advertised|done elsewhere|\bn\/a\b|stressed twice|\((which|see)\)|see next|geometry says/i

/** What must hold of the Shelf as it is written. */
export const STRUCTURE: readonly Row[] = [
  {
    what: 'positions with nothing to do',
    find: (shelf) => {
      const from = new Set(shelf.moves.filter(({ reply }) => !reply).flatMap(tried))
      return shelf.positions.filter(({ id }) => !from.has(id)).map(({ id }) => id)
    },
  },
  {
    what: 'positions that nothing leads to and that do not say that one begins there',
    find: (shelf) => {
      const into = ledTo(shelf)
      return shelf.positions.filter(({ id, begins }) => !begins && !into.has(id)).map(({ id }) => id)
    },
  },
  {
    what: 'reactions that nothing meets',
    find: (shelf) => {
      const here = met(shelf)
      return shelf.reactions.filter(({ id }) => !here.has(id)).map(({ id }) => id)
    },
  },
  {
    what: 'reactions without an answer that do not say so',
    find: ({ reactions, answers }) => {
      const answered = new Set<string>(answers.map(({ reaction }) => reaction))
      return reactions.filter(({ id, open }) => !open && !answered.has(id)).map(({ id }) => id)
    },
  },
  {
    what: 'positions in which they hold the neck or an arm and threaten nothing',
    find: ({ positions }) =>
      positions
        .filter(({ ahead, family, threat }) => ahead === 'theirs' && HOLDING.has(family) && !threat)
        .map(({ id }) => id),
  },
  {
    what: 'positions with a frame, somebody ahead and no hold',
    find: ({ positions }) =>
      positions.filter(({ frame, ahead, holds }) => frame && ahead !== 'even' && !holds?.length).map(({ id }) => id),
  },
  {
    what: 'steps that say until when and have no gate',
    find: ({ moves }) =>
      moves.flatMap(({ checkpoints = [] }) => checkpoints.filter((one) => one.until && !one.gate).map(({ id }) => id)),
  },
  {
    what: 'moves that say what must be on first and need nothing',
    find: ({ moves }) => moves.filter(({ holdsFirst, needs }) => holdsFirst && !needs?.length).map(({ id }) => id),
  },
  {
    what: 'tries outside the range of their reason, or without one',
    find: (shelf) =>
      goes(shelf)
        .filter((one) => {
          const [least = 1, most = 0] = one.reason ? REASONS[one.reason].lands : []
          return fraction(one) < least - 1e-9 || fraction(one) > most + 1e-9
        })
        .map(nameOf),
  },
  {
    what: 'partners in the other chair that do not name each other, or are of the same chair',
    find: ({ positions }) =>
      positions
        .filter(({ mirror, id, ahead }) => {
          const other = mirror && lookUp(positions, mirror)
          return mirror && (!other || other.mirror !== id || (other.ahead === ahead && ahead !== 'even'))
        })
        .map(({ id }) => id),
  },
  {
    what: 'flow drills that do not go round',
    find: ({ flows, moves }) => flows.filter((flow) => !flowHolds(flow, moves)).map(({ id }) => id),
  },
  {
    what: 'gates on a hold that cannot be on, or that wait for one which is not put on',
    find: ({ moves, positions }) =>
      moves.flatMap(({ from, to, needs = [], adds = [], checkpoints = [] }) => {
        const on = [...needs, ...(lookUp(positions, from)?.holds ?? [])]
        const then = [...adds, ...(to === 'finish' ? [] : (lookUp(positions, to)?.holds ?? []))]
        return checkpoints
          .filter(({ gate }) => gate && !(on.includes(gate.hold) && then.includes(gate.next)))
          .map(({ id }) => id)
      }),
  },
  {
    what: 'moves that only what they do gives, and that are tried cold where something else can be',
    find: ({ moves, answers }) => {
      const answering = new Set<string>(answers.map(({ move }) => move))
      const cold = (from: string) => moves.filter((one) => one.from === from && !one.reply).length
      return moves
        .filter(({ reason, reply, when }) => (reason === 'given' || reason === 'on-the-way') && !reply && !when?.length)
        .filter(({ id, from }) => answering.has(id) && cold(from) > 1 && !SAT_UP.has(from))
        .map(({ id }) => id)
    },
  },
  {
    what: 'texts with leftovers',
    find: (shelf) =>
      [...shelf.positions, ...shelf.moves, ...shelf.reactions, ...shelf.holds]
        .filter((record) => LEFTOVER.test(JSON.stringify(record)))
        .map(({ id }) => id),
  },
]

/** Here there are only such moves: which of them, they decide. */
const SAT_UP = new Set<string>(['guard-sit-up-overhook'])
const HOLDING = new Set(['back', 'crucifix', 'headlock', 'mount'])
