import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import { blockMoves } from './blockMoves'
import type { Club } from './clubKind'
import { limitsOf, OUR_LIMITS, type Limits } from './limits'
import { isBeginner, isMinor, isUnder14, type ClubPerson, type Spared } from './person'
import type { Block, Guests, Opened, Session } from './session'
import { knownOf } from './whoIsThere'

/** Why somebody there is kept from something. */
export type Reason = 'under-14' | 'under-18' | 'first-months' | 'spared' | 'shown-on-minor'

/** Something that is refused, and for whom. */
export interface Refused {
  /** A tag of moves, `finish` for every finish, or the part that is spared. */
  tag: string
  because: Reason
  /** Ids of people; a guest has none. */
  people: string[]
  /** It stays refused whatever reason a coach gives. */
  isAlways: boolean
}

type Someone = Pick<ClubPerson, 'ageBand' | 'experience' | 'spares'> & { id?: string }

/** Guests as people of whom nothing is known but their age: they count as beginners. */
const asPeople = ({ adults, children }: Guests): Someone[] => [
  ...Array.from({ length: adults }, (): Someone => ({})),
  ...Array.from({ length: children }, (): Someone => ({ ageBand: 'under-10' })),
]

/** What one person is kept from, besides what must be spared. */
function refusedToOne(one: Someone, { under14, under18, firstMonths }: Required<Limits>): Omit<Refused, 'people'>[] {
  const limits = (tags: readonly string[], because: Reason, isAlways = false) =>
    tags.map((tag) => ({ tag, because, isAlways }))
  return [
    ...(isUnder14(one) ? limits(under14, 'under-14') : []),
    ...(isMinor(one) && !isUnder14(one) ? limits(under18, 'under-18') : []),
    ...(isMinor(one) ? limits(['strikes'], 'under-18', true) : []),
    ...(!isMinor(one) && isBeginner(one) ? limits(firstMonths, 'first-months') : []),
  ]
}

/**
 * What is refused where these people are together: the stricter rule governs all. By our limits, or those of the club;
 * the federation's rules and the law come first.
 */
export function refusedFor(
  people: readonly ClubPerson[],
  guests: Guests = { adults: 0, children: 0 },
  limits: Required<Limits> = OUR_LIMITS,
): Refused[] {
  const found = new Map<string, Refused>()
  for (const one of [...people, ...asPeople(guests)] as Someone[]) {
    for (const limit of refusedToOne(one, limits)) {
      const key = `${limit.tag} ${limit.because}`
      const refused = found.get(key) ?? { ...limit, people: [] }
      if (one.id !== undefined) refused.people.push(one.id)
      found.set(key, refused)
    }
  }
  return [...found.values()]
}

/** Which of what is refused a move is. */
export function refusedOf(move: Pick<Move, 'to' | 'tags'>, refused: readonly Refused[]): Refused[] {
  const is = (tag: string) => (tag === 'finish' ? move.to === 'finish' : (move.tags ?? []).includes(tag))
  return refused.filter(({ tag }) => is(tag))
}

/** What is still refused once a coach has opened some of it, each with a reason. */
export const stillRefused = (refused: readonly Refused[], opened: readonly Opened[] = []): Refused[] =>
  refused.filter(({ tag, isAlways }) => isAlways || !opened.some((one) => one.tag === tag && one.reason.trim() !== ''))

/**
 * What of what somebody must spare a move could hurt, on whichever side: moves are done on both. The move in which it
 * was hurt is one of them.
 */
export function hurts({ id, hazard }: Pick<Move, 'id' | 'hazard'>, spares: readonly Spared[] = []): Spared[] {
  const part = hazard?.part?.toLowerCase() ?? ''
  return spares.filter((one) => one.move === id || part.includes(one.part.toLowerCase()))
}

/** What is spared is told of each by itself. */
const whose = ({ because, people }: Refused) => (because === 'spared' ? people.join(' ') : '')

/** Whether some people, guests too, may all do a move: none of it is refused, and it spares what must be spared. */
export function mayAllDo(
  people: readonly ClubPerson[],
  limits: Required<Limits>,
  opened: readonly Opened[] = [],
): (move: Move) => boolean {
  const refused = stillRefused(refusedFor(people, undefined, limits), opened)
  const spares = people.flatMap((one) => one.spares ?? [])
  return (move) => !refusedOf(move, refused).length && !hurts(move, spares).length
}

/** The tags of what strangles. */
const STRANGLES: readonly string[] = ['choke', 'mouth-covering']
export const strangles = ({ tags = [] }: Pick<Move, 'tags'>): boolean => tags.some((tag) => STRANGLES.includes(tag))

/** What somebody must spare that some moves could hurt; it can be opened, for them to sit out, unless `isAlways`. */
const sparedBy = ({ id, spares }: ClubPerson, moves: readonly Move[], isAlways: boolean): Refused[] =>
  moves
    .flatMap((move) => hurts(move, spares))
    .map(({ part }) => ({ tag: part, because: 'spared', people: [id], isAlways }))

/** What of some moves must not be shown on somebody: what they must spare, and on a minor no strangle. */
function refusedOn(partner: ClubPerson, moves: readonly Move[]): Refused[] {
  const spared = sparedBy(partner, moves, true)
  if (!isMinor(partner) || !moves.some(strangles)) return spared
  return [{ tag: 'choke', because: 'shown-on-minor', people: [partner.id], isAlways: true }, ...spared]
}

/**
 * What of a block is refused for somebody who comes to a class, or for whom it is shown on, and has not been opened;
 * each once.
 */
export function refusedInBlock(
  club: Pick<Club, 'people' | 'limits'>,
  session: Session,
  chart: Chart,
  block: Block,
): Refused[] {
  const people = knownOf(club, session)
  const refused = stillRefused(refusedFor(people, session.guests, limitsOf(club)), session.opened)
  const moves = blockMoves(chart, block)
  const partner = lookUp(club.people, block.shownOn)
  const spared = stillRefused(
    people.flatMap((one) => sparedBy(one, moves, false)),
    session.opened,
  )
  // What is never opened comes last, and so stands where the same is refused twice.
  const found = [
    ...moves.flatMap((move) => refusedOf(move, refused)),
    ...spared,
    ...(partner ? refusedOn(partner, moves) : []),
  ]
  return [...new Map(found.map((one) => [`${one.tag} ${one.because} ${whose(one)}`, one])).values()]
}

/** The word under which a coach opens that minors work with adults; never for strangles or leg locks. */
export const MINORS_WITH_ADULTS = 'minors-with-adults'

/** The coach's reason for it in a class; empty where there is none. */
export const minorsWithAdultsIn = ({ opened = [] }: Pick<Session, 'opened'>): string =>
  opened.find(({ tag }) => tag === MINORS_WITH_ADULTS)?.reason ?? ''
