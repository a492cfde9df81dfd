import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, faults, jobAt, pick, pickField, signIn, test } from './product'

// A wall of its own for each test, so that none waits on another.
async function wall(page: Page, name: string, kind = 'studWall') {
  const job = await (
    await page.request.post('/api/jobs', {
      data: {
        version: null,
        units: 'us',
        fields: { name, climateZone: '6A', place: 'brindle-quay', humidityClass: '2' },
      },
    })
  ).json()
  const surface = await (
    await page.request.post(`/api/jobs/${job.id}/surfaces`, {
      data: { version: null, units: 'us', fields: { name: 'Chart room wall', kind, size: "30' x 9'" } },
    })
  ).json()
  return { job: job.id as string, surface: surface.id as string }
}

test('a wall is carried from its candidates to its section and back', async ({ page }) => {
  await signIn(page)
  const at = await wall(page, 'Chart room')
  await page.goto(`/jobs/${at.job}/choose/${at.surface}`)
  await expect(page.getByText('Advised:')).toBeVisible()
  const hybrid = page.locator('article', { hasText: 'Foam and batt' })
  await hybrid.getByRole('button', { name: 'Choose this' }).click()
  await expect(hybrid.getByText('Chosen')).toBeVisible()
  await hybrid.getByRole('button', { name: 'Why' }).click()
  await expect(hybrid.getByText('Condensation', { exact: true })).toBeVisible()
  await hybrid
    .getByRole('button', { name: /^\d\.\d\d\d$/ })
    .first()
    .click()
  await expect(page.getByText('pocket calculator')).toBeVisible()
  await page.keyboard.press('Escape')

  await page.goto(`/jobs/${at.job}/section/${at.surface}`)
  await expect(page.getByText('foam and fibre together')).toBeVisible()
  const r = page.locator('dl.figures dd').first()
  const before = await r.textContent()
  await page.getByRole('slider', { name: /Foam face/ }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(r).not.toHaveText(before!)

  await page.goto(`/jobs/${at.job}/choose/${at.surface}`)
  await page.getByRole('button', { name: 'Undo this choice' }).click()
  await expect(page.getByText('Chosen', { exact: true })).toHaveCount(0)
})

test('depth and indoor humidity turn the choice, and the flip points said so', async ({ page }) => {
  await signIn(page)
  const at = await wall(page, 'Turning', 'metalWall')
  await page.goto(`/jobs/${at.job}/choose/${at.surface}`)
  const advised = page.locator('article.advised h3')
  await expect(advised).toBeVisible()
  const first = await advised.textContent()

  // The sentence names the depth; the survey then gives the wall just that depth, as it is printed.
  const strip = page.getByRole('img', { name: /Framing depth: now/ }).first()
  const flip = /at ([\d /]+ in)/.exec((await strip.getAttribute('aria-label'))!)![1]
  const row = (await (await page.request.get(`/api/jobs/${at.job}/surfaces`)).json())[0]
  const change = await page.request.patch(`/api/surfaces/${at.surface}`, {
    data: { version: row.version, units: 'us', fields: { memberDepth: flip } },
  })
  expect(change.ok(), await change.text()).toBeTruthy()
  await page.reload()
  await expect(advised).toBeVisible()
  expect(await advised.textContent()).not.toBe(first)

  // A room as damp as a pool's: no system on bare metal stays dry there.
  const turned = await page.locator('article').allTextContents()
  await page.request.patch(`/api/jobs/${at.job}`, {
    data: { version: null, units: 'us', fields: { humidityClass: '5', indoorHumidity: '70' } },
  })
  await page.reload()
  await expect(page.getByText('None stays dry; the best of them:')).toBeVisible()
  expect(await page.locator('article').allTextContents()).not.toEqual(turned)
})

test('a plan that is no longer what the system would have today is told, and one step adopts it', async ({ page }) => {
  await signIn(page)
  const at = await wall(page, 'Drifting')
  await page.goto(`/jobs/${at.job}/choose/${at.surface}`)
  await page.locator('article.advised').getByRole('button', { name: 'Choose this' }).click()
  await expect(page.getByText(/^Chosen: .*, chosen by/)).toBeVisible()
  await expect(page.getByText('Planned:')).toHaveCount(0)
  const thickness = async () =>
    (await (await page.request.get(`/api/surfaces/${at.surface}/section`)).json()).thickness.us as string
  const chosen = await thickness()

  await page.goto(`/jobs/${at.job}/section/${at.surface}`)
  const field = page.getByLabel('Thickness', { exact: true })
  await field.fill('1 in')
  await field.press('Enter')
  await expect.poll(thickness).toBe('1 in')
  await page.goto(`/jobs/${at.job}/choose/${at.surface}`)
  await expect(page.getByText(/^Planned: .* 1 in\b.*By today.s figures: /)).toContainText(chosen)
  await page.getByRole('button', { name: "Use today's" }).click()
  await expect(page.getByText('Planned:')).toHaveCount(0)
  expect(await thickness()).toBe(chosen)
})

test('nothing is advised before a place is named, and the place is one step away', async ({ page }) => {
  await signIn(page)
  const at = await wall(page, 'Placeless')
  await page.request.patch(`/api/jobs/${at.job}`, { data: { version: null, units: 'us', fields: { place: '' } } })
  await page.goto(`/jobs/${at.job}/choose/${at.surface}`)
  await expect(page.getByText('Not advised yet: whether it stays dry is not known.')).toBeVisible()
  await expect(page.locator('article.advised')).toHaveCount(0)
  await page.getByRole('link', { name: 'Set the place' }).focus()
  await page.keyboard.press('Enter')
  const place = pickField(page, 'Place, for monthly means')
  await expect(place).toBeFocused()
  await page.keyboard.type('Brindle')
  await expect(page.getByRole('option', { name: /Brindle/ })).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect(place).toHaveAccessibleName(/: Brindle/)
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(place).toHaveCount(0)
  await page.goto(`/jobs/${at.job}/choose/${at.surface}`)
  await expect(page.getByText('Advised:')).toBeVisible()
  await expect(page.locator('article.advised dt', { hasText: /^dampest: .* against / })).toBeVisible()
})

test('where none stays dry none is advised, and what would dry it is told', async ({ page }) => {
  await signIn(page)
  const at = await wall(page, 'Wet hall')
  const door = await (
    await page.request.post(`/api/jobs/${at.job}/surfaces`, {
      data: { version: null, units: 'us', fields: { name: 'Hall door', kind: 'overheadDoor', size: "10' x 10'" } },
    })
  ).json()
  await page.request.patch(`/api/jobs/${at.job}`, {
    data: { version: null, units: 'us', fields: { humidityClass: '3' } },
  })
  await page.goto(`/jobs/${at.job}/choose/${door.id}`)
  await expect(page.getByText('None stays dry; the best of them:')).toBeVisible()
  await expect(page.locator('article.advised')).toHaveCount(0)
  await expect(page.getByText('One of these changes keeps one dry:')).toBeVisible()
  await expect(page.locator('.measures li').first()).toHaveText(/then \S+/)
})

test('paint comes in its own thickness, and over vented cladding it is retarder enough', async ({ page }) => {
  await signIn(page)
  const at = await wall(page, 'Painted')
  await page.request.patch(`/api/jobs/${at.job}`, {
    data: { version: null, units: 'us', fields: { climateZone: '5A' } },
  })
  await page.goto(`/jobs/${at.job}/survey/surface/${at.surface}`)
  const lining = page.getByRole('group', { name: 'Room side of the foam' })
  await lining.getByRole('button', { name: 'Add a layer' }).click()
  const kept = page.waitForResponse((answer) => answer.request().method() === 'PATCH' && answer.ok())
  await pick(pickField(lining, 'Material of layer 2'), 'interior paint')
  await kept
  await expect(lining.getByLabel('Thickness of layer 2')).toHaveValue(/^0\.1 mm|^0\.00394 in/)

  await page.goto(`/jobs/${at.job}/choose/${at.surface}`)
  const batt = page.locator('article', { hasText: 'Batt alone' })
  await batt.getByRole('button', { name: 'Why' }).click()
  await expect(batt.getByText('If the cladding is vented, tick it')).toBeVisible()
  await page.getByLabel('Cladding held off the wall, vented').check()
  await expect(batt.getByText('Wall table: Class III over vented cladding')).toBeVisible()
})

test('an excluded system asks for a reason, and keeps it', async ({ page }) => {
  await signIn(page)
  const job = await jobAt(page, 'ferry house')
  await page.goto(`/jobs/${job.id}/choose/${job.surface('Bell tower deck')}`)
  await expect(page.getByText('Nothing is sprayed before this is put right')).toBeVisible()
  const open = page.locator('article', { hasText: 'Dense open cell' })
  await open.getByRole('button', { name: 'Why' }).click()
  await open.getByRole('button', { name: 'Choose it anyway' }).click()
  await open.getByLabel('Reason, for the record and the papers').fill('a design for this roof is under way')
  await open.getByRole('button', { name: 'Choose it anyway' }).click()
  await expect(page.getByText('Chosen against E6: a design for this roof is under way')).toBeVisible()
  await page.getByRole('button', { name: 'Undo this choice' }).click()
  await expect(page.getByText('Chosen against')).toHaveCount(0)
})

test('two systems are compared on one page in either unit system', async ({ page }) => {
  await signIn(page)
  const job = await jobAt(page, 'Skerrow')
  await page.request.put('/api/session/units', { data: { units: 'metric' } })
  await page.goto(`/jobs/${job.id}/choose/${job.surface('Rubble walls')}`)
  const lanes = page.locator('article')
  await lanes.nth(0).getByRole('button', { name: 'Compare' }).click()
  await lanes.nth(1).getByRole('button', { name: 'Compare' }).click()
  await expect(page.getByRole('heading', { name: 'Two systems side by side' })).toBeVisible()
  await expect(page.locator('section.sheet')).toContainText('per m²')
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByText('What would change the choice')).toBeHidden()
  await expect(page.locator('section.sheet')).toBeVisible()
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1')
  expect(pdf.match(/\/Type \/Page\b/g)?.length).toBe(1)
  await page.emulateMedia({ media: 'screen' })
  const kept = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as PDF' }).click()
  const file = await kept
  expect(file.suggestedFilename()).toBe('Rubble-walls-systems-side-by-side.pdf')
  const bytes = readFileSync(await file.path()).toString('latin1')
  expect(bytes.startsWith('%PDF')).toBe(true)
  expect(bytes).toContain('/FontFile2')

  // The server wrote what stands on the screen, cell by cell.
  const [paper] = await (await page.request.get(`/api/jobs/${job.id}/papers`)).json()
  const onPaper = (await (await page.request.get(`/api/papers/${paper.id}/csv`)).text()).replaceAll('"', '')
  const cells = await page.locator('section.sheet tbody tr > *').allInnerTexts()
  expect(cells.length).toBeGreaterThan(20)
  for (const cell of cells) expect(onPaper).toContain(cell)
  await page.request.put('/api/session/units', { data: { units: 'us' } })
})

test('every surface is weighed with progress, and the pages are free of access faults', async ({ page }) => {
  await signIn(page)
  const job = await jobAt(page, 'orchid')
  await page.goto(`/jobs/${job.id}/choose`)
  await expect(page.getByText('5 of 5 surfaces calculated')).toBeVisible()
  await expect(page.getByText('Whole envelope')).toBeVisible()
  expect(await faults(page, 'weighed')).toEqual([])
  await page.goto(`/jobs/${job.id}/choose/${job.surface('Seed attic deck')}`)
  await expect(page.getByText('What would change the choice')).toBeVisible()
  expect(await faults(page, 'what would change')).toEqual([])
  await page.goto('/firm')
  await page.getByLabel('Cost of a crew hour').fill('twelve')
  await page.getByLabel('Cost of a crew hour').blur()
  await expect(page.getByText('“twelve” is not a number')).toBeVisible()
  expect(await faults(page, 'margins')).toEqual([])
  await page.getByLabel('Cost of a crew hour').fill('160')
  await page.getByLabel('Cost of a crew hour').blur()
  await expect(page.getByText('“twelve” is not a number')).toHaveCount(0)
})
