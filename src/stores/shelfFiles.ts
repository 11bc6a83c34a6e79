import type { ShelfRegion } from '../core/shelf/shelf'

/** Addresses of the regions: they are data, fetched as such, not script that has to be compiled. */
const FILES = import.meta.glob<string>('../shelf/*.json', { query: '?url', import: 'default', eager: true })

/**
 * The regions that ship with the application, each read from a file of its own, in no order. Rejects where a file is
 * not to be had; the frame is then told, as by a part of the script that is gone, that the build has been renewed.
 */
export const readShelfFiles = (): Promise<ShelfRegion[]> => Promise.all(Object.values(FILES).map(readRegion))

async function readRegion(address: string): Promise<ShelfRegion> {
  const answer = await fetch(address).catch(() => null)
  if (answer?.ok) return (await answer.json()) as ShelfRegion
  window.dispatchEvent(new Event('vite:preloadError'))
  throw new Error(`${address}: ${answer?.status ?? 'cannot be reached'}`)
}
