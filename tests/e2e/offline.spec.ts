import { expect, test } from '@playwright/test'
import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { makeApp } from '../../server/app.mjs'
import { exported, openDemo, settled, worth } from './coach'
import { open, SCREENS } from './screens'

test.use({ serviceWorkers: 'allow' })

test('without a network every screen opens, and a plan is edited, exported and still there after a reload', async ({
  page,
  context,
}) => {
  await openDemo(page)
  await page.evaluate(async () => void (await navigator.serviceWorker.ready))
  await page.reload()
  await settled(page)
  await context.setOffline(true)
  for (const { path } of SCREENS) {
    await open(page, path)
    await expect(page.locator('#screen')).toContainText(/\w/)
  }
  await page.goto('/#/shelf')
  await page.getByRole('searchbox', { name: 'Search the Shelf' }).fill('kimura')
  await expect(page.getByRole('listitem').filter({ hasText: 'Kimura' }).first()).toBeVisible()

  await page.goto('/#/worksheet/underhook-head-clear?move=high-crotch')
  const before = await worth(page)
  await page.getByRole('spinbutton').first().press('ArrowRight')
  await expect.poll(() => worth(page)).not.toBe(before)
  const after = await worth(page)
  await settled(page)
  const file = (await exported(page)) as { title: string }
  expect(file.title).toContain('Tern Street')
  await page.reload()
  await settled(page)
  expect(await worth(page)).toBe(after)
})

test('it can be installed: a manifest with icons that are there', async ({ page, request }) => {
  await page.goto('/')
  const href = await page.locator('link[rel=manifest]').getAttribute('href')
  const manifest = (await (await request.get(href!)).json()) as { name: string; icons: { src: string }[] }
  expect(manifest.name).toBe('Ataque')
  for (const { src } of manifest.icons) expect((await request.get(src)).ok(), src).toBe(true)
})

test('a newer build waits until it is let in, and is then there', async ({ page }) => {
  const dist = mkdtempSync(join(tmpdir(), 'ataque-builds-'))
  cpSync('dist', dist, { recursive: true })
  const server = makeApp(dist).listen(0, 'localhost')
  await new Promise((ready) => server.once('listening', ready))
  const base = `http://localhost:${(server.address() as AddressInfo).port}`
  await page.goto(base)
  await page.getByRole('button', { name: 'Open the demo plan' }).click()
  await settled(page)
  await page.evaluate(async () => void (await navigator.serviceWorker.ready))
  await page.reload()
  await settled(page)

  const change = (file: string, from: RegExp, to: string) => {
    const before = readFileSync(join(dist, file), 'utf8')
    expect(before).toMatch(from)
    writeFileSync(join(dist, file), before.replace(from, to))
  }
  change('index.html', /<html lang="en">/, '<html lang="en" data-build="newer">')
  // What the build says of a file that has changed: another revision.
  change('sw.js', /(url:"index\.html",revision:")\w+|(revision:")\w+(",url:"index\.html")/, '$1$2newer$3')
  await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()))
  const note = page.getByRole('alert').filter({ hasText: 'Ataque has been renewed' })
  await expect(note).toBeVisible()
  await expect(page.locator('html[data-build=newer]')).toHaveCount(0)
  await note.getByRole('button', { name: 'Reload' }).click()
  await expect(page.locator('html[data-build=newer]')).toHaveCount(1)
  await settled(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tern Street')
  server.close()
})

test('what another application shares is taken in once the page has opened; what is pasted, too', async ({ page }) => {
  await openDemo(page)
  await page.evaluate(async () => void (await navigator.serviceWorker.ready))
  await page.reload()
  await settled(page)
  // As the system posts it, except that the page's own policy lets no form of it be sent.
  const at = await page.evaluate(async () => {
    const body = new FormData()
    body.set('text', '# A place of its own\nArmbar (finish): 3 of 10')
    return (await fetch('/share', { method: 'POST', body })).url
  })
  expect(at).toContain('/?shared=1')
  await page.goto('/?shared=1#/charts')
  const shared = page.getByRole('dialog', { name: 'From shared.txt' })
  await expect(shared).toContainText('New positions: A place of its own.')
  await shared.getByRole('button', { name: 'Do not import' }).click()
  // It is there once, and not again after a reload.
  await page.reload()
  await settled(page)
  await expect(shared).toHaveCount(0)
  const paste = (text: string) =>
    page.evaluate((pasted) => {
      const data = new DataTransfer()
      data.setData('text/plain', pasted)
      document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }))
    }, text)
  await paste('Only a remark, of no use here.')
  await paste('move\tfrom\tto\nHip bump of old\tGuard of old\tMount')
  const pasted = page.getByRole('dialog', { name: 'From pasted.txt' })
  await expect(pasted).toContainText('1 new, 0 changed, 0 as they are.')
})
