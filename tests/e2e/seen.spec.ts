import { expect, test } from '@playwright/test'
import { openDemo, worth } from './coach'

test('what is seen is charted, chosen by, said in the chain, and taken away again', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet/side-control-head-and-far-arm')
  const panel = page.getByRole('article', { name: 'See and do' })
  await expect(panel).toHaveCount(0)
  const before = await worth(page)
  await page.getByRole('button', { name: '+ cue' }).click()
  await expect(panel.getByRole('textbox', { name: 'What we see' })).toBeFocused()
  await page.keyboard.type('Far hand at our neck')
  await page.keyboard.press('Enter')
  await page.keyboard.type('Far hand at our hip')
  await page.keyboard.press('Enter')
  const line = (name: string) => panel.getByRole('listitem', { name: `We see: ${name}` })
  await expect(panel.getByRole('listitem')).toHaveCount(3)
  // Three of ten each, and the rest is nothing in particular.
  const count = (name: string) => page.getByRole('spinbutton', { name: `${name}: of ten times` })
  await expect(count('Far hand at our neck')).toHaveValue('3')
  await expect(count('nothing in particular')).toHaveValue('4')
  // Nobody chooses by it yet, so that it is worth what it was.
  await expect.poll(() => worth(page)).toBe(before)

  await page.getByRole('combobox', { name: 'Tried only when we see: Far hand at our neck' }).click({ force: true })
  await page.getByRole('option', { name: 'Step-around armbar' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('article', { name: /^Step-around armbar/ })).toContainText(
    'only when we see “Far hand at our neck”',
  )
  await expect(line('Far hand at our neck')).toContainText('then Step-around armbar')
  await expect(line('Far hand at our hip')).toContainText('then Kimura')
  const worths = async () =>
    (await panel.getByRole('button', { name: /^Worth when we see/ }).allInnerTexts()).map((text) => parseFloat(text))
  const now = await worths()
  expect(now).toEqual(now.toSorted((a, b) => a - b))
  await panel.getByRole('button', { name: /^Worth when we see: Far hand at our neck/ }).click()
  await expect(page.getByRole('dialog', { name: /Far hand at our neck/ })).toContainText('We try Step-around armbar')
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'start from here' }).click()
  await page.goto('/#/runs')
  await expect(page.locator('#screen')).toContainText('look first')
  await expect(page.locator('#screen')).toContainText(/If you see “far hand at our neck” \(.+\), .+armbar \(\d+\)/)

  await page.goto('/#/worksheet/side-control-head-and-far-arm')
  for (const name of ['Far hand at our neck', 'Far hand at our hip'])
    await panel.getByRole('button', { name: `Remove ${name}` }).click()
  await expect(panel.getByRole('listitem')).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(line('Far hand at our hip')).toBeVisible()
})
