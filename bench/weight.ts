import { chromium, type Page } from '@playwright/test'
import type { AddressInfo } from 'node:net'
import { gzipSync } from 'node:zlib'
import { makeApp } from '../server/app.mjs'
import { chromiumPath } from '../scripts/chromium.mjs'
import { ARGS } from './interface'
import { row, type Row } from './measure'

/** Most kilobytes of compressed script: of a first visit, and what another screen may add to it until it stands. */
const FIRST = 200
const MORE = 120
/** So long after a screen stands, in milliseconds, what it fetches by itself has come. */
const QUIET = 5000
const SCREENS = [
  'slope',
  'worksheet',
  'runs',
  'holds',
  'score',
  'shelf',
  'rules',
  'charts',
  'settings',
  'sessions',
  'mat',
  'walk',
]

/** How much script one waits for: at the first visit, on the Desk with a plan, and on each other screen after it. */
export async function benchWeight(): Promise<Row[]> {
  const server = makeApp().listen(0, 'localhost')
  await new Promise((ready) => server.once('listening', ready))
  const base = `http://localhost:${(server.address() as AddressInfo).port}`
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: ARGS })
  const rows: Row[] = []
  const visit = await browser.newPage({ serviceWorkers: 'block' })
  const first = weigh(visit)
  await visit.goto(base)
  await visit.getByRole('heading', { level: 1 }).waitFor()
  rows.push(row('first visit', 'script, kB gzip', await first(), { most: FIRST }))
  await visit.close()
  for (const screen of SCREENS) {
    const page = await browser.newPage({ serviceWorkers: 'block' })
    const fetched = weigh(page)
    await page.goto(`${base}/#/demo`)
    await page.locator('[data-test="headline"] button').waitFor()
    await page.waitForLoadState('networkidle')
    const desk = await fetched()
    if (screen === SCREENS[0]) rows.push(row('desk', 'script with the demo plan and the solver, kB gzip', desk))
    const titleOfDesk = await page.title()
    await page.goto(`${base}/#/${screen}`)
    await page.waitForFunction((title) => document.title !== title, titleOfDesk)
    await page.locator('#screen h1').first().waitFor()
    rows.push(
      row(screen, 'script until it stands, beside that of the Desk, kB gzip', (await fetched()) - desk, { most: MORE }),
    )
    await page.waitForTimeout(QUIET)
    rows.push(
      row(screen, 'all script that comes by itself, beside that of the Desk, kB gzip', (await fetched()) - desk),
    )
    await page.close()
  }
  await browser.close()
  server.close()
  return rows
}

/** Weighs the scripts that a page fetches, each once, its workers’ among them; what it gives is the sum so far. */
function weigh(page: Page): () => Promise<number> {
  const bodies = new Map<string, Promise<number>>()
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) {
      // What the page leaves before it has come was not waited for.
      const weight = response.body().then((body) => gzipSync(body).length)
      bodies.set(
        response.url(),
        weight.catch(() => 0),
      )
    }
  })
  return async () => Math.round((await Promise.all(bodies.values())).reduce((sum, one) => sum + one, 0) / 100) / 10
}
