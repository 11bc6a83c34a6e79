import { useEventListener } from '@vueuse/core'
import { onMounted } from 'vue'
import { importFile } from '../parts/files/importing'

/** Where the service worker keeps what was shared (public/share.js). */
const [CACHE, SHARED] = ['ataque-shared', '/shared']

interface LaunchQueue {
  setConsumer: (consume: (launch: { files: readonly FileSystemFileHandle[] }) => void) => void
}

/** Takes in what comes by other ways than a button: pasted, shared by another application, or opened with this one. */
export function useArrivals(): void {
  useEventListener(window, 'paste', (event) => void takePasted(event))
  onMounted(() => {
    void takeShared()
    const { launchQueue } = window as { launchQueue?: LaunchQueue }
    launchQueue?.setConsumer(({ files: [first] }) => void first?.getFile().then(importFile))
  })
}

/** What is pasted into a field is the field's. */
async function takePasted({ target, clipboardData }: ClipboardEvent): Promise<void> {
  if (target instanceof HTMLElement && target.closest('input, textarea, [contenteditable]')) return
  const [file] = clipboardData?.files ?? []
  if (file) return importFile(file)
  const text = clipboardData?.getData('text/plain') ?? ''
  if (text.trim()) await (await import('../parts/files/taking')).takeInPasted(text)
}

async function takeShared(): Promise<void> {
  if (!new URLSearchParams(location.search).has('shared') || !('caches' in window)) return
  const cache = await caches.open(CACHE)
  const shared = await cache.match(SHARED)
  if (!shared) return
  await cache.delete(SHARED)
  history.replaceState(history.state, '', location.pathname + location.hash)
  const name = decodeURIComponent(shared.headers.get('x-name') ?? 'shared.txt')
  await importFile(new File([await shared.blob()], name))
}
