import { expect, ownJob, pick, pickField, signIn, test, useUnits } from './product'

test('a sheet of ones own is typed, sprayed by, and its next edition is noticed by the job and taken when told', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await signIn(page)
  await useUnits(page, 'us')
  const name = `Teasel ${Date.now()}`
  await page.goto('/sheets')
  await expect(page.getByRole('link', { name: 'Marl CC-20', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'New sheet' }).click()
  await pick(pickField(page, 'Start from'), 'Marl CC-20')
  await expect(page.getByLabel('Core density')).toHaveValue('2 lb/ft³')

  // Mistyped on purpose: each is told at its line while it is typed, and nothing is lost.
  await page.getByLabel('Product', { exact: true }).fill(name)
  await page.getByLabel('Yield of a set').fill('9000')
  await expect(page.getByText('than a set of 974 lb can fill')).toBeVisible()
  await page.getByLabel('Yield of a set').fill('4,400 bd ft')
  await page.getByLabel('R, point 3', { exact: true }).fill('R-12')
  await expect(page.getByText('falls or stays the same')).toBeVisible()
  const aged = page.getByRole('img', { name: /^Aged R by thickness/ })
  await page.getByLabel('R, point 3', { exact: true }).fill('20.7')
  await expect(aged).toHaveAttribute('aria-label', /R-20\.7 at 3 in/)
  await page.getByLabel('Greatest lift', { exact: true }).fill('thick')
  await page.getByRole('button', { name: 'Save this sheet' }).click()
  await expect(page.getByText('“thick” is not a number')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Greatest lift', { exact: true })).toHaveValue('thick')
  await page.getByLabel('Greatest lift', { exact: true }).fill('51 mm')
  await page.getByRole('button', { name: 'Save this sheet' }).click()
  await expect(page.getByRole('heading', { name })).toBeVisible()
  await expect(page.getByText('2.0079 in')).toBeVisible()
  await expect(page.getByText('No job uses it yet.')).toBeVisible()
  const address = page.url()

  // A job is sprayed with it.
  const { job, surface } = await ownJob(page, `${name} job`)
  await page.goto(`/jobs/${job}/section/${surface}`)
  await page.getByRole('radio', { name: new RegExp(name) }).click()
  await page.getByLabel('Thickness', { exact: true }).fill('3 in')
  await page.getByLabel('Thickness', { exact: true }).press('Enter')
  await expect(page.getByText('R-20.7').first()).toBeVisible()

  // Its next edition is tighter; a job in work says so and keeps to its own.
  await page.goto(address)
  await expect(page.getByRole('link', { name: `${name} job` })).toBeVisible()
  await page.getByRole('link', { name: 'Edit', exact: true }).click()
  await page.getByLabel('Substrate at least').fill('45 F')
  await page.getByLabel('R, point 3', { exact: true }).fill('19.9')
  await page.getByRole('button', { name: 'Save this sheet' }).click()
  await expect(page.getByText('There is an edition of this name already')).toBeVisible()
  await page.getByLabel('Edition', { exact: true }).fill('sheet 4')
  await page.getByRole('button', { name: 'Save this sheet' }).click()
  await expect(page.getByText('changed in this edition').first()).toBeVisible()
  await page.goto(`/jobs/${job}`)
  const note = page.getByRole('region', { name })
  await expect(note).toContainText('calculated with edition “sheet 3, demo”')
  await expect(note).toContainText('Substrate at least: 39.2 °F, now 45 °F')
  const cell = page.getByRole('link', { name: /R-/ }).first()
  await expect(cell).toContainText('R-20.7')
  await note.getByRole('button', { name: 'Use “sheet 4”' }).click()
  await expect(note).toHaveCount(0)
  await expect(cell).toContainText('R-19.9')
  await page.keyboard.press('Control+z')
  await expect(note).toBeVisible()
  await expect(cell).toContainText('R-20.7')

  // Retired it is offered to no other job.
  await page.goto(address)
  await page.getByRole('button', { name: 'Stop offering it' }).click()
  await expect(page.getByText('not offered any more')).toBeVisible()
  const other = await ownJob(page, `${name} later`)
  await page.goto(`/jobs/${other.job}/section/${other.surface}`)
  await expect(page.getByRole('radio', { name: /Marl CC-20$/ })).toBeVisible()
  await expect(page.getByRole('radio', { name: new RegExp(name) })).toHaveCount(0)
})

test('a sheet goes out as a file, comes in again, and a file that is none is refused with the line', async ({
  page,
}) => {
  await signIn(page)
  await useUnits(page, 'metric')
  await page.goto('/sheets/slate-rf-30')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as JSON' }).click(),
  ])
  const text = await (await import('node:fs/promises')).readFile(await download.path(), 'utf8')
  await page.goto('/sheets')
  const file = page.locator('input[type=file]')
  const bring = (what: string) =>
    file.setInputFiles({ name: 'sheet.json', mimeType: 'application/json', buffer: Buffer.from(what) })
  await bring(text)
  await expect(page.getByText('is the sheet you have already')).toBeVisible()
  await bring(text.replace('"schemaVersion": 1', '"schemaVersion": 4'))
  await expect(page.getByText('written in version 4 of the format')).toBeVisible()
  await bring(text.replace('"slate-rf-30"', '"bedstraw-rf"').replace('"Slate RF-30"', '"Bedstraw RF"'))
  await expect(page.getByRole('heading', { name: 'Bedstraw RF' })).toBeVisible()
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('heading', { name: 'Bedstraw RF' })).toBeVisible()
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('navigation', { name: 'Where you are' }).getByRole('link', { name: 'Product sheets' }).click()
  await expect(page.getByRole('link', { name: 'Slate RF-30' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Bedstraw RF' })).toHaveCount(0)
})

test('a figure of a material of ones own stands in its field with its vapour class, and goes back to the usual one', async ({
  page,
}) => {
  await signIn(page)
  await useUnits(page, 'us')
  await page.goto('/materials')
  const line = page.getByRole('row').filter({ hasText: 'vapour-retarder paint' })
  await expect(line).toContainText('class II')
  const field = page.getByLabel('vapour-retarder paint, Vapour permeability')
  await field.fill('plenty')
  await field.press('Enter')
  await expect(page.getByText('“plenty” is not a number')).toBeVisible()
  await field.fill('0.0003')
  await field.press('Enter')
  await expect(line).toContainText('class I:')
  await page.reload()
  await expect(field).toHaveValue('0.0003 perm·in')
  await page.getByRole('button', { name: 'Use the usual figures vapour-retarder paint' }).click()
  await expect(line).toContainText('class II')
  await expect(field).toHaveValue('')
})

test('a material of ones own is added, picked as a layer and drawn by its name, and stays while it is laid', async ({
  page,
}) => {
  await signIn(page)
  await useUnits(page, 'us')
  const { job, surface } = await ownJob(page, 'Own board')
  const name = `Sedge v1.2 board ${Date.now()}`
  await page.goto('/materials')
  await page.getByLabel('A material or batt of your own').fill('plywood')
  await page.keyboard.press('Enter')
  await expect(page.getByText('“plywood” is taken. Choose another name.')).toBeVisible()
  await page.getByLabel('A material or batt of your own').fill(name)
  await pick(pickField(page, 'Is like'), 'faced foam board')
  await page.getByRole('button', { name: 'Add a material' }).click()
  const conductivity = page.getByLabel(`${name}, Conductivity`)
  await conductivity.fill('0.02 W/mK')
  await conductivity.press('Enter')
  await expect(conductivity).toHaveValue(/Btu/)

  await page.goto(`/jobs/${job}/survey/surface/${surface}`)
  await page.getByRole('group', { name: 'Outside of the foam' }).getByRole('button', { name: 'Add a layer' }).click()
  const materials = page.getByRole('combobox', { name: /^Material of layer 3/ })
  await pick(materials, name)
  const laid = page.getByRole('combobox', { name: `Material of layer 3: ${name}` })
  await expect(laid).toBeVisible()
  await page.reload()
  await expect(laid).toBeVisible()

  // On a section with foam it is drawn by its name.
  await page.goto(`/jobs/${job}/section/${surface}`)
  await page.getByRole('radio', { name: /Marl CC-20$/ }).click()
  await page.getByRole('button', { name: 'Start at 3 in' }).click()
  await expect(page.getByText(name).first()).toBeVisible()

  await page.goto('/materials')
  await page.getByRole('button', { name: `Delete ${name}` }).click()
  await expect(page.getByText(`Surfaces or templates still use “${name}”.`)).toBeVisible()
  await expect(page.getByRole('row', { name })).toBeVisible()
})
