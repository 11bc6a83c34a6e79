/** A figure of the bench, with the target that it should meet where there is one. */
export interface Row {
  name: string
  what: string
  value: number
  target?: { most?: number; least?: number }
}

export const row = (name: string, what: string, value: number, target?: Row['target']): Row => ({
  name,
  what,
  value,
  ...(target ? { target } : {}),
})

/** The result of `run` and how many milliseconds it took. */
export function timed<T>(run: () => T): [T, number] {
  const from = performance.now()
  const result = run()
  return [result, performance.now() - from]
}

/** Milliseconds of the quickest of `times` runs: the machine's noise only ever adds. */
export function best(times: number, run: () => unknown): number {
  return Math.min(...Array.from({ length: times }, () => timed(run)[1]))
}

/** The quickest of `times` runs of each, taken in turn so that both meet the same noise. */
export function bestInTurn(times: number, ...runs: (() => unknown)[]): number[] {
  const quickest = runs.map(() => Infinity)
  for (let i = 0; i < times; i++) runs.forEach((run, at) => (quickest[at] = Math.min(quickest[at], timed(run)[1])))
  return quickest
}

export function meets({ value, target }: Row): boolean | undefined {
  if (!target) return undefined
  return value <= (target.most ?? Infinity) && value >= (target.least ?? -Infinity)
}

const figure = (value: number) =>
  Number.isInteger(value) ? String(value) : Math.abs(value) < 0.001 ? value.toExponential(1) : value.toPrecision(4)

/** The rows as an aligned table. */
export function table(rows: Row[]): string {
  const cells = rows.map((entry) => {
    const { name, what, value, target } = entry
    const wanted = target ? (target.most !== undefined ? `at most ${target.most}` : `at least ${target.least}`) : ''
    return [name, what, figure(value), wanted, target ? (meets(entry) ? 'met' : 'missed') : '']
  })
  const widths = [0, 1, 2, 3].map((i) => Math.max(...cells.map((line) => line[i].length)))
  return cells
    .map((line) => line.map((cell, i) => (i === 2 ? cell.padStart(widths[2]) : cell.padEnd(widths[i] ?? 0))).join('  '))
    .join('\n')
}
