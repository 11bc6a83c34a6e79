import { failure, success, type Result } from '../problem'

/** The platform's decoder: browsers, workers and Node have the same. */
declare const TextDecoder: new (label: string, options: { fatal: boolean }) => { decode: (bytes: Uint8Array) => string }

/** The text in a file's bytes, without a byte order mark; a problem where they are not UTF-8. */
export function decodeText(bytes: Uint8Array): Result<string> {
  try {
    return success(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    return failure({ code: 'not-utf8', path: [], message: 'the file is not UTF-8 text: save it as UTF-8' })
  }
}
