import { readFileSync } from 'node:fs'
import { parseArgs, type ParseArgsConfig } from 'node:util'
import type { Chart } from '../core/chart/chart'
import { decodeText } from '../core/document/text'
import { parseChart } from '../core/files/chartFile'
import { messageOf, type Result } from '../core/problem'

/** The command was not called as it should be: exit 2. */
export class UsageError extends Error {}

type Options = NonNullable<ParseArgsConfig['options']>

/** FILEs, so many as are wanted (undefined: any), and the options that the command knows. */
export function filesAndOptions<O extends Options>(args: string[], options: O, wanted?: number) {
  try {
    const { values, positionals } = parseArgs({ args, options, allowPositionals: true })
    if (wanted !== undefined && positionals.length !== wanted)
      throw new UsageError(`${wanted} FILEs are wanted, not ${positionals.length}`)
    return { files: positionals, values }
  } catch (error) {
    if (error instanceof UsageError) throw error
    throw new UsageError(messageOf(error))
  }
}

/** One FILE and the options that the command knows. */
export function fileAndOptions<O extends Options>(args: string[], options: O) {
  const { files, values } = filesAndOptions(args, options)
  const [file, ...others] = files
  if (file === undefined || others.length) throw new UsageError(file ? 'one FILE at a time' : 'which FILE?')
  return { file, values }
}

/** Reads a chart from a file; a file that is not there is wrong usage. */
export function readChartFile(file: string): Result<Chart> {
  const text = readText(file)
  return text.ok ? parseChart(text.value) : text
}

/** Reads a text from a file; a file that is not there is wrong usage. */
export function readText(file: string): Result<string> {
  let bytes: Uint8Array
  try {
    bytes = readFileSync(file)
  } catch (error) {
    throw new UsageError(
      `cannot read ${file}: ${error instanceof Error && 'code' in error ? String(error.code) : messageOf(error)}`,
    )
  }
  return decodeText(bytes)
}
