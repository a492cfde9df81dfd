import { expect, ferryHouse, personOf, signIn, test } from './product'

test('from a job every page of the firm is in the menu, and each tells what it answers', async ({ page }) => {
  await signIn(page)
  const { job } = await ferryHouse(page)
  await page.goto(`/jobs/${job}`)
  await page.getByRole('button', { name: 'Menu' }).click()
  const ways = page.getByRole('navigation', { name: 'Pages', exact: true }).getByRole('link')
  const names = await ways.allInnerTexts()
  expect(names).toEqual(expect.arrayContaining(['Jobs', 'Stock', 'Past jobs', 'Places', 'Target sets', 'People']))
  await page.keyboard.press('Escape')

  for (const name of names.filter((one) => one !== 'Your sign-in')) {
    await page.getByRole('button', { name: 'Menu' }).click()
    await ways.filter({ hasText: new RegExp(`^\\s*${name}\\s*$`) }).click()
    await expect(ways).toHaveCount(0)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await page.mouse.click(3, 400)
    await page.keyboard.press('h')
    const help = page.getByRole('dialog', { name: `Help: ${name}` })
    await expect(help.getByRole('heading', { name: 'What this page answers' })).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(help).toHaveCount(0)
  }
})

test('the menu shows nobody a page that is not theirs', async ({ page }) => {
  await signIn(page, personOf('viewer'))
  await page.goto('/')
  await page.getByRole('button', { name: 'Menu' }).click()
  const ways = page.getByRole('navigation', { name: 'Pages', exact: true }).getByRole('link')
  await expect(ways.filter({ hasText: 'Stock' })).toHaveCount(1)
  await expect(ways.filter({ hasText: 'People' })).toHaveCount(0)
})
