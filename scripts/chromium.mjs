import { existsSync } from 'node:fs'

/** Chromium without a window: it opens a page in less than half of the time. */
export const SHELL = '/usr/bin/chromium-headless-shell'

/** Where Chromium is on this machine; undefined where there is none. */
export function chromiumPath() {
  const whole = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome']
  return [process.env.CHROMIUM_PATH, SHELL, ...whole].find((path) => path && existsSync(path))
}
