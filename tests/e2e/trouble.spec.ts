import { cell, expect, jobAt, openJobs, ownJob, password, personOf, signIn, stranger, test, useUnits } from './product'

test.beforeEach(async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
})

test('slips in the grid are answered at their cell and what was typed stays, even after a reload', async ({ page }) => {
  const { job } = await ownJob(page, 'Slips')
  await page.goto(`/jobs/${job}/survey`)
  const slips: [string, string, RegExp][] = [
    ['Size', 'twelve x 9', /not a number/],
    ['Openings', "30' x 20'", /larger than the surface/],
    ['Quantity', '-3', /out of range: 1 to 999/],
    ['Depth', '900 in', /out of range/],
    ['Spacing', '20 C', /does not fit here/],
  ]
  for (const [column, typed, sentence] of slips) {
    await cell(page, column, 'North wall').fill(typed)
    await cell(page, column, 'North wall').press('Tab')
    await expect(page.locator('td', { has: cell(page, column, 'North wall') }).locator('.fault')).toHaveText(sentence)
    await expect(cell(page, column, 'North wall')).toHaveValue(typed)
  }
  await page.reload()
  for (const [column, typed] of slips) await expect(cell(page, column, 'North wall')).toHaveValue(typed)
  await cell(page, 'Size', 'North wall').focus()
  await page.keyboard.press('Escape')
  await expect(cell(page, 'Size', 'North wall')).toHaveValue(`24'0" x 9'0"`)
})

test('an absurd thickness, humidity and temperature are named with their range', async ({ page }) => {
  const { job, surface } = await ownJob(page, 'Absurd')
  await page.goto(`/jobs/${job}/section/${surface}`)
  const picked = page.waitForResponse((answer) => answer.request().method() === 'PATCH' && answer.ok())
  await page.getByRole('radio', { name: /Marl CC-20$/ }).click()
  await picked
  await page.getByLabel('Thickness', { exact: true }).fill('900 in')
  await page.getByLabel('Thickness', { exact: true }).press('Enter')
  await expect(page.locator('#thickness-fault')).toHaveText(/out of range/)
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('900 in')
  await page.goto(`/jobs/${job}/window/${surface}`)
  await page.locator('input[name=humidity]').fill('140 %')
  await page.getByLabel('Air at the work').fill('400 C')
  await page.locator('input[name=drumA]').fill('warm')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText(/140 % is out of range: 1 % to 100 %/)).toBeVisible()
  await expect(page.getByText(/400 C is out of range/)).toBeVisible()
  await expect(page.getByText(/“warm” is not a number/)).toBeVisible()
  await expect(page.locator('input[name=humidity]')).toHaveValue('140 %')
})

test('undo takes an edit back, and a surface taken off returns', async ({ page }) => {
  const { job } = await ownJob(page, 'Undo')
  await page.goto(`/jobs/${job}/survey`)
  await cell(page, 'Size', 'North wall').fill("30' x 10'")
  await cell(page, 'Size', 'North wall').press('Tab')
  await expect(page.getByRole('rowheader', { name: /300 ft²/ })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('rowheader', { name: /216 ft²/ })).toBeVisible()
  await page.getByRole('button', { name: 'Delete North wall' }).click()
  await expect(page.getByText('No surface yet. Type a name')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(cell(page, 'Size', 'North wall')).toHaveValue(`24'0" x 9'0"`)
})

test('rows pasted from a spreadsheet are added, slips wait at their cell', async ({ page }) => {
  const { job } = await ownJob(page, 'Paste')
  await page.goto(`/jobs/${job}/survey`)
  await page.getByLabel('Name of a new surface').focus()
  await page.evaluate(() => {
    const data = new DataTransfer()
    data.setData('text/plain', "Gable\tstudWall\tgable\t24' at 9:12\nPorch\tstudWall\trectangle\tten x 8'\n")
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    )
  })
  await expect(page.getByRole('rowheader', { name: /108 ft²/ })).toBeVisible()
  await expect(cell(page, 'Size', 'Porch')).toHaveValue("ten x 8'")
  await expect(page.getByText(/“ten” is not a number/)).toBeVisible()
})

test('a stale edit from a second tab keeps the draft and shows both', async ({ page, context }) => {
  const { job } = await ownJob(page, 'Two tabs')
  await page.goto(`/jobs/${job}/survey`)
  await expect(cell(page, 'Surface', 'North wall')).toBeVisible()
  const other = await context.newPage()
  await other.goto(`/jobs/${job}/survey`)
  await cell(other, 'Size', 'North wall').fill("40' x 8'")
  await cell(other, 'Size', 'North wall').press('Tab')
  await expect(other.getByRole('rowheader', { name: /320 ft²/ })).toBeVisible()
  await other.close()

  await cell(page, 'Size', 'North wall').fill("20' x 8'")
  await cell(page, 'Size', 'North wall').press('Tab')
  await expect(page.getByText(`you entered “20' x 8'”, it now says “40'0" x 8'0"”`)).toBeVisible()
  await expect(cell(page, 'Size', 'North wall')).toHaveValue("20' x 8'")
  await page.getByRole('button', { name: 'Keep mine' }).click()
  await expect(page.getByRole('rowheader', { name: /160 ft²/ })).toBeVisible()
})

test('a sign-in that runs out in mid-edit asks again and then saves what was typed', async ({ page, context }) => {
  const { job } = await ownJob(page, 'Expired')
  await page.goto(`/jobs/${job}/survey`)
  await cell(page, 'Size', 'North wall').fill("50' x 10'")
  await context.clearCookies()
  await cell(page, 'Size', 'North wall').press('Tab')
  await expect(page.getByText('You have been signed out')).toBeVisible()
  await expect(cell(page, 'Size', 'North wall')).toHaveValue("50' x 10'")
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Password').fill(password)
  await dialog.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('rowheader', { name: /500 ft²/ })).toBeVisible()
})

test('script in a name is text, and never runs', async ({ page }) => {
  const ran: string[] = []
  page.on('dialog', (dialog) => {
    ran.push(dialog.message())
    void dialog.dismiss()
  })
  const { job } = await ownJob(page, '<img src=x onerror=alert(1)>')
  await page.goto(`/jobs/${job}/survey`)
  await cell(page, 'Surface', 'North wall').fill('<script>alert(2)</script>')
  await cell(page, 'Surface', 'North wall').press('Tab')
  await page.goto(`/jobs/${job}`)
  await expect(page.getByText('<script>alert(2)</script>').first()).toBeVisible()
  await expect(page.getByRole('link', { name: '<img src=x onerror=alert(1)>' })).toBeVisible()
  expect(ran).toEqual([])
})

test('a body of 10 MB is refused with a sentence and the server goes on', async ({ page }) => {
  const { surface } = await ownJob(page, 'Heavy')
  const answer = await page.request.patch(`/api/surfaces/${surface}`, {
    data: { version: 1, units: 'us', fields: { name: 'x'.repeat(10 * 1024 * 1024) } },
  })
  expect(answer.status()).toBe(413)
  expect(await answer.text()).toContain('larger than 1024 kB')
  expect((await page.request.get('/api/jobs')).status()).toBe(200)
})

test('a viewer sees everything and can change nothing', async ({ page }) => {
  await openJobs(page, personOf('viewer'))
  await page.getByRole('link', { name: /ferry house/ }).click()
  await page.waitForURL(/\/jobs\//)
  await page.goto(`${page.url()}/survey`)
  await expect(page.getByText('You can look but not change anything')).toBeVisible()
  await expect(cell(page, 'Size', 'Slip hall walls')).toBeDisabled()
})

test('the second firm sees nothing of the first', async ({ page }) => {
  const { job } = await ownJob(page, 'Private')
  await openJobs(page, stranger)
  const theirs = await (await page.request.get('/api/jobs')).text()
  expect(theirs).not.toContain(job)
  await expect(page.getByText('Private')).toHaveCount(0)
  await page.goto(`/jobs/${job}`)
  await expect(page.getByText('belongs to another firm')).toBeVisible()
})

test('a file that cannot be made is told in a sentence, and the page stays', async ({ page }) => {
  await signIn(page)
  const job = await jobAt(page, 'Skerrow')
  const places: [string, RegExp[], string][] = [
    [`/jobs/${job.id}/price`, [/For the customer, PDF/, /Internal, PDF/, /Internal, workbook/], 'Price of the job'],
    [`/jobs/${job.id}/order`, [/Load list as PDF/], 'Order and load'],
    [`/jobs/${job.id}/survey/exchange`, [/^CSV$/, /^XLSX$/, /Job file/], 'Export surfaces'],
  ]
  await page.route(/\/api\/jobs\/[^/]+\/(surfaces\.|file|papers)/, (route) =>
    route.request().method() === 'GET' && route.request().url().endsWith('/papers')
      ? route.continue()
      : broken === 'gone'
        ? route.abort()
        : route.fulfill({ status: 500, contentType: 'application/problem+json', body: '{"status":500}' }),
  )
  let broken: 'gone' | 'failed'
  for (const [path, buttons, heading] of places) {
    await page.goto(path)
    for (const name of buttons) {
      for (broken of ['failed', 'gone'] as const) {
        await page.getByRole('button', { name }).click()
        await expect(
          page.getByRole('alert').filter({ hasText: broken === 'gone' ? 'does not answer' : 'The server failed' }),
        ).toBeVisible()
        expect(new URL(page.url()).pathname).toBe(path)
        await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible()
      }
    }
  }

  await page.goto(`/jobs/${job.id}/choose/${job.surface('Rubble walls')}`)
  for (const i of [0, 1]) await page.locator('article').nth(i).getByRole('button', { name: 'Compare' }).click()
  broken = 'failed'
  await page.getByRole('button', { name: 'Save as PDF' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'The server failed' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Two systems side by side' })).toBeVisible()
})

test('surfaces and the whole job are saved as files named after the job', async ({ page }) => {
  const { job } = await ownJob(page, 'Taken out')
  await page.goto(`/jobs/${job}/survey/exchange`)
  for (const [button, ending] of [
    ['CSV', '.csv'],
    ['XLSX', '.xlsx'],
    ['Job file (JSON)', '.umbracell.json'],
  ] as const) {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button, exact: true }).click(),
    ])
    expect(file.suggestedFilename()).toMatch(/^Taken-out/)
    expect(file.suggestedFilename().endsWith(ending)).toBe(true)
  }
})

test('a page opened while the database is away says so, stays signed in and goes on by itself', async ({ page }) => {
  const { job } = await ownJob(page, 'Away')
  let away = true
  const detail = 'The database does not answer just now. This comes by itself as soon as it does.'
  await page.route('**/api/**', (route) =>
    away
      ? route.fulfill({ status: 503, contentType: 'application/problem+json', body: JSON.stringify({ detail }) })
      : route.fallback(),
  )
  await page.goto(`/jobs/${job}/survey`)
  await expect(page.getByText(detail).first()).toBeVisible()
  away = false
  await expect(cell(page, 'Size', 'North wall')).toHaveValue(`24'0" x 9'0"`, { timeout: 20_000 })
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible()
  await expect(page.getByText(detail)).toHaveCount(0)
})
