import type { Page } from '@playwright/test'

/** What can be tapped must be at least this large at a width: by glove on phone and tablet, by mouse on a desk. */
export const leastAt = (width: number) => (width <= 1000 ? 44 : 24)

/**
 * What is wrong with how a page lies on the screen: it runs out of it sideways, something to tap is too small, or a text is cut
 * with no way to read it. Links within a sentence are as large as their line.
 */
export const laidOutWrong = (page: Page, least: number) =>
  page.evaluate((least) => {
    const found = new Set<string>()
    const overflow = document.documentElement.scrollWidth - window.innerWidth
    if (overflow > 0) found.add(`runs out of the page by ${overflow} px`)

    const told = (el: Element) => {
      const name = (el.getAttribute('aria-label') ?? el.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 40)
      return `${el.tagName.toLowerCase()}.${[...el.classList].join('.')} “${name}”`
    }
    const isShown = (el: Element) =>
      el.checkVisibility({ visibilityProperty: true }) && !el.closest('.visually-hidden, .skip')
    const whole = '.el-input__wrapper, .el-select__wrapper, .el-checkbox, .el-radio, .el-switch, label, td'
    const sentence = (el: Element) =>
      getComputedStyle(el).display === 'inline' &&
      [...(el.parentElement?.childNodes ?? [])].some((one) => one.nodeType === 3 && one.textContent!.trim().length > 3)

    const taps = 'a[href], button, input, textarea, [role=button], [role=slider]'
    for (const el of document.querySelectorAll<HTMLElement>(taps)) {
      if (!isShown(el) || el.matches(':disabled, [type=hidden]') || sentence(el)) continue
      const isField = el.matches('input, textarea')
      const box = ((isField && el.closest(whole)) || el).getBoundingClientRect()
      if (!box.width || !box.height) continue
      const { width, height } = box
      if (Math.min(width, height) < least - 0.5)
        found.add(`${told(el)} is ${Math.round(width)} × ${Math.round(height)}, less than ${least}`)
    }

    for (const el of document.querySelectorAll<HTMLElement>('body *')) {
      if (!isShown(el) || el.closest('[aria-hidden=true], svg') || !el.textContent?.trim()) continue
      const style = getComputedStyle(el)
      if (!['hidden', 'clip'].includes(style.overflowX) || el.scrollWidth <= el.clientWidth + 1) continue
      if (![...el.childNodes].some((one) => one.nodeType === 3 && one.textContent!.trim())) continue
      if (!el.closest('[title]')) found.add(`${told(el)} is cut and has no title`)
    }
    return [...found]
  }, least)
