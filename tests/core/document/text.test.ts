import { decodeText } from '../../../src/core/document/text'
import { taken } from '../../reference/taken'

const bytes = (text: string, encoding: BufferEncoding = 'utf8') => new Uint8Array(Buffer.from(text, encoding))

describe('the text of a file', () => {
  it('is read as UTF-8, with or without a byte order mark', () => {
    const text = '{ "title": "Uchi-mata é, 内股" }'
    expect([taken(decodeText(bytes(text))), taken(decodeText(bytes(`\uFEFF${text}`)))]).toEqual([text, text])
  })

  it.each([
    ['Latin-1', bytes('{ "title": "é" }', 'latin1')],
    ['UTF-16', new Uint8Array([0xff, 0xfe, 0x7b, 0x00])],
    ['cut within a letter', bytes('é').slice(0, 1)],
  ])('is refused by name where it is %s', (_, data) => {
    expect(decodeText(data)).toMatchObject({ ok: false, problems: [{ code: 'not-utf8' }] })
  })
})
