// Takes the pictures in docs/screenshots from the built application with the demo plan: `npm run build` first.
import { chromium } from '@playwright/test'
import { makeApp } from '../server/app.mjs'
import { chromiumPath } from './chromium.mjs'

const FOLDER = new URL('../docs/screenshots/', import.meta.url).pathname
const SHEET = '/#/worksheet/side-control-head-and-far-arm?move=americana'
const PICTURES = [
  { name: 'desk', path: '/#/desk' },
  { name: 'worksheet', path: SHEET },
  { name: 'slope', path: '/#/slope' },
  { name: 'holds', path: '/#/holds/side-control-hips-low?hold=left-knee-on-the-near-hip' },
  { name: 'score', path: '/#/score/two-arms-then-the-choke', height: 1020 },
  { name: 'shelf', path: '/#/shelf?region=side-control&at=move%20americana-finish' },
  { name: 'runs', path: '/#/runs' },
  { name: 'what-if', path: '/#/runs/what-if', wait: 6000 },
  { name: 'rules', path: '/#/rules' },
  { name: 'people', path: '/#/people/beside', before: openClub, wait: 4000 },
  { name: 'trends', path: '/#/trends/true', before: openClub, wait: 12_000 },
  { name: 'charts', path: '/#/charts' },
  { name: 'settings', path: '/#/settings' },
  { name: 'worksheet-phone', path: '/#/worksheet/underhook-head-clear', width: 390, height: 844 },
  { name: 'sessions', path: '/#/sessions?block=rounds', before: openClub },
  { name: 'mat', path: '/#/mat', before: beginClass, width: 390, height: 844 },
  { name: 'mat-log', path: '/#/mat/1', before: beginClass, width: 390, height: 844, colorScheme: 'dark' },
  { name: 'spar', path: '/#/rehearse/spar?seed=7', after: beginSparring, width: 390, height: 844 },
  { name: 'slope-dark', path: '/#/slope?on=loose', colorScheme: 'dark' },
]

/** Opens the demo club. */
async function openClub(page) {
  await page.goto(`${base}/#/sessions`)
  await page.getByRole('button', { name: 'Open the demo club' }).click()
  await page.getByRole('heading', { name: 'The flank of the turtle' }).waitFor()
}

/** Opens the demo club with a class on the mats and a round on. */
async function beginClass(page) {
  await openClub(page)
  await page.goto(`${base}/#/mat`)
  await page.getByRole('button', { name: 'Begin the class' }).click()
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Next' }).click()
  await page.getByRole('button', { name: 'Start' }).last().click()
  await page.getByRole('article', { name: 'Mat 1' }).getByRole('button', { name: 'Start' }).click()
}

/** Makes the first choices of an exchange with the plan. */
async function beginSparring(page) {
  await page.getByRole('button', { name: 'Begin' }).click()
  for (let i = 0; i < 3; i++) {
    await page.getByRole('list', { name: 'What it could be' }).getByRole('button').nth(1).click()
    await page.waitForTimeout(600)
  }
}

const server = makeApp().listen(0, 'localhost')
await new Promise((ready) => server.once('listening', ready))
const base = `http://localhost:${server.address().port}`
const browser = await chromium.launch({
  executablePath: chromiumPath(),
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
})
for (const { name, path, colorScheme = 'light', width = 1280, height = 800, before, after, wait = 2500 } of PICTURES) {
  const page = await browser.newPage({
    viewport: { width, height },
    colorScheme,
    reducedMotion: 'reduce',
    isMobile: width < 1024,
    hasTouch: width < 1024,
  })
  await page.goto(`${base}/#/demo`)
  await page.getByRole('heading', { name: 'What costs us most' }).waitFor()
  if (before) await before(page)
  await page.goto(base + path)
  await page.waitForTimeout(wait)
  await page.locator('.el-skeleton').first().waitFor({ state: 'detached' })
  if (after) await after(page)
  await page.getByText('Laying it out').waitFor({ state: 'detached' })
  await page.evaluate('document.fonts.ready')
  await page.screenshot({ path: `${FOLDER}${name}.png` })
  await page.context().close()
}
await browser.close()
server.close()
