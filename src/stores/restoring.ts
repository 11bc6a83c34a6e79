import type { Edit } from '../core/document/history'
import type { AnyDocument } from '../core/document/kind'
import { restoringOf, type Backup, type Restoring } from '../core/files/backup'
import { KINDS, type KindName } from '../core/files/documentKinds'
import { putInPlace } from '../core/files/edits/putInPlace'
import { success, type Result } from '../core/problem'
import { Connection } from '../storage/connection'
import { keptOf, putDocument } from '../storage/restoring'
import { KINDS_KEPT } from './backups'
import { useCharts } from './charts'
import { useClubs } from './clubs'

/** The channels on which tabs hear that a document was changed. */
const CHANNELS: Partial<Record<KindName, string>> = { chart: 'ataque', club: 'ataque-clubs', pack: 'ataque-homework' }

/** Tells the tabs, this one too, that a document was changed beneath them. */
function announce(kind: KindName, id: string): void {
  const name = CHANNELS[kind]
  if (!name || typeof BroadcastChannel === 'undefined') return
  const channel = new BroadcastChannel(name)
  channel.postMessage({ id })
  channel.close()
}

/** The way back from a backup. */
export function useRestoring() {
  const store = new Connection()
  const charts = useCharts()
  const clubs = useClubs()

  /** What restoring a backup would change. */
  const restoring = async (backup: Backup): Promise<Restoring[]> =>
    restoringOf(backup, (await keptOf(store, KINDS_KEPT)).documents)

  /** Whether a document is open in this tab, and was put back there as a step of the tab's own. */
  function isPutOpen(kind: KindName, { id }: AnyDocument, label: string, edit: Edit<object>): boolean {
    if (kind === 'chart' && charts.keptChart?.id === id) return charts.editKept(label, edit)
    return kind === 'club' && clubs.club?.id === id && clubs.edit(label, edit)
  }

  /** Restores documents, each as one step that can be undone; stops at the first that cannot be. */
  async function restore(some: readonly Restoring[], label: string): Promise<Result<null>> {
    for (const { kind, document, state } of some) {
      const edit = (draft: object) => putInPlace(draft, document)
      if (state === 'same' || isPutOpen(kind, document, label, edit)) continue
      const put = await putDocument(store, KINDS[kind], document, { label, edit, now: Date.now() })
      if (!put.ok) return put
      announce(kind, document.id)
    }
    return success(null)
  }

  return { restoring, restore }
}
