import { produce } from 'immer'
import type { Chart } from '../core/chart/chart'
import { applyDiff, diffOf, inverted, isEmptyDiff } from '../core/chart/diff'
import type { Database, StoredChart, StoredStep } from './database'
import { readStored, stepsOf } from './charts'

/** Steps that can be undone; older ones are forgotten. */
export const MAX_STEPS = 300
const RETRY_MS = [500, 2000, 5000, 15_000]

export type Edit = (chart: Chart) => void
type Operation = { do: 'edit'; label: string; edit: Edit; join?: string } | { do: 'undo' } | { do: 'redo' }

export type Saving =
  { state: 'saved'; at: number } | { state: 'saving' } | { state: 'failed'; message: string; retryAt: number }

export interface SessionEvents {
  /** The chart or its steps are others than before; `by` says through whom. */
  changed(by: 'here' | 'another tab'): void
  saving(status: Saving): void
  /** An edit could not be done again on what another tab had made of the chart. */
  lost(label: string, reason: string): void
}

/** What the world gives the session; passed in, so that tests can stand in for it. */
export interface Surroundings {
  now(): number
  later(run: () => void, ms: number): unknown
  /** Tells the other tabs that this chart was saved. */
  announce(id: string): void
}

/**
 * One open chart: what is shown is always ahead of what is kept. Each edit is a step; steps not kept yet are written in
 * one transaction with the chart, so that a closed tab loses none or all of it. When another tab has written in between,
 * the steps not kept yet are done again on top of its chart.
 */
export class ChartSession {
  chart: Chart
  private steps: StoredStep[]
  private done: number
  private revision: number
  /** Not kept yet, oldest first; and the number of the first step that the store does not have as it is here. */
  private pending: Operation[] = []
  private dirtyFrom = Infinity
  private writing: Promise<void> | null = null
  private failures = 0
  /** What the last step was joined by; a step that was undone or came from elsewhere joins nothing. */
  private joining: string | undefined

  constructor(
    private readonly db: Database | null,
    kept: { stored: StoredChart; steps: StoredStep[] },
    private readonly events: SessionEvents,
    private readonly surroundings: Surroundings,
  ) {
    this.chart = kept.stored.chart
    this.steps = kept.steps
    this.done = kept.stored.done
    this.revision = kept.stored.revision
  }

  /** Labels of the steps that undo and redo would take, if any. */
  get undoLabel(): string | undefined {
    return this.stepBefore()?.label
  }
  get redoLabel(): string | undefined {
    return this.stepAfter()?.label
  }

  /**
   * Does an edit as one step. Edits that follow each other with the same `join` become one step, as when a count is
   * dragged. An edit that throws changes nothing. Returns whether anything changed.
   */
  edit(label: string, edit: Edit, join?: string): boolean {
    const operation: Operation = { do: 'edit', label, edit, ...(join ? { join } : {}) }
    return this.operate(operation)
  }

  undo(): boolean {
    return this.operate({ do: 'undo' })
  }

  redo(): boolean {
    return this.operate({ do: 'redo' })
  }

  /** Another tab has saved this chart. */
  async refresh(): Promise<void> {
    if (this.pending.length || !this.db) return this.flush()
    const kept = await readStored(this.db, this.chart.id)
    if (!kept || kept.stored.revision === this.revision || this.pending.length) return
    this.adopt(kept)
    this.events.changed('another tab')
  }

  /** Writes what is not kept yet. Never rejects: failures are told, and tried again. */
  flush(): Promise<void> {
    this.writing ??= this.write().finally(() => (this.writing = null))
    return this.writing
  }

  private operate(operation: Operation): boolean {
    if (!this.apply(operation)) return false
    this.pending.push(operation)
    this.events.changed('here')
    void this.flush()
    return true
  }

  private apply(operation: Operation): boolean {
    if (operation.do === 'undo') return this.take(this.stepBefore(), -1)
    if (operation.do === 'redo') return this.take(this.stepAfter(), 1)
    const after = produce(this.chart, (draft) => void operation.edit(draft as Chart))
    const diff = diffOf(this.chart, after)
    if (isEmptyDiff(diff)) return false
    const last = this.stepBefore()
    const joins =
      operation.join !== undefined && last?.label === operation.label && last === this.joinable(operation.join)
    const number = joins ? this.done - 1 : this.done
    const before = joins ? applyDiff(this.chart, inverted(last.diff)) : this.chart
    this.steps = [
      ...this.steps.filter((step) => step.number < number),
      { chart: this.chart.id, number, label: operation.label, diff: joins ? diffOf(before, after) : diff },
    ].slice(-MAX_STEPS)
    this.joining = operation.join
    this.done = number + 1
    this.dirtyFrom = Math.min(this.dirtyFrom, number)
    this.chart = after
    return true
  }

  private joinable(join: string): StoredStep | undefined {
    return this.joining === join ? this.stepBefore() : undefined
  }

  private take(step: StoredStep | undefined, by: 1 | -1): boolean {
    if (!step) return false
    this.chart = applyDiff(this.chart, by < 0 ? inverted(step.diff) : step.diff)
    this.done += by
    this.joining = undefined
    return true
  }

  private stepBefore(): StoredStep | undefined {
    return this.steps.find(({ number }) => number === this.done - 1)
  }

  private stepAfter(): StoredStep | undefined {
    return this.steps.find(({ number }) => number === this.done)
  }

  private adopt({ stored, steps }: { stored: StoredChart; steps: StoredStep[] }): void {
    this.chart = stored.chart
    this.steps = steps
    this.done = stored.done
    this.revision = stored.revision
    this.dirtyFrom = Infinity
    this.joining = undefined
  }

  private async write(): Promise<void> {
    while (this.pending.length) {
      this.events.saving({ state: 'saving' })
      try {
        await this.writeOnce()
        this.failures = 0
      } catch (error) {
        const ms = RETRY_MS[Math.min(this.failures++, RETRY_MS.length - 1)]
        const message = this.db ? (error as Error).message : 'this browser keeps no data here'
        this.events.saving({ state: 'failed', message, retryAt: this.surroundings.now() + ms })
        this.surroundings.later(() => void this.flush(), ms)
        return
      }
    }
  }

  private async writeOnce(): Promise<void> {
    if (!this.db) throw new Error('no database')
    const { id } = this.chart
    const writes = this.pending.length
    const dirtyFrom = this.dirtyFrom
    const { chart, done, steps } = this
    const savedAt = this.surroundings.now()
    const tx = this.db.transaction(['charts', 'steps'], 'readwrite')
    const charts = tx.objectStore('charts')
    const kept = await charts.get(id)
    if (kept && kept.revision !== this.revision) {
      await tx.done
      return this.rebase()
    }
    const revision = this.revision + 1
    const stepStore = tx.objectStore('steps')
    const requests: Promise<unknown>[] = [
      charts.put({ id, chart, revision, savedAt, done, ...(kept?.removedAt ? { removedAt: kept.removedAt } : {}) }),
    ]
    if (dirtyFrom < Infinity) requests.push(stepStore.delete(stepsOf(id, dirtyFrom)))
    for (const step of steps) if (step.number >= dirtyFrom) requests.push(stepStore.put(step))
    const oldest = steps[0]?.number ?? 0
    if (oldest > 0) requests.push(stepStore.delete(IDBKeyRange.bound([id, 0], [id, oldest], false, true)))
    await Promise.all([...requests, tx.done])
    this.revision = revision
    this.pending.splice(0, writes)
    this.dirtyFrom = this.pending.length ? Math.min(this.dirtyFrom, done) : Infinity
    this.events.saving({ state: 'saved', at: savedAt })
    this.surroundings.announce(id)
  }

  /** Takes over what another tab kept, and does on top of it what is not kept yet. */
  private async rebase(): Promise<void> {
    const kept = await readStored(this.db!, this.chart.id)
    if (!kept) return
    const pending = this.pending
    this.pending = []
    this.adopt(kept)
    for (const operation of pending) {
      try {
        if (this.apply(operation)) this.pending.push(operation)
      } catch (error) {
        this.events.lost(operation.do === 'edit' ? operation.label : operation.do, (error as Error).message)
      }
    }
    this.events.changed('another tab')
  }
}
