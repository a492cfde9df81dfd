import type { Page } from '@playwright/test'
import { expect, ferryHouse, ownJob, ownRig, pick, pickField, signIn, test, useUnits } from './product'

const see = (page: Page, what: string, seen: string) =>
  page.getByRole('group', { name: what, exact: true }).getByRole('button', { name: seen, exact: true }).click()

async function wallWithFoam(page: Page, name: string, units: 'us' | 'metric' = 'us') {
  await signIn(page)
  return ownJob(page, name, units, { sheet: 'marl-cc-20', thickness: units === 'us' ? '2' : '50 mm' })
}

async function openRig(page: Page, job: string, surface: string, name: string) {
  await page.goto(`/jobs/${job}/rig/${surface}`)
  await pick(pickField(page, 'Rig'), name)
}

test('a rig is set, a bad shot read, mended, fired again and accepted, and the board says so', async ({ page }) => {
  const { job, surface } = await wallWithFoam(page, 'A day at the rig')
  await page.goto('/healthz')
  await useUnits(page, 'us')
  const rig = `Rig of ${job.slice(-6)}`
  await ownRig(page, rig)
  await openRig(page, job, surface, rig)
  await expect(page.getByText('No test shot yet')).toBeVisible()
  await expect(page.getByText('Nobody has said how the rig is set.')).toBeVisible()
  await page.getByLabel('Tip in the gun').fill('01')
  await page.getByLabel('Primary A').fill('70 psi')
  await page.getByRole('button', { name: 'Save the settings' }).click()
  await expect(page.getByText(/unit in “70 psi” does not fit here/)).toBeVisible()
  await expect(page.getByLabel('Tip in the gun')).toHaveValue('01')
  await page.getByLabel('Primary A').fill('')
  await page.getByRole('button', { name: 'Save the settings' }).click()
  await expect(page.getByText('Tip in the gun: 01')).toBeVisible()

  // Nobody times a trigger before it is on record that who pulls it is protected.
  await expect(page.locator('.press')).toBeDisabled()
  await page.getByLabel('Who sprays').fill('applicator')
  await page.getByRole('button', { name: 'Put it on record' }).click()
  await expect(page.getByText(/Confirm first that whoever sprays/)).toBeVisible()
  await page.getByLabel('All of this is true').check()
  await page.getByRole('button', { name: 'Put it on record' }).click()
  await expect(page.getByText(/^On record: applicator sprays/)).toBeVisible()

  // By keys: the large button is one key for all three times.
  await page.locator('.press').focus()
  for (const named of ['It creams', 'It has risen', 'Free of tack']) {
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: named })).toBeFocused()
  }
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Time it again' })).toBeVisible()
  await page.getByLabel('Cream', { exact: true }).fill('9')
  await page.getByLabel('Free of tack', { exact: true }).fill('4')
  await page.getByRole('button', { name: 'Save this shot' }).click()
  await expect(page.getByText(/earlier than the time before it/)).toBeVisible()
  await page.getByLabel('Cream', { exact: true }).fill('3.2')
  await page.getByLabel('Risen', { exact: true }).fill('')
  await page.getByLabel('Free of tack', { exact: true }).fill('20')
  await see(page, 'Feel once it is cool', 'soft')
  await see(page, 'At its edge', 'leaves a gap')
  await page.getByRole('button', { name: 'Save this shot' }).click()
  await expect(page.getByRole('heading', { name: 'Why nobody can accept it' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Accept this shot' })).toHaveCount(0)
  const step = page.locator('.diagnosis .next p')
  const first = await step.textContent()
  await page.getByRole('button', { name: /^Done/ }).click()
  await expect(step).not.toHaveText(first!)

  await page.getByLabel('Cream', { exact: true }).fill('1.6')
  await page.getByLabel('Free of tack', { exact: true }).fill('9.5')
  await see(page, 'Rise', 'full')
  await see(page, 'Feel once it is cool', 'firm')
  await see(page, 'At its edge', 'tears in the foam')
  await page.getByRole('button', { name: 'Save this shot' }).click()
  await page.getByRole('button', { name: 'Accept this shot' }).click()
  await expect(page.getByText(/^Test shot accepted, fired/)).toBeVisible()
  await expect(page.locator('.last li')).toHaveCount(2)
  await page.goto(`/jobs/${job}`)
  await expect(page.getByText('shot accepted')).toBeVisible()

  // A drum is changed: what the shot proved is over.
  await openRig(page, job, surface, rig)
  await page.getByText('Change the settings').click()
  await page.getByLabel('A drum was changed').check()
  await page.getByRole('button', { name: 'Save the settings' }).click()
  await expect(page.getByText('The accepted test shot counts no longer')).toBeVisible()
  await page.goto(`/jobs/${job}`)
  await expect(page.getByText('shot again')).toBeVisible()
})

test('what is fired without a signal waits, and is there once there is one', async ({ page, context }) => {
  const { job, surface } = await wallWithFoam(page, 'A rig without a signal', 'metric')
  const rig = `Rig of ${job.slice(-6)}`
  await ownRig(page, rig)
  await openRig(page, job, surface, rig)
  await page.getByRole('button', { name: 'Save the settings' }).click()
  await expect(page.getByText('Settings saved')).toBeVisible()
  await context.setOffline(true)
  await page.getByLabel('Cream', { exact: true }).fill('1.5')
  await see(page, 'Feel once it is cool', 'firm')
  await page.getByRole('button', { name: 'Save this shot' }).click()
  await expect(page.locator('.last li')).toHaveCount(0)
  await context.setOffline(false)
  await expect(page.locator('.last li')).toHaveCount(1)
})

test('the rig of the demo fits desk, tablet and phone, in both units', async ({ page }) => {
  await signIn(page)
  await page.goto('/healthz')
  const { job, surface } = await ferryHouse(page)
  for (const [width, height, units] of [
    [1280, 800, 'us'],
    [820, 1180, 'metric'],
    [390, 844, 'us'],
  ] as const) {
    await page.setViewportSize({ width, height })
    await useUnits(page, units)
    await page.goto(`/jobs/${job}/rig/${surface('Slip hall walls')}`)
    await expect(page.getByRole('heading', { name: 'Set points' })).toBeVisible()
    await expect(page.locator('.points dd').first()).toContainText(units === 'us' ? '°F' : '°C')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
  }
  await useUnits(page, 'us')
  await page.setViewportSize({ width: 1280, height: 800 })
})
