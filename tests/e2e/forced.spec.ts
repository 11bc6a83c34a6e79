import { expect, test, type Locator } from '@playwright/test'
import { openDemo } from './coach'
import { open } from './screens'

/** How an element is told apart where its colours are the system's: its edge, and what it is filled with. */
const marked = (element: Locator) =>
  element.evaluate((one) => {
    const { borderTopWidth, borderTopStyle, backgroundColor, backgroundImage } = getComputedStyle(one)
    return [borderTopWidth, borderTopStyle, backgroundColor, backgroundImage].join(' ')
  })

test('in forced colours the tries, the bars, what is current and what is pressed are told without ours', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' })
  await openDemo(page)
  await open(page, '/worksheet/underhook-head-clear')
  const strip = page.getByRole('group', { name: 'Tries of Shoot the high crotch' }).first()
  const marks = await Promise.all(
    ['lands', 'reaction', 'stalls'].map((kind) => marked(strip.locator(`.${kind} .pip`).first())),
  )
  expect(new Set(marks).size).toBe(3)
  const here = page.getByRole('navigation', { name: 'Screens' }).locator('[aria-current=page]')
  const other = page.getByRole('navigation', { name: 'Screens' }).getByRole('link', { name: 'Runs' })
  expect(await here.evaluate((one) => getComputedStyle(one).outlineStyle)).toBe('solid')
  expect(await other.evaluate((one) => getComputedStyle(one).outlineStyle)).not.toBe('solid')
  await open(page, '/slope?show=all')
  const pressed = page.getByRole('button', { name: 'Whole' })
  expect(await marked(pressed)).not.toBe(await marked(page.getByRole('button', { name: 'Leaks' })))
  await open(page, '/desk')
  const parts = await page.locator('.endings .bar span').all()
  const drawn = await Promise.all(parts.map(marked))
  expect(parts.length).toBeGreaterThan(3)
  expect(new Set(drawn).size).toBe(parts.length)
})

test('who asks for contrast gets stronger lines and words', async ({ page }) => {
  await page.emulateMedia({ contrast: 'no-preference' })
  await openDemo(page)
  const line = () => page.evaluate(() => getComputedStyle(document.documentElement).getPropertyValue('--line').trim())
  const usual = await line()
  await page.emulateMedia({ contrast: 'more' })
  expect(await line()).not.toBe(usual)
})
