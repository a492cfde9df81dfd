import type { Page } from '@playwright/test'
import { cell, expect, ownJob, personOf, pick, signIn, test, useUnits } from './product'

// An edit belongs to the record it was made on, however slow the server is and wherever the person has gone meanwhile.

type Fields = Record<string, string>

test.beforeEach(async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'metric')
})

async function surfaceAt(page: Page, job: string, id: string) {
  const all = (await (await page.request.get(`/api/jobs/${job}/surfaces`)).json()) as {
    id: string
    version: number
    thickness: { amount: number } | null
    sheetId: string | null
    expectedSubstrate: { amount: number } | null
  }[]
  return all.find((one) => one.id === id)!
}

/** Changes a surface as another person would, through the interface for programs. */
async function change(page: Page, job: string, id: string, fields: Fields) {
  const { version } = await surfaceAt(page, job, id)
  const answer = await page.request.patch(`/api/surfaces/${id}`, { data: { version, units: 'metric', fields } })
  expect(answer.status(), await answer.text()).toBe(200)
}

/** Two walls, A first, each with closed cell of its own thickness. */
async function twoWalls(page: Page, name: string) {
  const { job, surface: a } = await ownJob(page, name, 'metric')
  const made = await page.request.post(`/api/jobs/${job}/surfaces`, {
    data: { version: null, units: 'metric', fields: { name: 'South wall', kind: 'studWall', size: '7.2 m x 2.7 m' } },
  })
  const b = ((await made.json()) as { id: string }).id
  for (const [id, thickness] of [
    [a, '50 mm'],
    [b, '70 mm'],
  ] as const)
    await change(page, job, id, { sheet: 'marl-cc-20', thickness })
  return { job, a, b }
}

/** Edits reach the server only after a while, and more and more of them at once. */
async function slowServer(page: Page, ms = 700) {
  await page.route(/\/api\/(surfaces|jobs)\/[^/]+(\/choose.*|\/undo)?$/, async (route) => {
    if (['PATCH', 'POST'].includes(route.request().method())) await new Promise((go) => setTimeout(go, ms))
    await route.continue()
  })
}

/** The key to the next surface leads there once the list of them is on the screen. */
async function next(page: Page) {
  await expect(page.getByRole('link', { name: /South wall/ }).first()).toBeVisible()
  await page.keyboard.press('j')
}

const mm = async (page: Page, job: string, id: string) =>
  Math.round(((await surfaceAt(page, job, id)).thickness?.amount ?? 0) * 1000)

/** Waits until nothing more is on its way. */
async function settled(page: Page) {
  await page.waitForTimeout(400)
  await page.waitForLoadState('networkidle')
}

test('steps of the thickness stay with the surface they were made on', async ({ page }) => {
  const { job, a, b } = await twoWalls(page, 'Steps')
  await page.goto(`/jobs/${job}/section/${a}`)
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('50 mm')
  await slowServer(page)
  await expect(page.getByRole('link', { name: /South wall/ }).first()).toBeVisible()
  await page.keyboard.press(']')
  await page.waitForTimeout(600)
  await page.keyboard.press(']')
  await next(page)
  await expect(page).toHaveURL(new RegExp(b))
  await expect.poll(() => mm(page, job, a)).toBe(60)
  await settled(page)
  expect(await mm(page, job, b)).toBe(70)
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('70 mm')
})

test('a step made in the same breath as leaving for the board is kept', async ({ page }) => {
  const { job, a } = await twoWalls(page, 'Leaving')
  await page.goto(`/jobs/${job}/section/${a}`)
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('50 mm')
  // The version an edit was made on comes with the list of surfaces.
  await expect(page.getByRole('link', { name: /South wall/ }).first()).toBeVisible()
  await page.keyboard.press(']')
  await page.keyboard.press('b')
  await expect.poll(() => mm(page, job, a)).toBe(55)
})

test('a typed thickness that collides with somebody else goes to its own surface', async ({ page }) => {
  const { job, a, b } = await twoWalls(page, 'Collision')
  await page.goto(`/jobs/${job}/section/${a}`)
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('50 mm')
  await change(page, job, a, { name: 'Renamed meanwhile' })
  await slowServer(page)
  await page.getByLabel('Thickness', { exact: true }).fill('58')
  await page.getByLabel('Thickness', { exact: true }).press('Enter')
  await page.getByLabel('Thickness', { exact: true }).blur()
  await next(page)
  await expect(page).toHaveURL(new RegExp(b))
  await expect.poll(() => mm(page, job, a)).toBe(58)
  await settled(page)
  expect(await mm(page, job, b)).toBe(70)
})

test('a product picked on one surface is not picked on the next', async ({ page }) => {
  const { job, a, b } = await twoWalls(page, 'Picking')
  await page.goto(`/jobs/${job}/section/${a}`)
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('50 mm')
  await change(page, job, a, { name: 'Renamed meanwhile' })
  await slowServer(page)
  await page.getByRole('radio', { name: /Marl CC-20F$/ }).click()
  await page.locator('body').click()
  await next(page)
  await expect(page).toHaveURL(new RegExp(b))
  await expect.poll(async () => (await surfaceAt(page, job, a)).sheetId).toBe('marl-cc-20f')
  await settled(page)
  expect((await surfaceAt(page, job, b)).sheetId).toBe('marl-cc-20')
})

test('a system chosen on one surface is neither chosen nor shown on the next', async ({ page }) => {
  const { job, a, b } = await twoWalls(page, 'Choosing')
  await page.goto(`/jobs/${job}/choose/${a}`)
  const open = page
    .locator('article')
    .filter({ hasText: /^\s*Open cell/ })
    .first()
  await expect(open).toBeVisible()
  await change(page, job, a, { name: 'Renamed meanwhile' })
  await slowServer(page)
  await open.getByRole('button', { name: 'Choose this' }).click()
  await next(page)
  await expect(page).toHaveURL(new RegExp(b))
  await expect.poll(async () => (await surfaceAt(page, job, a)).sheetId).toMatch(/^fleece/)
  await settled(page)
  expect((await surfaceAt(page, job, b)).sheetId).toBe('marl-cc-20')
  await expect(page.getByText(/Chosen: open cell/i)).toHaveCount(0)
})

test('an expected substrate goes to its own surface, and one that was refused waits there', async ({ page }) => {
  const { job, a, b } = await twoWalls(page, 'Expected')
  await page.goto(`/jobs/${job}/sets/${a}`)
  const expected = page.getByLabel('Substrate', { exact: true })
  await expect(expected).toBeVisible()
  await change(page, job, a, { name: 'Renamed meanwhile' })
  await slowServer(page)
  await expected.fill('12 C')
  await expected.press('Enter')
  await expected.blur()
  await next(page)
  await expect(page).toHaveURL(new RegExp(b))
  await expect.poll(async () => (await surfaceAt(page, job, a)).expectedSubstrate?.amount).toBe(12)
  await settled(page)
  expect((await surfaceAt(page, job, b)).expectedSubstrate).toBeNull()
  await expected.fill('cold')
  await expected.press('Tab')
  await page.locator('h2').first().click()
  await page.keyboard.press('k')
  await expect(page).toHaveURL(new RegExp(a))
  await expect(expected).toHaveValue('12.0 °C')
  await next(page)
  await expect(expected).toHaveValue('cold')
  await expect(page.getByText(/“cold” is not a number/)).toBeVisible()
})

test('fields of the page of a surface stay with it when links lead to another', async ({ page }) => {
  const { job, a, b } = await twoWalls(page, 'Sheets')
  await page.goto(`/jobs/${job}/survey/surface/${a}`)
  const depth = page.locator('input[name=memberDepth]')
  await depth.fill('twelve')
  await depth.press('Enter')
  await expect(page.getByText(/“twelve” is not a number/)).toBeVisible()
  await page.evaluate((to) => window.history.pushState({}, '', to), '/')
  await page.goto(`/jobs/${job}/survey/surface/${b}`)
  await expect(depth).not.toHaveValue('twelve')
  await page.goto(`/jobs/${job}/survey/surface/${a}`)
  await expect(depth).toHaveValue('twelve')
})

test('three quick steps of a priority are all three kept', async ({ page }) => {
  const { job, a } = await twoWalls(page, 'Weights')
  await page.goto(`/jobs/${job}/choose/${a}`)
  const cost = page.getByRole('slider', { name: /cost/i })
  const before = Number(await cost.getAttribute('aria-valuenow'))
  await slowServer(page, 300)
  await cost.focus()
  const key = before > 2 ? 'ArrowLeft' : 'ArrowRight'
  for (let step = 0; step < 3; step++) await page.keyboard.press(key)
  const wanted = String(before + (before > 2 ? -3 : 3))
  await expect(cost).toHaveAttribute('aria-valuenow', wanted)
  await settled(page)
  await expect(page.locator('.fault').filter({ hasText: /changed/ })).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('slider', { name: /cost/i })).toHaveAttribute('aria-valuenow', wanted)
})

async function paste(page: Page, text: string) {
  await page.getByLabel('Name of a new surface').focus()
  await page.evaluate((content) => {
    const data = new DataTransfer()
    data.setData('text/plain', content)
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    )
  }, text)
}

test('a paste speaks the words of the grid, knows its header, and is one step of undo', async ({ page }) => {
  const { job } = await ownJob(page, 'Paste', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await paste(
    page,
    "Kind\tSurface\tSize\nroof deck, unvented\tDeck\t18' x 40' at 9:12\nfloor over vented crawl space\tPorch\tten x 8'\n",
  )
  await expect(page.getByText('1 not saved yet')).toBeVisible()
  await expect(cell(page, 'Kind', 'Deck')).toHaveText('roof deck, unvented')
  await expect(cell(page, 'Kind', 'Porch')).toHaveText('floor over vented crawl space')
  await expect(cell(page, 'Surface', 'Surface')).toHaveCount(0)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(cell(page, 'Surface', 'Porch')).toHaveCount(0)
  await expect(cell(page, 'Surface', 'Deck')).toHaveCount(0)
  await expect(page.getByText('All saved')).toBeVisible()
  await expect(cell(page, 'Surface', 'North wall')).toHaveCount(1)
})

test('what is typed and not saved can be discarded, and the discarding undone', async ({ page }) => {
  const { job } = await ownJob(page, 'Discard', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await cell(page, 'Size', 'North wall').fill('twelve')
  await cell(page, 'Size', 'North wall').press('Tab')
  await expect(page.getByText('1 not saved yet')).toBeVisible()
  await page.getByRole('button', { name: 'Discard' }).click()
  await expect(page.getByText('All saved')).toBeVisible()
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('7.20 m x 2.70 m')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('twelve')
})

test('a page left in mid-queue saves all of it', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Queue', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await expect(cell(page, 'Surface', 'North wall')).toBeVisible()
  await slowServer(page, 400)
  for (const [column, text] of [
    ['Size', '8 m x 3 m'],
    ['Quantity', '2'],
    ['Depth', '140 mm'],
    ['Spacing', '600 mm'],
  ] as const) {
    await cell(page, column, 'North wall').fill(text)
    await cell(page, column, 'North wall').press('Tab')
  }
  await page.getByRole('link', { name: 'Umbracell' }).first().click()
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible()
  await expect
    .poll(async () => {
      const { size, repeats, memberDepth, memberSpacing } = (await surfaceAt(page, job, surface)) as never as Record<
        string,
        { metric: string }
      > & { repeats: number }
      return [size!.metric, repeats, memberDepth!.metric, memberSpacing!.metric]
    })
    .toEqual(['8.00 m x 3.00 m', 2, '140 mm', '600 mm'])
})

test('a change of kind keeps the size, and undo brings back what it reset', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Kinds', 'metric')
  await page.request.patch(`/api/surfaces/${surface}`, {
    data: {
      version: (await surfaceAt(page, job, surface)).version,
      units: 'metric',
      fields: { outboard: 'brick | 110 mm' },
    },
  })
  await page.goto(`/jobs/${job}/survey`)
  await pick(cell(page, 'Kind', 'North wall'), 'roof deck, unvented')
  await expect(cell(page, 'Depth', 'North wall')).not.toHaveValue('140 mm')
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('7.20 m x 2.70 m')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(cell(page, 'Kind', 'North wall')).toHaveText('stud wall')
  const back = (await surfaceAt(page, job, surface)) as never as { outboard: { material: string }[] }
  expect(back.outboard.map((layer) => layer.material)).toEqual(['brick'])
})

test('drafts of one person are not shown to the next on the device, and wait for the first', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Private', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await cell(page, 'Size', 'North wall').fill('twelve')
  await cell(page, 'Size', 'North wall').press('Tab')
  await page.goto(`/jobs/${job}/window/${surface}`)
  await page.locator('input[name=air]').fill('11 C')
  await page.getByRole('button', { name: 'Sign out' }).click()
  await signIn(page, personOf('estimator'))
  await useUnits(page, 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('7.20 m x 2.70 m')
  await page.goto(`/jobs/${job}/window/${surface}`)
  await expect(page.locator('input[name=air]')).toHaveValue('')
  await signIn(page)
  await page.goto(`/jobs/${job}/window/${surface}`)
  await expect(page.locator('input[name=air]')).toHaveValue('11 C')
})

test('somebody else who signs in again over a screen gets a screen of their own', async ({ page, context }) => {
  const { job, surface } = await ownJob(page, 'Again', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await cell(page, 'Size', 'North wall').fill('9 m x 3 m')
  await context.clearCookies()
  await cell(page, 'Size', 'North wall').press('Tab')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Sign-in name').fill(personOf('estimator'))
  await dialog.getByLabel('Password').fill('umbra-demo')
  await dialog.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible()
  await settled(page)
  expect(((await surfaceAt(page, job, surface)) as never as { size: { metric: string } }).size.metric).toBe(
    '7.20 m x 2.70 m',
  )
})

test('cancelling a form forgets what was typed in it; a refresh does not', async ({ page }) => {
  const { job } = await ownJob(page, 'Cancelled', 'metric')
  await page.goto(`/jobs/${job}`)
  await page.getByRole('button', { name: /Edit/ }).click()
  const crew = page.getByLabel('Crew', { exact: true })
  await crew.fill('Heron')
  await page.reload()
  await page.getByRole('button', { name: /Edit/ }).click()
  await expect(crew).toHaveValue('Heron')
  await page.getByRole('button', { name: 'Cancel' }).click()
  await page.getByRole('button', { name: /Edit/ }).click()
  await expect(crew).toHaveValue('')
})
