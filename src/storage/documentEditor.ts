import { diffOf, type DocumentDiff } from '../core/document/diff'
import { History, type Applied, type Edit, type Operation } from '../core/document/history'
import type { AnyDocument, DocumentKind } from '../core/document/kind'
import { clashesOf } from '../core/document/overlap'
import { failure, messageOf, namedMessage, type Problem, type Result } from '../core/problem'
import { present } from '../core/sure'
import type { Store } from './connection'
import { readKept, type Kept } from './documents'
import { writeDocument } from './writing'

const RETRY_MS = [500, 2000, 5000, 15_000]

export type Saving =
  | { state: 'saved'; at: number }
  | { state: 'saving' }
  | { state: 'failed'; message: string; retryAt: number }
  /** Another tab has forgotten it for good: it is written no more, and lasts as long as the page. */
  | { state: 'forgotten' }

export interface EditorEvents {
  /** The document or its steps are others than before; `by` says through whom. */
  changed: (by: 'here' | 'another tab') => void
  saving: (status: Saving) => void
  /** An operation would leave the document unsound, or cannot be done: nothing was changed. */
  refused: (label: string, problems: Problem[]) => void
  /** An edit could not be done again on what another tab had made of the document. */
  lost: (label: string, reason: string) => void
}

/** What the editor takes from the world; passed in, so that tests can stand in for it. */
export interface EditorClock {
  /** A name that no other tab has. */
  tab: string
  /** Milliseconds since 1970. */
  now: () => number
  later: (run: () => void, ms: number) => unknown
  /** Tells the other tabs that this document was saved. */
  announce: (id: string) => void
}

/** An operation that is not kept yet, and what it did. */
interface Pending<D> {
  operation: Operation<D>
  diff: DocumentDiff
}

/**
 * One open document of any kind: what is shown is always ahead of what is kept. Each edit is a step; steps not kept yet
 * are written in one transaction with the document, so that a closed tab loses none or all of it. When another tab has
 * written in between, the steps not kept yet are done again on top of its document, except those that would set again
 * what it has set.
 */
export class DocumentEditor<D extends AnyDocument> {
  private readonly history: History<D>
  private revision: number
  /** The document as the store has it. */
  private kept: D
  /**
   * Operations not kept yet, oldest first; and the number of the first step that the store has otherwise or not at all.
   */
  private pending: Pending<D>[] = []
  private savedAt: number
  private dirtyFrom: number
  private writing: Promise<void> | null = null
  private failures = 0
  private retryAt: number | null = null
  private isForgotten = false
  /** How many edits were made here; it counts their steps' marks. */
  private made = 0

  /** A document of revision 0 is not in the store yet. */
  constructor(
    private readonly store: Store,
    private readonly kind: DocumentKind<D>,
    kept: Kept<D>,
    private readonly events: EditorEvents,
    private readonly clock: EditorClock,
  ) {
    this.history = new History(kind, kept, clock.tab)
    this.revision = kept.revision
    this.kept = kept.document
    this.savedAt = kept.savedAt
    this.dirtyFrom = dirtyFrom(kept)
  }

  get document(): D {
    return this.history.document
  }
  get undoLabel(): string | undefined {
    return this.history.undoes?.label
  }
  get redoLabel(): string | undefined {
    return this.history.redoes?.label
  }
  /** Whether something is not kept yet. */
  get isDirty(): boolean {
    return this.hasPending() || this.revision === 0
  }

  /**
   * Does an edit as one step. Edits that follow each other with the same `join` become one step, as when a count is
   * dragged. One that is refused changes nothing and is told. Returns whether anything changed.
   */
  edit(label: string, edit: Edit<D>, join?: string): boolean {
    const mark = `${this.clock.tab}.${++this.made}`
    return this.operate({ do: 'edit', label, mark, edit, ...(join === undefined ? {} : { join }) })
  }

  /** Does an edit that cannot be taken back: it forgets the steps before it, which might bring back what it deletes. */
  editForGood(label: string, edit: Edit<D>): boolean {
    const mark = `${this.clock.tab}.${++this.made}`
    return this.operate({ do: 'edit', label, mark, edit, forGood: true })
  }

  /** Takes back the last step that is the coach's own in this tab. Returns whether anything changed. */
  undo(): boolean {
    const step = this.history.undoes
    return step !== undefined && this.operate({ do: 'undo', step })
  }

  redo(): boolean {
    const step = this.history.redoes
    return step !== undefined && this.operate({ do: 'redo', step })
  }

  /** Another tab has saved this document, or forgotten it: shows it as it is now. */
  async refresh(): Promise<void> {
    if (this.isDirty) return this.flush()
    const kept = await this.read()
    if (!kept) this.beForgotten()
    else if (kept.ok && kept.value.revision !== this.revision && !this.hasPending()) {
      this.adopt(kept.value)
      this.events.changed('another tab')
    }
  }

  /** Writes what is not kept yet. Never rejects: failures are told, and tried again. */
  flush(): Promise<void> {
    this.writing ??= this.write().finally(() => (this.writing = null))
    return this.writing
  }

  private isGone(): boolean {
    return this.isForgotten
  }

  private hasPending(): boolean {
    return this.pending.length > 0
  }

  private operate(operation: Operation<D>): boolean {
    const applied = this.history.apply(operation)
    if (!applied.ok) {
      this.events.refused(labelOf(operation), applied.problems)
      return false
    }
    if (applied.value === null) return false
    this.pend(operation, applied.value)
    this.events.changed('here')
    void this.flush()
    return true
  }

  private pend(operation: Operation<D>, { from, diff }: Applied): void {
    this.pending.push({ operation, diff })
    this.dirtyFrom = Math.min(this.dirtyFrom, from)
  }

  private adopt(kept: Kept<D>): void {
    this.history.adopt(kept)
    this.revision = kept.revision
    this.kept = kept.document
    this.savedAt = kept.savedAt
    this.dirtyFrom = dirtyFrom(kept)
  }

  private beForgotten(): void {
    this.isForgotten = true
    this.events.saving({ state: 'forgotten' })
  }

  private read() {
    return this.store.run((db) => readKept(db, this.kind, this.document.id, this.document))
  }

  private async write(): Promise<void> {
    const isNeeded = this.isDirty
    while (this.isDirty && !this.isGone()) {
      this.events.saving({ state: 'saving' })
      try {
        await this.writeOnce()
        this.failures = 0
      } catch (error) {
        this.tryLater(messageOf(error))
        return
      }
    }
    // Said once all of it is kept: edits may have come in during a write.
    if (isNeeded && !this.isGone()) this.events.saving({ state: 'saved', at: this.savedAt })
  }

  private tryLater(message: string): void {
    if (this.retryAt === null) {
      const ms = present(RETRY_MS[Math.min(this.failures++, RETRY_MS.length - 1)])
      this.retryAt = this.clock.now() + ms
      this.clock.later(() => {
        this.retryAt = null
        void this.flush()
      }, ms)
    }
    this.events.saving({ state: 'failed', message, retryAt: this.retryAt })
  }

  private async writeOnce(): Promise<void> {
    const { document, done, steps } = this.history
    const { dirtyFrom: from, revision } = this
    const writes = this.pending.length
    const savedAt = this.clock.now()
    const unkept = { document, steps, done, from, revision, savedAt }
    const written = await writeDocument(this.store, this.kind, unkept)
    if (written === 'changed') await this.rebase()
    else if (written === 'forgotten') this.beForgotten()
    else {
      this.revision = revision + 1
      this.kept = document
      this.pending.splice(0, writes)
      this.dirtyFrom = this.pending.length ? Math.min(this.dirtyFrom, done) : Infinity
      this.savedAt = savedAt
      this.clock.announce(document.id)
    }
  }

  /** Takes over what another tab kept, and does on top of it what is not kept yet. */
  private async rebase(): Promise<void> {
    if (this.revision === 0) throw new Error(`another ${this.kind.name} with this name was made in another tab`)
    const read = await this.read()
    if (!read) {
      this.beForgotten()
      return
    }
    if (!read.ok) throw new Error('what another tab kept cannot be read here')
    const theirs = diffOf(this.kind, this.kept, read.value.document)
    const { pending } = this
    this.pending = []
    this.adopt(read.value)
    const lost = new Losses<D>()
    for (const { operation, diff } of pending) {
      const applied = this.applyAgain(operation, operation.do === 'edit' ? clashesOf(diff, theirs) : [])
      if (!applied.ok) lost.add(operation, applied.problems)
      else if (applied.value !== null) this.pend(operation, applied.value)
    }
    this.events.changed('another tab')
    // Said last: it matters more than that something changed.
    for (const [label, reason] of lost.told) this.events.lost(label, reason)
  }

  /** A bug in an edit that comes up only on another tab's document must not cost the edits that follow it. */
  private applyAgain(operation: Operation<D>, clashes: readonly string[]): Result<Applied | null> {
    const [place] = clashes
    if (place !== undefined) {
      return failure({ code: 'refused', path: place.split('/'), message: 'another tab has changed the same' })
    }
    try {
      return this.history.apply(operation)
    } catch (error) {
      return failure({ code: 'unexpected', path: [], message: messageOf(error) })
    }
  }
}

/** What could not be done again. An edit that is lost and was taken back anyway is not missed, and so not told. */
class Losses<D> {
  private readonly byStep = new Map<string | number, [label: string, reason: string]>()

  add(operation: Operation<D>, problems: readonly Problem[]): void {
    const step = operation.do === 'edit' ? operation.mark : (operation.step.mark ?? operation.step.number)
    if (this.byStep.delete(step)) return
    this.byStep.set(step, [labelOf(operation), problems.map(namedMessage).join('; ')])
  }

  get told(): Iterable<[label: string, reason: string]> {
    return this.byStep.values()
  }
}

/** Steps that the store has in an older form are all written anew. */
const dirtyFrom = <D>({ isModern }: Kept<D>): number => (isModern ? Infinity : 0)

const labelOf = <D>(operation: Operation<D>): string =>
  operation.do === 'edit' ? operation.label : `${operation.do === 'undo' ? 'Undo' : 'Redo'}: ${operation.step.label}`
