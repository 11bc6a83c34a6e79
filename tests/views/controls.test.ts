import { readdirSync, readFileSync } from 'node:fs'

const ROOT = new URL('../../', import.meta.url)
const SRC = new URL('src/', ROOT)
const NATIVE = /<(button|input|select|textarea)\b/
const files = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.vue'))
const withNative = files.filter((name) => NATIVE.test(readFileSync(new URL(name, SRC), 'utf8')))

/** The controls of our own that docs/architecture.md lists, each with a reason. */
const listed = [
  ...readFileSync(new URL('docs/architecture.md', ROOT), 'utf8').matchAll(/^\| `([\w/]+\.vue)`\s*\|[^|]+\|/gm),
].map(([, name]) => name)

describe('controls', () => {
  it('are the library’s, but for those of our own that the architecture gives a reason for', () => {
    expect(withNative.toSorted()).toEqual(listed.toSorted())
    expect(listed.length).toBeGreaterThan(5)
  })

  it('say what more there is to say by the one tooltip, not by a title of the browser', () => {
    const titled = files.filter((name) => {
      const text = readFileSync(new URL(name, SRC), 'utf8')
      return [...text.matchAll(/<([a-zA-Z-]+)([^<>]*?)\s:?title="/g)].some(([, tag]) => !/^el-|^[A-Z]/.test(tag ?? ''))
    })
    expect(titled).toEqual([])
  })
})
