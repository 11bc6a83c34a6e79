import { sure, present } from '../sure'
import type { Script, ScriptStep } from './script'

/**
 * A set of places from each of which the plan comes back to the others, and how an exchange that has entered it ends.
 */
export interface Loop {
  /** Keys of the steps, those come to most first. */
  steps: number[]
  /**
   * Chances from the first step on: finished within, led elsewhere in the plan, finished by them, over without either.
   */
  finish: number
  elsewhere: number
  caught: number
  over: number
}

/** What is left of an exchange in a loop when following it stops. */
const NEGLIGIBLE = 1e-9

/**
 * The loops of a script, those that exchanges come to most first. Strongly connected components (Tarjan 1972) of its
 * steps.
 */
export function loopsOf(script: Script): Loop[] {
  const steps = new Map(script.steps.map((step) => [step.key, step]))
  return components(script.steps)
    .filter((keys) => new Set(keys.map((key) => present(steps.get(key)).position)).size > 1)
    .map((keys) => {
      const sorted = [...keys].sort((a, b) => present(steps.get(b)).reach - present(steps.get(a)).reach)
      return { steps: sorted, ...endOf(steps, new Set(keys), sure(sorted[0])) }
    })
    .sort((a, b) => present(steps.get(sure(b.steps[0]))).reach - present(steps.get(sure(a.steps[0]))).reach)
}

const targets = ({ ways }: ScriptStep) =>
  ways.flatMap(({ to, share }) => (typeof to === 'number' && share > 0 ? [to] : []))

function components(steps: readonly ScriptStep[]): number[][] {
  const byKey = new Map(steps.map((step) => [step.key, step]))
  const index = new Map<number, number>()
  const low = new Map<number, number>()
  const stack: number[] = []
  const found: number[][] = []
  const visit = (key: number) => {
    index.set(key, index.size)
    low.set(key, present(index.get(key)))
    stack.push(key)
    for (const to of targets(present(byKey.get(key)))) {
      if (!byKey.has(to)) continue
      if (!index.has(to)) visit(to)
      if (stack.includes(to)) low.set(key, Math.min(present(low.get(key)), present(low.get(to))))
    }
    if (low.get(key) !== index.get(key)) return
    found.push(stack.splice(stack.indexOf(key)))
  }
  for (const { key } of steps) if (!index.has(key)) visit(key)
  return found
}

/** Follows one exchange from a step until it has left the loop. */
function endOf(steps: Map<number, ScriptStep>, inside: ReadonlySet<number>, start: number) {
  const end = { finish: 0, elsewhere: 0, caught: 0, over: 0 }
  let now = new Map([[start, 1]])
  for (let left = 1; left > NEGLIGIBLE;) {
    const next = new Map<number, number>()
    for (const [key, chance] of now) {
      const { ways, alive } = present(steps.get(key))
      const goesOn = ways.length ? alive : 0
      end.over += chance * (1 - goesOn)
      for (const { to, share } of ways) {
        const flow = chance * goesOn * share
        if (typeof to === 'number' && inside.has(to)) next.set(to, (next.get(to) ?? 0) + flow)
        else if (to === 'finish' || to === 'goal') end.finish += flow
        else if (to === 'caught') end.caught += flow
        else if (to === 'over') end.over += flow
        else end.elsewhere += flow
      }
    }
    now = next
    left = [...now.values()].reduce((sum, chance) => sum + chance, 0)
  }
  return end
}
