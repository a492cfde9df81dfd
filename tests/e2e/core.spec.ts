import type { Page } from '@playwright/test'
import { expect, ferryHouse, signIn, test, useUnits } from './product'

const openSection = async (page: Page) => {
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/section/${surface('Slip hall roof')}`)
  await expect(page.getByText('foam alone, aged')).toBeVisible()
}

test('the section follows the hand from the core in the browser, with no question to the server', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  await openSection(page)
  let asked = 0
  await page.route('**/api/compute/section*', (route) => {
    asked++
    return route.continue()
  })
  const face = page.getByRole('slider', { name: /Foam face/ })
  const figures = page.locator('dl.figures')
  const step = async (key: string) => {
    const [before, askedBefore] = [await figures.innerText(), asked]
    await face.press(key)
    await expect(figures).not.toHaveText(before)
    return asked - askedBefore
  }
  // The core is fetched once a hand is near, and again when a sheet of the firm changes meanwhile; until it is there the server
  // answers.
  const toAndFro = async () => (await step('ArrowRight')) + (await step('ArrowLeft'))
  await expect.poll(async () => (await toAndFro()) + (await toAndFro())).toBe(0)
})

test('where the core cannot be had the server answers, and nothing is said of it', async ({ page }) => {
  await page.route('**/core/**', (route) => route.abort())
  await signIn(page)
  await useUnits(page, 'us')
  await openSection(page)
  const before = await page.locator('dl.figures').innerText()
  const asked = page.waitForRequest('**/api/compute/section*')
  await page.getByRole('slider', { name: /Foam face/ }).press('ArrowRight')
  await asked
  await expect(page.locator('dl.figures')).not.toHaveText(before)
  await page.getByRole('slider', { name: /Foam face/ }).press('ArrowLeft')
})

test('the drawing slides through the months and turns the vapour round in summer', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/section/${surface('Teaching wing ceiling')}`)
  await expect(page.getByText('vapour outward')).toBeVisible()
  const slider = page.getByLabel('Season of the drawing')
  await slider.focus()
  await page.keyboard.press('ArrowRight')
  await expect(slider).toHaveAttribute('aria-valuetext', 'January')
  await expect(page.locator('svg text').getByText(/^1[89](\.\d)? °F$/)).toBeVisible()
  await page.keyboard.press('End')
  await expect(page.getByText('vapour inward')).toBeVisible()
  await expect(page.locator('svg text').getByText(/^8[56](\.\d)? °F$/)).toBeVisible()
  await page.getByRole('button', { name: 'Winter design' }).click()
  await expect(page.getByText('vapour outward')).toBeVisible()
})
