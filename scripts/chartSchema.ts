import 'reflect-metadata/lite'
import { validationMetadatasToSchemas } from 'class-validator-jsonschema'
import { format } from 'prettier'
import { Chart } from '../src/core/chart/chart'
import { MAX_DRILL_STEP, MAX_REACTIONS, MAX_TALLIED, MAX_TRIES } from '../src/core/chart/constraints'
import { classIn } from '../src/core/document/constraints'
import { ID_PATTERN, OVER, RESERVED_IDS } from '../src/core/document/ids'

const count = { type: 'number', minimum: 0, maximum: MAX_TRIES } as const
const atLeastOne = { type: 'number', minimum: 1 } as const
const drillStep = { type: 'number', exclusiveMinimum: 0, maximum: MAX_DRILL_STEP } as const
const strings = { type: 'string' } as const

/** What our own validators say, in the schema's words; the rest has ready-made converters. */
const OURS = {
  isRecordId: { type: 'string', pattern: ID_PATTERN.source, not: { enum: [...RESERVED_IDS] } },
  isPositionId: { type: 'string', pattern: ID_PATTERN.source, not: { enum: [...RESERVED_IDS, OVER] } },
  isDay: { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' },
  isTryWeight: { type: 'number', exclusiveMinimum: 0, maximum: MAX_TALLIED },
  isSeconds: { type: 'integer', minimum: 1, maximum: 86_400 },
  isMeanSeconds: atLeastOne,
  isMeanSecondsOrNever: { anyOf: [atLeastOne, { type: 'null' }] },
  isTryCount: count,
  isTryMap: { type: 'object', additionalProperties: count },
  isReactionMap: { type: 'object', additionalProperties: count, maxProperties: MAX_REACTIONS },
  isWordMap: { type: 'object', additionalProperties: { type: 'string', minLength: 1, maxLength: 200 } },
  isPlaceMap: {
    type: 'object',
    additionalProperties: {
      type: 'object',
      properties: { row: { type: 'integer' }, x: { type: 'number' } },
      required: ['row', 'x'],
    },
  },
  isFactor: { type: 'number', minimum: 0, maximum: 10 },
  isFraction: { type: 'number', minimum: 0, maximum: 1 },
  isDrillStep: drillStep,
  isDrillSteps: { type: 'object', additionalProperties: drillStep },
  isWorth: { type: 'number', minimum: -1, maximum: 1 },
  isWord: { ...strings, minLength: 1, maxLength: 200 },
}

/** What the converter asks of the library that it expects to know the classes of fields. */
const CLASSES = {
  findTypeMetadata: (owner: new () => object, field: string) => {
    const type = classIn(owner, field)
    return type && { typeFunction: () => type }
  },
  getExposedMetadatas: () => [],
  findExcludeMetadata: () => undefined,
}

/** JSON Schema (draft 2020-12) of a chart file: what one record can say of itself; references are checked beside it. */
export function chartSchema() {
  const additionalConverters = Object.fromEntries(
    Object.entries(OURS).map(([name, schema]) => [name, () => schema]),
  ) as never
  const definitions = validationMetadatasToSchemas({
    classTransformerMetadataStorage: CLASSES as never,
    refPointerPrefix: '#/$defs/',
    additionalConverters,
  })
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Ataque chart, version 1',
    $ref: `#/$defs/${Chart.name}`,
    // By name: the order in which classes are loaded is another in a test than in a script.
    $defs: Object.fromEntries(Object.entries(definitions).sort(([a], [b]) => (a < b ? -1 : 1))),
  }
}

/** The schema as it is published. */
export async function chartSchemaText(): Promise<string> {
  return format(JSON.stringify(chartSchema()), { parser: 'json', printWidth: 120 })
}
