import type { Page } from '@playwright/test'
import { expect, openJobs, ownJob, pick, pickField, signIn, test, useUnits } from './product'

test('a job is found by any of its words, and found again on coming back', async ({ page }) => {
  await openJobs(page)
  const cards = page.locator('.cards h2')
  await expect(cards.first()).toBeVisible()
  const all = await cards.count()
  expect(all).toBeGreaterThan(3)

  await page.getByRole('searchbox').fill('brindle ferry')
  await expect(cards).toHaveCount(1)
  await expect(cards).toHaveText(['The ferry house at Brindle Quay'])
  await expect(page.getByRole('status')).toContainText(/^1 of \d+ jobs$/)

  // What was looked for is there again after a look at the job.
  await cards.click()
  await expect(page.locator('[data-row]').first()).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('searchbox')).toHaveValue('brindle ferry')
  await expect(cards).toHaveCount(1)

  await page.getByRole('searchbox').fill('no such job (')
  await expect(page.getByText('No job has all of this.')).toBeVisible()
  await page.getByRole('button', { name: 'Clear the search' }).click()
  await expect(page.getByRole('searchbox')).toHaveValue('')
  expect(await cards.count()).toBeGreaterThanOrEqual(all)
})

const jobs = (page: Page) => page.locator('.cards h2')
const more = async (page: Page, name: string, act: string) => {
  await page.getByRole('button', { name: `More for ${name}` }).click()
  await page.getByRole('menuitem', { name: act, exact: true }).click()
}
test('a job is marked, archived and brought back, and the list is narrowed by its state', async ({ page }) => {
  await signIn(page)
  const name = `Life ${Date.now()}`
  const { job } = await ownJob(page, name, 'metric')
  await page.goto('/')
  await more(page, name, 'Mark as ordered')
  await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText('ordered')
  await page.goto('/?state=ordered')
  await expect(jobs(page).filter({ hasText: name })).toBeVisible()
  await page.goto('/?state=offered')
  await expect(page.getByRole('searchbox')).toBeVisible()
  await expect(jobs(page).filter({ hasText: name })).toHaveCount(0)

  await page.goto('/')
  await more(page, name, 'Archive')
  await expect(jobs(page).filter({ hasText: name })).toHaveCount(0)
  await expect(page.getByText(`“${name}” is archived.`)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(jobs(page).filter({ hasText: name })).toBeVisible()
  await more(page, name, 'Archive')
  await pick(pickField(page, 'Show'), 'archived jobs')
  await jobs(page).filter({ hasText: name }).click()
  await expect(page.getByText('This job is archived.')).toBeVisible()
  await page.getByRole('button', { name: 'Take out of the archive' }).click()
  await expect(page.getByText('This job is archived.')).toHaveCount(0)
  await page.getByRole('link', { name: 'Jobs' }).first().click()
  await expect(jobs(page).filter({ hasText: name })).toBeVisible()
  await page.request.delete(`/api/jobs/${job}`)
})

test('a deleted job says so to a bookmark, is restored, and removed for good only when asked twice', async ({
  page,
}) => {
  await signIn(page)
  const name = `Gone ${Date.now()}`
  const { job, surface } = await ownJob(page, name, 'metric')
  await page.goto('/')
  await more(page, name, 'Delete')
  await expect(jobs(page).filter({ hasText: name })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(jobs(page).filter({ hasText: name })).toBeVisible()
  await more(page, name, 'Delete')
  await expect(page.getByText(`“${name}” is deleted.`)).toBeVisible()

  for (const bookmark of [`/jobs/${job}`, `/jobs/${job}/section/${surface}`]) {
    await page.goto(bookmark)
    await expect(page.getByText(`“${name}” was deleted by owner.`).first()).toBeVisible()
  }
  await page.getByRole('link', { name: 'Deleted jobs' }).click()
  const line = page.getByRole('listitem').filter({ hasText: name })
  await line.getByRole('button', { name: 'Restore' }).click()
  await expect(page.getByText(`“${name}” is restored.`)).toBeVisible()
  await page.goto(`/jobs/${job}/section/${surface}`)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect(page.getByText('was deleted')).toHaveCount(0)

  await page.request.delete(`/api/jobs/${job}`)
  await page.goto('/?shelf=deleted')
  await line.getByRole('button', { name: 'Remove for good' }).click()
  await line.getByRole('button', { name: 'Cancel' }).click()
  await expect(line).toBeVisible()
  await line.getByRole('button', { name: 'Remove for good' }).click()
  await line.getByRole('button', { name: 'Remove for good' }).click()
  await expect(line).toHaveCount(0)
  expect((await page.request.get(`/api/jobs/${job}/board`)).status()).toBe(404)
})

test('a job is duplicated, and the copy opens', async ({ page }) => {
  await signIn(page)
  const name = `Twice ${Date.now()}`
  await ownJob(page, name, 'metric')
  await page.goto('/')
  await more(page, name, 'Duplicate')
  await expect(page.getByRole('link', { name: `${name} (copy)` })).toBeVisible()
  await expect(page.locator('[data-row]')).toHaveCount(1)
})

test('the search finds jobs and surfaces from any page by the keys alone, those of the job at hand first', async ({
  page,
}) => {
  await signIn(page)
  await useUnits(page, 'metric')
  const { job, surface } = await ownJob(page, `Sought ${Date.now()}`, 'metric')
  const sought = page.getByRole('combobox', { name: 'Search jobs, surfaces and products' })
  await page.goto('/stock')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('/')
  await page.keyboard.type('brindle ferry')
  await expect(page.getByRole('option').first()).toContainText('The ferry house at Brindle Quay')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-row]').first()).toBeVisible()

  // At a stage, a surface opens at that stage.
  await page.goto(`/jobs/${job}/section/${surface}`)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('/')
  await expect(sought).toBeFocused()
  await page.keyboard.type('north')
  await expect(page.getByRole('option').first()).toContainText('North wall')
  await expect(page.getByRole('option').first()).toContainText('Sought')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(new RegExp(`/jobs/${job}/section/${surface}`))

  await page.keyboard.press('/')
  await expect(sought).toBeFocused()
  await page.keyboard.type('no such thing (')
  await expect(page.getByText('Nothing has all of these words.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})
