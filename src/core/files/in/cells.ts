import { nameKey } from '../../notation/fork'
import type { Row } from './readTable'

/* Cells of rows as values. What a cell cannot be is thrown, with its column. */

/** What is wrong with a row, and in which of its columns. */
export class Wrong extends Error {
  constructor(
    readonly column: string,
    message: string,
  ) {
    super(message)
  }
}

/** The cell of a column that may not be empty. */
export function need({ cells }: Row, column: string): string {
  const cell = cells[column]
  if (cell === undefined) throw new Wrong(column, 'is empty')
  return cell
}

/** A number with a point or a comma. */
export function number(column: string, cell: string): number {
  const value = Number(cell.replace(',', '.'))
  if (!Number.isFinite(value)) throw new Wrong(column, `"${cell}" is no number`)
  return value
}

/** One of some words. */
export function oneOf<T extends string>(words: readonly T[], column: string, cell: string): T {
  const found = words.find((word) => word === nameKey(cell))
  if (!found) throw new Wrong(column, `"${cell}" is not one of ${words.join(', ')}`)
  return found
}
