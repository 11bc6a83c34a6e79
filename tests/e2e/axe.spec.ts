import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { openDemoWithRound } from './coach'
import { open, SCREENS } from './screens'

/** `npm run sweep` asks at every size and in both themes; the tests where they differ most, in the dark of colours. */
const isSweep = process.env.ATAQUE_SWEEP === 'all'
const ASKED = [
  { width: 1280, height: 800, colorScheme: 'light' },
  { width: 390, height: 844, colorScheme: 'dark' },
  ...(isSweep
    ? ([
        { width: 1280, height: 800, colorScheme: 'dark' },
        { width: 768, height: 1024, colorScheme: 'light' },
        { width: 768, height: 1024, colorScheme: 'dark' },
        { width: 390, height: 844, colorScheme: 'light' },
      ] as const)
    : []),
] as const

for (const { width, height, colorScheme } of ASKED) {
  const byFinger = width < 1024
  test.describe(() => {
    test.use({ viewport: { width, height }, hasTouch: byFinger, isMobile: byFinger, colorScheme })
    test(`axe finds nothing wrong on any screen at ${width} px in the ${colorScheme}`, async ({ page }) => {
      test.setTimeout(300_000)
      await page.emulateMedia({ reducedMotion: 'reduce' })
      await openDemoWithRound(page)
      const wrong: Record<string, string[]> = {}
      for (const { name, path } of SCREENS) {
        await open(page, path)
        const axe = new AxeBuilder({ page }).options({
          resultTypes: ['violations'],
          rules: { 'target-size': { enabled: true } },
        })
        if (colorScheme === 'dark' && !isSweep) axe.withRules(['color-contrast', 'target-size'])
        const { violations } = await axe.analyze()
        const found = violations.flatMap(({ id, nodes }) =>
          nodes.slice(0, 3).map(({ html }) => `${id}: ${html.slice(0, 140)}`),
        )
        if (found.length) wrong[`${name} ${width} ${colorScheme}`] = found
      }
      expect(wrong).toEqual({})
    })
  })
}
