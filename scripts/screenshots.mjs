// Takes the pictures in docs/screenshots from the built application with the demo plan: `npm run build` first.
import { chromium } from '@playwright/test'
import { makeApp } from '../server/app.mjs'
import { chromiumPath } from './chromium.mjs'

const FOLDER = new URL('../docs/screenshots/', import.meta.url).pathname
const SHEET = '/#/worksheet/side-control-head-and-far-arm?move=americana'
const SIDE = 'side-control-head-and-far-arm'
const AROUND = `/#/slope?on=around&place=${SIDE}&exchanges=1&at=place%20${SIDE}`
const PICTURES = [
  { name: 'desk', path: '/#/desk' },
  { name: 'worksheet', path: SHEET },
  { name: 'slope', path: '/#/slope' },
  { name: 'slope-around', path: AROUND },
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
  { name: 'desk-dark', path: '/#/desk', colorScheme: 'dark' },
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
for (const { name, path, colorScheme = 'light', height = 800, scroll, wait = 2500 } of PICTURES) {
  const page = await browser.newPage({ viewport: { width: 1280, height }, colorScheme, reducedMotion: 'reduce' })
  await page.goto(`${base}/#/demo`)
  await page.getByRole('heading', { name: 'What costs us most' }).waitFor()
  await page.goto(base + path)
  await page.waitForTimeout(wait)
  if (scroll) await page.locator(scroll).evaluate((part) => part.scrollIntoView())
  await page.evaluate('document.fonts.ready')
  await page.screenshot({ path: `${FOLDER}${name}.png` })
  await page.context().close()
}
await browser.close()
server.close()
