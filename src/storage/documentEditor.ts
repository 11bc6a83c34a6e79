import { present } from '../core/sure'
import { History, type Edit, type Operation } from '../core/document/history'
import type { AnyDocument, DocumentKind } from '../core/document/kind'
import { failure, messageOf, namedMessage, type Problem, type Result } from '../core/problem'
import { stepsOf, type Database } from './database'
import { readKept, type Kept } from './documents'

const RETRY_MS = [500, 2000, 5000, 15_000]

export type Saving =
  { state: 'saved'; at: number } | { state: 'saving' } | { state: 'failed'; message: string; retryAt: number }

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
  /** Milliseconds since 1970. */
  now: () => number
  later: (run: () => void, ms: number) => unknown
  /** Tells the other tabs that this document was saved. */
  announce: (id: string) => void
}

/**
 * One open document of any kind: what is shown is always ahead of what is kept. Each edit is a step; steps not kept yet
 * are written in one transaction with the document, so that a closed tab loses none or all of it. When another tab has
 * written in between, the steps not kept yet are done again on top of its document.
 */
export class DocumentEditor<D extends AnyDocument> {
  private readonly history: History<D>
  private revision: number
  /**
   * Operations not kept yet, oldest first; and the number of the first step that the store has otherwise or not at all.
   */
  private pending: Operation<D>[] = []
  private dirtyFrom: number
  private writing: Promise<void> | null = null
  private failures = 0

  constructor(
    private readonly db: Database | null,
    private readonly kind: DocumentKind<D>,
    kept: Kept<D>,
    private readonly events: EditorEvents,
    private readonly clock: EditorClock,
  ) {
    this.history = new History(kind, kept)
    this.revision = kept.revision
    this.dirtyFrom = dirtyFrom(kept)
  }

  get document(): D {
    return this.history.document
  }
  get undoLabel(): string | undefined {
    return this.history.undoLabel
  }
  get redoLabel(): string | undefined {
    return this.history.redoLabel
  }
  /** Whether something is not kept yet. */
  get isDirty(): boolean {
    return this.pending.length > 0
  }

  /**
   * Does an edit as one step. Edits that follow each other with the same `join` become one step, as when a count is
   * dragged. One that is refused changes nothing and is told. Returns whether anything changed.
   */
  edit(label: string, edit: Edit<D>, join?: string): boolean {
    return this.operate({ do: 'edit', label, edit, ...(join === undefined ? {} : { join }) })
  }

  undo(): boolean {
    return this.operate({ do: 'undo' })
  }

  redo(): boolean {
    return this.operate({ do: 'redo' })
  }

  /** Another tab has saved this document: shows it as it is now. */
  async refresh(): Promise<void> {
    if (this.pending.length || !this.db) return this.flush()
    const kept = await readKept(this.db, this.kind, this.document.id, this.document)
    if (!kept?.ok || kept.value.revision === this.revision || this.pending.length) return
    this.adopt(kept.value)
    this.events.changed('another tab')
  }

  /** Writes what is not kept yet. Never rejects: failures are told, and tried again. */
  flush(): Promise<void> {
    this.writing ??= this.write().finally(() => (this.writing = null))
    return this.writing
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

  /** Undo and redo only move where the steps stand: an edit is what makes steps from its number on others. */
  private pend(operation: Operation<D>, from: number): void {
    this.pending.push(operation)
    if (operation.do === 'edit') this.dirtyFrom = Math.min(this.dirtyFrom, from)
  }

  private adopt(kept: Kept<D>): void {
    this.history.adopt(kept)
    this.revision = kept.revision
    this.dirtyFrom = dirtyFrom(kept)
  }

  private async write(): Promise<void> {
    while (this.pending.length) {
      this.events.saving({ state: 'saving' })
      try {
        await this.writeOnce()
        this.failures = 0
      } catch (error) {
        const ms = present(RETRY_MS[Math.min(this.failures++, RETRY_MS.length - 1)])
        const message = this.db ? messageOf(error) : 'this browser keeps no data here'
        this.events.saving({ state: 'failed', message, retryAt: this.clock.now() + ms })
        this.clock.later(() => void this.flush(), ms)
        return
      }
    }
  }

  private async writeOnce(): Promise<void> {
    if (!this.db) throw new Error('no database')
    const { name, normalisers } = this.kind
    const { document, done, steps } = this.history
    const { id } = document
    const from = this.dirtyFrom
    const writes = this.pending.length
    const savedAt = this.clock.now()
    const tx = this.db.transaction(['documents', 'steps'], 'readwrite')
    const documents = tx.objectStore('documents')
    const kept = await documents.get([name, id])
    if (kept && kept.revision !== this.revision) {
      await tx.done
      return this.rebase()
    }
    const revision = this.revision + 1
    const removed = kept?.removedAt === undefined ? {} : { removedAt: kept.removedAt }
    const row = { kind: name, id, document, normalised: normalisers.length, revision, savedAt, done, ...removed }
    const requests: Promise<unknown>[] = [documents.put(row)]
    const stepStore = tx.objectStore('steps')
    if (from < Infinity) requests.push(stepStore.delete(stepsOf(name, id, from)))
    for (const step of steps) {
      if (step.number >= from) requests.push(stepStore.put({ ...step, kind: name, id }))
    }
    const oldest = steps[0]?.number ?? 0
    if (oldest > 0) requests.push(stepStore.delete(IDBKeyRange.bound([name, id, 0], [name, id, oldest], false, true)))
    await Promise.all([...requests, tx.done])
    this.revision = revision
    this.pending.splice(0, writes)
    this.dirtyFrom = this.pending.length ? Math.min(this.dirtyFrom, done) : Infinity
    this.events.saving({ state: 'saved', at: savedAt })
    this.clock.announce(id)
  }

  /** Takes over what another tab kept, and does on top of it what is not kept yet. */
  private async rebase(): Promise<void> {
    const kept = await readKept(present(this.db), this.kind, this.document.id, this.document)
    if (!kept) return
    if (!kept.ok) throw new Error('what another tab kept cannot be read here')
    const { pending } = this
    this.pending = []
    this.adopt(kept.value)
    const lost: [label: string, reason: string][] = []
    for (const operation of pending) {
      const applied = this.applyAgain(operation)
      if (!applied.ok) lost.push([labelOf(operation), applied.problems.map(namedMessage).join('; ')])
      else if (applied.value !== null) this.pend(operation, applied.value)
    }
    this.events.changed('another tab')
    // Said last: it matters more than that something changed.
    for (const [label, reason] of lost) this.events.lost(label, reason)
  }

  /** A bug in an edit that comes up only on another tab's document must not cost the edits that follow it. */
  private applyAgain(operation: Operation<D>): Result<number | null> {
    try {
      return this.history.apply(operation)
    } catch (error) {
      return failure({ code: 'unexpected', path: [], message: messageOf(error) })
    }
  }
}

/** Steps that the store has in an older form are all written anew. */
const dirtyFrom = <D>({ isModern }: Kept<D>): number => (isModern ? Infinity : 0)

const labelOf = <D>(operation: Operation<D>): string => (operation.do === 'edit' ? operation.label : operation.do)
