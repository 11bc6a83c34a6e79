import type { DocumentKind } from '../document/kind'
import { CHAIN_LISTS, CHAIN_NORMALISERS, chainKey, MAX_CHAIN } from './chainRecords'
import { Chart, CHART_FORMAT, CHART_VERSION } from './chart'
import { CHART_MIGRATIONS } from './migrations'
import { PositionalRound } from './positionalRound'
import { checkReferences } from './references'
import { Run } from './run'

/** Charts as documents. */
export const CHART_KIND: DocumentKind<Chart> = {
  name: 'chart',
  format: CHART_FORMAT,
  version: CHART_VERSION,
  extension: '.ataque.json',
  root: Chart,
  lists: { ...CHAIN_LISTS, runs: Run, cards: PositionalRound },
  most: { ...MAX_CHAIN, runs: 1_000, cards: 5_000 },
  keyOf: chainKey,
  migrations: CHART_MIGRATIONS,
  normalisers: CHAIN_NORMALISERS,
  checkReferences,
  sizeOf: ({ positions }) => positions.length,
}
