import { CHART_FORMAT, CHART_VERSION, type Chart } from '../chart/chart'
import { checkReferences } from '../chart/references'
import { checkStructure } from '../chart/structure'
import { failure, success, type Problem, type Result } from '../problem'
import { MAX_BYTES, unsafeContent } from './guard'
import { isReadable, migrate } from './migrations'

export const CHART_EXTENSION = '.ataque.json'

/** A chart's file: UTF-8 JSON with the fields in the order in which they came. */
export function makeChart(chart: Chart): string {
  return JSON.stringify(chart, null, 2) + '\n'
}

/**
 * The chart in a file's text, or every problem with its place.
 * Fields that this build does not know are kept as they are.
 */
export function parseChart(text: string): Result<Chart> {
  if (utf8Bytes(text) > MAX_BYTES) return refuse('too-large', `the file is larger than ${MAX_BYTES / 1024 / 1024} MB`)
  let data: unknown
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (error) {
    return refuse('not-json', `the file is not JSON: ${(error as Error).message}`)
  }
  return readChart(data)
}

/** The chart in parsed JSON; see `parseChart`. */
export function readChart(data: unknown): Result<Chart> {
  const unsafe = unsafeContent(data)
  if (unsafe.length) return failure(...unsafe)
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return refuse('not-a-chart', 'the file is not a chart: it should be one object')
  }
  const file = data as Record<string, unknown>
  if (file.format !== CHART_FORMAT && file.version !== 0) {
    return refuse('not-a-chart', `the file is not a chart: its format should be "${CHART_FORMAT}"`, ['format'])
  }
  if (!isReadable(file.version)) {
    const found = file.version === undefined ? 'none' : JSON.stringify(file.version)
    return refuse('unsupported-version', `this build reads version ${CHART_VERSION}; the file has ${found}`, [
      'version',
    ])
  }
  return checkChart(migrate(file, file.version))
}

function checkChart(data: object): Result<Chart> {
  const structure = checkStructure(data)
  if (structure.length) return failure(...structure.map((problem) => named(problem, data)))
  const chart = data as Chart
  const references = checkReferences(chart)
  return references.length ? failure(...references.map((problem) => named(problem, data))) : success(chart)
}

const refuse = (code: string, message: string, path: Problem['path'] = []) => failure<Chart>({ code, path, message })

/** Puts the record's id before the message, since nobody counts to `moves[37]`. */
function named(problem: Problem, data: object): Problem {
  const [kind, index] = problem.path
  const records = (data as Record<string, unknown>)[String(kind)]
  if (typeof index !== 'number' || !Array.isArray(records)) return problem
  const record = records[index] as Record<string, unknown> | null
  const label = record?.id ?? (record?.reaction && record?.move ? `${record.reaction} > ${record.move}` : undefined)
  return typeof label === 'string' ? { ...problem, message: `(${label}) ${problem.message}` } : problem
}

/** Bytes of the text in UTF-8, without the platform's encoder. */
function utf8Bytes(text: string): number {
  if (text.length > MAX_BYTES) return text.length
  let bytes = text.length
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (code > 0x7f) bytes += code > 0x7ff && (code < 0xd800 || code > 0xdfff) ? 2 : 1
  }
  return bytes
}
