import { expect, signIn, test, useUnits } from './product'

test('on a phone every card answers over its fields, as it is typed, and without a connection', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await signIn(page)
  await page.goto('/')
  await useUnits(page, 'us')
  await page.getByRole('button', { name: 'Menu' }).click()
  await page.getByRole('link', { name: 'Pocket' }).click()
  const answer = page.locator('.result')
  await expect(answer).toContainText('Type the figures')
  const field = (name: string) => page.locator(`input[name=${name}]`)
  await field('air').fill('70 F')
  await field('humidity').fill('55')
  await field('surface').fill('57')
  await expect(answer).toContainText('3.9 °F')
  await expect(answer).toContainText('53.1 °F dew point')
  await field('surface').fill('57 kg')
  await expect(page.getByText('The unit in “57 kg” does not fit here.')).toBeVisible()
  await field('surface').fill('57')

  // The answer, the field in hand and a keyboard fit the screen together.
  for (const card of ['dew', 'sets', 'thickness', 'inch', 'drums']) {
    await page.goto(`/pocket/${card}`)
    const last = page.locator('.fields input[name]').last()
    await expect(last).toBeVisible()
    const [shown, typed] = [await answer.boundingBox(), await last.boundingBox()]
    expect(shown!.y + shown!.height).toBeLessThanOrEqual(typed!.y)
    expect(typed!.y + typed!.height).toBeLessThan(844 - 300)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  }

  await page.goto('/pocket/inch')
  await field('present').fill('R-3')
  await expect(answer.getByRole('listitem').first()).toContainText('44.8 %')
  // Once the core beside the page has come, nothing is asked of the server any more.
  let asked = 0
  page.on('request', (request) => void (request.url().endsWith('/api/compute/pocket') && asked++))
  await expect(async () => {
    asked = 0
    await field('present').fill(`R-${(2 + Math.random()).toFixed(3)}`)
    await page.waitForTimeout(400)
    expect(asked).toBe(0)
  }).toPass()
  await context.setOffline(true)
  await field('present').fill('R-6')
  await expect(answer.getByRole('listitem').first()).toContainText('61.9 %')
  await context.setOffline(false)
  await answer.getByRole('button').first().click()
  await expect(page.getByText('You can follow it with a pocket calculator.')).toBeVisible()
  await expect(page.getByText('R of everything without foam')).toBeVisible()
})
