import type { AnyDocument, DocumentKind } from '../core/document/kind'
import type { Problem } from '../core/problem'
import type { Store } from '../storage/connection'
import { DocumentEditor, type EditorClock, type EditorEvents, type Saving } from '../storage/documentEditor'
import type { Kept } from '../storage/documents'
import type { Tell } from './news'
import { t } from '../words'

/** A document that was opened in this tab, with how far it is kept. */
export interface Session<D extends AnyDocument> {
  editor: DocumentEditor<D>
  saving: Saving
}

/** What is heard of a session. */
export interface SessionEvents<D extends AnyDocument> {
  tell: Tell
  isOpen: (session: Session<D>) => boolean
  /** Its document is another than before. */
  edited: (session: Session<D>) => void
  /** How far it is kept is another than before. */
  kept: (session: Session<D>) => void
  saved: (document: D, at: number) => void
  refused: (label: string, problems: Problem[]) => void
}

/** Begins to work on a document as it was kept. */
export function newSession<D extends AnyDocument>(
  kind: DocumentKind<D>,
  store: Store,
  kept: Kept<D>,
  clock: EditorClock,
  { tell, isOpen, edited, kept: keptAs, saved, refused }: SessionEvents<D>,
): Session<D> {
  const events: EditorEvents = {
    changed(by) {
      edited(session)
      if (by === 'another tab' && isOpen(session)) {
        tell(t('keeping.anotherTabChangedThisKindYou', { kind: kind.name }))
      }
    },
    saving(status) {
      session.saving = status
      if (status.state === 'saved') saved(editor.document, status.at)
      keptAs(session)
    },
    refused,
    lost: (label, reason) => tell(t('keeping.labelCouldNotBeKeptReason', { label, reason }), 'warning'),
  }
  const editor = new DocumentEditor(store, kind, kept, events, clock)
  const session: Session<D> = { editor, saving: { state: 'saved', at: kept.savedAt } }
  return session
}

/** Whether something of it would go with the page. */
export const isUnsaved = <D extends AnyDocument>({ editor, saving }: Session<D>): boolean =>
  editor.isDirty || saving.state === 'forgotten'
