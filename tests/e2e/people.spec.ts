import { createHmac } from 'node:crypto'
import { cell, expect, faults, fillIn, openJobs, ownJob, password, personOf, pick, signIn, test } from './product'

test('a role taken away in mid-edit takes hold at once; what was typed stays, and the page says why', async ({
  page,
  browser,
  baseURL,
}) => {
  const { job } = await (async () => {
    await signIn(page)
    return ownJob(page, 'Roles', 'metric')
  })()
  const helper = personOf('helper')
  const roleTo = async (role: string) => {
    await pick(page.locator('li', { hasText: helper }).getByRole('combobox'), role)
    await expect(page.locator('li', { hasText: helper }).first()).toContainText(role)
  }
  await page.goto('/people')
  await roleTo('Crew lead')

  const theirs = await (await browser.newContext({ baseURL })).newPage()
  await theirs.goto('/sign-in')
  await fillIn(theirs, helper)
  await theirs.waitForURL('**/')
  await theirs.goto(`/jobs/${job}/survey`)
  const size = cell(theirs, 'Size', 'North wall')
  await size.fill('8 m x 3 m')

  await roleTo('Viewer')
  await size.press('Tab')
  const dialog = theirs.getByRole('dialog')
  await dialog.getByLabel('Password').fill(password)
  await dialog.getByRole('button', { name: 'Sign in' }).click()
  await expect(theirs.getByText('Your role may not change this.').first()).toBeVisible()
  await expect(theirs.getByText('You can look but not change anything')).toBeVisible()
  await expect(size).toHaveValue('8 m x 3 m')
  await expect(size).toBeDisabled()

  await roleTo('Helper')
  await theirs.context().close()
})

test('a helper takes readings and ticks, and plans nothing', async ({ page }) => {
  await signIn(page)
  const { job, surface } = await ownJob(page, 'Helped', 'metric')
  await openJobs(page, personOf('helper'))
  await page.goto(`/jobs/${job}/window/${surface}`)
  await page.locator('input[name=air]').fill('18 C')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('64.4 °F, just now')).toBeVisible()
  await page.goto(`/jobs/${job}/survey`)
  await expect(cell(page, 'Size', 'North wall')).toBeDisabled()
  expect(
    (
      await page.request.patch(`/api/surfaces/${surface}/preparation/maskOpenings`, {
        data: { units: 'metric', fields: { assignedTo: 'me' } },
      })
    ).status(),
  ).toBe(403)
})

test('the last owner is told that they stay', async ({ page }) => {
  await openJobs(page)
  await page.goto('/people')
  await page
    .locator('li', { hasText: personOf('owner') })
    .locator('.el-switch')
    .click()
  await expect(page.getByRole('alert')).toHaveText(/A firm needs an owner/)
  await expect(page.locator('li', { hasText: personOf('owner') }).getByRole('switch')).toBeChecked()
})

test('one sees where one is signed in, and signs out everywhere else', async ({ page, browser, baseURL }) => {
  const viewer = personOf('viewer')
  const elsewhere = await (await browser.newContext({ baseURL })).newPage()
  await elsewhere.goto('/sign-in')
  await fillIn(elsewhere, viewer)
  await elsewhere.waitForURL('**/')

  await openJobs(page, viewer)
  await page.getByRole('link', { name: 'Your sign-in' }).click()
  await expect(page.getByText('this device')).toBeVisible()
  await page.getByLabel('Current password').fill('not it')
  await page.getByLabel('New password').fill('seven grey herons')
  await page.getByRole('button', { name: 'Change the password' }).click()
  await expect(page.getByText('That is not your password.')).toBeVisible()

  await page.getByRole('button', { name: 'Sign out everywhere else' }).click()
  await expect(page.getByText('You are signed out everywhere else.')).toBeVisible()
  expect((await elsewhere.request.get('/api/jobs')).status()).toBe(401)
  expect((await page.request.get('/api/jobs')).status()).toBe(200)
  await elsewhere.context().close()
})

// RFC 6238: what an authenticator app shows.
function codeOf(key: string) {
  const bits = [...key].map((letter) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0'))
  const secret = Buffer.from(
    bits
      .join('')
      .match(/.{8}/g)!
      .map((eight) => parseInt(eight, 2)),
  )
  const counter = Buffer.alloc(8)
  counter.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000)))
  const hash = createHmac('sha1', secret).update(counter).digest()
  return String((hash.readUInt32BE(hash.at(-1)! & 15) & 0x7fffffff) % 1_000_000).padStart(6, '0')
}

test('a code besides the password is set up, asked for at the door, and taken away', async ({ page }) => {
  const viewer = personOf('viewer')
  await openJobs(page, viewer)
  await page.getByRole('link', { name: 'Your sign-in' }).click()
  const second = page.getByRole('region', { name: 'Second step' })
  await second.getByLabel('Your password').fill(password)
  await second.getByRole('button', { name: 'Set it up' }).click()
  await expect(second.getByAltText('Picture of the key')).toBeVisible()
  const key = (await second.getByRole('link').textContent())!.replaceAll(' ', '')
  await second.getByLabel('Code it shows now').fill('000000')
  await page.keyboard.press('Enter')
  await expect(second.getByText('That is not the code of this half minute')).toBeVisible()
  await second.getByLabel('Code it shows now').fill(codeOf(key))
  await page.keyboard.press('Enter')
  await expect(second.getByText('8 spare codes left')).toBeVisible()
  const spare = (await second.getByRole('listitem').first().textContent())!
  expect(await faults(page, 'the second step')).toEqual([])

  await page.getByRole('button', { name: 'Sign out' }).click()
  await fillIn(page, viewer)
  await expect(page.getByRole('status')).toHaveText(/Type the code/)
  await expect(page.getByLabel('Code', { exact: true })).toBeFocused()
  await page.keyboard.type(spare)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible()

  await page.getByRole('link', { name: 'Your sign-in' }).click()
  await expect(second.getByText('7 spare codes left')).toBeVisible()
  await second.getByLabel('Your password').fill(password)
  await second.getByRole('button', { name: 'Switch it off' }).click()
  await expect(second.getByText('The second step is off.')).toBeVisible()
})

test('somebody is invited by a link, comes in once, is called by name and role, and is out as soon as they are switched off', async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page)
  await page.goto('/people')
  const name = `R. Sample ${Date.now()}`
  await page.getByLabel('Name, as papers show it').fill(name)
  await pick(page.getByRole('combobox', { name: /^Role: / }).first(), 'Estimator')
  await page.getByRole('button', { name: 'Make the link' }).click()
  const link = await page.locator('.secret code').innerText()
  expect(link).toMatch(/\/link#[0-9a-f]{64}$/)

  const theirs = await (await browser.newContext({ baseURL })).newPage()
  await theirs.goto(link)
  await expect(theirs.getByRole('heading', { level: 1 })).toContainText('invites you')
  await expect(theirs.getByText('You join as Estimator.')).toBeVisible()
  expect(theirs.url()).not.toContain('#')
  const signInName = `sample-${Date.now()}@firm.example`
  await theirs.getByRole('button', { name: 'Join' }).click()
  await expect(theirs.getByText('This is required.').first()).toBeVisible()
  await theirs.getByLabel('Sign-in name').fill(personOf('owner'))
  await theirs.getByLabel('Password').fill('password1234')
  await theirs.getByRole('button', { name: 'Join' }).click()
  await expect(theirs.getByText('people guess first')).toBeVisible()
  await theirs.getByLabel('Password').fill('seven cold drums in line')
  await theirs.getByRole('button', { name: 'Join' }).click()
  await expect(theirs.getByText('is taken. Choose another name.')).toBeVisible()
  await theirs.getByLabel('Sign-in name').fill(signInName)
  await theirs.getByRole('button', { name: 'Join' }).click()
  await expect(theirs.getByRole('heading', { name: 'Jobs' })).toBeVisible()
  const { job } = await ownJob(theirs, `By ${name}`)
  await theirs.request.delete(`/api/jobs/${job}`)

  // The link is over; what they did carries their name and role.
  const other = await (await browser.newContext({ baseURL })).newPage()
  await other.goto(link)
  await expect(other.getByText('This link has been used.')).toBeVisible()
  await page.goto('/?shelf=deleted')
  await expect(page.getByText(`by ${name}, Estimator`)).toBeVisible()

  await page.goto('/people')
  const line = page.locator('.people li', { hasText: signInName })
  await line.locator('.el-switch').click()
  await expect(line.getByRole('switch')).not.toBeChecked()
  await theirs.reload()
  await expect(theirs.getByLabel('Sign-in name')).toBeVisible()
})
