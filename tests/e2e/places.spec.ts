import { expect, faults, ownJob, pick, pickField, signIn, test, useUnits } from './product'

/** A made-up year of hours, as a weather file. */
function weatherFile(name: string, hours: number) {
  const days = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]
  const lines = [
    `LOCATION,${name},-,-,made up,000000,45.0,-75.0,-5.0,180.0`,
    ...Array<string>(7).fill('COMMENTS,made up'),
  ]
  let n = 0
  days.forEach((count, month) => {
    for (let day = 1; day <= count; day++)
      for (let hour = 1; hour <= 24; hour++, n++) {
        const celsius = 6.5 - 13.5 * Math.cos(((n / 24 - 20) / 365) * 2 * Math.PI)
        lines.push(
          `1995,${month + 1},${day},${hour},60,A7,${n % 97 ? celsius.toFixed(1) : '99.9'},0.0,${n % 53 ? 70 : 999},99000`,
        )
      }
  })
  return Buffer.from(lines.slice(0, 8 + hours).join('\n') + '\n')
}

test('a weather file becomes a place, and a job takes its year and design air from it', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'metric')
  const name = `Fen ${Date.now()}`
  await page.goto('/places')
  await expect(page.getByRole('heading', { name: 'Brindle Quay' })).toBeVisible()
  const picker = page.locator('input[type=file]')
  await picker.setInputFiles({ name: 'short.epw', mimeType: 'text/plain', buffer: weatherFile(name, 5000) })
  await expect(page.getByText('before the year does. Nothing was imported.')).toBeVisible()
  await picker.setInputFiles({ name: 'alder.epw', mimeType: 'text/plain', buffer: weatherFile(name, 8760) })
  await expect(page.getByText('8760 hours read')).toBeVisible()
  const place = page.getByRole('region', { name, exact: true }).first()
  await expect(place).toContainText('Winter design -7.0 °C')

  await place.getByRole('button', { name: `Edit ${name}` }).click()
  await page.getByLabel('Winter design').fill('warm')
  await page.getByRole('button', { name: 'Save this place' }).click()
  await expect(page.getByText('is not a number')).toBeVisible()
  await page.getByLabel('Winter design').fill('-20 C')
  await page.getByRole('button', { name: 'Save this place' }).click()
  await expect(place).toContainText('Winter design -20.0 °C')
  expect(await faults(page, 'page')).toEqual([])

  await page.goto('/')
  await page.getByRole('button', { name: 'New job' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Fen job')
  await pick(pickField(page, 'Place, for monthly means'), `${name} (6A)`)
  await expect(page.getByText(`From ${name}`)).toBeVisible()
  await expect(page.getByLabel('Outdoor air, winter design', { exact: true }).first()).toHaveValue('-20.0 °C')
})

test('a target set of ones own is made, changed and kept from being taken away under a job', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  await page.goto('/target-sets')
  const name = `County ${Date.now()}`
  await page.getByLabel('Name and edition').first().fill(name)
  await page.getByRole('button', { name: 'Add a set' }).click()
  const set = page.locator('.el-collapse', { hasText: name })
  const cell = set.getByLabel('Framed wall, Zone 5')
  await cell.fill('thin')
  await cell.press('Enter')
  await expect(set.getByText('is not a number')).toBeVisible()
  await cell.fill('0.030')
  await cell.press('Enter')
  await expect(cell).toHaveValue('U-0.0300')
  expect(await faults(page, 'page')).toEqual([])
  const { job } = await ownJob(page, 'Held to county')
  const sets = (await (await page.request.get('/api/target-sets')).json()) as { id: string; edition: string }[]
  const own = sets.find((one) => one.edition === name)!
  const changed = await page.request.patch(`/api/jobs/${job}`, {
    data: { version: null, units: 'us', fields: { targetSet: own.id } },
  })
  expect(changed.ok()).toBe(true)
  expect((await page.request.delete(`/api/target-sets/${own.id}`)).status()).toBe(409)
})

test('a template is saved from a surface, renamed, given another layer, and starts surfaces as it is then', async ({
  page,
}) => {
  await signIn(page)
  await useUnits(page, 'us')
  const { job, surface } = await ownJob(page, 'Templates')
  const name = `Sedge wall ${Date.now()}`
  await page.request.post(`/api/surfaces/${surface}/template`, { data: { name } })
  await page.goto('/templates')
  const template = page.getByRole('article', { name, exact: true })
  await template.getByRole('button', { name: 'Edit' }).click()
  const field = template.getByLabel('Name', { exact: true })
  await field.fill('')
  await field.press('Enter')
  await expect(template.getByText('This is required.')).toBeVisible()
  await field.fill(`${name} two`)
  await field.press('Enter')
  const renamed = page.getByRole('article', { name: `${name} two`, exact: true })
  await renamed.getByRole('group', { name: 'Outside of the foam' }).getByLabel('Thickness of layer 1').fill('1 1/4')
  await page.keyboard.press('Tab')
  await renamed.getByRole('button', { name: 'Close' }).click()
  await expect(renamed).toContainText('1 1/4 in')
  await page.keyboard.press('Control+z')
  await expect(renamed).not.toContainText('1 1/4 in')
  await page.keyboard.press('Control+Shift+z')
  await expect(renamed).toContainText('1 1/4 in')
  await useUnits(page, 'metric')
  await expect(renamed).toContainText('31.75 mm')
  const id = ((await (await page.request.get('/api/templates')).json()) as { id: string; name: string }[]).find(
    (one) => one.name === `${name} two`,
  )!.id
  const made = await page.request.post(`/api/jobs/${job}/surfaces`, {
    data: { version: null, units: 'us', fields: { name: 'Made', template: id } },
  })
  expect(JSON.stringify(await made.json())).toContain('1 1/4 in')
  await renamed.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('link', { name: 'Stock', exact: true }).click()
  await page.getByRole('link', { name: 'Templates', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Templates' })).toBeVisible()
  await expect(renamed).toHaveCount(0)
})
