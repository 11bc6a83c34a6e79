import { expect, test } from '@playwright/test'
import { exported, exportedText, importText, nothingSerious, openDemo, settled } from './coach'

interface File {
  title: string
  moves: { id: string; name: string; seconds?: number }[]
}

test('a chart comes back changed: what only they changed is taken, the rest chosen side by side, and undone in one step', async ({
  page,
}) => {
  await openDemo(page)
  const given = JSON.parse(await exportedText(page)) as File
  await page.getByRole('button', { name: /Title of the chart/ }).click()
  const title = page.getByRole('textbox', { name: 'Title of the chart' })
  await title.fill('Tern Street, mine')
  await title.press('Enter')
  const mine = (await exported(page)) as File
  const [first, second] = given.moves as [File['moves'][0], File['moves'][0]]
  const back = {
    ...given,
    title: 'Tern Street, theirs',
    moves: [{ ...first, name: 'Named by them' }, second, ...given.moves.slice(2)],
  }
  await importText(page, JSON.stringify(back))
  const dialog = page.getByRole('dialog', { name: 'This chart is here already' })
  await dialog.getByRole('button', { name: 'Merge the two' }).click()
  await expect(dialog).toContainText('1 thing that only they have changed is taken.')
  const conflict = dialog.getByRole('group', { name: 'Title' })
  await expect(conflict.getByRole('button')).toHaveText(['Yours Tern Street, mine', 'Theirs Tern Street, theirs'])
  await expect(dialog.getByRole('button', { name: '1 left to choose' })).toBeDisabled()
  await nothingSerious(page)
  await conflict.getByRole('button', { name: /Theirs/ }).click()
  await dialog.getByRole('button', { name: 'Take the merged chart' }).click()
  await expect(dialog).toBeHidden()
  await settled(page)
  expect(await exported(page)).toEqual({ ...mine, title: back.title, moves: back.moves })
  await page.keyboard.press('Control+z')
  await settled(page)
  expect(await exported(page)).toEqual(mine)
})

test('where nobody knows what two charts began as, every difference is asked for', async ({ page }) => {
  await openDemo(page)
  const mine = (await exported(page)) as File
  const [first, ...others] = mine.moves as [File['moves'][0], ...File['moves']]
  await importText(page, JSON.stringify({ ...mine, title: 'Theirs', moves: [{ ...first, seconds: 9 }, ...others] }))
  const dialog = page.getByRole('dialog', { name: 'This chart is here already' })
  await dialog.getByRole('button', { name: 'Merge the two' }).click()
  await expect(dialog).toContainText('every difference is asked for. 2 differences:')
  await dialog.getByRole('button', { name: 'Mine for the rest' }).click()
  await dialog.getByRole('button', { name: 'Take the merged chart' }).click()
  await expect(dialog).toBeHidden()
  expect(await exported(page)).toEqual(mine)
})
