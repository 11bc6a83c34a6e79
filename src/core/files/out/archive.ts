import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { strToU8, zipSync } from 'fflate'

/** A file within an archive. */
export interface Entry {
  path: string
  text: string
}

/** Files as one zip archive. `at`: when they were last changed, in milliseconds since 1970. */
export const zipOf = (entries: readonly Entry[], at: number): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(zipSync(Object.fromEntries(entries.map(({ path, text }) => [path, strToU8(text)])), { mtime: at }))

/** The SHA-256 of a text in UTF-8, as 64 hexadecimal digits. */
export const sumOf = (text: string): string => bytesToHex(sha256(utf8ToBytes(text)))
