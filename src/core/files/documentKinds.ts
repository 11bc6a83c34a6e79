import { CHART_KIND } from '../chart/chartKind'
import type { Chart } from '../chart/chart'
import { CLUB_KIND, type Club } from '../club/clubKind'
import type { AnyDocument, DocumentKind } from '../document/kind'
import { parsingJob } from '../document/read'
import { ANSWERS_KIND, type Answers } from '../rehearse/answersKind'
import { PACK_KIND, type Pack } from '../rehearse/packKind'
import type { Job } from '../job'
import type { Result } from '../problem'
import { SHELF_KIND, type OwnShelf } from '../shelf/shelfKind'

/** What is in the files of each kind, by the kind's name. */
export interface Documents {
  chart: Chart
  shelf: OwnShelf
  club: Club
  pack: Pack
  answers: Answers
}
export type KindName = keyof Documents

const KINDS_OF: { [N in KindName]: DocumentKind<Documents[N]> } = {
  ...{ chart: CHART_KIND, shelf: SHELF_KIND, club: CLUB_KIND, pack: PACK_KIND, answers: ANSWERS_KIND },
}
/** The same, for work that is the same whatever the kind. */
export const KINDS = KINDS_OF as unknown as Record<KindName, DocumentKind<AnyDocument>>

export const isKindName = (name: unknown): name is KindName => typeof name === 'string' && Object.hasOwn(KINDS_OF, name)

/** The document of a kind in a file's text, or every problem with its place; in steps. */
export function* parsingJobOf<N extends KindName>(name: N, text: string): Job<Result<Documents[N]>> {
  const kind: DocumentKind<Documents[N]> = KINDS_OF[name]
  return yield* parsingJob<Documents[N] & AnyDocument>(kind, text)
}
