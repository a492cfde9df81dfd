import type { Download } from '@playwright/test'
import { readFile } from 'node:fs/promises'
import { expect, faults, ferryHouse, ownJob, pick, pickField, signIn, test, useUnits } from './product'

const bytes = async (download: Download) => readFile(await download.path())

test('a job is priced, moved to January, and says why it costs more; then the rig is loaded', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  const { job } = await ownJob(page, 'Winter work')
  const wall = { name: 'South wall', kind: 'studWall', size: "120' x 10'", sheet: 'marl-cc-20', thickness: '3 in' }
  const made = await page.request.post(`/api/jobs/${job}/surfaces`, {
    data: { version: null, units: 'us', fields: wall },
  })
  const surface = (await made.json()) as { id: string }
  const place = { place: 'brindle-quay', crew: 'Plover' }
  await page.request.patch(`/api/jobs/${job}`, { data: { version: null, units: 'us', fields: place } })

  await page.goto(`/jobs/${job}/price`)
  await expect(page.getByText('Set the day of the work')).toBeVisible()
  const day = page.getByRole('textbox', { name: 'Day of the work' })
  await day.fill('soon')
  await day.press('Enter')
  await expect(page.getByText('“soon” is not a day')).toBeVisible()
  await expect(day).toHaveValue('soon')
  await day.fill('7/15/2026')
  await day.press('Enter')
  await expect(day).toHaveValue('Jul 15, 2026')
  await expect(page.getByText('That day is past.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Jul 15, 2027?' })).toBeVisible()
  await page.getByRole('button', { name: 'That is right' }).click()
  await expect(page.getByText('That day is past.')).toBeHidden()
  await expect(page.getByText('Mean outdoor air around Jul 15, 2026')).toBeVisible()
  await expect(page.getByRole('row', { name: /South wall.*season as it is/ })).toBeVisible()
  await page.getByRole('button', { name: 'Save this quote' }).click()
  await expect(page.getByText("Today's figures are the same.")).toBeVisible()

  await day.fill('2027-01-15')
  await day.press('Enter')
  await expect(page.getByText(/Today it comes to .* more/)).toBeVisible()
  await expect(page.getByText(/South wall: substrate .* then, .* now/)).toBeVisible()
  expect(await faults(page, 'price')).toEqual([])

  // The amount leads down to sets, yield and what the crew's own jobs say.
  await page.getByRole('row', { name: /^Crew/ }).first().getByRole('button').click()
  await expect(page.getByRole('dialog').getByText('c = h · p')).toBeVisible()
  await page.keyboard.press('Escape')

  const [bid] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'For the customer, PDF' }).click(),
  ])
  expect((await bytes(bid)).subarray(0, 5).toString()).toBe('%PDF-')

  // What was handed out can be had again as it was, although the price has moved since.
  await day.fill('2026-07-15')
  await day.press('Enter')
  await expect(page.getByText("Today's figures are the same.")).toBeVisible()
  const papers = page.locator('section', { has: page.getByRole('heading', { name: 'Papers made' }) })
  await expect(papers.getByText('Price: Winter work')).toHaveCount(1)
  const [again] = await Promise.all([
    page.waitForEvent('download'),
    papers.getByRole('button', { name: 'Save as PDF: Price: Winter work' }).click(),
  ])
  expect(again.suggestedFilename()).toBe('Price-Winter-work.pdf')
  expect(await bytes(again)).toEqual(await bytes(bid))
  await page.getByRole('button', { name: 'For the customer, PDF' }).click()
  await expect(papers.getByText('Price: Winter work')).toHaveCount(2)
  await day.fill('2027-01-15')
  await day.press('Enter')
  await expect(page.getByText(/Today it comes to .* more/)).toBeVisible()

  await page.getByRole('link', { name: 'Order and load' }).click()
  await expect(page.getByText('Order by Jan 9, 2027.')).toBeVisible()
  await expect(page.getByText(/A: blanket on .* before/).first()).toBeVisible()
  expect(await faults(page, 'order')).toEqual([])
  const [load] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Load list as PDF' }).click(),
  ])
  expect((await bytes(load)).subarray(0, 5).toString()).toBe('%PDF-')

  await page.goto(`/jobs/${job}/sets/${surface.id}`)
  await expect(page.getByRole('heading', { name: 'Cold-weather routes' })).toBeVisible()
  await expect(
    page.getByRole('rowheader', { name: /Cold grade, then|Heat the space|Cold grade/ }).first(),
  ).toBeVisible()
  await expect(page.getByText('priced', { exact: true })).toBeVisible()
})

test('other systems are priced on the same page, and a small surface is cheaper from kits', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'metric')
  const { job } = await ownJob(page, 'Kits and others', 'metric')
  const porch = { name: 'Porch wall', kind: 'studWall', size: '1.2 m x 2.4 m', sheet: 'marl-cc-20', thickness: '50 mm' }
  const made = await page.request.post(`/api/jobs/${job}/surfaces`, {
    data: { version: null, units: 'metric', fields: porch },
  })
  const surface = (await made.json()) as { id: string }
  await page.goto(`/jobs/${job}/price`)

  // By the keyboard alone: open the other systems, follow a difference to its working, close.
  const opener = page.getByRole('button', { name: /Other systems\s+Porch wall/ })
  await opener.focus()
  await page.keyboard.press('Enter')
  const others = page.getByRole('group', { name: 'Other systems on Porch wall' })
  await expect(others.getByRole('row', { name: /Closed cell/ }).first()).toBeVisible()
  await expect(others.getByText(/more|less/).first()).toBeVisible()
  expect(await faults(page, 'other systems')).toEqual([])
  await others.locator('button.figure').first().focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog').getByText('Against the job as it is').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(others).toHaveCount(0)

  await page.goto(`/jobs/${job}/sets/${surface.id}`)
  const kits = page.locator('section.kits')
  await expect(kits.getByText(/Kits cost no more than the rig up to/)).toBeVisible()
  await expect(kits.getByText(/Hand kits cost .* the rig/)).toBeVisible()
  expect(await faults(page, 'sets with kits')).toEqual([])
})

test('a price reads with its sign, and a bad one stays where it was typed', async ({ page }) => {
  await signIn(page)
  await page.goto('/firm')
  const price = page.getByLabel('Marl HK-2', { exact: true })
  await expect(price).toHaveValue(/^\$26\d/)
  const before = await price.inputValue()
  await price.fill('cheap')
  await price.press('Enter')
  await expect(page.getByText('“cheap” is not a number')).toBeVisible()
  await expect(price).toHaveValue('cheap')
  await price.fill('$ 269,50')
  await price.press('Enter')
  await expect(price).toHaveValue('$269.5')
  await price.fill(before)
  await price.press('Enter')
  await expect(price).toHaveValue(before)
})

test('a margin at the spray window is held tighter, never looser, and the window says so', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  const { job, surface } = await ferryHouse(page)
  await page.goto('/firm')
  const margin = page.getByLabel('Least substrate above the dew point')
  await margin.fill('3 F')
  await margin.press('Enter')
  await expect(page.getByText('3 F is out of range: 5.4 °F to 27 °F.')).toBeVisible()
  await margin.press('Escape')
  const humidity = page.getByLabel('Greatest humidity', { exact: true })
  await humidity.fill('60')
  await humidity.press('Enter')
  await expect(humidity).toHaveValue('60 %')
  await page.goto(`/jobs/${job}/window/${surface('Slip hall roof')}`)
  await expect(page.getByText("Over your firm's 60 % (sheet 80 %).")).toBeVisible()
  await page.goto('/firm')
  await humidity.fill('')
  await humidity.press('Enter')
  await expect(humidity).toHaveAttribute('placeholder', "the product sheet's")
  await page.goto(`/jobs/${job}/window/${surface('Slip hall roof')}`)
  await expect(page.getByText("Over the sheet's 80 %.")).toBeVisible()
})

test('past jobs come in from a table, one is left out with a reason, and the crew moves', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  await page.goto('/past-jobs')
  await expect(page.getByRole('heading', { name: 'Plover' }).first()).toBeVisible()
  expect(await faults(page, 'past jobs')).toEqual([])
  const crew = `Wren ${Date.now()}`
  const head = 'name,crew,product,finished,area,meanDepth,sets,substrate,drum,lift'
  const line = `Barn,${crew},Marl CC-20,2026-05-04,1200,3 1/2,1.2,61,70,1 3/4`
  const picker = page.locator('input[type=file]')
  const table = (text: string) => ({ name: 'jobs.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await picker.setInputFiles(table(`${head}\n${line.replace('1200', 'wide')}\n`))
  await expect(page.getByText(/Line 2:.*wide/)).toBeVisible()
  await picker.setInputFiles(table(`${head}\n${line}\n`))
  await page.getByRole('button', { name: 'Import 1 job' }).click()
  await expect(page.getByText('1 job imported.')).toBeVisible()
  await expect(page.getByRole('heading', { name: crew }).first()).toBeVisible()
  await page
    .getByRole('row', { name: new RegExp(crew) })
    .getByRole('button', { name: 'Leave out' })
    .click()
  await page.getByLabel('Why?').fill('A drum leaked')
  await page.keyboard.press('Enter')
  await expect(page.getByText('left out: A drum leaked')).toBeVisible()
  await expect(page.getByRole('heading', { name: crew })).toHaveCount(0)
})

test('drums are added by lot, and a bad day is answered with nothing lost', async ({ page }) => {
  await signIn(page)
  await page.goto('/stock')
  await expect(page.getByText('B-7588').first()).toBeVisible()
  expect(await faults(page, 'stock')).toEqual([])
  const lot = `T-${Date.now()}`
  const form = page.locator('form.add')
  await pick(pickField(form, 'Product'), 'Fleece OC-8')
  await form.getByLabel('Lot').fill(lot)
  await form.getByRole('textbox', { name: 'Expiry date' }).fill('next year')
  await form.getByLabel('Full drums').fill('2')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('“next year” is not a day')).toBeVisible()
  await expect(form.getByLabel('Lot')).toHaveValue(lot)
  await form.getByRole('textbox', { name: 'Expiry date' }).fill('2031-04-01')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('row', { name: new RegExp(lot) })).toBeVisible()
  await page.getByRole('button', { name: `Delete ${lot}` }).click()
  await expect(page.getByRole('row', { name: new RegExp(lot) })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('row', { name: new RegExp(lot) })).toBeVisible()
})
