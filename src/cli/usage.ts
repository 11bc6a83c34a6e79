import { readFileSync } from 'node:fs'
import { parseArgs, type ParseArgsConfig } from 'node:util'
import type { Chart } from '../core/chart/chart'
import { decodeText } from '../core/document/text'
import { parseChart } from '../core/files/chartFile'
import { messageOf, type Result } from '../core/problem'

/** The command was not called as it should be: exit 2. */
export class UsageError extends Error {}

/** One FILE and the options that the command knows. */
export function fileAndOptions<O extends NonNullable<ParseArgsConfig['options']>>(args: string[], options: O) {
  try {
    const { values, positionals } = parseArgs({ args, options, allowPositionals: true })
    const [file, ...others] = positionals
    if (file === undefined || others.length) throw new UsageError(file ? 'one FILE at a time' : 'which FILE?')
    return { file, values }
  } catch (error) {
    if (error instanceof UsageError) throw error
    throw new UsageError(messageOf(error))
  }
}

/** Reads a chart from a file; a file that is not there is wrong usage. */
export function readChartFile(file: string): Result<Chart> {
  let bytes: Uint8Array
  try {
    bytes = readFileSync(file)
  } catch (error) {
    throw new UsageError(
      `cannot read ${file}: ${error instanceof Error && 'code' in error ? String(error.code) : messageOf(error)}`,
    )
  }
  const text = decodeText(bytes)
  return text.ok ? parseChart(text.value) : text
}
