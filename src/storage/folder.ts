import type { Database } from './database'

/** A folder that the coach has chosen for backups, as far as we use it: File System Access. */
export interface Folder {
  name: string
  queryPermission: (asked: { mode: 'readwrite' }) => Promise<PermissionState>
  requestPermission: (asked: { mode: 'readwrite' }) => Promise<PermissionState>
  getFileHandle: (name: string, options: { create: true }) => Promise<FileSystemFileHandle>
}

const KEY: [string, string] = ['folder', 'folder']

/** The folder that was chosen; undefined where none was. */
export async function chosenFolder(db: Database): Promise<Folder | undefined> {
  const row = await db.get('documents', KEY)
  return (row?.document as { handle?: Folder } | undefined)?.handle
}

/** Remembers a folder, or (null) forgets it. */
export async function chooseFolder(db: Database, folder: Folder | null): Promise<void> {
  if (!folder) return db.delete('documents', KEY)
  const document = { id: 'folder', title: folder.name, handle: folder }
  await db.put('documents', { kind: 'folder', id: 'folder', document, revision: 1, savedAt: 0, done: 0 })
}

/** Writes a file into a folder. Rejects where the browser does not let us. */
export async function writeInto(folder: Folder, name: string, bytes: Uint8Array<ArrayBuffer>): Promise<void> {
  const file = await folder.getFileHandle(name, { create: true })
  const stream = await file.createWritable()
  await stream.write(bytes)
  await stream.close()
}
