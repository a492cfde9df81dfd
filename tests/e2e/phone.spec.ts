import type { Page } from '@playwright/test'
import { expect, ferryHouse, ownJob, PHONE, phone, signIn, test, useUnits } from './product'

async function onPhone(page: Page) {
  await page.setViewportSize(PHONE)
  await signIn(page)
  await useUnits(page, 'us')
}

test('on a phone the board is a list: what is next is a tap away, every stage two', async ({ page }) => {
  await onPhone(page)
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}`)
  const row = page.locator('li', { hasText: 'Teaching wing walls' })
  await expect(row).toContainText('Next: Survey, 1 missing')
  await row.getByRole('link').click()
  await expect(page).toHaveURL(new RegExp(`survey\\?at=${surface('Teaching wing walls')}`))

  await page.goBack()
  await page.getByRole('button', { name: 'Stages of Slip hall walls' }).click()
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByRole('link')).toHaveCount(8)
  await sheet.getByRole('link', { name: /Section/ }).click()
  await expect(page).toHaveURL(new RegExp(`section/${surface('Slip hall walls')}`))
  await expect(sheet).toBeHidden()
})

test('the foot of a stage leads to the next surface, to a surface by name and to another stage', async ({ page }) => {
  await onPhone(page)
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/window/${surface('Slip hall roof')}`)
  await page.getByRole('link', { name: 'Next surface: Slip hall walls' }).click()
  await expect(page).toHaveURL(new RegExp(`window/${surface('Slip hall walls')}`))
  await page.getByRole('button', { name: /5 Window/ }).click()
  await page.getByRole('dialog').getByLabel('find a surface').fill('basement')
  await page.getByRole('dialog').getByLabel('find a surface').press('Enter')
  await expect(page).toHaveURL(new RegExp(`window/${surface('Basement walls')}`))
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.getByRole('button', { name: /5 Window/ }).click()
  await page
    .getByRole('dialog')
    .getByRole('link', { name: /Section/ })
    .click()
  await expect(page).toHaveURL(new RegExp(`section/${surface('Basement walls')}`))

  await page.getByRole('button', { name: 'Menu' }).click()
  await page.getByRole('button', { name: 'Help', exact: true }).click()
  await expect(page.getByRole('dialog', { name: 'Help: Section' })).toContainText('drag the face of the foam')
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'Menu' }).click()
  await page.getByRole('button', { name: /^Units/ }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue(/mm$/)
})

test('a finger types a size and a minus on digits, with the keys they lack', async ({ browser, baseURL }) => {
  const page = await phone(browser, baseURL)
  await signIn(page)
  await useUnits(page, 'us')
  const { job, surface } = await ownJob(page, 'By thumb')
  const key = (name: string) => page.getByRole('toolbar').getByRole('button', { name, exact: true })

  await page.goto(`/jobs/${job}/section/${surface}`)
  await page.getByRole('radio', { name: /Marl CC-20$/ }).tap()
  const thickness = page.getByLabel('Thickness', { exact: true })
  await expect(thickness).toHaveAttribute('inputmode', 'decimal')
  await thickness.tap()
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('3')
  await key('1/2').tap()
  await expect(thickness).toHaveValue('3 1/2')
  await expect(thickness).toBeFocused()
  await thickness.press('Enter')
  await expect(page.getByRole('slider', { name: /Foam face/ })).toHaveAttribute('aria-valuetext', '3 1/2 in')

  await page.goto(`/jobs/${job}/window/${surface}`)
  const air = page.locator('input[name=air]')
  await air.tap()
  await page.keyboard.type('12')
  await key('±').tap()
  await expect(air).toHaveValue('-12')
  await page.locator('input[name=humidity]').tap()
  await expect(key('±')).toBeHidden()
  await page.context().close()
})
