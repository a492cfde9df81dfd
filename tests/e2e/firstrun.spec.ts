import { cell, expect, openJobs, pick, pickField, stranger, test, useUnits } from './product'

// Three minutes are plenty for a machine; what a person needs is told by what there is to type.
test('a firm with nothing in it comes to its first verdict, its steps read off what it has', async ({ page }) => {
  test.setTimeout(180_000)
  await openJobs(page, stranger)
  await useUnits(page, 'us')
  const began = Date.now()
  const steps = page.getByRole('region', { name: 'Getting started' })
  await expect(steps).toContainText('1 of 7 done')
  await expect(steps.getByRole('button', { name: 'Survey' })).toHaveCount(0)

  // A sheet of its own, begun from a sample that is marked as one.
  await steps.getByRole('button', { name: 'Product sheets' }).click()
  await page.getByRole('link', { name: 'Marl CC-20', exact: true }).click()
  await expect(page.getByText('This is a made-up sample.')).toBeVisible()
  await page.getByRole('link', { name: 'Copy' }).click()
  await page.getByLabel('Product', { exact: true }).fill('Sedge CC')
  await page.getByLabel('Maker').fill('Mere Foams')
  await page.getByRole('button', { name: 'Save this sheet' }).click()
  await expect(page.getByText('No job uses it yet.')).toBeVisible()

  // A crew needs a name; what it costs the firm's rates say.
  await page.goto('/')
  await expect(steps).toContainText('2 of 7 done')
  await steps.getByRole('button', { name: 'Crews' }).click()
  await page.getByRole('button', { name: 'Add a crew' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Tern')
  await page.getByLabel('People', { exact: true }).fill('3')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('article', { name: 'Tern' })).toContainText('People')

  // A job leads to the places and back, with all that was typed.
  await page.goto('/')
  await expect(steps).toContainText('3 of 7 done')
  await steps.getByRole('button', { name: 'New job' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Mere cottage')
  await page.getByLabel('Crew', { exact: true }).fill('tern')
  await page.getByRole('link', { name: 'Add a place of your own' }).click()
  const typed = {
    Name: 'Mere Bank',
    Altitude: '200 ft',
    'Winter design': 'cold',
    'Summer design': '86 F',
    'Humidity at summer design': '50 %',
    'Monthly mean temperatures, January first, separated by semicolons':
      '20; 24; 33; 45; 56; 66; 71; 69; 61; 50; 39; 27',
    'Monthly mean humidities, January first, separated by semicolons': '75 %',
  }
  // The job's form has fields of the same names.
  await expect(page.getByRole('button', { name: 'Save this place' })).toBeVisible()
  for (const [label, text] of Object.entries(typed)) await page.getByLabel(label, { exact: true }).fill(text)
  await pick(pickField(page, 'Climate zone'), '6A')
  await page.getByRole('button', { name: 'Save this place' }).click()
  await expect(page.getByText('“cold” is not a number')).toBeVisible()
  await page.getByLabel('Winter design', { exact: true }).fill('-4 F')
  await page.getByRole('button', { name: 'Save this place' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Mere cottage')
  await expect(page.getByText('From Mere Bank')).toBeVisible()
  await expect(page.getByLabel('Outdoor air, winter design', { exact: true })).toHaveValue('-4 °F')
  await page.getByRole('button', { name: 'Add the job' }).click()

  await page.getByLabel('Name of a new surface').fill('North wall')
  await page.keyboard.press('Enter')
  await cell(page, 'Size', 'North wall').fill("24' x 9'")
  await page.keyboard.press('Tab')
  await expect(page.getByText('216 ft²').first()).toBeVisible()
  await expect(page.getByText('All saved')).toBeVisible()

  await page.goto('/')
  await expect(steps).toContainText('6 of 7 done')
  await steps.getByRole('button', { name: 'Section' }).click()
  await page.getByRole('radio', { name: /Sedge CC$/ }).click()
  await page.getByRole('button', { name: 'Start at 3 in' }).click()
  await expect(page.getByRole('button', { name: 'R-20.4' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Mere cottage/ })).toBeVisible()
  await expect(steps).toHaveCount(0)
  test.info().annotations.push({ type: 'to the first verdict', description: `${(Date.now() - began) / 1000} s` })
})

test('steps may be skipped, one or all, and stay so', async ({ page }) => {
  await openJobs(page)
  const answer = {
    steps: ['firm', 'sheet', 'crew', 'place', 'job', 'surface', 'verdict'].map((step) => ({
      step,
      done: step === 'firm',
      skipped: false,
    })),
    complete: false,
    job: null,
    surface: null,
    version: 1,
  }
  const sent: string[] = []
  await page.route('**/api/first-steps', (route) => route.fulfill({ json: answer }))
  await page.route('**/api/jobs', (route) => route.fulfill({ json: [] }))
  await page.route('**/api/firm', async (route) => {
    if (route.request().method() !== 'PATCH') return route.continue()
    sent.push(...Object.keys((route.request().postDataJSON() as { fields: object }).fields))
    for (const step of answer.steps) step.skipped ||= sent.includes(`skip:${step.step}`)
    answer.complete = answer.steps.every((step) => step.done || step.skipped)
    const firm = { name: 'A firm', currency: '$', rates: null, practice: {}, margins: [], version: 2 }
    return route.fulfill({ json: { ...firm, materialFigures: {}, materialSources: {} } })
  })
  await page.reload()
  const steps = page.getByRole('region', { name: 'Getting started' })
  await steps.getByRole('button', { name: 'Skip Add your first crew' }).click()
  await expect(steps).toContainText('2 of 7 done')
  expect(sent).toEqual(['skip:crew'])
  await steps.getByRole('button', { name: 'Skip all' }).click()
  await expect(steps).toHaveCount(0)
  expect(sent.length).toBe(6)
})
