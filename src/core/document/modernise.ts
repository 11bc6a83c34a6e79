import { present } from '../sure'
import { success, type Result } from '../problem'
import { applyDiff, diffOf, inverted, type DocumentDiff } from './diff'
import { recordsIn } from './fields'
import type { Past, Step } from './history'
import type { AnyDocument, DocumentKind, Keys } from './kind'
import { modernised, readDocument } from './read'
import { sharing } from './sharing'

/** A list's diff as the first builds kept it: one stretch taken out at an index, and one put in. */
interface Stretch {
  at: number
  removed: object[]
  added: object[]
}

/** What was kept by an earlier build: the document in its form then, and the steps that led to it. */
export interface OldPast {
  document: object
  steps: readonly (Omit<Step, 'diff'> & { diff: DocumentDiff | OldDiff })[]
  done: number
}
interface OldDiff {
  lists: Record<string, Stretch>
  fields: DocumentDiff['fields']
}

/**
 * A document that an earlier build kept, with its steps, in today's form. Every state that the steps lead to is rebuilt
 * as it was, migrated and normalised, and the steps are taken between those: so what a step did is still what undo
 * takes back. Fails where the document itself is not sound; steps that can no longer be followed are forgotten.
 */
export function modernisePast<D extends AnyDocument>(kind: DocumentKind<D>, old: OldPast): Result<Past<D>> {
  const document = readDocument(kind, old.document)
  if (!document.ok) return document
  const [before, after] = [statesFrom(kind, old, -1).toReversed(), statesFrom(kind, old, 1)]
  const states = [...before.map(({ state }) => state), document.value, ...after.map(({ state }) => state)]
  const steps = [...before, ...after].map(({ step }) => step)
  return success({ document: document.value, steps: stepsBetween(kind, states, steps), done: old.done })
}

interface State<D> {
  state: D
  /** The step between this state and its neighbour towards the present. */
  step: OldPast['steps'][number]
}

/**
 * The states before (by −1) or after (by 1) the present one, the nearest first, as far as the steps can be followed.
 */
function statesFrom<D extends AnyDocument>(kind: DocumentKind<D>, old: OldPast, by: 1 | -1): State<D>[] {
  const states: State<D>[] = []
  let raw = old.document
  for (let number = by < 0 ? old.done - 1 : old.done; ; number += by) {
    const step = old.steps.find((one) => one.number === number)
    if (!step) return states
    raw = follow(kind, raw, step.diff, by)
    const state = modernised(kind, raw)
    if (!state.ok) return states
    states.push({ state: state.value as object as D, step })
  }
}

function follow(kind: Keys, raw: object, diff: DocumentDiff | OldDiff, by: 1 | -1): object {
  const stretches = Object.entries(diff.lists).filter((entry): entry is [string, Stretch] => 'at' in entry[1])
  if (!stretches.length) {
    const today = diff as DocumentDiff
    return applyDiff(kind, raw, by < 0 ? inverted(today) : today)
  }
  const fields = applyDiff(
    kind,
    raw,
    by < 0 ? inverted({ lists: {}, fields: diff.fields }) : { lists: {}, fields: diff.fields },
  )
  const lists = stretches.map(([name, { at, removed, added }]) => {
    const [out, put] = by < 0 ? [added, removed] : [removed, added]
    const list = recordsIn(raw, name)
    return [name, list.toSpliced(at, out.length, ...put)] as const
  })
  return { ...fields, ...Object.fromEntries(lists) }
}

/** The steps anew, each between two of the states; one that no longer does anything stays, so that the numbers do. */
function stepsBetween<D extends AnyDocument>(
  kind: DocumentKind<D>,
  states: readonly D[],
  steps: readonly OldPast['steps'][number][],
): Step[] {
  let before = present(states[0])
  return steps.map((step, i) => {
    const after = sharing(before, present(states[i + 1]))
    const diff = diffOf(kind, before, after)
    before = after
    return { ...step, diff }
  })
}
