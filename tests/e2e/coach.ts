import AxeBuilder from '@axe-core/playwright'
import { expect, type Locator, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'

/** What a coach does and sees, in the words of the screens. */

/** Opens the demo plan by its button, as at a first start, and waits for its figures. */
export async function openDemo(page: Page): Promise<void> {
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error.message))
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()))
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo plan' }).click()
  await settled(page)
  expect(errors).toEqual([])
}

/** The demo plan with a round made of its worst leak, so that every screen has something to show. */
export async function openDemoWithRound(page: Page): Promise<void> {
  await openDemo(page)
  await page
    .getByRole('button', { name: /^A round of/ })
    .first()
    .click()
  await expect(page.getByRole('article').getByText('Tap early').first()).toBeVisible()
  await openDemoClub(page)
  await page.goto('/#/desk')
  // No tip of what was pressed stays.
  await page.mouse.move(0, 0)
  await page.keyboard.press('Escape')
}

/** The demo club with a class on the mats: a round is on, and one is asked what is tried. */
export async function openDemoClub(page: Page): Promise<void> {
  await page.goto('/#/sessions')
  await page.getByRole('button', { name: 'Open the demo club' }).click()
  await expect(page.getByRole('heading', { name: 'The flank of the turtle' })).toBeVisible()
  await page.goto('/#/mat')
  await page.getByRole('button', { name: 'Begin the class' }).click()
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Next' }).click()
  await page.getByRole('article', { name: 'Mat 1' }).getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('link', { name: 'Log' })).toBeVisible()
}

/** Waits until the figures of the newest chart are on the screen and it is kept. */
export async function settled(page: Page): Promise<void> {
  await expect(page.getByTestId('headline')).toContainText(/\d/)
  await expect(page.getByTestId('saved')).toContainText('Saved')
}

/** The drawer of the scenario, opened by its line. */
export async function openScenario(page: Page): Promise<Locator> {
  await page
    .getByRole('region', { name: 'Scenario' })
    .getByRole('button', { name: /^Scenario/ })
    .click()
  const drawer = page.getByRole('dialog', { name: 'Scenario' })
  // It slides in, and a list that is opened meanwhile lies elsewhere a moment later.
  await drawer.getByRole('heading').first().click({ trial: true })
  return drawer
}

/** Mirrors the chart, or shows the own side again, and closes the drawer of the scenario. */
export async function mirror(page: Page): Promise<void> {
  const drawer = await openScenario(page)
  await drawer.getByRole('switch', { name: /^Mirrored/ }).press('Space')
  await page.keyboard.press('Escape')
  await expect(drawer).toBeHidden()
}

/** Ticks a box, or takes its tick away, by the keyboard: the box that one sees is a drawing. */
export async function tick(box: Locator, on = true): Promise<void> {
  if ((await box.isChecked()) !== on) await box.press('Space')
  await expect(box).toBeChecked({ checked: on })
}

/** Chooses an option of a list by what it says; in a long one, of which not all is drawn, by typing that first. */
export async function choose(page: Page, list: Locator, option: string): Promise<void> {
  await list.click({ force: true })
  if (await list.isEditable()) {
    await list.fill(option)
    // The list draws itself anew and finds its place a moment later: what was aimed at would lie elsewhere.
    await expect(page.getByRole('option').filter({ hasNotText: option })).toHaveCount(0)
    await page.waitForTimeout(400)
  }
  await page.getByRole('option', { name: option, exact: true }).click()
  // While it closes, the list lies over what is under it.
  await expect(page.getByRole('option').first()).toBeHidden()
}

/** The start's value, to a hundredth of an exchange in a hundred. */
export async function worth(page: Page): Promise<string> {
  const title = await page.getByTestId('headline').getByRole('button').getAttribute('data-tip')
  return title!.replace(/^.*: /, '')
}

/** The plan of the open chart as the file that Export gives, without how it was exchanged. */
export async function exported(page: Page): Promise<unknown> {
  const { shared: _, ...plan } = JSON.parse(await exportedText(page)) as Record<string, unknown>
  return plan
}

/** The text of the file that Export gives of the open chart. */
export async function exportedText(page: Page): Promise<string> {
  await page.getByRole('link', { name: 'Charts' }).click()
  const row = page.getByRole('listitem').filter({ hasText: 'open now' })
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    row.getByRole('button', { name: 'Export' }).click(),
  ])
  return readFileSync(await download.path(), 'utf8')
}

export async function importText(page: Page, text: string, name = 'plan.ataque.json'): Promise<void> {
  const file = { name, mimeType: 'application/json', buffer: Buffer.from(text) }
  await page.getByLabel('Chart file').setInputFiles(file)
}

/** The rules of axe that look at colours; all others find the same in dark as in light. */
const ABOUT_COLOUR = ['color-contrast', 'link-in-text-block']

/** Axe finds nothing serious on what is shown: by all its rules in light, by those about colours in dark. */
export async function nothingSerious(page: Page): Promise<void> {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
    // Colours that are still changing are neither these nor those.
    await expect(page.locator('html.dark')).toHaveCount(colorScheme === 'dark' ? 1 : 0)
    await page.evaluate(async () => {
      await new Promise(requestAnimationFrame)
      await Promise.allSettled(document.getAnimations().map(({ finished }) => finished))
    })
    // Every node that passes would be described, too, which takes most of the time.
    const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] })
    const { violations } = await (colorScheme === 'dark' ? axe.withRules(ABOUT_COLOUR) : axe).analyze()
    const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
    expect(
      serious.map(({ id, nodes }) => [page.url(), id, nodes.slice(0, 3).map(({ html }) => html.slice(0, 160))]),
    ).toEqual([])
  }
}

/**
 * Presses a button that shows only while the pointer is over its row. Figures that come in may move the row away from
 * under the pointer, and then it is put there again.
 */
export const pressOver = (row: Locator, button: Locator): Promise<void> =>
  expect(async () => {
    await row.hover()
    await button.click({ timeout: 5_000 })
  }).toPass()

/** What says, at the field, why an edit was refused. */
export const refusal = (page: Page) => page.getByRole('alert').filter({ hasText: 'Not done' })

/** Types digits at once: a machine that is busy elsewhere must not come in between them. */
export async function digits(page: Page, text: string): Promise<void> {
  await Promise.all([...text].map((digit) => page.keyboard.press(digit)))
}
