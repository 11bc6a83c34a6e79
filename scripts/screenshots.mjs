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
  { name: 'holds-back', path: '/#/holds/back-top-arm-trapped' },
  { name: 'score', path: '/#/score/two-arms-then-the-choke', height: 1020 },
  { name: 'score-dark', path: '/#/score/two-arms-and-the-roll', height: 1020, colorScheme: 'dark' },
  { name: 'shelf', path: '/#/shelf?region=side-control&at=move%20americana-finish' },
  { name: 'runs', path: '/#/runs' },
  { name: 'side-by-side', path: '/#/runs/side-by-side' },
  { name: 'beat', path: '/#/runs/beat', wait: 6000 },
  { name: 'what-if', path: '/#/runs/what-if', wait: 6000 },
  { name: 'rules', path: '/#/rules' },
  { name: 'rules-of-thumb', path: '/#/worksheet/they-have-our-back', scroll: 'details.says' },
  { name: 'charts', path: '/#/charts' },
  { name: 'settings', path: '/#/settings' },
  { name: 'worksheet-phone', path: '/#/worksheet/underhook-head-clear', width: 390, height: 844 },
  { name: 'slope-dark', path: '/#/slope?on=loose', colorScheme: 'dark' },
  { name: 'worksheet-dark', path: SHEET, colorScheme: 'dark' },
]

const server = makeApp().listen(0, 'localhost')
await new Promise((ready) => server.once('listening', ready))
const base = `http://localhost:${server.address().port}`
const browser = await chromium.launch({
  executablePath: chromiumPath(),
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
})
for (const { name, path, colorScheme = 'light', width = 1280, height = 800, scroll, wait = 2500 } of PICTURES) {
  const page = await browser.newPage({
    viewport: { width, height },
    colorScheme,
    reducedMotion: 'reduce',
    isMobile: width < 1024,
    hasTouch: width < 1024,
  })
  await page.goto(`${base}/#/demo`)
  await page.getByRole('heading', { name: 'What costs us most' }).waitFor()
  await page.goto(base + path)
  await page.waitForTimeout(wait)
  await page.locator('.el-skeleton').first().waitFor({ state: 'detached' })
  await page.getByText('Laying it out').waitFor({ state: 'detached' })
  if (scroll) await page.locator(scroll).evaluate((part) => part.scrollIntoView())
  await page.evaluate('document.fonts.ready')
  await page.screenshot({ path: `${FOLDER}${name}.png` })
  await page.context().close()
}
await browser.close()
server.close()
