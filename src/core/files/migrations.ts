import { CHART_FORMAT, CHART_VERSION } from '../chart/chart'

/** Each migration takes a file of its number to the next: gap-free, from the oldest that this build reads. */
type Migration = (file: Record<string, unknown>) => Record<string, unknown>

/**
 * Version 0 was never published; it stands for "what came before" so that the way is walked by a test:
 * it called the title `name` and had no `format`.
 */
const fromVersion0: Migration = ({ name, ...rest }) => ({ format: CHART_FORMAT, ...rest, title: rest.title ?? name })

const MIGRATIONS: readonly Migration[] = [fromVersion0]
export const OLDEST_VERSION = CHART_VERSION - MIGRATIONS.length

/** True when `version` is one that `migrate` takes. */
export function isReadable(version: unknown): version is number {
  return Number.isInteger(version) && (version as number) >= OLDEST_VERSION && (version as number) <= CHART_VERSION
}

/** The file at the present version; `version` must be readable. The one passed in is not changed. */
export function migrate(file: Record<string, unknown>, version: number): Record<string, unknown> {
  let migrated = file
  for (let at = version; at < CHART_VERSION; at++) {
    migrated = { ...MIGRATIONS[at - OLDEST_VERSION](migrated), version: at + 1 }
  }
  return migrated
}
