import type { Page } from '@playwright/test'
import { expect, ferryHouse, signIn, test, useUnits } from './product'
import { screens } from './screens'

/** Units that nobody should meet who reads in the other system. */
const FOREIGN = {
  metric:
    /(?<![\p{L}\d])(in|inch|inches|ft|ft²|ft³|feet|foot|bd ft|board f\w+|°F|psi|psf|inHg|lb|lbs|oz|gal|CFM|BTU|Btu)(?![\p{L}\d])/u,
  us: /(?<![\p{L}\d])(mm|cm|m|m²|m³|millimetres?|metres?|°C|kPa|kg|K|kW|W|litres?)(?![\p{L}\d])/u,
}
// Fan tests are read in pascals everywhere, and a file of a camera says itself what its figures are in.
const SAID = ['in °F', 'mm °C', 'figures are °F']

/** A unit counts with a figure before it, or as a word of its own; "in" and "m" are words and letters too. */
const BARE = /^(in|m|K|W|foot)$/

const foreignIn = (text: string, units: keyof typeof FOREIGN) =>
  text.split('\n').flatMap((line) => {
    const all = [...line.matchAll(new RegExp(FOREIGN[units].source, 'gu'))]
    const told = all.filter(
      ({ 1: unit, index }) =>
        !BARE.test(unit!) || (/[\d)]\s?$/.test(line.slice(0, index)) && !line.slice(index).startsWith('in all')),
    )
    return told.length ? [line.trim()] : []
  })

const textOf = async (page: Page) => {
  await page.evaluate(() => {
    document
      .querySelectorAll<HTMLElement>('.el-collapse-item__header[aria-expanded=false]')
      .forEach((one) => one.click())
  })
  return page.locator('body').innerText()
}

test('a unit of the other system is known from a word that looks like it', () => {
  expect(foreignIn('Foam 3 in thick\n12 in all\nin the room\n4 bd ft', 'metric')).toEqual([
    'Foam 3 in thick',
    '4 bd ft',
  ])
  expect(foreignIn('Foam 76 mm\n1.5 K apart\nmoisture K\n10 Pa', 'us')).toEqual(['Foam 76 mm', '1.5 K apart'])
})

for (const part of ['firm', 'survey', 'stages'] as const) {
  test(`no unit of the other system stands on a screen: ${part}`, async ({ page }) => {
    test.setTimeout(240_000)
    await signIn(page)
    const { job, surface } = await ferryHouse(page)
    await useUnits(page, 'us')
    const found: string[] = []
    let now: 'us' | 'metric' = 'us'
    for (const [path, sign] of screens(surface('Slip hall roof'))[part]) {
      await page.goto(part === 'firm' ? path! : `/jobs/${job}${path}`)
      await expect(page.getByText(sign!).first()).toBeVisible()
      // A page is read in the units it comes in, and in the others: the next comes in those.
      for (const turned of [false, true]) {
        if (turned) {
          now = now === 'us' ? 'metric' : 'us'
          const kept = page.waitForResponse('**/api/session/units')
          await page.getByRole('button', { name: /^Units/ }).click()
          await kept
        }
        await expect(page.getByRole('button', { name: /^Units/ })).toHaveText(now === 'us' ? 'in °F' : 'mm °C')
        const text = SAID.reduce((rest, one) => rest.replaceAll(one, ''), await textOf(page))
        found.push(...foreignIn(text, now).map((line) => `${path}, ${now}: ${line}`))
      }
    }
    expect([...new Set(found)]).toEqual([])
  })
}
