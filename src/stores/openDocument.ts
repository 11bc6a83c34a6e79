import { computed, ref, shallowRef, triggerRef } from 'vue'
import type { Edit } from '../core/document/history'
import type { AnyDocument, DocumentKind } from '../core/document/kind'
import { makeDocument } from '../core/document/read'
import type { Problem } from '../core/problem'
import type { Store } from '../storage/connection'
import type { DocumentEditor, EditorClock, Saving } from '../storage/documentEditor'
import type { Kept } from '../storage/documents'
import type { Tell } from './news'
import { isUnsaved, newSession, type Session, type SessionEvents } from './session'

/** An edit that was refused: what was to be done, and why it cannot be. */
export interface RefusedEdit {
  label: string
  problems: Problem[]
  /** Milliseconds since 1970. */
  at: number
}

/** A document with edits that are not kept. */
export interface UnsavedDocument {
  id: string
  title: string
  saving: Saving
}

interface OpenDocumentOptions<D> {
  tell: Tell
  /** Tells the other tabs that a document was saved. */
  announce: (id: string) => void
  saved: (document: D, at: number) => void
}

/** The name of the tab is one that no other has. */
const clockOf = (announce: (id: string) => void): EditorClock => ({
  ...{ tab: Math.random().toString(36).slice(2), now: () => Date.now(), announce },
  later: (run, ms) => setTimeout(run, ms),
})

/**
 * The document of a kind that is open, as the screens see it, and those that were left with edits that could not be
 * kept: they go on trying until they are kept, and are shown as they stand when they are opened again.
 */
export function useOpenDocument<D extends AnyDocument>(kind: DocumentKind<D>, options: OpenDocumentOptions<D>) {
  const document = shallowRef<D | null>(null)
  const saving = ref<Saving>({ state: 'saved', at: 0 })
  const steps = shallowRef<{ undo?: string | undefined; redo?: string | undefined }>({})
  const refused = shallowRef<RefusedEdit | null>(null)
  /** By id: the open one, and all with something that is not kept. */
  const sessions = shallowRef(new Map<string, Session<D>>())
  let open: Session<D> | null = null

  const clock = clockOf(options.announce)
  const events: SessionEvents<D> = {
    ...{ tell: options.tell, saved: options.saved },
    isOpen: (session) => session === open,
    edited(session) {
      if (session === open) refused.value = null
      show()
    },
    kept(session) {
      const { id } = session.editor.document
      const isDone = session !== open && !isUnsaved(session)
      if (isDone && sessions.value.get(id) === session) sessions.value.delete(id)
      show()
    },
    refused: (label, problems) => (refused.value = { label, problems, at: Date.now() }),
  }

  function show() {
    document.value = open?.editor.document ?? null
    steps.value = { undo: open?.editor.undoLabel, redo: open?.editor.redoLabel }
    saving.value = open?.saving ?? { state: 'saved', at: 0 }
    triggerRef(sessions)
  }

  /** Leaves what is open; whatever of it is not kept goes on being tried. */
  function end() {
    if (open && !isUnsaved(open)) sessions.value.delete(open.editor.document.id)
    open = null
    refused.value = null
    show()
  }

  function enter(session: Session<D>) {
    end()
    open = session
    sessions.value.set(session.editor.document.id, session)
    show()
  }

  /** Opens a document that was left with edits that are not kept. Returns whether there is one of this id. */
  function resume(id: string): boolean {
    const session = sessions.value.get(id)
    if (session) enter(session)
    return session !== undefined
  }

  /** Forgets a document with whatever of it is not kept. */
  function drop(id: string) {
    sessions.value.delete(id)
    if (open?.editor.document.id === id) open = null
    show()
  }

  const left = () => [...sessions.value.values()]
  return {
    ...{ document, saving, steps, refused, resume, end, drop },
    unsaved: computed(() => left().filter(isUnsaved).map(unsavedOf)),
    /** Opens a document as it was kept. */
    begin: (store: Store, kept: Kept<D>): void => enter(newSession(kind, store, kept, clock, events)),
    ...actsOf(() => open?.editor),
    /** Tries to write whatever is not kept yet, of every document. */
    flush: async (): Promise<void> => void (await Promise.all(left().map(({ editor }) => editor.flush()))),
    /** The document as a file's text; works whether or not it could be kept. */
    exportText: (): string => (open ? makeDocument(open.editor.document) : ''),
  }
}

function unsavedOf<D extends AnyDocument>({ editor, saving }: Session<D>): UnsavedDocument {
  const { id, title } = editor.document
  return { id, title, saving }
}

/** What is done to the document that is open. */
function actsOf<D extends AnyDocument>(editor: () => DocumentEditor<D> | undefined) {
  return {
    /** Does an edit as one step that can be undone. Returns whether anything changed. */
    edit: (label: string, edit: Edit<D>, join?: string): boolean => editor()?.edit(label, edit, join) ?? false,
    /** Does an edit that cannot be taken back, and forgets all steps before it. Returns whether that is kept. */
    editForGood: async (label: string, edit: Edit<D>): Promise<boolean> => {
      const now = editor()
      if (!now?.editForGood(label, edit)) return false
      await now.flush()
      return !now.isDirty
    },
    undo: (): boolean => editor()?.undo() ?? false,
    redo: (): boolean => editor()?.redo() ?? false,
    refresh: async (): Promise<void> => editor()?.refresh(),
  }
}
