import { expect, test, type Page } from '@playwright/test'
import { BROKEN } from '../fixtures/brokenCharts'
import { exported, importText, openDemo, settled, worth } from './coach'

test('broken files are refused by name and place, and what was open is untouched', async ({ page }) => {
  await openDemo(page)
  const before = await exported(page)
  // How all of them are refused is tested where they are read.
  const files = BROKEN.filter(([name], i) => i % 5 === 0 && name !== 'huge')
  for (const [name, text, names] of files) {
    await importText(page, text, `${name}.json`)
    await expect(page.getByTestId('problems'), name).toContainText(names)
    await page.keyboard.press('Escape')
    await expect(page.getByTestId('problems')).toBeHidden()
  }
  await importText(page, JSON.stringify({ notes: 'x'.repeat(21 * 1024 * 1024) }), 'huge.json')
  await expect(page.getByTestId('problems')).toContainText('larger than 20 MB')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('problems')).toBeHidden()
  expect(await exported(page)).toEqual(before)
})

test('a large file is read in the background: the page goes on, it can be stopped, and too much is refused by name', async ({
  page,
}) => {
  await openDemo(page)
  const plan = (await exported(page)) as { positions: object[]; moves: object[] }
  const many = <R extends object>(records: R[], to: number) =>
    Array.from({ length: to }, (_, i) => ({ ...records[i % records.length], ...(records[i] ?? { id: `more-${i}` }) }))
  const large = { ...plan, positions: many(plan.positions, 1_900), moves: many(plan.moves, 9_000) }
  const text = JSON.stringify({ ...large, more: Array.from({ length: 200_000 }, (_, i) => ({ i })) })
  await page.getByRole('link', { name: 'Charts' }).click()
  await importText(page, text)
  const reading = page.getByRole('status').filter({ hasText: 'Reading the file' })
  await expect(reading).toBeVisible()
  await page.getByRole('link', { name: 'Desk' }).click()
  await expect(page.getByRole('heading', { name: 'What costs us most' })).toBeVisible()
  await reading.getByRole('button', { name: 'Stop' }).click()
  await expect(reading).toBeHidden()
  await page.getByRole('link', { name: 'Charts' }).click()
  await expect(page.getByRole('list', { name: 'Charts' }).getByRole('listitem')).toHaveCount(1)
  await importText(page, JSON.stringify({ ...large, positions: [...large.positions, ...large.positions] }))
  await expect(page.getByTestId('problems')).toContainText('positions: has 3800 entries: a chart has at most 2000')
})

test('an import asks before it replaces, and can be undone; a file can be dropped', async ({ page }) => {
  await openDemo(page)
  const file = (await exported(page)) as { title: string }
  const other = { ...file, title: 'Changed elsewhere' }
  await page.evaluate((text) => {
    const data = new DataTransfer()
    data.items.add(new File([text], 'dropped.ataque.json', { type: 'application/json' }))
    window.dispatchEvent(new DragEvent('dragenter', { dataTransfer: data }))
    window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, cancelable: true }))
  }, JSON.stringify(other))
  await page.getByRole('button', { name: /in place of mine/ }).click()
  expect(await exported(page)).toEqual(other)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  expect(await exported(page)).toEqual(file)
  await importText(page, JSON.stringify(other))
  await page.getByRole('button', { name: 'Keep both' }).click()
  await expect(page.getByRole('list', { name: 'Charts' }).getByRole('listitem')).toHaveCount(2)
})

test('charts are made, renamed, duplicated and brought back from the bin', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'Charts' }).click()
  await page.getByRole('button', { name: 'New chart' }).click()
  await expect(page.getByRole('heading', { name: 'Where do you start from?' })).toBeVisible()
  await page.getByRole('link', { name: 'Charts' }).click()
  const list = page.getByRole('list', { name: 'Charts' }).getByRole('listitem')
  await expect(list).toHaveCount(2)
  await list
    .filter({ hasText: 'New plan' })
    .getByRole('button', { name: /Title of the chart/ })
    .click()
  await page.keyboard.type('Thursday')
  await page.keyboard.press('Enter')
  await list.filter({ hasText: 'Thursday' }).getByRole('button', { name: 'Duplicate' }).click()
  await expect(list).toHaveCount(3)
  await list.filter({ hasText: 'Thursday (copy)' }).getByRole('button', { name: 'Delete' }).click()
  await expect(list).toHaveCount(2)
  await page.getByRole('button', { name: 'Undo the deletion' }).click()
  await expect(list).toHaveCount(3)
  await page.reload()
  await expect(list).toHaveCount(3)
})

test('two tabs on one chart see each other, and neither loses anything', async ({ page, context }) => {
  await openDemo(page)
  await settled(page)
  const second = await context.newPage()
  await second.goto('/#/worksheet/underhook-head-clear')
  await settled(second)
  await page.goto('/#/worksheet/underhook-head-clear')
  await settled(page)
  await page.getByRole('spinbutton', { name: 'Shoot the high crotch: lands' }).press('ArrowRight')
  const there = second.getByRole('spinbutton', { name: 'Shoot the high crotch: lands' })
  await expect(there).toHaveAttribute('aria-valuenow', '5')
  await expect(second.getByText('Another tab changed this chart')).toBeVisible()
  await second.getByRole('spinbutton', { name: 'Throw-by to the back: lands' }).press('ArrowRight')
  await expect(page.getByRole('spinbutton', { name: 'Throw-by to the back: lands' })).toHaveAttribute(
    'aria-valuenow',
    '3',
  )
  await settled(page)
  await expect.poll(() => worth(page)).toBe(await worth(second))
})

/** A page whose disk was filled. */
interface Mended {
  mend(): void
}

/** Lets no write succeed any more, or none of one record. Returns what mends it. */
async function fillDisk(page: Page, id?: string): Promise<() => Promise<void>> {
  await page.evaluate((only) => {
    const put = IDBObjectStore.prototype.put
    Object.assign(window, { mend: () => void (IDBObjectStore.prototype.put = put) })
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, row: { id?: string }) {
      if (only === undefined || row.id === only) throw new DOMException('the disk is full', 'QuotaExceededError')
      return put.call(this, row)
    }
  }, id)
  return () => page.evaluate(() => (window as unknown as Mended).mend())
}

test('a write that fails is shown and tried again, and export still works', async ({ page }) => {
  await openDemo(page)
  await settled(page)
  const mend = await fillDisk(page)
  await page.goto('/#/worksheet/underhook-head-clear')
  await page.getByRole('spinbutton', { name: 'Throw-by to the back: lands' }).press('ArrowRight')
  await expect(page.getByRole('alert')).toContainText('not saved yet: the disk is full')
  await expect(page.getByTestId('saved')).toHaveText('Not saved')
  const file = (await exported(page)) as { moves: { name: string; tries: { lands: number } }[] }
  expect(file.moves.find(({ name }) => name === 'Throw-by to the back')!.tries.lands).toBe(3)
  await mend()
  await expect(page.getByTestId('saved')).toContainText('Saved')
  await page.reload()
  await settled(page)
  await page.goto('/#/worksheet/underhook-head-clear')
  await expect(page.getByRole('spinbutton', { name: 'Throw-by to the back: lands' })).toHaveAttribute(
    'aria-valuenow',
    '3',
  )
})

test('where the browser keeps nothing, the chart can still be worked on and exported', async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', {
      value: {
        open: () => {
          throw new DOMException('no', 'SecurityError')
        },
      },
    })
  })
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo plan' }).click()
  await expect(page.getByTestId('headline')).toContainText(/\d/)
  await expect(page.getByTestId('saved')).toHaveText('Not saved')
  await expect(page.getByRole('alert')).toContainText('Nothing can be kept: this browser keeps no data here (no).')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('alert').getByRole('button', { name: 'Export this chart' }).click(),
  ])
  expect(download.suggestedFilename()).toMatch(/\.ataque\.json$/)
  await page.getByRole('alert').getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('alert')).toBeHidden()
})

test('where site data is blocked, too, the page is not blank', async ({ page }) => {
  await page.addInitScript(() => {
    for (const name of ['indexedDB', 'localStorage', 'sessionStorage']) {
      Object.defineProperty(window, name, {
        get: () => {
          throw new DOMException('blocked', 'SecurityError')
        },
      })
    }
  })
  const thrown: string[] = []
  page.on('pageerror', ({ message }) => thrown.push(message))
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo plan' }).click()
  await expect(page.getByTestId('headline')).toContainText(/\d/)
  await expect(page.getByRole('alert')).toContainText('keeps no data here')
  expect(thrown).toEqual([])
})

test('a chart that could not be saved stays, and is named, while another is open', async ({ page }) => {
  await openDemo(page)
  await settled(page)
  await fillDisk(page, 'tern-street-plan')
  await page.goto('/#/charts')
  await page.getByRole('button', { name: /Title of the chart/ }).click()
  await page.keyboard.type('Renamed')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'New chart' }).click()
  await expect(page.getByTestId('saved')).toHaveText('1 chart not saved')
  const asked = new Promise<string>((heard) =>
    page.on('dialog', (dialog) => {
      heard(dialog.type())
      void dialog.dismiss()
    }),
  )
  await page.close({ runBeforeUnload: true })
  expect(await asked).toBe('beforeunload')
  await page.getByRole('alert').getByRole('button', { name: 'Renamed' }).click()
  await expect(page).toHaveTitle(/Renamed/)
  // In one go: it also tries again by itself, and then there is nothing left to press.
  await page
    .getByRole('alert')
    .getByRole('button', { name: 'Try now' })
    .evaluate((button: HTMLButtonElement) => {
      ;(window as unknown as Mended).mend()
      button.click()
    })
  await expect(page.getByTestId('saved')).toContainText(/^Saved/)
  await page.reload()
  await expect(page).toHaveTitle(/Renamed/)
})

test('a tab of an older build says that it has to be reloaded, and keeps what was done', async ({ page }) => {
  await openDemo(page)
  await settled(page)
  // The old names of the parts are gone once a new build stands on the server.
  await page.route('**/assets/*.js', (route) => route.fulfill({ status: 404, body: 'Not Found' }))
  await page.goto('/#/worksheet/underhook-head-clear')
  await page.getByRole('link', { name: 'Shelf' }).click()
  const note = page.getByRole('alert').filter({ hasText: 'Ataque has been renewed' })
  await expect(note).toBeVisible()
  await page.unroute('**/assets/*.js')
  await note.getByRole('button', { name: 'Reload' }).click()
  await expect(note).toBeHidden()
  await settled(page)
})
