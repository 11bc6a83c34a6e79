import { Equals } from 'class-validator'
import { Rehearsed } from '../club/rehearsed'
import type { DocumentKind } from '../document/kind'
import { idsUsedTwice } from '../document/twice'
import { ANSWERS_FILE } from './packFiles'
import { OfHomework, type Pack } from './packKind'

/** How the questions of some homework went: what comes back to the coach. */
export class Answers extends OfHomework {
  @Equals(ANSWERS_FILE.format) format!: typeof ANSWERS_FILE.format
  @Equals(ANSWERS_FILE.version) version!: typeof ANSWERS_FILE.version
}

/** Answers as documents. */
export const ANSWERS_KIND: DocumentKind<Answers> = {
  ...ANSWERS_FILE,
  root: Answers,
  lists: { rehearsed: Rehearsed },
  most: { rehearsed: 20_000 },
  migrations: [],
  normalisers: [],
  checkReferences: ({ rehearsed }) => idsUsedTwice(rehearsed, ['rehearsed']),
  sizeOf: ({ rehearsed }) => rehearsed.length,
}

/** What of a pack goes back to the coach. */
export const answersOf = ({ id, title, club, us, of, given, rehearsed }: Pack): Answers => ({
  ...{ format: ANSWERS_FILE.format, version: ANSWERS_FILE.version, id, title, club, us, of, given, rehearsed },
})
