import { expect, personOf, pick, pickField, signIn, test, useUnits } from './product'

test('a crew with its hours, rates and rig: typed in both systems, mistyped, kept, named by a job, renamed', async ({
  page,
}) => {
  await signIn(page)
  await useUnits(page, 'us')
  await page.goto('/means')
  const name = `Tern ${Date.now()}`
  await page.getByRole('button', { name: 'Add a crew' }).click()
  await page.keyboard.type(name)
  await page.getByLabel('People', { exact: true }).fill('two and a half')
  await page.getByLabel('Work begins').fill('dawn')
  await page.keyboard.press('Enter')
  await expect(page.getByText('“two and a half” is not a number')).toBeVisible()
  await expect(page.getByText('“dawn” is not a time of day.')).toBeVisible()
  await page.getByLabel('People', { exact: true }).fill('3')
  await page.getByLabel('Work begins').fill('6:30 am')

  // What was typed outlives a reload; the firm's own rate stands where the crew has none.
  await page.reload()
  await page.getByRole('button', { name: 'Add a crew' }).click()
  await expect(page.getByLabel('Work begins')).toHaveValue('6:30 am')
  await expect(page.getByLabel('Cost of a crew hour')).toHaveAttribute('placeholder', /^firm: \$\d/)
  await page.getByLabel('Cost of a crew hour').fill('175')
  await page.getByLabel('Closed cell sprayed in an hour').fill('3 m3/h')
  await page.keyboard.press('Enter')
  const crew = page.getByRole('article', { name, exact: true })
  await expect(crew).toContainText('6:30 AM')
  await expect(crew).toContainText('$175')
  await expect(crew).toContainText('1,271 bd ft/h')
  await useUnits(page, 'metric')
  await expect(crew).toContainText('3.00 m³/h')

  await page.getByRole('button', { name: 'Add a rig' }).click()
  await page.getByLabel('Name', { exact: true }).fill(`Rig ${name}`)
  await pick(pickField(page, 'Goes out with crew'), name)
  await pick(pickField(page, 'Where the hose lies'), 'on the reel')
  await page.getByLabel('Heated hose with whip').fill('200 ft')
  await page.getByLabel('Name', { exact: true }).press('Enter')
  const rig = page.getByRole('article', { name: `Rig ${name}`, exact: true })
  await expect(rig).toContainText('60.96 m')
  await expect(rig).toContainText(name)

  const made = await page.request.post('/api/jobs', {
    data: { version: null, units: 'us', fields: { name, crew: name.toUpperCase() } },
  })
  const { id } = (await made.json()) as { id: string }
  await page.reload()
  await expect(crew).toContainText('1 job')
  await expect(crew.getByRole('button', { name: 'Delete' })).toHaveCount(0)
  await crew.getByRole('button', { name: 'Edit' }).click()
  await page.getByLabel('Name', { exact: true }).fill(`${name} two`)
  await page.keyboard.press('Enter')
  const renamed = page.getByRole('article', { name: `${name} two`, exact: true })
  await expect(renamed).toBeVisible()
  await page.goto(`/jobs/${id}`)
  await expect(page.getByText(`${name} two`).first()).toBeVisible()

  // Out of use it is offered to no new job, and taken back it is.
  await page.goto('/means')
  await renamed.getByRole('button', { name: 'Stop using' }).click()
  await expect(renamed).toContainText('not in use')
  await page.keyboard.press('Control+z')
  await expect(renamed).not.toContainText('not in use')
  await rig.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(rig).toBeVisible()
})

test('who sprays sees the rigs and not what a crew costs', async ({ page }) => {
  await signIn(page, personOf('lead'))
  await page.goto('/means')
  await expect(page.getByRole('article', { name: 'Rig 1' })).toContainText('Mixing chambers')
  await expect(page.getByText('Only the owner and the estimators see and enter what a crew costs')).toBeVisible()
  await page.getByRole('article', { name: 'Heron' }).getByRole('button', { name: 'Edit' }).click()
  await expect(page.getByLabel('People', { exact: true })).toBeVisible()
  await expect(page.getByLabel('Cost of a crew hour')).toHaveCount(0)
})
