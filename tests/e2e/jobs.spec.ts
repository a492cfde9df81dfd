import { expect, openJobs, test } from './product'

test('a job is found by the keys, by any of its words, and found again on coming back', async ({ page }) => {
  await openJobs(page)
  const cards = page.locator('.cards h2')
  await expect(cards.first()).toBeVisible()
  const all = await cards.count()
  expect(all).toBeGreaterThan(3)

  await page.keyboard.press('/')
  await page.keyboard.type('brindle ferry')
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
