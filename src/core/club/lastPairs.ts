import type { Club } from './clubKind'

/** Who worked with whom in the last class of which rounds were logged. */
export function lastPairs({ rounds }: Pick<Club, 'rounds'>): string[][] {
  const last = rounds.reduce((latest, { when }) => (when > latest ? when : latest), '')
  const pairs = new Map<string, string[]>()
  for (const { when, us, them } of rounds) {
    if (when === last && us !== undefined && them !== undefined) pairs.set([us, them].sort().join(' '), [us, them])
  }
  return [...pairs.values()]
}
