import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Run } from '../chart/run'
import { armsFree, holdsOf } from './limbs'
import { play } from './play'
import { remarksOn } from './remarks'
import { stepName } from './steps'

/** The figures of one run that are shown when runs are compared. */
export interface RunFigures {
  run: Run
  /** Names of its steps, in order. */
  steps: string[]
  seconds: number
  /** Parts that its moves can injure. */
  hazards: string[]
  /** How many remarks the limb check makes on it, without those that the coach has accepted. */
  remarks: number
  /** Names of the reactions to its moves that have no answer, each once. */
  open: string[]
  /** After its last step: how many of our arms are free to attack, and of theirs to defend; 0 to 2 each. */
  arms: { attack: number; defend: number }
  /** Why it cannot be played to its last step; null where it can. */
  broken: string | null
}

/** The figures of each of these runs, in their order. */
export const compareRuns = (chart: Chart, runs: readonly Run[]): RunFigures[] =>
  runs.map((run) => figuresOfRun(chart, run))

function figuresOfRun(chart: Chart, run: Run): RunFigures {
  const played = play(chart, run)
  const moves = run.steps.flatMap(({ move }) => lookUp(chart.moves, move) ?? [])
  const answered = new Set<string>(chart.answers.map(({ reaction }) => reaction))
  const open = moves.flatMap(({ tries }) =>
    Object.entries(tries?.reactions ?? {}).flatMap(([id, n]) =>
      n > 0 && !answered.has(id) ? [lookUp(chart.reactions, id)?.name ?? id] : [],
    ),
  )
  const meant = new Set((run.intended ?? []).map(({ remark }) => remark))
  const last = played.beats[played.beats.length - 1]
  return {
    run,
    steps: played.beats.slice(1).map((beat) => stepName(chart, beat, run)),
    seconds: last?.seconds ?? 0,
    hazards: [...new Set(moves.flatMap(({ hazard }) => (hazard?.part ? [hazard.part] : [])))],
    remarks: remarksOn(chart, run, played).filter(({ key }) => !meant.has(key)).length,
    open: [...new Set(open)],
    arms: armsFree(holdsOf(chart, last?.holds ?? [])),
    broken: played.broken?.reason ?? null,
  }
}

/**
 * The differences between two runs, in sentences. `worths`: the expected worth of each from its start, −1 to 1.
 * `say`: formats a worth.
 */
export function sayDifferences(
  a: RunFigures,
  b: RunFigures,
  worths: [number | null, number | null],
  say: (worth: number) => string,
): string[] {
  const [one, other] = [`“${a.run.name}”`, `“${b.run.name}”`]
  const said: string[] = []
  const [wa, wb] = worths
  if (wa !== null && wb !== null && Math.abs(wa - wb) >= 0.005) {
    const [more, less] = wa > wb ? [one, other] : [other, one]
    said.push(`${more} begins where it is worth ${say(Math.abs(wa - wb))} more than where ${less} begins.`)
  }
  if (a.seconds !== b.seconds) {
    const [quick, slow] = a.seconds < b.seconds ? [one, other] : [other, one]
    said.push(`${quick} takes ${Math.abs(a.seconds - b.seconds)} s less than ${slow}.`)
  }
  const only = (from: readonly string[], not: readonly string[]) => from.filter((name) => !not.includes(name))
  for (const [name, mine, theirs] of [
    [one, a, b],
    [other, b, a],
  ] as const) {
    const open = only(mine.open, theirs.open)
    if (open.length) said.push(`Only ${name} meets something without an answer: ${open.join(', ')}.`)
    const hazards = only(mine.hazards, theirs.hazards)
    if (hazards.length) said.push(`Only ${name} can injure: ${hazards.join(', ')}.`)
  }
  if (a.remarks !== b.remarks) {
    const [clean, rough] = a.remarks < b.remarks ? [one, other] : [other, one]
    said.push(`The check finds less to look at in ${clean} than in ${rough}.`)
  }
  const lead = ({ arms }: RunFigures) => arms.attack - arms.defend
  if (lead(a) !== lead(b)) said.push(`${lead(a) > lead(b) ? one : other} ends with more arms over.`)
  return said.length ? said : ['Nothing that is counted here sets them apart.']
}
