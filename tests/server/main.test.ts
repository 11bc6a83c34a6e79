import { execFileSync, spawn } from 'node:child_process'
import { once } from 'node:events'
import { request } from 'node:https'
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const MAIN = new URL('../../server/main.mjs', import.meta.url).pathname
const LARGE = 'x'.repeat(20_000_000)

function built(): string {
  const dist = mkdtempSync(join(tmpdir(), 'ataque-dist-'))
  mkdirSync(join(dist, 'assets'))
  writeFileSync(join(dist, 'index.html'), '<title>Ataque</title>')
  writeFileSync(join(dist, 'assets', 'large.txt'), LARGE)
  return dist
}

/** The server as its own process; `said` is all that it has printed. */
function start(env: Record<string, string>) {
  const process_ = spawn(process.execPath, [MAIN], { env: { ...process.env, DIST: built(), PORT: '0', ...env } })
  const said = { text: '' }
  for (const stream of [process_.stdout, process_.stderr]) stream.on('data', (text) => (said.text += String(text)))
  const ended = once(process_, 'exit').then(([code]) => code as number)
  return { process: process_, said, ended }
}

async function address({ said }: ReturnType<typeof start>): Promise<string> {
  for (;;) {
    const found = /https?:\S+/.exec(said.text)?.[0]
    if (found) return found
    await new Promise((later) => setTimeout(later, 10))
  }
}

it.each(['abc', '70000', '-1', '80.5', ''])('refuses PORT "%s" with a sentence', async (PORT) => {
  const { ended, said } = start({ PORT })
  expect([await ended, said.text]).toEqual([2, `PORT should be a number from 0 to 65535, not "${PORT}".\n`])
})

it('says that nothing is built', async () => {
  const { ended, said } = start({ DIST: tmpdir() })
  expect([await ended, said.text]).toEqual([1, 'There is nothing built yet: run npm run build first.\n'])
})

it.each(['SIGTERM', 'SIGINT'] as const)('on %s answers what is open, and ends with 0', async (signal) => {
  const server = start({ NODE_ENV: 'development' })
  const base = await address(server)
  const response = await fetch(`${base}assets/large.txt`)
  server.process.kill(signal)
  expect((await response.text()).length).toBe(LARGE.length)
  expect(await server.ended).toBe(0)
})

it.each(['development', 'production'])(
  'prints nothing for what is missing, and answers alike in %s',
  async (NODE_ENV) => {
    const server = start({ NODE_ENV })
    const base = await address(server)
    const before = server.said.text
    const response = await fetch(`${base}assets/missing.js`)
    expect([response.status, await response.text(), server.said.text]).toEqual([404, 'Not Found\n', before])
    server.process.kill('SIGTERM')
    expect(await server.ended).toBe(0)
  },
)

it('serves by https with a certificate of one’s own', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'ataque-cert-'))
  const [CERT, KEY] = [join(folder, 'gym.crt'), join(folder, 'gym.key')]
  const made = ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '1', '-subj', '/CN=localhost']
  execFileSync('openssl', [...made, '-addext', 'subjectAltName=DNS:localhost', '-keyout', KEY, '-out', CERT], {
    stdio: 'ignore',
  })
  const server = start({ CERT, KEY })
  const base = await address(server)
  expect(base).toMatch(/^https:/)
  const body = await new Promise<string>((said, failed) => {
    const asked = request(base, { ca: readFileSync(CERT), agent: false }, (response) => {
      let text = ''
      response.on('data', (part) => (text += String(part))).on('end', () => said(text))
    })
    asked.on('error', failed).end()
  })
  expect(body).toContain('Ataque')
  server.process.kill('SIGTERM')
  expect(await server.ended).toBe(0)
})

it.each([
  [{ CERT: 'gym.crt' }, 'CERT and KEY go together'],
  [{ CERT: '/nowhere/gym.crt', KEY: '/nowhere/gym.key' }, 'The certificate cannot be used: ENOENT'],
])('refuses half a certificate, and one that is not there: %o', async (env, says) => {
  const { ended, said } = start(env as Record<string, string>)
  expect(await ended).toBe(2)
  expect(said.text).toContain(says)
})
