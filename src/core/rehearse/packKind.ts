import { Equals, IsArray, IsIn, IsNumber, IsString, Min } from 'class-validator'
import { Chart } from '../chart/chart'
import { CHART_KIND } from '../chart/chartKind'
import { NOTHING_SEEN } from '../chart/cue'
import { Rehearsed, type Asked } from '../club/rehearsed'
import { IsDay, IsRecordId, IsWord, OneRecord, Optional, Records } from '../document/constraints'
import { isRecord } from '../document/fields'
import type { DocumentKind, Normaliser } from '../document/kind'
import { idsUsedTwice } from '../document/twice'
import type { Problem } from '../problem'
import type { Card } from './cards'
import { CONCEDE, WAIT } from './choices'
import { PACK_FILE } from './packFiles'

/** What a card asks, as it is kept. */
class AskedOf implements Asked {
  @IsRecordId() position!: string
  @Optional() @IsRecordId() move?: string
  @Optional() @IsRecordId() reaction?: string
  @Optional() @IsWord() cue?: string
  @Optional() @IsIn(['theirs']) chair?: 'theirs'
}

/** A question with its answer, as the coach's whole plan has it. */
export class PackCard implements Omit<Card, 'key'> {
  @OneRecord(() => AskedOf) asked!: AskedOf
  @IsRecordId() answer!: string
  @IsArray() @IsRecordId({ each: true }) choices!: string[]
  @Optional() @IsRecordId() then?: string
  @IsNumber() @Min(0) cost!: number
}

/** Which homework it is, and whose. */
export class OfHomework {
  @IsRecordId() id!: string
  @IsWord() title!: string
  /** Ids of the club and of the person there. */
  @IsRecordId() club!: string
  @IsRecordId() us!: string
  /** Id of the chart that it is a part of. */
  @IsRecordId() of!: string
  /** The day on which it was given. */
  @IsDay() given!: string
  /** How its questions went. */
  @Records(() => Rehearsed) rehearsed!: Rehearsed[]
}

/**
 * Homework for one person: a part of a chart, the questions about it, and how they went. Nobody is named in it; who it
 * is for, the coach's club knows by the id.
 */
export class Pack extends OfHomework {
  @Equals(PACK_FILE.format) format!: typeof PACK_FILE.format
  @Equals(PACK_FILE.version) version!: typeof PACK_FILE.version
  /** What the coach says to it. */
  @Optional() @IsString() says?: string
  /** The part, under the id of the pack. */
  @OneRecord(() => Chart) chart!: Chart
  @Records(() => PackCard) cards!: PackCard[]
}

/** The chart in it is brought to today's form as any other is. */
const inThePack =
  (normalise: Normaliser): Normaliser =>
  (file) => {
    if (!isRecord(file.chart)) return file
    const chart = normalise(file.chart)
    return chart === file.chart ? file : { ...file, chart }
  }

/** Homework as documents. */
export const PACK_KIND: DocumentKind<Pack> = {
  ...PACK_FILE,
  root: Pack,
  lists: { cards: PackCard, rehearsed: Rehearsed },
  most: { cards: 2_000, rehearsed: 20_000 },
  keyOf: (list, record) => (list === 'cards' ? JSON.stringify((record as PackCard).asked) : (record as Rehearsed).id),
  migrations: [],
  normalisers: CHART_KIND.normalisers.map(inThePack),
  checkReferences: checkPack,
  sizeOf: ({ cards }) => cards.length,
}

function checkPack({ id, chart, cards, rehearsed }: Pack): Problem[] {
  const known = new Set<string>([
    WAIT,
    CONCEDE,
    NOTHING_SEEN,
    ...[chart.moves, chart.reactions, chart.cues ?? []].flat().map((one) => one.id),
  ])
  const places = new Set<string>(chart.positions.map((one) => one.id))
  const gone = (path: Problem['path'], of: string): Problem[] => [
    { code: 'unknown-reference', path, message: `there is no "${of}" in its chart` },
  ]
  return [
    ...(chart.id === id ? [] : gone(['chart', 'id'], id)),
    ...CHART_KIND.checkReferences(chart).map((one) => ({ ...one, path: ['chart', ...one.path] })),
    ...cards.flatMap(({ asked, answer, choices, then }, i) => [
      ...(places.has(asked.position) ? [] : gone(['cards', i, 'asked', 'position'], asked.position)),
      ...[asked.move, asked.reaction, asked.cue, answer, then, ...choices].flatMap((one) =>
        one === undefined || known.has(one) ? [] : gone(['cards', i], one),
      ),
    ]),
    ...idsUsedTwice(rehearsed, ['rehearsed']),
  ]
}
