import { appendFileSync } from 'node:fs'

/* How many faults are tried: few in `npm test`, many in `npm run faults`, which is also told what came of them. */

/** `few` as a rule, `all` where all are asked for. */
export const amount = (few: number, all: number): number => (process.env.FAULTS === 'all' ? all : few)

/** Reports one line: how many faults were tried, what was lost over them, and the worst that came of one. */
export function report(part: string, tried: number, lost: number, worst: string): void {
  const { FAULTS_REPORT: file } = process.env
  if (file) appendFileSync(file, `${part}: ${tried} tried, ${lost} lost, worst: ${worst}\n`)
}
