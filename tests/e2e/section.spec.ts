import { expect, test } from '@playwright/test'
import { faults, jobAt, signIn, useUnits } from './product'

test('another system is drawn under the section and held against it, in any season', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  const { id, surface } = await jobAt(page, 'ferry house')
  await page.goto(`/jobs/${id}/section/${surface('Teaching wing walls')}`)
  await page.getByRole('button', { name: 'Compare with another system' }).click()
  const other = page.getByLabel('Draw beside it')
  // The other systems are weighed first; the list comes when they are.
  const closed = other.locator('option').filter({ hasText: /^Closed cell:/ })
  await expect(closed).toHaveCount(1)
  await other.selectOption((await closed.getAttribute('value'))!)
  const row = page.getByRole('row', { name: /^Permeance/ })
  await expect(row).toContainText('Class III')
  await expect(row).toContainText(/perm · Class III.*perm · Class II$/)
  expect(await faults(page, 'section compared')).toEqual([])
  const dew = page.getByRole('row', { name: /^Dew line/ })
  const winter = await dew.textContent()
  await page.getByRole('button', { name: 'Summer design' }).click()
  await expect(dew).not.toHaveText(winter!)
  await other.selectOption('')
  await expect(dew).toHaveCount(0)
})

test('the edge of a slab and a steel stud are told in two dimensions', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'metric')
  const { id, surface } = await jobAt(page, 'Tollgate')
  await page.goto(`/jobs/${id}/section/${surface('Ground of the annexe')}`)
  await expect(page.getByText(/Floor at the slab's edge/).first()).toBeVisible()
  await page.getByText('Temperatures at the edge of the slab').click()
  await expect(page.getByRole('img', { name: /Temperatures in two dimensions/ })).toBeVisible()
  await expect(page.getByText(/With the foam carried up the slab's edge/)).toBeVisible()
  await page.goto(`/jobs/${id}/section/${surface('Grader room partition')}`)
  await expect(page.getByText('foam alone, aged')).toBeVisible()
})
