import { expect, test, type Page } from '@playwright/test'
import { settled, worth } from './coach'

/** What either hand makes: a move with a reaction and an answer, its tries set, and the last step taken back. */
async function seeChain(page: Page): Promise<void> {
  await expect(page.getByRole('article', { name: /^Ankle pick/ })).toBeVisible()
  await expect(page.getByRole('listitem', { name: 'They: Steps back' })).toBeVisible()
  await expect(
    page.getByRole('listitem', { name: 'They: Steps back' }).getByRole('link', { name: /Shoot/ }),
  ).toBeVisible()
}

test('by keyboard alone: a move, a reaction, an answer, the tries, and undo', async ({ page }) => {
  const tabTo = async (name: RegExp | string, role: Parameters<Page['getByRole']>[0] = 'button', key = 'Tab') => {
    const target = page.getByRole(role, { name }).first()
    await expect(target).toBeVisible()
    for (let i = 0; i < 150; i++) {
      if (await target.evaluate((one) => one === document.activeElement)) return
      await page.keyboard.press(key)
    }
    throw new Error(`Tab never comes to ${String(name)}`)
  }
  await page.goto('/')
  await tabTo('Open the demo plan')
  await page.keyboard.press('Enter')
  await settled(page)
  await page.keyboard.press('Control+k')
  await page.keyboard.type('Underhook, head clear')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Underhook, head clear')
  await page.waitForTimeout(500)
  await page.keyboard.press('n')
  await page.keyboard.type('Ankle pick (finish) 4 of 10')
  await page.keyboard.press('Enter')
  await tabTo('A reaction to Ankle pick', 'button', 'Shift+Tab')
  await page.keyboard.press('Enter')
  await page.keyboard.type('Steps back')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('listitem', { name: 'They: Steps back' })).toBeFocused()
  await page.keyboard.press('a')
  await page.keyboard.type('Shoot')
  await page.keyboard.press('Enter')
  await seeChain(page)
  const lands = page.getByRole('spinbutton', { name: 'Ankle pick: lands' })
  const before = await lands.getAttribute('aria-valuenow')
  await page.getByRole('article', { name: /^Ankle pick/ }).focus()
  await tabTo('Ankle pick: lands', 'spinbutton')
  await page.keyboard.press('ArrowRight')
  await expect(lands).not.toHaveAttribute('aria-valuenow', before!)
  await page.keyboard.press('Control+z')
  await expect(lands).toHaveAttribute('aria-valuenow', before!)
})

test.describe(() => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('by touch alone, with a thumb on a phone', async ({ page }) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Open the demo plan' }).tap()
    await settled(page)
    await page.getByRole('navigation', { name: 'Screens' }).getByRole('link', { name: 'Worksheet' }).tap()
    await page.getByRole('button', { name: '+ move' }).tap()
    const line = page.getByRole('textbox', { name: /move/i }).first()
    await expect(line).toBeFocused()
    // What may be said is shown whole, on however many lines.
    expect(await line.evaluate((one) => one.scrollHeight - one.clientHeight)).toBeLessThan(2)
    await page.keyboard.type('Ankle pick (finish) 4 of 10')
    await page.getByRole('button', { name: 'Say it' }).tap()
    await page.getByRole('button', { name: 'A reaction to Ankle pick' }).tap()
    await page.keyboard.type('Steps back')
    await page
      .getByRole('option', { name: /Steps back/ })
      .first()
      .tap()
    // What lies under the option that was pressed is not pressed with it.
    const reaction = page.getByRole('listitem', { name: 'They: Steps back' })
    await expect(reaction).toBeFocused()
    await reaction.getByRole('button', { name: 'Answer Steps back' }).tap()
    await page.keyboard.type('Shoot')
    await page.getByRole('option', { name: /Shoot/ }).first().tap()
    await seeChain(page)
    const before = await worth(page)
    const lands = page.getByRole('spinbutton', { name: 'Ankle pick: lands' })
    const tries = await lands.getAttribute('aria-valuenow')
    await lands.tap()
    for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'One more: lands' }).tap()
    await expect(lands).not.toHaveAttribute('aria-valuenow', tries!)
    await expect.poll(() => worth(page)).not.toBe(before)
    await page.getByRole('button', { name: 'More', exact: true }).tap()
    for (let i = 0; i < 4; i++)
      await page.getByRole('dialog', { name: 'More' }).getByRole('button', { name: 'Undo' }).tap()
    await expect(lands).toHaveAttribute('aria-valuenow', tries!)
  })
})
