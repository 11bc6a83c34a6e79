import { expect, test, type Page } from '@playwright/test'
import { choose, digits, openDemo, openScenario, worth } from './coach'

async function openSheet(page: Page): Promise<void> {
  await openDemo(page)
  await page.keyboard.press('Control+k')
  await page.keyboard.type('head and far')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Side control, head and far arm')
}

test('the Worksheet is worked by keyboard alone', async ({ page }) => {
  await openSheet(page)
  const worthHere = () =>
    page.getByRole('button', { name: /^Worth of Side control, head and far arm/ }).getAttribute('data-tip')
  const before = await worthHere()

  const lands = page.getByRole('spinbutton', { name: 'Step-around armbar: lands' })
  await lands.focus()
  await page.keyboard.press('ArrowRight')
  await expect(lands).toHaveAttribute('aria-valuenow', '5')
  await digits(page, '12')
  await expect(lands).toHaveAttribute('aria-valuenow', '12')
  await expect.poll(worthHere).not.toBe(before)
  await page.keyboard.press('Control+z')
  await expect(lands).toHaveAttribute('aria-valuenow', '5')
  await page.keyboard.press('Control+z')
  await expect.poll(worthHere).toBe(before)
  await page.keyboard.press('Control+Shift+z')
  await expect(lands).toHaveAttribute('aria-valuenow', '5')
  await page.keyboard.press('Control+z')

  const card = page.getByRole('article', { name: /^Americana/ })
  await card.focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.locator(':focus')).toHaveAttribute('aria-label', 'They: Straightens the arm')
  await page.keyboard.press('Alt+ArrowDown')
  await expect(card.getByRole('listitem').nth(1)).toHaveAttribute('aria-label', 'They: Straightens the arm')
  await page.keyboard.press('Alt+ArrowUp')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await expect(page.locator(':focus')).toHaveAttribute('aria-label', 'They: Bridges over us')
  await page.keyboard.press('Enter')
  await page.keyboard.type('frame')
  await page.keyboard.press('Enter')
  await expect(
    page.getByRole('listitem', { name: 'They: Bridges over us' }).getByRole('link', { name: 'Frame and hip out' }),
  ).toBeVisible()
  await page.keyboard.press('Delete')
  await expect(page.getByRole('listitem', { name: 'They: Bridges over us' })).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('listitem', { name: 'They: Bridges over us' })).toHaveCount(1)

  await card.focus()
  await page.keyboard.press('Alt+ArrowDown')
  await expect(page.getByRole('article').first()).toHaveAttribute('aria-label', /^Step-around armbar/)
  await card.focus()
  await page.keyboard.press('l')
  const line = page.getByLabel('Americana as a line')
  await expect(line).toHaveValue(/^Americana \(finish\): 3 land; /)
  await line.fill('Americana (finish): 4 land; 2 straightens the arm >')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('say which move answers it')
  await page.keyboard.type(' straight ar')
  await page.keyboard.press('Tab')
  await expect(line).toHaveValue(/> Straight armlock$/)
  await page.keyboard.press('Enter')
  await expect(card.getByRole('spinbutton', { name: 'Americana: lands' })).toHaveAttribute('aria-valuenow', '4')
  await expect(card.getByRole('listitem')).toHaveCount(1)

  await page.locator('h1').getByRole('button').focus()
  await page.keyboard.press('Enter')
  await page.keyboard.type('Far arm')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Far arm')
  // A letter that comes right after a field was left may still be meant for it.
  await page.waitForTimeout(450)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
})

test('a pasted position becomes a fork table, and a boundary can be dragged', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet')
  await page.getByLabel('Search or name a position').fill('Low mount, elbows in')
  await page.getByRole('button', { name: /^New position/ }).click()
  const lines = Array.from(
    { length: 10 },
    (_, i) => `Attack ${'abcdefghij'[i]} (finish): 3 land; 4 reply ${'abcdefghij'[i]} > ?; 3 nothing`,
  )
  await page.getByLabel('Say a move in a line').fill(lines.join('\n'))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('article', { name: /^Attack/ })).toHaveCount(10)
  const lands = page.getByRole('spinbutton', { name: 'Attack a: lands' })
  const seam = page
    .getByRole('article', { name: /^Attack a/ })
    .locator('.seam')
    .first()
  const box = (await seam.boundingBox())!
  await page.mouse.move(box.x + 6, box.y + 12)
  await page.mouse.down()
  await page.mouse.move(box.x + 40, box.y + 12, { steps: 4 })
  await page.mouse.move(box.x + 66, box.y + 12, { steps: 4 })
  await page.mouse.up()
  await expect(lands).toHaveAttribute('aria-valuenow', '5')
  await page.keyboard.press('Control+z')
  await expect(lands).toHaveAttribute('aria-valuenow', '3')
})

test('the scenario bar moves every figure', async ({ page }) => {
  await openDemo(page)
  const before = await worth(page)
  const drawer = await openScenario(page)
  const reads = page.getByRole('slider', { name: 'How often they see it coming, in per cent' })
  await reads.focus()
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight')
  await expect.poll(() => worth(page)).not.toBe(before)
  const sharp = await worth(page)
  await page.getByLabel('Clock', { exact: true }).fill('none')
  await page.keyboard.press('Enter')
  await expect.poll(() => worth(page)).not.toBe(sharp)
  await page.getByLabel('Clock', { exact: true }).fill('soon')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('4:00')
  await page.getByLabel('Clock', { exact: true }).fill('none')
  await page.getByLabel('Something breaks it up after about').fill('never')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'set a clock or a break-up' })).toBeVisible()
  // Escape closes the drawer, though the list has the focus still.
  await choose(page, drawer.getByRole('combobox', { name: 'Rules' }), 'Juniors: positions only')
  await page.keyboard.press('Escape')
  await expect(drawer).toBeHidden()
})

test('every screen has one main part and one first heading, with a chart and without', async ({ page }) => {
  const screens = ['desk', 'slope', 'worksheet', 'holds', 'runs', 'runs/beat', 'runs/rounds', 'runs/what-if']
  const others = ['runs/side-by-side', 'score', 'shelf', 'rules', 'charts']
  const seen = async () => {
    for (const path of [...screens, ...others]) {
      await page.goto(`/#/${path}`)
      await expect(page.getByRole('main'), path).toHaveCount(1)
      await expect(page.locator('h1'), path).toHaveCount(1)
    }
  }
  await page.goto('/')
  await seen()
  await openDemo(page)
  await seen()
})
