import { OUTPUTS } from '../../../core/files/fileKinds'
import type { Folder } from '../../../storage/folder'
import { useBackups } from '../../../stores/backups'
import { download } from './download'

/** Saves a backup: into the chosen folder where that can be written to, else as a download. Returns where it went. */
export async function backUp(): Promise<'folder' | 'download'> {
  const backups = useBackups()
  if (backups.folder && (await backups.intoFolder(true))) return 'folder'
  const { name, bytes } = await backups.make()
  download(new Blob([bytes], { type: OUTPUTS.zip.type }), name)
  backups.keep()
  return 'download'
}

type Picking = { showDirectoryPicker?: (options: { mode: 'readwrite' }) => Promise<Folder> }
export const canPickFolder = (): boolean => 'showDirectoryPicker' in window

/** Asks for a folder; null where the coach chooses none. */
export const pickFolder = async (): Promise<Folder | null> =>
  (await (window as Picking).showDirectoryPicker?.({ mode: 'readwrite' }).catch(() => null)) ?? null
