import type { ShelfRegion } from '../core/shelf/shelf'

const FILES = import.meta.glob<ShelfRegion>('../shelf/*.json', { import: 'default' })

/** The regions that ship with the application, each read from a file of its own, in no order. */
export const readShelfFiles = (): Promise<ShelfRegion[]> => Promise.all(Object.values(FILES).map((file) => file()))
