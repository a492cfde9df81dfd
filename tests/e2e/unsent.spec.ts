import type { Page } from '@playwright/test'
import { cell, expect, openJobs, ownJob, password, personOf, signIn, test, useUnits } from './product'

// What is entered survives anything that can happen between a device and the server, and goes by itself when it can.

test.beforeEach(async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'metric')
})

interface Row {
  id: string
  version: number
  name: string
  repeats: number
  size: { metric: string } | null
}

async function rowOf(page: Page, job: string, id: string) {
  const all = (await (await page.request.get(`/api/jobs/${job}/surfaces`)).json()) as Row[]
  return all.find((one) => one.id === id)!
}
const sizeOf = async (page: Page, job: string, id: string) => (await rowOf(page, job, id)).size?.metric

/** The time the product goes by. */
const productNow = async (page: Page) =>
  Date.parse((await page.request.get('/api/session')).headers()['umbracell-now']!)

async function byAnother(page: Page, job: string, id: string, fields: Record<string, string>) {
  const { version } = await rowOf(page, job, id)
  const answer = await page.request.patch(`/api/surfaces/${id}`, { data: { version, units: 'metric', fields } })
  expect(answer.status(), await answer.text()).toBe(200)
}

async function enter(page: Page, column: string, text: string) {
  await cell(page, column, 'North wall').fill(text)
  await cell(page, column, 'North wall').press('Tab')
}
const edits = /\/api\/surfaces\/[^/]+$/
const unsent = (page: Page) => page.getByRole('button', { name: /not sent$/ })

test('without a connection edits wait, are counted on every page, and go by themselves once it is back', async ({
  page,
  context,
}) => {
  const { job, surface } = await ownJob(page, 'Offline', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await expect(cell(page, 'Size', 'North wall')).toBeVisible()
  // Pages nobody has been to are fetched beside the work.
  await page.waitForLoadState('networkidle')
  await context.setOffline(true)
  await enter(page, 'Size', '8 m x 3 m')
  await enter(page, 'Quantity', '2')
  await expect(page.getByText(/The server does not answer/)).toBeVisible()
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('8 m x 3 m')
  await expect(unsent(page)).toHaveText('No connection: 2 not sent')
  await page.getByRole('link', { name: 'Umbracell' }).first().click()
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible()
  await expect(unsent(page)).toHaveText('No connection: 2 not sent')

  await context.setOffline(false)
  await expect.poll(() => sizeOf(page, job, surface)).toBe('8.00 m x 3.00 m')
  await expect.poll(async () => (await rowOf(page, job, surface)).repeats).toBe(2)
  await expect(unsent(page)).toHaveCount(0)
})

test('a server that fails for a while and a slow one lose nothing', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Failing', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  let failures = 2
  await page.route(edits, async (route) => {
    if (route.request().method() !== 'PATCH') return route.continue()
    if (failures-- > 0) return route.fulfill({ status: 503, body: '' })
    await new Promise((go) => setTimeout(go, 800))
    await route.continue()
  })
  await enter(page, 'Size', '9 m x 3 m')
  await enter(page, 'Quantity', '3')
  await expect.poll(() => sizeOf(page, job, surface)).toBe('9.00 m x 3.00 m')
  await expect.poll(async () => (await rowOf(page, job, surface)).repeats).toBe(3)
  await expect(page.getByText('All saved')).toBeVisible()
})

test('an edit that was taken and never answered is not taken twice, nor told as a conflict', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Half answered', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  let lost = 1
  await page.route(edits, async (route) => {
    if (route.request().method() !== 'PATCH' || lost-- <= 0) return route.continue()
    await route.fetch()
    // Somebody else comes in between: the repeat must not lay the old text over theirs.
    await byAnother(page, job, surface, { size: '5 m x 5 m' })
    await route.abort('connectionreset')
  })
  await enter(page, 'Size', '9 m x 3 m')
  await expect(page.getByText('All saved')).toBeVisible()
  expect(await sizeOf(page, job, surface)).toBe('5.00 m x 5.00 m')
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('5.00 m x 5.00 m')
  await expect(page.getByText('Someone else changed this in the meantime')).toHaveCount(0)
})

test('what waits outlives a reload and a closed tab, and is sent from whichever page is opened next', async ({
  page,
  context,
}) => {
  const { job, surface } = await ownJob(page, 'Closed', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await page.route(edits, (route) => route.abort('connectionrefused'))
  await enter(page, 'Size', '8 m x 3 m')
  await expect(unsent(page)).toBeVisible()
  await page.reload()
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('8 m x 3 m')
  const next = await context.newPage()
  await page.close()
  await next.goto('/stock')
  await expect.poll(() => sizeOf(next, job, surface)).toBe('8.00 m x 3.00 m')
})

test('a conflict is offered again after a reload, and each side can be kept', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Conflict', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('7.20 m x 2.70 m')
  await byAnother(page, job, surface, { size: '4 m x 4 m', name: 'Renamed' })
  await cell(page, 'Size', 'North wall').fill('6 m x 3 m')
  await cell(page, 'Size', 'North wall').press('Tab')
  const told = page.getByText('you entered “6 m x 3 m”, it now says “4.00 m x 4.00 m”')
  await expect(told).toBeVisible()
  await page.reload()
  await expect(told).toBeVisible()
  await expect(cell(page, 'Size', 'Renamed')).toHaveValue('6 m x 3 m')
  expect(await sizeOf(page, job, surface)).toBe('4.00 m x 4.00 m')

  // The same on the page of the surface, and in the list of what was not sent.
  await unsent(page).click()
  const list = page.getByRole('dialog')
  await expect(list).toContainText('someone else changed it to “4.00 m x 4.00 m”')
  await list.getByRole('button', { name: 'Keep mine' }).click()
  await expect.poll(() => sizeOf(page, job, surface)).toBe('6.00 m x 3.00 m')
  await expect(list.getByText('Everything is sent.')).toBeVisible()
})

test('a field nobody else touched goes on top of what they changed, without a question', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Beside', 'metric')
  await page.goto(`/jobs/${job}/survey/surface/${surface}`)
  const depth = page.locator('input[name=memberDepth]')
  await expect(depth).toBeVisible()
  await byAnother(page, job, surface, { name: 'Renamed' })
  await depth.fill('190 mm')
  await depth.press('Enter')
  await expect.poll(async () => (await rowOf(page, job, surface)).name).toBe('Renamed')
  await expect(depth).toHaveValue('190 mm')
  await expect(unsent(page)).toHaveCount(0)
  await expect(page.getByText('Someone else changed this in the meantime')).toHaveCount(0)
  await page.reload()
  await expect(depth).toHaveValue('190 mm')
})

test('a conflict on the page of a surface is decided there', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'There', 'metric')
  await page.goto(`/jobs/${job}/survey/surface/${surface}`)
  const depth = page.locator('input[name=memberDepth]')
  await expect(depth).toBeVisible()
  await byAnother(page, job, surface, { memberDepth: '235 mm' })
  await depth.fill('190 mm')
  await depth.press('Enter')
  await expect(page.getByText('you entered “190 mm”, it now says “235 mm”')).toBeVisible()
  await page.getByRole('button', { name: 'Take theirs' }).click()
  await expect(depth).toHaveValue('235 mm')
})

test('two tabs show what the other typed, and send it once', async ({ page, context }) => {
  const { job, surface } = await ownJob(page, 'Tabs', 'metric')
  // Answered ones: a try that goes out in the very moment the line comes back may still fail.
  let taken = 0
  context.on('response', (answer) => {
    if (edits.test(answer.url()) && answer.request().method() === 'PATCH' && answer.ok()) taken++
  })
  await page.goto(`/jobs/${job}/survey`)
  // Both tabs have come up before the line goes: one that has not has nothing to type into.
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('7.20 m x 2.70 m')
  const other = await context.newPage()
  await other.goto(`/jobs/${job}/survey`)
  await expect(cell(other, 'Size', 'North wall')).toHaveValue('7.20 m x 2.70 m')
  await context.setOffline(true)
  await enter(page, 'Size', '8 m x 3 m')
  await expect(cell(other, 'Size', 'North wall')).toHaveValue('8 m x 3 m')
  await expect(unsent(other)).toBeVisible()
  await context.setOffline(false)
  await expect.poll(() => sizeOf(page, job, surface)).toBe('8.00 m x 3.00 m')
  await expect(unsent(other)).toHaveCount(0)
  await expect(unsent(page)).toHaveCount(0)
  expect(taken).toBe(1)
})

test('what waits at a sign-out waits for the person, and goes when they are back', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Signed out', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await page.route(edits, (route) => route.abort('connectionrefused'))
  await enter(page, 'Size', '8 m x 3 m')
  await expect(unsent(page)).toBeVisible()
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page.getByLabel('Sign-in name')).toBeVisible()
  await page.unroute(edits)
  await openJobs(page, personOf('estimator'))
  await expect(unsent(page)).toHaveCount(0)
  await page.waitForTimeout(1500)
  expect(await sizeOf(page, job, surface)).toBe('7.20 m x 2.70 m')
  await page.getByRole('button', { name: 'Sign out' }).click()
  await page.getByLabel('Sign-in name').fill(personOf('owner'))
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible()
  await expect.poll(() => sizeOf(page, job, surface)).toBe('8.00 m x 3.00 m')
})

test('a sign-in that runs out on a page of fields asks again and then sends what was typed', async ({
  page,
  context,
}) => {
  const { job, surface } = await ownJob(page, 'Ran out', 'metric')
  await page.goto(`/jobs/${job}/survey/surface/${surface}`)
  const depth = page.locator('input[name=memberDepth]')
  await depth.fill('190 mm')
  await context.clearCookies()
  await depth.press('Enter')
  await page.getByRole('dialog').getByLabel('Password').fill(password)
  await page.getByRole('dialog').getByRole('button', { name: 'Sign in' }).click()
  await expect(unsent(page)).toHaveCount(0)
  await page.reload()
  await expect(depth).toHaveValue('190 mm')
})

test('a hundred quick steps of the thickness end where the hand left it, in few requests', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Hundred', 'metric')
  await byAnother(page, job, surface, { sheet: 'marl-cc-20', thickness: '20 mm' })
  let sent = 0
  await page.route(edits, async (route) => {
    if (route.request().method() === 'PATCH') sent++
    await route.continue()
  })
  await page.goto(`/jobs/${job}/section/${surface}`)
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('20 mm')
  await expect(page.getByRole('link', { name: /North wall/ }).first()).toBeVisible()
  for (let i = 0; i < 100; i++) await page.keyboard.press(i % 5 === 4 ? '[' : ']')
  // Eighty steps up and twenty down of 5 mm would be 320 mm: the foam ends at its sheet's greatest rated thickness, and the last step is one
  // down from there. The field follows the worker's newest answer, so that it may be a step behind the hand for a moment.
  const thickness = page.getByLabel('Thickness', { exact: true })
  await expect
    .poll(async () => {
      const row = (await rowOf(page, job, surface)) as never as { thickness: { metric: string } }
      return [row.thickness.metric, await thickness.inputValue()]
    })
    .toEqual(['145 mm', '145 mm'])
  await expect(unsent(page)).toHaveCount(0)
  expect(sent).toBeLessThan(20)
})

test('board and price say that they are older than what waits', async ({ page }) => {
  const { job } = await ownJob(page, 'Behind', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await page.route(edits, (route) => route.abort('connectionrefused'))
  await enter(page, 'Size', '8 m x 3 m')
  await expect(unsent(page)).toBeVisible()
  const behind = page.getByText('1 entered and not sent yet: the figures here do not include it.')
  for (const path of ['', '/price', '/order']) {
    await page.goto(`/jobs/${job}${path}`)
    await expect(behind).toBeVisible()
  }
  await unsent(page).click()
  await page.unroute(edits)
  // It may have gone by itself before the hand gets there.
  await page
    .getByRole('button', { name: 'Send now' })
    .click({ timeout: 3_000 })
    .catch(() => undefined)
  await expect(page.getByRole('dialog').getByText('Everything is sent.')).toBeVisible()
  await expect(behind).toHaveCount(0)
})

test('one thing or all can be discarded from the list, and undo brings it back', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'List', 'metric')
  await page.goto(`/jobs/${job}/survey`)
  await enter(page, 'Size', 'twelve')
  await expect(page.getByText(/“twelve”/).first()).toBeVisible()
  await unsent(page).click()
  const list = page.getByRole('dialog')
  await expect(list).toContainText('North wall')
  await expect(list).toContainText('Size')
  await list.getByRole('button', { name: 'Discard' }).click()
  await expect(list.getByText('Everything is sent.')).toBeVisible()
  await list.getByRole('button', { name: 'Close', exact: true }).last().click()
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('7.20 m x 2.70 m')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(cell(page, 'Size', 'North wall')).toHaveValue('twelve')
  expect(await sizeOf(page, job, surface)).toBe('7.20 m x 2.70 m')
})

test('undo takes back what was kept on another page of the job, with the keyboard alone', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Undo', 'metric')
  await page.goto(`/jobs/${job}/survey/surface/${surface}`)
  const depth = page.locator('input[name=memberDepth]')
  const before = await depth.inputValue()
  await depth.fill('190 mm')
  await depth.press('Enter')
  await expect(depth).toHaveValue('190 mm')
  await expect(unsent(page)).toHaveCount(0)
  await page.locator('h1').first().click()
  await page.keyboard.press('b')
  await expect(page).toHaveURL(new RegExp(`/jobs/${job}$`))
  await page.keyboard.press('Control+z')
  await expect(page.getByText('Undone.')).toBeVisible()
  const depthNow = async () =>
    ((await rowOf(page, job, surface)) as never as { memberDepth: { metric: string } }).memberDepth.metric
  expect(await depthNow()).toBe(before)
  await page.keyboard.press('Control+y')
  await expect.poll(depthNow).toBe('190 mm')
})

test('undo takes back edits of a job and of the rates of the firm, and makes them again', async ({ page }) => {
  const { job } = await ownJob(page, 'Undone everywhere', 'metric')
  await page.goto(`/jobs/${job}`)
  await page.getByRole('button', { name: 'Edit the job' }).click()
  const outdoors = page.getByRole('textbox', { name: /^Outdoor air, winter/ })
  const before = await outdoors.inputValue()
  await outdoors.fill('-21 C')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/outdoors -21/)).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByText(/outdoors -21/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Edit the job' }).click()
  await expect(outdoors).toHaveValue(before)
  await page.getByRole('button', { name: 'Cancel' }).click()
  await page.keyboard.press('Control+y')
  await expect(page.getByText(/outdoors -21/)).toBeVisible()

  await page.goto('/firm')
  const hour = page.getByLabel('Cost of a crew hour', { exact: true })
  const rate = await hour.inputValue()
  await hour.fill('61.25')
  await hour.press('Enter')
  await expect(unsent(page)).toHaveCount(0)
  await page.locator('h1').first().click()
  await page.keyboard.press('Control+z')
  await expect(hour).toHaveValue(rate)
  await page.keyboard.press('Control+y')
  await expect(hour).toHaveValue('$61.25')
  await page.keyboard.press('Control+z')
  await expect(hour).toHaveValue(rate)
})

test('of the rates of the firm another person changes one, and is asked about where it is the same', async ({
  page,
}) => {
  await ownJob(page, 'Two at rates', 'metric')
  const byOther = async (fields: Record<string, string>) => {
    const { version } = (await (await page.request.get('/api/firm')).json()) as { version: number }
    const answer = await page.request.patch('/api/firm', { data: { version, units: 'metric', fields } })
    expect(answer.status(), await answer.text()).toBe(200)
  }
  await page.goto('/firm')
  const hour = page.getByLabel('Cost of a crew hour', { exact: true })
  const rig = page.getByLabel('Rig, a day', { exact: true })
  const [paid, day] = [await hour.inputValue(), await rig.inputValue()]

  await byOther({ rigDay: '311.5' })
  await hour.fill('62.25')
  await hour.press('Enter')
  await expect(rig).toHaveValue('$311.5')
  await expect(hour).toHaveValue('$62.25')
  await expect(unsent(page)).toHaveCount(0)

  await byOther({ crewHour: '63.75' })
  await hour.fill('64.5')
  await hour.press('Enter')
  await expect(page.getByText('you entered “64.5”, it now says “63.75”')).toBeVisible()
  await page.getByRole('button', { name: 'Keep mine' }).first().click()
  await expect(unsent(page)).toHaveCount(0)
  await page.reload()
  await expect(hour).toHaveValue('$64.5')

  for (const [field, before] of [[hour, paid] as const, [rig, day] as const]) {
    await field.fill(before)
    await field.press('Enter')
  }
  await expect(unsent(page)).toHaveCount(0)
})

test('readings taken without a connection arrive later with the time they were taken', async ({ page, context }) => {
  const { job, surface } = await ownJob(page, 'Readings', 'metric')
  await page.goto(`/jobs/${job}/window/${surface}`)
  const air = page.locator('input[name=air]')
  await expect(air).toBeVisible()
  const taken = await productNow(page)
  await context.setOffline(true)
  await air.fill('11 C')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText(/sent later, with the time they were taken/)).toBeVisible()
  await expect(air).toHaveValue('')
  await page.waitForTimeout(3000)
  await context.setOffline(false)
  const readings = async () =>
    (
      (await (await page.request.get(`/api/surfaces/${surface}/window`)).json()) as {
        readings: { kind: string; takenAt: string }[]
      }
    ).readings
  await expect.poll(async () => (await readings()).length).toBe(1)
  expect(Math.abs(Date.parse((await readings())[0]!.takenAt) - taken)).toBeLessThan(2500)
})

test('ticks made without a connection are all kept', async ({ page, context }) => {
  const { job } = await ownJob(page, 'Ticks', 'metric')
  await page.goto(`/jobs/${job}/survey/prepare`)
  const boxes = page.locator('label.tick input[type=checkbox]')
  await expect(boxes.first()).toBeVisible()
  await context.setOffline(true)
  for (const i of [0, 1, 2]) await boxes.nth(i).check()
  await expect(unsent(page)).toHaveText('No connection: 3 not sent')
  await context.setOffline(false)
  await expect(unsent(page)).toHaveCount(0)
  await page.reload()
  for (const i of [0, 1, 2]) await expect(boxes.nth(i)).toBeChecked()
})

test('two people who choose for one surface are asked, and no pick is lost without a word', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Two choose', 'metric')
  const path = `/api/surfaces/${surface}/choose`
  const choice = async () =>
    (await (await page.request.get(path)).json()) as {
      version: number
      chosenId: string | null
      answer: { candidates: { id: string; kind: string; excluded: boolean }[] }
    }
  await page.goto(`/jobs/${job}/choose/${surface}`)
  await expect(page.getByRole('button', { name: 'Choose this' }).first()).toBeVisible()
  const { version, answer } = await choice()
  const standing = answer.candidates.filter((one) => !one.excluded)
  const theirs = standing.at(-1)!.id
  const taken = await page.request.post(path, { data: { version, candidateId: theirs } })
  expect(taken.status(), await taken.text()).toBe(200)

  await page.getByRole('button', { name: 'Choose this' }).first().click()
  await expect(page.getByText('Someone else changed this in the meantime')).toBeVisible()
  expect((await choice()).chosenId).toBe(theirs)
  await page.getByRole('button', { name: 'Keep mine' }).click()
  await expect.poll(async () => (await choice()).chosenId).toBe(standing[0]!.id)
  await expect(page.getByText('Someone else changed this in the meantime')).toHaveCount(0)
})
