import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { unzipSync } from 'fflate'
import { exported, nothingSerious, openDemo, openDemoClub, settled } from './coach'

async function saved(page: Page, press: () => Promise<void>): Promise<{ name: string; bytes: Buffer }> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()])
  return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) }
}
const take = (page: Page, name: string, buffer: Buffer) =>
  page.getByLabel('Chart file').setInputFiles({ name, mimeType: 'application/octet-stream', buffer })
const saveAs = async (page: Page, form: string) => {
  await page.getByRole('button', { name: 'Save as' }).click()
  return saved(page, () => page.getByRole('menuitem', { name: form }).click())
}

test('a chart is saved in the forms that other programs read, and its tables and lines are taken in again', async ({
  page,
}) => {
  await openDemo(page)
  const plan = (await exported(page)) as { moves: object[]; positions: object[] }
  const tables = await saveAs(page, 'Tables (CSV, in a zip)')
  const files = unzipSync(tables.bytes)
  expect(Object.keys(files).sort()).toEqual([
    ...['answers.csv', 'moves.csv', 'positions.csv', 'reactions.csv', 'tern-street-plan.ataque.json', 'tries.csv'],
  ])
  expect((await saveAs(page, 'Graph (DOT)')).bytes.toString()).toMatch(/^digraph /)
  expect((await saveAs(page, 'Graph (GraphML)')).name).toBe('tern-street-plan.graphml')
  expect((await saveAs(page, 'To read (Markdown)')).bytes.toString()).toMatch(/^# /)
  const lines = await saveAs(page, 'Lines of the notation')

  // Its own moves change nothing, and that is said before anything is taken.
  await take(page, 'moves.csv', Buffer.from(files['moves.csv']!))
  const dialog = page.getByRole('dialog', { name: 'From moves.csv' })
  await expect(dialog).toContainText(`${plan.moves.length} rows of moves`)
  await expect(dialog).toContainText(`0 new, 0 changed, ${plan.moves.length} as they are.`)
  await nothingSerious(page)
  await dialog.getByRole('button', { name: 'Do not import' }).click()

  // The lines make a chart of their own.
  await take(page, 'evening.txt', lines.bytes)
  const other = page.getByRole('dialog', { name: 'From evening.txt' })
  await other.getByText('Into a new chart, “evening”').click()
  await other.getByRole('button', { name: 'Take them' }).click()
  await expect(other).toBeHidden()
  await settled(page)
  const made = (await exported(page)) as { title: string; positions: object[] }
  expect([made.title, made.positions.length]).toEqual(['evening', plan.positions.length])
})

test('a sheet with a fault is refused as a whole; mended it is taken, and undone in one step', async ({ page }) => {
  await openDemo(page)
  const before = await exported(page)
  const sheet = 'Technique,From,Leads to,Landed,Attempts\nHip bump of old,Closed guard of old,Mount,3,ten\n'
  await take(page, 'sheet.csv', Buffer.from(sheet))
  const dialog = page.getByRole('dialog', { name: 'From sheet.csv' })
  await expect(dialog.getByTestId('problems')).toHaveText('line 2, Attempts: "ten" is no number')
  await page.keyboard.press('Escape')
  await take(page, 'sheet.csv', Buffer.from(sheet.replace('ten', '10')))
  await expect(dialog).toContainText('New positions: Closed guard of old, Mount.')
  await dialog.getByRole('button', { name: 'Take them' }).click()
  await settled(page)
  const after = (await exported(page)) as { moves: { name: string; tries: object }[] }
  expect(after.moves.find(({ name }) => name === 'Hip bump of old')?.tries).toMatchObject({ lands: 3, stalls: 7 })
  await page.keyboard.press('Control+z')
  await settled(page)
  expect(await exported(page)).toEqual(before)
})

test('everything is backed up, and comes back in another browser after it was shown what that changes', async ({
  page,
  browser,
}) => {
  await openDemo(page)
  await openDemoClub(page)
  await page.goto('/#/settings')
  const panel = page.getByRole('region', { name: 'Backup' })
  await expect(panel.getByTestId('since')).toHaveText('Nothing was backed up yet.')
  const backup = await saved(page, () => panel.getByRole('button', { name: 'Save a backup' }).click())
  expect(backup.name).toMatch(/^ataque-\d{4}-\d\d-\d\d\.zip$/)
  await expect(panel.getByTestId('since')).toHaveText('All is in the last backup.')

  const context = await browser.newContext()
  const other = await context.newPage()
  await other.goto('/')
  await take(other, backup.name, backup.bytes)
  const dialog = other.getByRole('dialog', { name: 'A backup' })
  const rows = dialog.getByRole('list', { name: 'What would change' }).getByRole('listitem')
  await expect(rows.filter({ hasText: ': not here, it comes new' })).toHaveCount(2)
  await nothingSerious(other)
  await dialog.getByRole('button', { name: 'Restore 2' }).click()
  await expect(dialog).toBeHidden()
  await other.goto('/#/people')
  await other.reload()
  await expect(other.getByRole('link', { name: 'Odile' }).or(other.getByText('Odile')).first()).toBeVisible()
  // A backup that came in half is refused by the name of the file.
  const broken = backup.bytes.subarray(0, backup.bytes.length / 2)
  await other.goto('/#/charts')
  await take(other, 'broken.zip', broken)
  await expect(other.getByRole('dialog', { name: 'broken.zip was not imported' })).toBeVisible()
  await context.close()
})

test('backups go into a chosen folder, and when one is due it is made there without asking', async ({ page }) => {
  // The browser's own private folder stands in for one that a coach picks: no dialog can be answered here.
  await page.addInitScript(() => Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() }))
  await openDemo(page)
  await page.goto('/#/settings')
  const panel = page.getByRole('region', { name: 'Backup' })
  await panel.getByRole('button', { name: 'Choose a folder…' }).click()
  await expect(panel).toContainText('Backups go into the folder')
  const inFolder = () =>
    page.evaluate(async () => {
      const folder = await navigator.storage.getDirectory()
      const sizes: [string, number][] = []
      for await (const [name, handle] of folder as unknown as AsyncIterable<[string, FileSystemFileHandle]>)
        sizes.push([name, (await handle.getFile()).size])
      return sizes
    })
  await panel.getByRole('button', { name: 'Save a backup' }).click()
  await expect(panel.getByTestId('since')).toHaveText('All is in the last backup.')
  const [first] = await inFolder()
  expect(first![0]).toMatch(/^ataque-.*\.zip$/)
  expect(first![1]).toBeGreaterThan(10_000)

  // Three weeks and a change later it is due, and made as the page opens.
  await page.evaluate(() => {
    const last = JSON.parse(localStorage.getItem('ataque-backup')!) as { at: number; writes: number }
    localStorage.setItem('ataque-backup', JSON.stringify({ ...last, at: last.at - 21 * 86_400_000, writes: 0 }))
  })
  await page.reload()
  await expect(page.getByTestId('message')).toContainText('A backup was put into')
  // Without a folder one is asked.
  await panel.getByRole('button', { name: 'No longer into the folder' }).click()
  await page.evaluate(() => {
    const last = JSON.parse(localStorage.getItem('ataque-backup')!) as { at: number; writes: number }
    localStorage.setItem('ataque-backup', JSON.stringify({ ...last, at: last.at - 21 * 86_400_000, writes: 0 }))
  })
  await page.reload()
  const note = page.getByRole('status').filter({ hasText: 'The last backup was 21 days' })
  await note.getByRole('button', { name: 'Later' }).click()
  await expect(note).toHaveCount(0)
})
