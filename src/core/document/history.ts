import { produce } from 'immer'
import { failure, Refusal, success, type Problem, type Result } from '../problem'
import { applyDiff, diffOf, inverted, isEmptyDiff, type DocumentDiff } from './diff'
import type { AnyDocument, DocumentKind } from './kind'
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
}

/** What is asked of a history. Edits that follow each other with the same `join` become one step, as in a drag. */
export type Operation<D> = { do: 'edit'; label: string; edit: Edit<D>; join?: string } | { do: 'undo' } | { do: 'redo' }

/** A document with the steps that led to it. */
export interface Past<D> {
  document: D
  steps: readonly Step[]
  /** The number of the first step that is not done: the next one, or the first that was undone. */
  done: number
}

/**
 * A document's steps in memory. Every operation passes the checks of the kind: one that would leave the document
 * unsound changes nothing and says why.
 */
export class History<D extends AnyDocument> {
  /** What the last step was joined by; a step that was undone or came from elsewhere joins nothing. */
  private joining: string | undefined

  constructor(
    private readonly kind: DocumentKind<D>,
    private past: Past<D>,
  ) {}

  get document(): D {
    return this.past.document
  }
  get steps(): readonly Step[] {
    return this.past.steps
  }
  get done(): number {
    return this.past.done
  }
  /** Labels of the steps that undo and redo would take, if any. */
  get undoLabel(): string | undefined {
    return this.stepAt(this.done - 1)?.label
  }
  get redoLabel(): string | undefined {
    return this.stepAt(this.done)?.label
  }

  /** Takes over another past, as from another tab. */
  adopt(past: Past<D>): void {
    this.past = past
    this.joining = undefined
  }

  /**
   * Does an operation. Returns the number of the first step that is another than before, or null where nothing changed;
   * or the problems for which it was refused.
   */
  apply(operation: Operation<D>): Result<number | null> {
    if (operation.do === 'edit') return this.edit(operation.label, operation.edit, operation.join)
    const by = operation.do === 'undo' ? -1 : 1
    const step = this.stepAt(by < 0 ? this.done - 1 : this.done)
    if (!step) return success(null)
    const diff = by < 0 ? inverted(step.diff) : step.diff
    const after = applyDiff(this.kind, this.document, diff)
    const problems = checkEdit(this.kind, after, diff)
    if (problems.length) return failure(...problems)
    this.past = { ...this.past, document: after, done: this.done + by }
    this.joining = undefined
    return success(this.done)
  }

  private edit(label: string, edit: Edit<D>, join: string | undefined): Result<number | null> {
    const edited = tried(this.document, edit)
    if (!edited.ok) return edited
    const diff = diffOf(this.kind, this.document, edited.value)
    if (isEmptyDiff(diff)) return success(null)
    const problems = checkEdit(this.kind, edited.value, diff)
    if (problems.length) return failure(...problems)
    const last = this.stepAt(this.done - 1)
    const joined = join !== undefined && join === this.joining && last?.label === label ? last : undefined
    const number = joined ? joined.number : this.done
    const before = joined ? applyDiff(this.kind, this.document, inverted(joined.diff)) : this.document
    const step = { number, label, diff: joined ? diffOf(this.kind, before, edited.value) : diff }
    const steps = [...this.steps.filter((one) => one.number < number), step].slice(-MAX_STEPS)
    this.past = { document: edited.value, steps, done: number + 1 }
    this.joining = join
    return success(number)
  }

  private stepAt(number: number): Step | undefined {
    return this.steps.find((step) => step.number === number)
  }
}

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
