import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { openDemoWithRound } from './coach'
import { smallTargets, withoutRoom } from './room'
import { open, screensAt, SIZES } from './screens'

/**
 * `npm run sweep` looks at every size in both themes; the tests at the two sizes that differ most, where the phone is
 * asked for its colours only: the other rules of axe find the same as on the desk.
 */
const isSweep = process.env.ATAQUE_SWEEP === 'all'
const LOOKS = isSweep
  ? SIZES.flatMap((size) => (['light', 'dark'] as const).map((colorScheme) => ({ ...size, colorScheme })))
  : ([
      { width: 1280, height: 800, colorScheme: 'light' },
      { width: 390, height: 844, colorScheme: 'dark' },
    ] as const)

async function axeFinds(page: Page, rules?: string[]): Promise<string[]> {
  const axe = new AxeBuilder({ page }).options({
    resultTypes: ['violations'],
    rules: { 'target-size': { enabled: true } },
  })
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze()
  return violations.flatMap(({ id, nodes }) => nodes.slice(0, 3).map(({ html }) => `${id}: ${html.slice(0, 140)}`))
}

for (const { width, height, colorScheme } of LOOKS) {
  const byFinger = width < 1024
  const rules = byFinger && !isSweep ? ['color-contrast', 'target-size'] : undefined
  test.describe(() => {
    test.use({ viewport: { width, height }, hasTouch: byFinger, isMobile: byFinger, colorScheme })
    test(`every screen has room and is accessible at ${width} px in the ${colorScheme}`, async ({ page }) => {
      test.setTimeout(480_000)
      await page.emulateMedia({ reducedMotion: 'reduce' })
      await openDemoWithRound(page)
      const wrong: Record<string, string[]> = {}
      for (const { name, path } of screensAt(width)) {
        await open(page, path)
        const found = [
          ...(await withoutRoom(page)),
          ...(byFinger ? await smallTargets(page) : []),
          ...(await axeFinds(page, rules)),
        ]
        if (found.length) wrong[name] = found
        if (isSweep) await page.screenshot({ path: `test-results/sweep/${name}-${width}-${colorScheme}.png` })
      }
      expect(wrong).toEqual({})
    })
  })
}
