import { chromium, type Browser, type Locator, type Page } from '@playwright/test'
import { chromiumPath } from '../scripts/chromium.mjs'
import { readFileSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { makeChart } from '../src/core/files/chartFile'
import { makeApp } from '../server/app.mjs'
import { generateChart } from './generate'
import { row, type Row } from './measure'

const CHANGES = 15
const READS = 'How often they see it coming, in per cent'
/** What is changed, by an arrow key: the scenario, and a count of the chart itself. */
const CHANGED = [
  { screen: 'desk', changes: 'scenario', label: READS },
  { screen: 'slope', changes: 'scenario', label: READS },
  { screen: 'worksheet', changes: 'scenario', label: READS },
  { screen: 'worksheet', changes: 'count', label: / lands$/ },
]
export const ARGS = ['--headless', '--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking']

/** From a change to all figures repainted, by the browser's own marks, in the built application. */
export async function benchInterface(): Promise<Row[]> {
  const server = makeApp().listen(0, 'localhost')
  await new Promise((ready) => server.once('listening', ready))
  const base = `http://localhost:${(server.address() as AddressInfo).port}`
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: ARGS,
  })
  const large = generateChart({ positions: 300, moves: 1200, reactions: 500, seed: 7 })
  const charts = [
    {
      name: 'demo plan',
      text: readFileSync('demo/tern-street.ataque.json', 'utf8'),
      most: 100,
    },
    { name: '300 positions', text: makeChart(large), most: 300 },
  ]
  const rows: Row[] = []
  for (const { name, text, most } of charts) {
    for (const { screen, changes, label } of CHANGED) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
      await openChart(page, base, text, screen)
      if (changes === 'scenario') await page.getByRole('button', { name: /^Scenario/ }).click()
      const times = await repaints(page, page.getByLabel(label).first())
      const what = `${changes} to repaint, ms`
      rows.push(row(`${screen}, ${name}`, `${what} (median)`, times[times.length >> 1], { most }))
      rows.push(row(`${screen}, ${name}`, `${what} (slowest)`, times[times.length - 1]))
      await page.close()
    }
    rows.push(row(`desk, ${name}`, 'how sure, ms', await howSure(browser, base, text), { most: 10_000 }))
  }
  await browser.close()
  server.close()
  return rows
}

/** Imports a chart and goes to a screen. */
export async function openChart(page: Page, base: string, text: string, screen: string): Promise<void> {
  await page.goto(`${base}/#/charts`)
  const file = { name: 'bench.ataque.json', mimeType: 'application/json', buffer: Buffer.from(text) }
  await page.getByLabel('Chart file').setInputFiles(file)
  await page.locator('[data-test="headline"] button').waitFor()
  await page.goto(`${base}/#/${screen}`)
  await page.waitForTimeout(1000)
}

/** Milliseconds from asking for the range to reading it, once what the Desk itself works out is there. */
async function howSure(browser: Browser, base: string, text: string): Promise<number> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await openChart(page, base, text, 'desk')
  await page.waitForTimeout(5000)
  const from = Date.now()
  await page.getByRole('button', { name: 'How sure?' }).click()
  await page.locator('.sure b').waitFor()
  const ms = Date.now() - from
  await page.close()
  return ms
}

/** Milliseconds of each change, sorted. */
async function repaints(page: Page, changing: Locator): Promise<number[]> {
  await changing.focus()
  const times: number[] = []
  for (let i = 0; i < CHANGES; i++) {
    const before = await measured(page)
    await page.keyboard.press(i % 2 ? 'ArrowLeft' : 'ArrowRight')
    while ((await measured(page)).count === before.count) await page.waitForTimeout(20)
    times.push((await measured(page)).last)
  }
  return times.sort((a, b) => a - b)
}

function measured(page: Page): Promise<{ count: number; last: number }> {
  return page.evaluate(() => {
    const entries = performance.getEntriesByName('ataque-repaint')
    return { count: entries.length, last: entries.at(-1)?.duration ?? 0 }
  })
}
