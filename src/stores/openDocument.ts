import { ref, shallowRef } from 'vue'
import type { Edit } from '../core/document/history'
import type { AnyDocument, DocumentKind } from '../core/document/kind'
import { makeDocument } from '../core/document/read'
import type { Problem } from '../core/problem'
import type { Database } from '../storage/database'
import { DocumentEditor, type Saving } from '../storage/documentEditor'
import type { Kept } from '../storage/documents'
import type { Tell } from './news'

/** An edit that was refused: what was to be done, and why it cannot be. */
export interface RefusedEdit {
  label: string
  problems: Problem[]
  /** Milliseconds since 1970. */
  at: number
}

interface OpenDocumentOptions<D> {
  tell: Tell
  /** Tells the other tabs that a document was saved. */
  announce: (id: string) => void
  saved: (document: D, at: number) => void
}

/** The document of a kind that is open: its editor as the screens see it. */
export function useOpenDocument<D extends AnyDocument>(kind: DocumentKind<D>, options: OpenDocumentOptions<D>) {
  const { tell, announce, saved } = options
  const document = shallowRef<D | null>(null)
  const saving = ref<Saving>({ state: 'saved', at: 0 })
  const steps = shallowRef<{ undo?: string | undefined; redo?: string | undefined }>({})
  const refused = shallowRef<RefusedEdit | null>(null)
  let editor: DocumentEditor<D> | null = null

  function show() {
    document.value = editor?.document ?? null
    steps.value = { undo: editor?.undoLabel, redo: editor?.redoLabel }
  }

  const events = {
    changed(by: 'here' | 'another tab') {
      refused.value = null
      show()
      if (by === 'another tab') tell(`Another tab changed this ${kind.name}: you see it as it is now.`)
    },
    saving(status: Saving) {
      saving.value = status
      if (status.state === 'saved' && editor) saved(editor.document, status.at)
    },
    refused: (label: string, problems: Problem[]) => (refused.value = { label, problems, at: Date.now() }),
    lost: (label: string, reason: string) => tell(`“${label}” could not be kept: ${reason}.`, 'warning'),
  }
  const clock = { now: () => Date.now(), later: (run: () => void, ms: number) => setTimeout(run, ms), announce }

  function begin(db: Database | null, kept: Kept<D>) {
    editor = new DocumentEditor(db, kind, kept, events, clock)
    saving.value = { state: 'saved', at: kept.savedAt }
    refused.value = null
    show()
  }

  function end() {
    editor = null
    show()
  }

  return {
    ...{ document, saving, steps, refused, begin, end },
    /** Does an edit as one step that can be undone. Returns whether anything changed. */
    edit: (label: string, edit: Edit<D>, join?: string): boolean => editor?.edit(label, edit, join) ?? false,
    undo: (): boolean => editor?.undo() ?? false,
    redo: (): boolean => editor?.redo() ?? false,
    flush: async (): Promise<void> => editor?.flush(),
    refresh: async (): Promise<void> => editor?.refresh(),
    /** The document as a file's text; works whether or not it could be kept. */
    exportText: (): string => (editor ? makeDocument(editor.document) : ''),
  }
}
