import { expect, test } from '@playwright/test'
import { openDemo } from './coach'

test('worth by clock, readers and rules is drawn, and the same stands in a table', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/runs/pictures')
  const rules = page.getByRole('img', { name: 'Worth by rules' })
  await expect(rules).toBeVisible()
  // Something is drawn: the canvas is not of one colour.
  const colours = await rules.evaluate((canvas: HTMLCanvasElement) => {
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height)
    return new Set(new Uint32Array(data.buffer)).size
  })
  expect(colours).toBeGreaterThan(3)
  const table = page.getByRole('table', { name: 'Worth by rules' })
  await expect(table.getByRole('row', { name: 'All is allowed 36' })).toBeAttached()
  await expect(table.getByRole('row', { name: /^Juniors: positions only 1\d/ })).toBeAttached()
  await expect(page.getByRole('table', { name: /^Worth by how often they see it coming/ })).toContainText('20 %')
  await page.emulateMedia({ media: 'print' })
  await expect(table.getByText('All is allowed')).toBeVisible()
})

test('how they would beat us falls step by step, and what if stands beside as it is', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/runs/beat')
  const falls = page.getByRole('table', { name: 'How it falls' })
  await expect(falls.getByRole('row', { name: /^as it is now 0 to 36/ })).toBeAttached()
  await expect(falls.getByRole('row', { name: /^Sprawls on us – 3\d to 36/ })).toBeAttached()
  await page.goto('/#/runs/what-if')
  await page.getByRole('slider', { name: 'How often they would see it coming' }).press('End')
  await expect(page.getByRole('table', { name: 'What if' }).getByRole('row', { name: /^worth 36 2\d/ })).toBeAttached()
  await page.goto('/#/runs/side-by-side')
  await expect(page.getByRole('img', { name: 'What it is worth to have come so far' })).toBeVisible()
})

test('a run is played as a film, step by step, and the slider leads to a step', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/score')
  const film = page.getByRole('region', { name: 'The run as a film' })
  const steps = film.getByRole('listitem')
  await expect(steps.first().getByRole('button')).toHaveAttribute('aria-pressed', 'true')
  await film.getByRole('button', { name: 'Play' }).click()
  await expect(steps.nth(2).getByRole('button')).toHaveAttribute('aria-pressed', 'true')
  await expect(steps.nth(1)).toContainText('Right hand on their left wrist')
  await film.getByRole('button', { name: 'Pause' }).click()
  await film.getByRole('slider', { name: 'Step' }).press('End')
  await expect(steps.last().getByRole('button')).toHaveAttribute('aria-pressed', 'true')
  await expect(film.getByRole('button', { name: 'Play' })).toBeVisible()
})

test('a position has its picture on the Worksheet, and its holds have their numbers in it', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet/mount-hands-posted')
  await expect(page.locator('header .thumb svg .ours').first()).toBeVisible()
  await page.goto('/#/holds/mount-hands-posted')
  await expect(page.getByRole('img', { name: 'Who holds whom: Both knees at their ribs' })).toBeVisible()
})
