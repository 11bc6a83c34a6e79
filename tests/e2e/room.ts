import type { Page } from '@playwright/test'

/**
 * What has no room on the screen as it is: a page wider than the window, text that is cut off or past the edge, and
 * text that something else covers. One line each; empty where all is well.
 */
export const withoutRoom = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found = new Set<string>()
    const tell = (what: string, element: Element, more = '') => {
      const text = (element.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 40)
      found.add(`${what}: ${element.tagName.toLowerCase()}.${element.getAttribute('class') ?? ''} "${text}" ${more}`)
    }
    const root = document.documentElement
    if (root.scrollWidth > innerWidth) found.add(`the page is ${root.scrollWidth} wide in ${innerWidth}`)

    const scrolls = (element: Element) => /auto|scroll/.test(getComputedStyle(element).overflowX)
    const pictured = (element: Element) => element.closest('svg, [data-test=slope], .readers-only')
    const within = (element: Element, is: (one: Element) => boolean) => {
      for (let one = element.parentElement; one; one = one.parentElement) if (is(one)) return one
      return null
    }
    const said = [...document.body.querySelectorAll('*')].filter(
      (element) =>
        !pictured(element) &&
        [...element.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.textContent?.trim()) &&
        element.checkVisibility({ opacityProperty: true, visibilityProperty: true }),
    )
    for (const element of said) {
      const box = element.getBoundingClientRect()
      const style = getComputedStyle(element)
      const cutter = [element, within(element, (one) => getComputedStyle(one).overflowX !== 'visible')].find(
        (one) => one && !scrolls(one) && getComputedStyle(one).overflowX !== 'visible',
      )
      if (cutter && cutter.scrollWidth > cutter.clientWidth + 1) tell('cut off', element, `in ${cutter.className}`)
      if (style.overflowY === 'hidden' && element.scrollHeight > element.clientHeight + 3) tell('cut below', element)
      const wide = within(element, (one) => scrolls(one) && one.scrollWidth > one.clientWidth + 1)
      if (!wide && (box.right > innerWidth + 1 || box.left < -1)) tell('past the edge', element)
      // What scrolls on a screen is lost on paper.
      if (wide && matchMedia('print').matches) tell('scrolled away', element)
      const panel = element.closest('.panel')?.getBoundingClientRect()
      if (!wide && panel && (box.right > panel.right + 1 || box.left < panel.left - 1))
        tell('out of its panel', element)
      if (wide && wide.id === 'screen') tell('in a screen that scrolls sideways', element)
    }
    for (const element of said) {
      const range = document.createRange()
      range.selectNodeContents(element)
      const [line] = range.getClientRects()
      if (!line || line.width < 2) continue
      const [x, y] = [line.left + line.width / 2, line.top + line.height / 2]
      if (x < 0 || y < 0 || x > innerWidth || y > innerHeight) continue
      const clipped = within(element, (one) => {
        if (getComputedStyle(one).overflowY === 'visible' && getComputedStyle(one).overflowX === 'visible') return false
        const box = one.getBoundingClientRect()
        return y > box.bottom - 2 || y < box.top + 2 || x > box.right || x < box.left
      })
      // A press goes through to what is under it, whatever is seen on top.
      if (getComputedStyle(element).pointerEvents === 'none') continue
      const top = document.elementFromPoint(x, y)
      if (clipped || !top || top.contains(element) || element.contains(top)) continue
      // A list to pick from has its field over what it says; what is only drawn may lie under what is pressed.
      if (element.closest('.el-select')?.contains(top) || element.closest('[aria-hidden=true]')) continue
      tell('covered', element, `by ${top.tagName.toLowerCase()}.${top.getAttribute('class') ?? ''}`)
    }
    return [...found]
  })

/** What is pressed with a thumb and is smaller than 44 px; links and names within a text are as high as it. */
export const smallTargets = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('.el-button:not(.is-link), a.button, nav a, [role=spinbutton]')]
      .filter((one) => one.checkVisibility({ opacityProperty: true, visibilityProperty: true }))
      .flatMap((one) => {
        const { width, height } = one.getBoundingClientRect()
        if (height >= 43.5 || (width === 0 && height === 0) || one.closest('[class*=icon] svg')) return []
        return [`${one.tagName} ${one.className} "${one.textContent.trim().slice(0, 30)}" ${width} x ${height}`]
      }),
  )
