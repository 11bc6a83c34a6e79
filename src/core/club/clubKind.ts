import { Equals, IsObject, IsString } from 'class-validator'
import {
  constraint,
  IsRecordId,
  isMapOf,
  isNumber,
  IsWord,
  OneRecord,
  Optional,
  Records,
} from '../document/constraints'
import type { DocumentKind } from '../document/kind'
import { idsUsedTwice } from '../document/twice'
import type { Problem } from '../problem'
import { Bout } from './bout'
import { CLUB_FILE } from './clubFile'
import { Homework } from './homework'
import { Limits } from './limits'
import { Live } from './live/liveRecords'
import { RoundFact, TryFact } from './logRecords'
import { ClubPerson } from './person'
import { Rehearsed } from './rehearsed'
import { Session } from './session'
import { Trial } from './trial'

const MOST_FACTOR = 100
const AreFactors = constraint(
  'areFactors',
  `must be an object of numbers above 0, to ${MOST_FACTOR}`,
  (map) => isMapOf(map, (factor) => isNumber(factor) && factor > 0 && factor <= MOST_FACTOR),
  { code: 'out-of-range' },
)

/**
 * Who trains together, their classes, and what happened in them. Charts, moves and positions are named by id, and may
 * be gone.
 */
export class Club {
  @Equals(CLUB_FILE.format) format!: typeof CLUB_FILE.format
  @Equals(CLUB_FILE.version) version!: typeof CLUB_FILE.version
  @IsRecordId() id!: string
  @IsWord() title!: string
  @Records(() => ClubPerson) people!: ClubPerson[]
  @Records(() => Session) sessions!: Session[]
  @Records(() => RoundFact) rounds!: RoundFact[]
  @Records(() => TryFact) tries!: TryFact[]
  @Optional() @Records(() => Bout) bouts?: Bout[]
  @Optional() @Records(() => Trial) trials?: Trial[]
  /** Answers that people were asked for. */
  @Optional() @Records(() => Rehearsed) rehearsed?: Rehearsed[]
  @Optional() @Records(() => Homework) homework?: Homework[]
  /** The class that is on now. */
  @Optional() @OneRecord(() => Live) live?: Live
  @Optional() @OneRecord(() => Limits) limits?: Limits
  /** Factors of the rules of thumb about bodies, by name; ours where they are absent. */
  @Optional() @IsObject() @AreFactors() bodyRules?: Record<string, number>
  @Optional() @IsString() notes?: string
}

/** A club with nobody in it. */
export const emptyClub = (id: string, title: string): Club => ({
  ...{ format: CLUB_FILE.format, version: CLUB_FILE.version, id, title },
  ...{ people: [], sessions: [], rounds: [], tries: [] },
})

/** Clubs as documents. */
export const CLUB_KIND: DocumentKind<Club> = {
  ...CLUB_FILE,
  root: Club,
  lists: {
    people: ClubPerson,
    sessions: Session,
    rounds: RoundFact,
    tries: TryFact,
    bouts: Bout,
    trials: Trial,
    rehearsed: Rehearsed,
    homework: Homework,
  },
  most: {
    people: 1_000,
    sessions: 5_000,
    rounds: 100_000,
    tries: 200_000,
    bouts: 10_000,
    trials: 1_000,
    rehearsed: 100_000,
    homework: 10_000,
  },
  migrations: [],
  normalisers: [],
  checkReferences: checkClub,
  sizeOf: ({ people }) => people.length,
}

/** Unique ids, and people that are in the club. What a chart has is not asked: it may be gone. */
function checkClub(club: Club): Problem[] {
  const known = new Set(club.people.map(({ id }) => id))
  return [
    ...(['people', 'sessions', 'rounds', 'tries'] as const).flatMap((list) => idsUsedTwice(club[list], [list])),
    ...club.sessions.flatMap(({ blocks }, i) => idsUsedTwice(blocks, ['sessions', i, 'blocks'])),
    ...club.people.flatMap(({ notWith = [] }, i) => unknown(known, notWith, ['people', i, 'notWith'])),
    ...club.sessions.flatMap(({ people }, i) => unknown(known, people, ['sessions', i, 'people'])),
    ...club.sessions.flatMap(({ gi = [] }, i) => unknown(known, gi, ['sessions', i, 'gi'])),
    ...club.sessions.flatMap(({ blocks }, i) =>
      blocks.flatMap(({ shownOn }, k) =>
        unknown(known, shownOn === undefined ? [] : [shownOn], ['sessions', i, 'blocks', k, 'shownOn'], true),
      ),
    ),
    ...idsUsedTwice(club.bouts ?? [], ['bouts']),
    ...idsUsedTwice(club.trials ?? [], ['trials']),
    ...(club.bouts ?? []).flatMap(({ athlete }, i) => unknown(known, [athlete], ['bouts', i, 'athlete'], true)),
    ...checkLive(club),
    ...idsUsedTwice(club.rehearsed ?? [], ['rehearsed']),
    ...(club.rehearsed ?? []).flatMap(({ us }, i) =>
      unknown(known, us === undefined ? [] : [us], ['rehearsed', i, 'us'], true),
    ),
    ...idsUsedTwice(club.homework ?? [], ['homework']),
    ...(club.homework ?? []).flatMap(({ us }, i) => unknown(known, [us], ['homework', i, 'us'], true)),
    ...(['rounds', 'tries'] as const).flatMap((list) =>
      club[list].flatMap(({ us, them }, i) => [
        ...unknown(known, us === undefined ? [] : [us], [list, i, 'us'], true),
        ...unknown(known, them === undefined ? [] : [them], [list, i, 'them'], true),
      ]),
    ),
  ]
}

/** The class that is on, and its block, are there. Who is on the mats may be a guest. */
function checkLive({ live, sessions }: Club): Problem[] {
  if (!live) return []
  const session = sessions.find(({ id }) => id === live.session)
  const gone = (field: string, id: string): Problem[] => [
    { code: 'unknown-reference', path: ['live', field], message: `there is no ${field} "${id}"` },
  ]
  if (!session) return gone('session', live.session)
  return session.blocks.some(({ id }) => id === live.block) ? [] : gone('block', live.block)
}

const unknown = (known: ReadonlySet<string>, ids: readonly string[], path: Problem['path'], isOne = false): Problem[] =>
  ids.flatMap((id, i): Problem[] =>
    known.has(id)
      ? []
      : [{ code: 'unknown-reference', path: isOne ? path : [...path, i], message: `there is nobody "${id}"` }],
  )
