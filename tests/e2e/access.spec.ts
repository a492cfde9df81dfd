import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { ferryHouse, ownJob, signIn, useUnits } from './product'

const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

/** Access faults of the screen as it stands, each with its place. */
async function faults(page: Page, what: string) {
  const { violations } = await new AxeBuilder({ page }).withTags(tags).analyze()
  return violations.map((v) => `${what}: ${v.id} ${v.nodes.map((n) => n.target).join(' | ')}`)
}

const clean = async (page: Page, what: string) => expect(await faults(page, what)).toEqual([])

for (const theme of ['daylight', 'attic'] as const) {
  for (const [width, height] of [
    [1280, 800],
    [820, 1180],
    [390, 844],
  ] as const) {
    test(`every screen is free of access faults: ${theme}, ${width} wide`, async ({ page }) => {
      await page.addInitScript((name) => localStorage.setItem('theme', name), theme)
      await page.setViewportSize({ width, height })
      await page.goto('/sign-in')
      const found = await faults(page, 'sign-in')
      await signIn(page)
      await useUnits(page, 'us')
      const { job, surface } = await ferryHouse(page)
      await expect(page.getByRole('link', { name: /ferry house/ })).toBeVisible()
      found.push(...(await faults(page, 'jobs')))
      const roof = surface('Slip hall roof')
      for (const [path, sign] of [
        ['', 'Slip hall roof'],
        ['/survey', 'Treated'],
        [`/survey/surface/${roof}`, 'Vapour drive and faces'],
        ['/survey/joints', 'Seen by crew lead'],
        ['/survey/complaints', 'the hall drips'],
        ['/survey/baseline', 'Leakage area'],
        ['/survey/prepare', 'Once for the job'],
        ['/survey/exchange', 'Take surfaces out'],
        [`/section/${roof}`, 'foam alone, aged'],
        [`/sets/${roof}`, 'sets to load'],
        [`/window/${roof}`, 'Rules of the gate'],
      ] as const) {
        await page.goto(`/jobs/${job}${path}`)
        await expect(page.getByText(sign).first()).toBeVisible()
        found.push(...(await faults(page, path || 'board')))
        const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
        if (overflow > 0) found.push(`${path || 'board'}: runs out of the page by ${overflow} px`)
      }
      expect(found).toEqual([])
    })
  }
}

test('the drawer, the dialogs and the empty states are free of access faults', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  await page.getByRole('button', { name: 'New job' }).click()
  await clean(page, 'new job')
  const { job, surface } = await ownJob(page, 'Empty states')
  await page.goto(`/jobs/${job}/section/${surface}`)
  await expect(page.getByText('Choose the foam, then a thickness.')).toBeVisible()
  await clean(page, 'section without foam')
  await page.keyboard.press('?')
  await expect(page.getByText('next and previous surface')).toBeVisible()
  await clean(page, 'keys')
  await page.keyboard.press('Escape')
  const ferry = await ferryHouse(page)
  await page.goto(`/jobs/${ferry.job}/sets/${ferry.surface('Slip hall roof')}`)
  await expect(page.getByText('sets to load')).toBeVisible()
  await page.keyboard.press('w')
  await expect(page.getByText('Follow it with a pocket calculator.')).toBeVisible()
  await clean(page, 'workings')
})

test('workings lead down to the product sheet', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/section/${surface('Teaching wing walls')}`)
  await page.getByRole('button', { name: /^U-/ }).first().click()
  await page.getByRole('button', { name: 'how R of the foam' }).click()
  await expect(page.getByText(/Fleece OC-5, .*aged R/)).toBeVisible()
  await expect(page.getByRole('dialog').getByText('R = R₁ + (R₂ − R₁) · (t − t₁) / (t₂ − t₁)')).toBeVisible()
})
