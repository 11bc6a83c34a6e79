import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { exported, openDemo, settled, tick, worth } from './coach'

async function openSlope(page: Page): Promise<void> {
  await openDemo(page)
  await page.getByRole('link', { name: 'Slope' }).click()
  await page.getByText('Everything', { exact: true }).click()
  await expect(page.locator('[data-place]').first()).toBeVisible()
  await expect(page.locator('.ring').first()).toBeVisible()
}

const said = (page: Page) => page.getByTestId('said')

/** Walks with → and ↓ until what is said begins as wanted; fails after 30 steps. */
async function walkTo(page: Page, start: RegExp): Promise<void> {
  for (let i = 0; i < 30; i++) {
    if (start.test((await said(page).textContent())!.trim())) return
    await page.keyboard.press('ArrowDown')
    await page.waitForTimeout(60)
  }
  await expect(said(page)).toHaveText(start)
}

test('a new answer is drawn by keyboard alone, and the Desk is worth another', async ({ page }) => {
  await openSlope(page)
  const before = await worth(page)
  await page.getByTestId('slope').focus()
  await page.keyboard.press('Home')
  await expect(said(page)).toContainText('Underhook, head clear, worth')
  await page.keyboard.press('ArrowRight')
  await walkTo(page, /^Snap from the underhook/)
  await page.keyboard.press('ArrowRight')
  await walkTo(page, /^They: Steps around/)
  await expect(said(page)).toContainText('No answer yet.')
  await page.keyboard.press('m')
  await page.keyboard.type('front headlock, knees')
  await page.keyboard.press('Enter')
  await page.keyboard.type('Snap again')
  await page.keyboard.press('Enter')
  await expect(said(page)).not.toContainText('No answer yet.')
  await page.keyboard.press('ArrowRight')
  await expect(said(page)).toContainText('We answer with Snap again')
  await expect.poll(() => worth(page)).not.toBe(before)
  const after = await worth(page)
  await page.getByRole('link', { name: 'Desk' }).click()
  await expect(page.getByTestId('loose-end').first()).not.toContainText('Steps around')
  expect(await worth(page)).toBe(after)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => worth(page)).toBe(before)
})

test('no name on the whole picture lies on another or is cut off', async ({ page }) => {
  await openSlope(page)
  await page.waitForTimeout(1500)
  const { texts, window } = await page.getByTestId('slope').evaluate((root) => {
    const boxOf = (element: Element) => {
      const { left, top, right, bottom } = element.getBoundingClientRect()
      return { left, top, right, bottom, text: element.textContent!.trim() }
    }
    return { texts: [...root.querySelectorAll('svg text')].map(boxOf), window: boxOf(root) }
  })
  expect(texts.length).toBeGreaterThan(80)
  // A line of text is taller than its letters: its box may touch the next by its leading.
  const LEADING = 3.5
  const overlapping = texts.flatMap((a, i) =>
    texts.slice(i + 1).flatMap((b) => {
      const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left)
      const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) - 2 * LEADING
      return wide > 1 && high > 1 ? [`${a.text} on ${b.text}`] : []
    }),
  )
  expect(overlapping).toEqual([])
  for (const { left, right, top, bottom, text } of texts) {
    const isInside = left >= window.left && right <= window.right && top >= window.top - 2 && bottom <= window.bottom
    expect(isInside, `${text} is cut off`).toBe(true)
  }
})

test('without its words, the costliest leak and loose end still are the largest of their kind', async ({ page }) => {
  await openDemo(page)
  await expect(page.getByText('Working out')).toHaveCount(0)
  const leak = await page.getByTestId('leak').first().locator('b').textContent()
  const loose = (await page.getByTestId('loose-end').first().textContent())!.trim()
  await page.getByRole('link', { name: 'Slope' }).click()
  await page.getByText('Everything', { exact: true }).click()
  await expect(page.locator('.ring').first()).toBeVisible()
  await page.waitForTimeout(1500)
  for (const [kind, name] of [
    ['leak', leak!],
    ['loose', loose],
  ]) {
    const marks = await page.locator(`.escape.${kind}`).evaluateAll((groups) =>
      groups.map((group) => {
        const shape = group.querySelector('.wedge, .ring')!
        const { left, top, width, height } = shape.getBoundingClientRect()
        const onTop = document.elementFromPoint(left + width / 2, top + height / 2)
        const seen = group.contains(onTop)
        return { name: group.getAttribute('data-name')!, size: width * height, seen }
      }),
    )
    marks.sort((a, b) => b.size - a.size)
    expect(name).toContain(marks[0].name)
    expect(marks[0].seen).toBe(true)
    expect(marks[0].size).toBeGreaterThan(marks[1].size)
  }
})

test('positions are added, selected, put by hand, removed and brought back', async ({ page }) => {
  await openSlope(page)
  await page.getByTestId('slope').focus()
  const xOf = (id: string) =>
    page
      .locator(`[data-place="${id}"]`)
      .evaluate((g) => Number(/translate\(([\d.]+)/.exec(g.getAttribute('transform')!)![1]))
  const others = await xOf('turtle-at-the-flank')
  await page.keyboard.press('p')
  await page.keyboard.type('Knee cut, far underhook')
  await page.keyboard.press('Enter')
  const added = page.locator('[data-place="knee-cut-far-underhook"]')
  await expect(added).toHaveClass(/current/)
  await expect(said(page)).toContainText('Nothing is tried here.')
  expect(await xOf('turtle-at-the-flank')).toBe(others)

  await page.keyboard.press('n')
  await page.keyboard.type('Slide to mount (Mount, hands posted): 4 land; 6 nothing')
  await page.keyboard.press('Enter')
  await expect(said(page)).toContainText('Slide to mount from Knee cut, far underhook')
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('F2')
  await page.keyboard.type('Knee cut')
  await page.keyboard.press('Enter')
  await expect(said(page)).toContainText('Knee cut, worth')

  const before = await xOf('knee-cut-far-underhook')
  await page.keyboard.press('Control+ArrowRight')
  await page.keyboard.press('Control+ArrowRight')
  await expect.poll(() => xOf('knee-cut-far-underhook')).not.toBe(before)
  await page.keyboard.press('Space')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Space')
  await expect(said(page)).toContainText('2 positions selected.')
  await page.keyboard.press('Delete')
  await expect(added).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(added).toBeVisible()
  await page.keyboard.press('Escape')
  await settled(page)
  await page.reload()
  await settled(page)
  await expect(added).toBeVisible()
  expect(await xOf('turtle-at-the-flank')).toBe(others)
})

test('a line dragged from ledge to ledge is a new move, and one from a mark an answer', async ({ page }) => {
  await openSlope(page)
  const centre = async (selector: string) => {
    const box = (await page.locator(selector).boundingBox())!
    return [box.x + box.width / 2, box.y + box.height / 2] as const
  }
  await page.locator('[data-place="scarf-hold"] .name').click()
  const [hx, hy] = await centre('[data-place="scarf-hold"] .handle')
  const [tx, ty] = await centre('[data-place="north-south"] .name')
  await page.mouse.move(hx, hy)
  await page.mouse.down()
  await page.mouse.move(tx, ty, { steps: 5 })
  await page.mouse.up()
  await page.getByLabel('Name of the move into North-south').fill('Walk to the head')
  await page.keyboard.press('Enter')
  await expect(said(page)).toContainText('Walk to the head from Scarf hold')

  const ring = '.escape.loose[data-name="Steps around"] .ring'
  const [rx, ry] = await centre(ring)
  const [fx, fy] = await centre('[data-place="front-headlock-knees-down"] .name')
  await page.mouse.move(rx, ry)
  await page.mouse.down()
  await page.mouse.move(fx, fy, { steps: 5 })
  await page.mouse.up()
  await page.getByLabel('Name of our answer into Front headlock, knees down').fill('Follow the head')
  await page.keyboard.press('Enter')
  await expect(page.locator(ring)).toHaveCount(0)
})

test('focus fades the rest, bands fold and move, and Enter opens the Worksheet at the place', async ({ page }) => {
  await openSlope(page)
  const place = page.locator('[data-place="north-south"]')
  await page.getByRole('button', { name: 'Loose ends' }).click()
  const [x, y] = [await place.getAttribute('transform'), await page.locator('.ledge.faded').count()]
  expect(y).toBeGreaterThan(3)
  await page.getByRole('button', { name: 'Whole' }).click()
  await expect(page.locator('.ledge.faded')).toHaveCount(0)
  expect(await place.getAttribute('transform')).toBe(x)

  await page.getByRole('button', { name: 'Order of rows' }).click()
  await tick(page.getByLabel('Show Guards'), false)
  await expect(page.locator('[data-place="our-closed-guard"]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Mount up' }).click()
  await expect(page.locator('.head').nth(1)).toHaveText('Mount')
  await page.getByRole('button', { name: 'Text' }).click()
  await page
    .getByRole('region', { name: 'The picture as text' })
    .getByRole('treeitem', { name: /^They: Turns in, .* into Turtle/ })
    .first()
    .click()
  await expect(said(page)).toContainText('They: Turns in')
  await page.getByTestId('slope').focus()
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/worksheet\/knee-on-belly\?move=knee-push-armbar&reaction=turns-in/)
  const file = (await exported(page)) as { settings: { slope: { bands: string[] } } }
  expect(file.settings.slope.bands.slice(0, 2)).toEqual(['mount', 'back'])
})

/** Presses an entry of the menu by which the picture is saved or printed. */
async function fromMenu(page: Page, entry: string) {
  await page.getByRole('button', { name: 'Save or print the picture' }).click()
  await page.getByRole('menuitem', { name: entry }).click()
}

test('the picture is saved as SVG with its words as text, and as PNG', async ({ page }) => {
  await openSlope(page)
  const save = async (kind: string) => {
    const [download] = await Promise.all([page.waitForEvent('download'), fromMenu(page, kind)])
    return readFileSync(await download.path())
  }
  const svg = (await save('Save as SVG')).toString()
  expect(svg).toContain('Side control, head and far arm')
  expect(svg).toContain('Sofia Sans Condensed')
  expect(svg).not.toMatch(/class=|var\(--/)
  const shown = await page.evaluate((text) => {
    const root = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement
    return { name: root.nodeName, texts: root.querySelectorAll('text').length }
  }, svg)
  expect(shown.name).toBe('svg')
  expect(shown.texts).toBeGreaterThan(80)
  const png = await save('Save as PNG')
  expect(png.subarray(1, 4).toString()).toBe('PNG')
  expect(png.readUInt32BE(16)).toBeGreaterThan(2000)
})

test('the picture is printed on one page, or on as many as it needs to be read', async ({ page }) => {
  await openSlope(page)
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes')
  })
  const sheets = page.locator('.slope-print section')
  await fromMenu(page, 'Print on one page')
  await expect(sheets).toHaveCount(1)
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')))
  await expect(sheets).toHaveCount(0)
  await fromMenu(page, 'Print on several pages')
  await expect(sheets.first()).toBeAttached()
  const pages = await sheets.count()
  expect(pages).toBeGreaterThan(1)
  await expect(sheets.nth(1)).toContainText(`2 of ${pages}`)
  await page.emulateMedia({ media: 'print' })
  await expect(page.locator('.slope')).toBeHidden()
  const heights = await sheets.evaluateAll((all) => all.map((sheet) => sheet.getBoundingClientRect().height))
  for (const height of heights) expect(height).toBeLessThan((210 / 25.4) * 96)
})

test('an empty chart asks for its first position, and shows it', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: /empty/i }).click()
  await page.getByRole('link', { name: 'Slope' }).click()
  await page.getByText('Everything', { exact: true }).click()
  await page.getByRole('button', { name: 'Name it' }).click()
  await page.keyboard.type('Closed guard, ours')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-place]')).toHaveCount(1)
  await expect(page.locator('.head')).toHaveText('Guards')
})

test('the picture is zoomed and panned by wheel and keys, and what is marked is selected', async ({ page }) => {
  await openSlope(page)
  const widthOf = async () => (await page.locator('[data-place="scarf-hold"] .bar').boundingBox())!.width
  const leftOf = async () => (await page.locator('[data-place="scarf-hold"] .bar').boundingBox())!.x
  const slope = page.getByTestId('slope')
  const whole = await widthOf()
  await page.mouse.move(700, 400)
  await page.mouse.wheel(0, -300)
  await expect.poll(widthOf).toBeGreaterThan(whole * 1.2)
  const before = await leftOf()
  await page.mouse.wheel(120, 0)
  await expect.poll(leftOf).toBeLessThan(before - 60)
  await slope.focus()
  const there = await leftOf()
  await page.keyboard.press('Shift+ArrowLeft')
  await expect.poll(leftOf).toBeGreaterThan(there + 40)
  await page.keyboard.press('-')
  await page.keyboard.press('0')
  await expect.poll(widthOf).toBeCloseTo(whole, 0)

  const box = (await page.locator('[data-place="turtle-underneath"]').boundingBox())!
  await page.keyboard.down('Shift')
  await page.mouse.move(box.x + box.width + 14, box.y + box.height + 8)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2, { steps: 4 })
  await page.mouse.up()
  await page.keyboard.up('Shift')
  await expect(page.locator('[data-place="turtle-underneath"]')).toHaveClass(/selected/)
  await page.keyboard.press('z')
  await expect.poll(widthOf).not.toBeCloseTo(whole, 0)
  await page.keyboard.press('Escape')
  await expect(page.locator('.ledge.selected')).toHaveCount(0)
})

test('a position is put by hand with the mouse, stays there, and is let go of', async ({ page }) => {
  await openSlope(page)
  const xOf = async () => Math.round((await page.locator('[data-place="scarf-hold"] .bar').boundingBox())!.x)
  const before = await xOf()
  const name = (await page.locator('[data-place="scarf-hold"] .name').boundingBox())!
  await page.mouse.move(name.x + 10, name.y + 8)
  await page.mouse.down()
  await page.mouse.move(name.x + 70, name.y + 8, { steps: 4 })
  await page.mouse.up()
  await expect.poll(xOf).toBeGreaterThan(before + 40)
  const put = await xOf()
  await page.getByRole('button', { name: 'Straighten' }).click()
  await page.waitForTimeout(1200)
  expect(Math.abs((await xOf()) - put)).toBeLessThan(30)
  await page.getByRole('button', { name: 'Order of rows' }).click()
  await page.getByRole('button', { name: 'Let go of the 1 put by hand' }).click()
  await expect(page.getByRole('button', { name: /Let go of the/ })).toHaveCount(0)
})
