import { produce } from 'immer'
import { failure, Refusal, success, type Problem, type Result } from '../problem'
import { applyDiff, diffOf, inverted, isEmptyDiff, type DocumentDiff } from './diff'
import type { AnyDocument, DocumentKind } from './kind'
import { mayChangePlaces } from './overlap'
import { checkEdit } from './read'

/** Steps that can be undone; older ones are forgotten. */
export const MAX_STEPS = 300

/** Changes a draft of the document. It names records by id, so that it can be done again on what another tab made. */
export type Edit<D> = (draft: D) => void

/** One thing that the coach did. */
export interface Step {
  /** Counts from the document's first step ever. */
  number: number
  label: string
  diff: DocumentDiff
  /** Names the step for good: the tab that made it and a count. Absent in steps of earlier builds. */
  mark?: string
}

/**
 * What is asked of a history. Edits that follow each other with the same `join` become one step, as in a drag. `mark`:
 * that of the step that it makes. `forGood`: it cannot be taken back, and no step before it either, since they could
 * bring back what it deletes. `step`: the only one to be taken back or done again.
 */
export type Operation<D> =
  | { do: 'edit'; label: string; mark: string; edit: Edit<D>; join?: string; forGood?: true }
  | { do: 'undo' | 'redo'; step: Step }

/** What an operation did. */
export interface Applied {
  /** The number of the first step that is another than before; Infinity where only `done` has moved. */
  from: number
  diff: DocumentDiff
}

/** A document with the steps that led to it. */
export interface Past<D> {
  document: D
  steps: readonly Step[]
  /** The number of the first step that is not done: the next one, or the first that was undone. */
  done: number
}

/**
 * A document's steps in memory. Every operation passes the checks of the kind: one that would leave the document
 * unsound changes nothing and says why. Undo takes back the coach's own last step: one that another tab has made since
 * the document was opened is left for that tab to take back.
 */
export class History<D extends AnyDocument> {
  /** What the last step was joined by; a step that was undone or came from elsewhere joins nothing. */
  private joining: string | undefined
  /** Marks of the steps that were there when the document was opened. */
  private readonly found: ReadonlySet<string | undefined>

  /** `tab`: a name that no other tab has, with which the marks of its steps begin. */
  constructor(
    private readonly kind: DocumentKind<D>,
    private past: Past<D>,
    private readonly tab: string,
  ) {
    this.found = new Set(past.steps.map(({ mark }) => mark))
  }

  get document(): D {
    return this.past.document
  }
  get steps(): readonly Step[] {
    return this.past.steps
  }
  get done(): number {
    return this.past.done
  }
  /** The steps that undo and redo would take, if any. */
  get undoes(): Step | undefined {
    return this.steps.findLast((step) => step.number < this.done && this.isOwn(step))
  }
  get redoes(): Step | undefined {
    return this.steps.find((step) => step.number === this.done)
  }

  /** Takes over another past, as from another tab. */
  adopt(past: Past<D>): void {
    this.past = past
    this.joining = undefined
  }

  /** Does an operation. Returns null where nothing changed; or the problems for which it was refused. */
  apply(operation: Operation<D>): Result<Applied | null> {
    if (operation.do === 'edit') return this.edit(operation)
    const step = operation.do === 'undo' ? this.undoes : this.redoes
    if (!step || !isSameStep(step, operation.step)) return builtOn(operation.step)
    return operation.do === 'undo' ? this.undo(step) : this.redo(step)
  }

  private undo(step: Step): Result<Applied | null> {
    const later = this.steps.filter(({ number }) => number > step.number && number < this.done)
    if (!later.every(({ diff }) => mayChangePlaces(step.diff, diff))) return builtOn(step)
    const diff = inverted(step.diff)
    const after = applyDiff(this.kind, this.document, diff)
    const problems = checkEdit(this.kind, after, diff)
    if (problems.length) return later.length ? builtOn(step) : failure(...problems)
    const moved = new Map([...later, step].map((one, i) => [one, step.number + i]))
    const steps = this.steps.map((one) => ({ ...one, number: moved.get(one) ?? one.number }))
    steps.sort((a, b) => a.number - b.number)
    this.past = { document: after, steps, done: this.done - 1 }
    this.joining = undefined
    return success({ from: later.length ? step.number : Infinity, diff })
  }

  private redo(step: Step): Result<Applied | null> {
    const after = applyDiff(this.kind, this.document, step.diff)
    const problems = checkEdit(this.kind, after, step.diff)
    if (problems.length) return failure(...problems)
    this.past = { ...this.past, document: after, done: this.done + 1 }
    this.joining = undefined
    return success({ from: Infinity, diff: step.diff })
  }

  private edit({ label, mark, edit, join, forGood }: Operation<D> & { do: 'edit' }): Result<Applied | null> {
    const edited = tried(this.document, edit)
    if (!edited.ok) return edited
    const diff = diffOf(this.kind, this.document, edited.value)
    if (isEmptyDiff(diff)) return success(null)
    const problems = checkEdit(this.kind, edited.value, diff)
    if (problems.length) return failure(...problems)
    if (forGood) {
      this.past = { document: edited.value, steps: [], done: this.done + 1 }
      this.joining = undefined
      return success({ from: 0, diff })
    }
    const last = this.steps.find(({ number }) => number === this.done - 1)
    const joined = join !== undefined && join === this.joining && last?.label === label ? last : undefined
    const number = joined ? joined.number : this.done
    const before = joined ? applyDiff(this.kind, this.document, inverted(joined.diff)) : this.document
    const step = { number, label, diff: joined ? diffOf(this.kind, before, edited.value) : diff, mark }
    const steps = [...this.steps.filter((one) => one.number < number), step].slice(-MAX_STEPS)
    this.past = { document: edited.value, steps, done: number + 1 }
    this.joining = join
    return success({ from: number, diff })
  }

  private isOwn({ mark }: Step): boolean {
    return mark === undefined || mark.startsWith(`${this.tab}.`) || this.found.has(mark)
  }
}

const isSameStep = (one: Step, other: Step): boolean =>
  one.mark === other.mark && (one.mark !== undefined || one.number === other.number)

const builtOn = ({ label }: Step): Result<never> =>
  failure({ code: 'refused', path: [], message: `another tab has built on “${label}”, so it stays` })

/**
 * The document after an edit, or why the edit refused to be done. Anything else that is thrown is a bug and goes on.
 */
function tried<D extends AnyDocument>(document: D, edit: Edit<D>): Result<D> {
  try {
    return success(produce(document, (draft) => void edit(draft as D)))
  } catch (error) {
    if (error instanceof Refusal) return failure<D>(error.problem satisfies Problem)
    throw error
  }
}
