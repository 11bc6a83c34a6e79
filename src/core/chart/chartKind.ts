import { fieldsOf } from '../document/fields'
import type { DocumentKind } from '../document/kind'
import { Answer, answerKey } from './answer'
import { Chart, CHART_FORMAT, CHART_VERSION } from './chart'
import { Hold } from './hold'
import { CHART_MIGRATIONS } from './migrations'
import { Move } from './move'
import { FIT_TO_NOTES, RENAME_OVER, ROUNDS_TO_TALLIES } from './normalise'
import { Position } from './position'
import { PositionalRound } from './positionalRound'
import { Reaction } from './reaction'
import { checkReferences } from './references'
import { Run } from './run'

/** Charts as documents. */
export const CHART_KIND: DocumentKind<Chart> = {
  name: 'chart',
  format: CHART_FORMAT,
  version: CHART_VERSION,
  extension: '.ataque.json',
  root: Chart,
  lists: {
    positions: Position,
    holds: Hold,
    moves: Move,
    reactions: Reaction,
    answers: Answer,
    runs: Run,
    cards: PositionalRound,
  },
  keyOf: (list, record) => (list === 'answers' ? answerKey(fieldsOf(record)) : String(fieldsOf(record).id)),
  migrations: CHART_MIGRATIONS,
  normalisers: [RENAME_OVER, ROUNDS_TO_TALLIES, FIT_TO_NOTES],
  checkReferences,
  sizeOf: ({ positions }) => positions.length,
}
