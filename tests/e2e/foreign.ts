import type { Page } from '@playwright/test'
import { expect } from './product'

/** Units that nobody should meet who reads in the other system. */
const FOREIGN = {
  metric:
    /(?<![\p{L}\d])(in|inch|inches|ft|ft²|ft³|feet|foot|bd ft|board f\w+|°F|psi|psf|inHg|lb|lbs|oz|gal|CFM|BTU|Btu)(?![\p{L}\d])/u,
  // What is plugged in has its watts on its plate everywhere; a W over something is a unit of the others.
  us: /(?<![\p{L}\d])(mm|cm|m|m²|m³|millimetres?|metres?|°C|kPa|kg|K|W(?=\/)|litres?)(?![\p{L}\d])/u,
}
// Fan tests are read in pascals everywhere, a file of a camera says itself what its figures are in, and what a firm wrote of its tips
// stays as it wrote it.
const TIPS = ['00 at 8 lb/min; 01 at 11 lb/min; 02 at 16 lb/min', '01 at 11 lb/min; 02 at 16 lb/min']
const SAID = ['in °F', 'mm °C', 'figures are °F', ...TIPS]

/** A unit counts with a figure before it, or as a word of its own; "in" and "m" are words and letters too. */
const BARE = /^(in|m|K|W|foot)$/

/** Lines of a text that have a unit of the other system. */
export const foreignIn = (text: string, units: keyof typeof FOREIGN) =>
  text.split('\n').flatMap((line) => {
    const all = [...line.matchAll(new RegExp(FOREIGN[units].source, 'gu'))]
    const told = all.filter(
      ({ 1: unit, index }) =>
        !BARE.test(unit!) || (/[\d)]\s?$/.test(line.slice(0, index)) && !line.slice(index).startsWith('in all')),
    )
    return told.length ? [line.trim()] : []
  })

const unfolded = async (page: Page) => {
  await page.evaluate(() => {
    document
      .querySelectorAll<HTMLElement>('.el-collapse-item__header[aria-expanded=false]')
      .forEach((one) => one.click())
  })
  return page.locator('body').innerText()
}

const turn = async (page: Page) => {
  const kept = page.waitForResponse('**/api/session/units')
  await page.getByRole('button', { name: /^Units/ }).click()
  await kept
}

/** Units of the other system on a page: in the units it comes in, and in the others, which the next then comes in. */
export async function foreignOn(page: Page, what: string, first: 'us' | 'metric') {
  const found: string[] = []
  for (const now of [first, first === 'us' ? 'metric' : 'us'] as const) {
    if (now !== first) await turn(page)
    await expect(page.getByRole('button', { name: /^Units/ })).toHaveText(now === 'us' ? 'in °F' : 'mm °C')
    const text = SAID.reduce((rest, one) => rest.replaceAll(one, ''), await unfolded(page))
    found.push(...foreignIn(text, now).map((line) => `${what}, ${now}: ${line}`))
  }
  return found
}
