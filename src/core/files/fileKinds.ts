import { CHART_KIND } from '../chart/chartKind'
import { isRecord } from '../document/fields'
import { CLUB_FILE } from '../club/clubFile'
import { ANSWERS_FILE, PACK_FILE } from '../rehearse/packFiles'
import { SHELF_FILE } from '../shelf/shelfFile'

/*
 * Every kind of file that comes in or goes out. What comes in is a document; what else goes out is made from one and is
 * never read again.
 */

/**
 * The files that are documents. Only what they say that they are: how each is read is its kind's, and is loaded with
 * it.
 */
const DOCUMENT_FILES: readonly { name: string; format: string }[] = [
  ...[CHART_KIND, SHELF_FILE, CLUB_FILE, PACK_FILE, ANSWERS_FILE],
]

/** What can be made from a document, with its file name's ending and its media type. */
export const OUTPUTS = {
  markdown: { extension: '.md', type: 'text/markdown' },
  svg: { extension: '.svg', type: 'image/svg+xml' },
  png: { extension: '.png', type: 'image/png' },
  zip: { extension: '.zip', type: 'application/zip' },
  graphml: { extension: '.graphml', type: 'application/graphml+xml' },
  dot: { extension: '.dot', type: 'text/vnd.graphviz' },
  lines: { extension: '.txt', type: 'text/plain' },
  calendar: { extension: '.ics', type: 'text/calendar' },
} as const

/** The name of a file for the document of an id, perhaps of a part of it: `tern-street-chain.md`. */
export const fileName = ({ extension }: { extension: string }, id: string, part?: string): string =>
  `${id}${part ? `-${part}` : ''}${extension}`

/** The name of the kind that parsed JSON says it is; undefined where it says none that we know. */
export function kindNameOf(data: unknown): string | undefined {
  const format = isRecord(data) ? data.format : undefined
  return DOCUMENT_FILES.find((kind) => kind.format === format)?.name
}
