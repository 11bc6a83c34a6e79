import fc from 'fast-check'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import type { AnyDocument, DocumentKind } from '../../src/core/document/kind'
import { makeDocument, readDocument } from '../../src/core/document/read'
import { ownShelf, SHELF_KIND } from '../../src/core/shelf/shelfKind'
import { soundChart } from '../fixtures/brokenCharts'
import { smallRegion } from '../fixtures/smallShelf'
import { taken } from '../reference/taken'

/* Whatever shape JSON has: a reader gives a document or named problems, and never throws. */

type Json = unknown
type Path = (string | number)[]

/** Paths to every value in `json`, the whole included. */
function pathsIn(json: Json, at: Path = []): Path[] {
  if (typeof json !== 'object' || json === null) return [at]
  const keys: (string | number)[] = Array.isArray(json) ? [...json.keys()] : Object.keys(json)
  return [at, ...keys.flatMap((key) => pathsIn((json as Record<string | number, Json>)[key], [...at, key]))]
}

function replaced(json: Json, [key, ...rest]: Path, value: Json): Json {
  if (key === undefined) return value
  const copy = (Array.isArray(json) ? [...(json as Json[])] : { ...(json as object) }) as Record<string | number, Json>
  copy[key] = replaced(copy[key], rest, value)
  return copy
}

const FULL_CHART = {
  ...soundChart(),
  settings: { breakUp: 60, repeat: 0.5, ends: { ours: 0.2 }, words: { over: 'top' }, rules: 'none' },
  runs: [{ id: 'up', name: 'Up', start: 'side', steps: [{ move: 'step', reaction: 'bridge' }] }],
  cards: [],
}
const SHELF = ownShelf(smallRegion())

/** Any JSON value, those among them that a reader is most likely to trip over. */
const anything = fc.oneof(
  fc.constantFrom<Json>(
    null,
    5,
    -1,
    0,
    '',
    'side',
    true,
    [],
    {},
    [null],
    [[]],
    [[{}]],
    [{}],
    { id: 5 },
    [5],
    'a\u0000',
  ),
  fc.jsonValue({ maxDepth: 3 }),
)

const FILES: [name: string, kind: DocumentKind<AnyDocument>, file: object][] = [
  ['chart', CHART_KIND as never, FULL_CHART],
  ['shelf', SHELF_KIND as never, JSON.parse(makeDocument(SHELF)) as object],
]

describe.each(FILES)('the reader of a %s', (_, kind, file) => {
  it('reads the file itself', () => {
    expect(readDocument(kind, file).ok).toBe(true)
  })

  it('makes of any JSON in any place a document that comes out as it came in, or named problems', () => {
    const paths = pathsIn(file)
    fc.assert(
      fc.property(fc.constantFrom(...paths), anything, (path, value) => {
        const read = readDocument(kind, JSON.parse(JSON.stringify(replaced(file, path, value))))
        if (!read.ok) {
          expect(read.problems.length).toBeGreaterThan(0)
          for (const problem of read.problems) expect(problem.message.length).toBeGreaterThan(3)
          return
        }
        expect(taken(readDocument(kind, JSON.parse(makeDocument(read.value))))).toEqual(read.value)
      }),
      { numRuns: 2_500, seed: 14 },
    )
  })
})
