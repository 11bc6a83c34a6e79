import type { Migration } from '../document/kind'

/**
 * Version 0 was never published; it stands for "what came before" so that the way is walked by a test:
 * it called the title `name` and had no `format`.
 */
const fromVersion0: Migration = ({ name, ...rest }) => ({
  format: 'ataque-chart',
  ...rest,
  title: rest.title ?? name,
})

/** From version 0 on, gap-free. */
export const CHART_MIGRATIONS: readonly Migration[] = [fromVersion0]
