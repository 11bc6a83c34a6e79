// What the tests made of the faults of one area.
import { readFileSync } from 'node:fs'
import { EQUIVALENT } from './equivalent.mjs'
import { nameOf } from './sample.mjs'

/** Noticed faults of 100 that an area needs. */
const NEEDED = 80
const NOTICED = new Set(['Killed', 'Timeout', 'RuntimeError'])

/** The source text that `mutant` takes the place of. */
function sourceOf({ fileName, location: { start, end } }) {
  const lines = readFileSync(fileName, 'utf8')
    .split('\n')
    .slice(start.line, end.line + 1)
  lines[lines.length - 1] = lines.at(-1).slice(0, end.column)
  lines[0] = lines[0].slice(start.column)
  return lines.join('\n')
}

const isEquivalent = (mutant) => {
  const from = sourceOf(mutant)
  return EQUIVALENT.some(
    (known) => mutant.fileName.endsWith(known.file) && known.from === from && known.to === mutant.replacement,
  )
}

const oneLine = (text) => text.replace(/\s+/g, ' ').slice(0, 90)

/** Prints the faults that nothing noticed and the share noticed; true when the area has enough. */
export function report(area, mutants) {
  const missed = mutants.filter(({ status }) => !NOTICED.has(status))
  const real = missed.filter((mutant) => !isEquivalent(mutant))
  for (const mutant of real) {
    console.log(
      `  ${mutant.status}: ${nameOf(mutant).split(' ')[0]}  ${oneLine(sourceOf(mutant))}  →  ${oneLine(mutant.replacement)}`,
    )
  }
  const tried = mutants.length - (missed.length - real.length)
  const share = tried === 0 ? 0 : (100 * (tried - real.length)) / tried
  console.log(`${area}: ${tried - real.length} of ${tried} faults noticed, ${share.toFixed(0)} of 100`)
  return share >= NEEDED
}
