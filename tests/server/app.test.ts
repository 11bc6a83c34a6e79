import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { makeApp } from '../../server/app.mjs'

let server: Server
let base: string

beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'ataque-dist-'))
  mkdirSync(join(dist, 'assets'))
  writeFileSync(join(dist, 'index.html'), '<!doctype html><title>Ataque</title>')
  writeFileSync(join(dist, 'assets', 'app-1a2b.js'), `export const text = '${'long enough to be packed '.repeat(100)}'`)
  server = makeApp(dist).listen(0, 'localhost')
  await new Promise((ready) => server.once('listening', ready))
  base = `http://localhost:${(server.address() as AddressInfo).port}`
})
afterAll(() => {
  server.close()
  server.closeAllConnections()
})

describe('the server', () => {
  it('lets nothing in or out but its own files', async () => {
    const policy = (await fetch(base)).headers.get('content-security-policy')!
    const directives = Object.fromEntries(
      policy.split(';').map((part) => {
        const [name, ...sources] = part.trim().split(' ')
        return [name, sources.join(' ')]
      }),
    )
    expect(directives).toMatchObject({
      ...{
        'default-src': "'none'",
        'script-src': "'self' 'wasm-unsafe-eval'",
        'style-src': "'self'",
        'font-src': "'self'",
      },
      ...{ 'connect-src': "'self'", 'worker-src': "'self'", 'base-uri': "'none'", 'frame-ancestors': "'none'" },
    })
    expect(policy.replace("'wasm-unsafe-eval'", '')).not.toContain('unsafe')
    expect(policy).not.toContain('http')
  })

  it('says nothing of what it runs on, and forbids guessing types', async () => {
    const { headers } = await fetch(base)
    expect(headers.get('x-powered-by')).toBeNull()
    expect(headers.get('x-content-type-options')).toBe('nosniff')
  })

  it('packs its files and lets the named ones be kept', async () => {
    const response = await fetch(`${base}/assets/app-1a2b.js`, { headers: { 'accept-encoding': 'gzip' } })
    expect(response.headers.get('content-encoding')).toBe('gzip')
    expect(response.headers.get('cache-control')).toContain('immutable')
    expect(await response.text()).toContain('long enough')
  })

  it('answers any path with the application, but not a missing asset', async () => {
    expect(await (await fetch(`${base}/some/where`)).text()).toContain('<title>Ataque</title>')
    expect((await fetch(`${base}/assets/missing.js`)).status).toBe(404)
  })

  it.each([
    ['/assets/missing.js', 404, 'Not Found\n'],
    ['/assets/%E0%A4%A', 400, 'Bad Request\n'],
  ])('answers %s with %i in two words at most, without a stack or a path', async (path, status, text) => {
    const response = await fetch(`${base}${path}`)
    expect([response.status, await response.text()]).toEqual([status, text])
  })

  it('takes nothing', async () => {
    for (const method of ['POST', 'PUT', 'DELETE']) expect((await fetch(base, { method })).status).toBe(404)
  })
})
