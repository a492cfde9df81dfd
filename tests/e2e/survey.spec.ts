import { writeFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { cell, expect, ownJob, personOf, pick, pickField, signIn, test, useUnits } from './product'

const csv = (text: string, name = 'surfaces.csv') => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })

// A picture made by the browser itself, as a phone would send it.
async function photo(page: Page, type: 'image/jpeg' | 'image/png') {
  const base64 = await page.evaluate((kind) => {
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = [320, 240]
    const paint = canvas.getContext('2d')!
    paint.fillStyle = '#a34a17'
    paint.fillRect(40, 40, 200, 120)
    return canvas.toDataURL(kind).split(',')[1]!
  }, type)
  return {
    name: type === 'image/png' ? 'sill.png' : 'louvre.jpg',
    mimeType: type,
    buffer: Buffer.from(base64, 'base64'),
  }
}

test('a table with errors is mended on the screen and taken whole, and can be taken back', async ({ page }) => {
  await signIn(page, personOf('estimator'))
  const { job } = await ownJob(page, 'Imported barn')
  await useUnits(page, 'us')
  await page.goto(`/jobs/${job}/survey/exchange`)
  const open = page.locator('input[type=file]')
  await open.setInputFiles(
    csv('Room;Type;Length (ft);Height (ft)\nHall;wall;24;9\nLoft;castle;10;8\nShed;wall;twelve;8;9\n'),
  )
  await expect(page.getByText('3 surfaces, 216 ft² treated; 2 with errors.')).toBeVisible()
  await expect(page.getByText('“castle” is not known here.')).toBeVisible()
  await expect(page.getByText('more cells than the header')).toBeVisible()
  const take = page.getByRole('button', { name: 'Import all 3' })
  await expect(take).toBeDisabled()

  await pick(page.getByLabel('Kind, line 3'), 'board or masonry wall')
  await expect(page.getByText('1 with errors')).toBeVisible()
  await page.getByLabel('Size, line 4').fill("12' x 8'")
  await page.getByLabel('Size, line 4').blur()
  await expect(take).toBeEnabled()
  await take.click()
  await expect(page.getByText('3 surfaces imported.')).toBeVisible()
  await page.getByRole('status').getByRole('link', { name: 'Surfaces' }).click()
  await expect(cell(page, 'Size', 'Shed')).toHaveValue(`12'0" x 8'0"`)

  await page.goBack()
  await open.setInputFiles(csv('Room;Type;Length (ft);Height (ft)\nBarn;wall;30;9\n'))
  await expect(page.getByText('Columns as you set them last time.')).toBeVisible()
  await page.getByRole('button', { name: 'Import all 1' }).click()
  await expect(page.getByText('1 surface imported.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('1 surface imported.')).toHaveCount(0)
  await page.goto(`/jobs/${job}/survey`)
  await expect(cell(page, 'Size', 'Shed')).toBeVisible()
  await expect(cell(page, 'Size', 'Barn')).toHaveCount(0)
})

test('files that cannot be read are answered by a sentence, and nothing is taken', async ({ page }) => {
  await signIn(page, personOf('estimator'))
  const { job, surface } = await ownJob(page, 'Broken files')
  await page.goto(`/jobs/${job}/survey/exchange`)
  const open = page.locator('input[type=file]')
  await open.setInputFiles(csv('a,b\n"open,2\n3,4\n'))
  await expect(page.getByText('A quotation mark on line')).toBeVisible()
  await open.setInputFiles({
    name: 'model.xml',
    mimeType: 'text/xml',
    buffer: Buffer.from('<!DOCTYPE a [<!ENTITY x SYSTEM "file:///etc/passwd">]><gbXML>&x;</gbXML>'),
  })
  await expect(page.getByText('Such files are not read.')).toBeVisible()

  await page.goto(`/jobs/${job}/survey/surface/${surface}`)
  const photos = page.locator('input[accept="image/*"]')
  await photos.setInputFiles({
    name: 'phone.heic',
    mimeType: 'image/heic',
    buffer: Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(60)]),
  })
  await expect(page.getByText('This browser cannot open HEIC pictures.')).toBeVisible()
  const huge = test.info().outputPath('huge.jpg')
  writeFileSync(huge, Buffer.alloc(49 * 1024 * 1024))
  await photos.setInputFiles(huge)
  await expect(page.getByText('huge.jpg is 49 MB; at most 20 MB are taken.')).toBeVisible()
  await photos.setInputFiles({ name: 'letter.png', mimeType: 'image/png', buffer: Buffer.from('not a picture') })
  await expect(page.getByText('This is not a JPEG or PNG picture.')).toBeVisible()
  await expect(page.getByText('No photos yet.')).toBeVisible()
})

test('one surface: layers, details, a leak, photos, and a cut', async ({ page }) => {
  await signIn(page, personOf('estimator'))
  const { job, surface } = await ownJob(page, 'One surface')
  await useUnits(page, 'us')
  await page.goto(`/jobs/${job}/survey/surface/${surface}`)
  await expect(page.getByRole('img', { name: /North wall to scale/ })).toBeVisible()

  await pick(pickField(page, 'Members'), 'steel studs')
  await expect(page.getByLabel('Share of members')).toHaveCount(0)
  await page.getByLabel('Thickness of layer 1').first().fill('5/8 lb')
  await page.keyboard.press('Enter')
  await expect(page.getByText('The unit in “5/8 lb” does not fit here.')).toBeVisible()
  await page.getByLabel('Thickness of layer 1').first().fill('3/4')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Thickness of layer 1').first()).toHaveValue('3/4 in')

  await page.locator('[name=words]').fill('at the sill')
  await page.locator('[name=traced]').fill('window head')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('Leak open')).toBeVisible()
  await page.getByRole('button', { name: 'Repaired' }).click()
  await expect(page.getByText('Leak open')).toHaveCount(0)

  const photos = page.locator('input[accept="image/*"]')
  await photos.setInputFiles([await photo(page, 'image/jpeg'), await photo(page, 'image/png')])
  await expect(page.getByRole('img', { name: 'louvre' })).toBeVisible()
  await expect(page.getByRole('img', { name: 'sill' })).toBeVisible()

  await page.getByRole('button', { name: /Split this surface/ }).click()
  await page.getByLabel('Cut at').fill("30'")
  await page.getByRole('button', { name: 'Cut' }).click()
  await expect(page.getByText(/out of range/)).toBeVisible()
  await page.getByLabel('Cut at').fill("3'")
  await page.getByRole('button', { name: 'Cut' }).click()
  await expect(page.getByRole('heading', { name: 'North wall, upper part', level: 1 })).toBeVisible()
  await expect(page.getByRole('button', { name: '144 ft²' }).first()).toBeVisible()
})

test('a joint is solved and the list ticked off until nothing of it holds the gate', async ({ page }) => {
  await signIn(page, personOf('estimator'))
  const { job, surface } = await ownJob(page, 'Joined')
  await page.request.post(`/api/jobs/${job}/surfaces`, {
    data: { version: null, units: 'us', fields: { name: 'North ground', kind: 'underSlab' } },
  })
  await page.goto(`/jobs/${job}/survey/joints`)
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Plate to slab' })
    .getByRole('button', { name: 'Add this joint' })
    .click()
  const joint = page.locator('article').filter({ hasText: 'Plate to slab' })
  await expect(joint.getByText('air, heat not carried on')).toBeVisible()
  await expect(joint.getByLabel('Ready')).toBeDisabled()
  await pick(pickField(joint, 'air'), 'carries on')
  await pick(pickField(joint, 'heat'), 'carries on')
  await joint.getByLabel('Sealed with').fill('gasket and bead')
  await joint.getByLabel('Sealed with').blur()
  await joint.getByLabel('By whom').fill('carpenter')
  await joint.getByLabel('By whom').blur()
  await expect(joint.getByText('Plate to slab: not ready')).toBeVisible()

  await page.goto(`/jobs/${job}/survey/prepare`)
  const list = page.locator('section').filter({ hasText: 'North wall' })
  const boxes = list.getByRole('checkbox')
  await expect(boxes.first()).toBeVisible()
  const count = await boxes.count()
  expect(count).toBeGreaterThan(7)
  for (let i = 0; i < count; i++) await boxes.nth(i).check()
  await expect(list.getByText('Ticked, but a joint is not ready')).toBeVisible()

  await page.goto(`/jobs/${job}/survey/joints`)
  await joint.getByLabel('Ready').check()
  await joint.getByLabel('Seen by me').check()
  await expect(joint.getByText('Seen by estimator')).toBeVisible()
  await page.goto(`/jobs/${job}/survey/prepare`)
  await expect(list.getByText('Ticked, but a joint is not ready')).toHaveCount(0)
  const once = page.locator('section').filter({ hasText: 'Once for the job' }).getByRole('checkbox')
  for (let i = 0; i < 3; i++) await once.nth(i).check()
  await expect(page.getByText(`${count + 3} of`)).toBeVisible()

  const board = await page.request.get(`/api/surfaces/${surface}/window`)
  const tasks = ((await board.json()) as { preparation: { done: boolean }[] }).preparation
  expect(tasks.every((task) => task.done)).toBe(true)
})

test('a fan test, a thermal picture and a logger file are taken down and read in either unit system', async ({
  page,
}) => {
  await signIn(page, personOf('estimator'))
  const { job, surface } = await ownJob(page, 'Measured')
  await useUnits(page, 'us')
  await page.goto(`/jobs/${job}/survey/baseline`)
  await page.getByText('Add a test').click()
  await page.getByLabel('Points: pressure and flow, one per line').first().fill('15 980\n25 1366\n35 seventeen')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText(/seventeen.*is not a number/)).toBeVisible()
  await page
    .getByLabel('Points: pressure and flow, one per line')
    .first()
    .fill('15 980\n25 1366\n35 1700\n45 2001\n55 2280')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('n = 0.650')).toBeVisible()
  await expect(page.getByRole('img', { name: /5 points and the line through them/ })).toBeVisible()

  const grid = Array.from({ length: 20 }, (_, r) =>
    Array.from({ length: 30 }, (_, c) => (50 + r + c / 10).toFixed(1)).join(','),
  ).join('\n')
  await page.locator('input[accept^=".csv"]').setInputFiles(csv(grid, 'corner.csv'))
  await expect(page.getByRole('heading', { name: 'corner' })).toBeVisible()
  await page.locator('.dots').click({ position: { x: 20, y: 20 } })
  await expect(page.getByLabel('Name of spot 1')).toBeVisible()
  await expect(page.getByRole('cell', { name: /^5\d(\.\d)? °F$/ })).toBeVisible()
  // By keys alone: the foot of the picture is the warmest, 50 °F and what its rows and columns add.
  const dots = page.getByRole('application', { name: 'Spots of corner' })
  await dots.focus()
  for (let i = 0; i < 10; i++) await dots.press('Shift+ArrowDown')
  await dots.press('Enter')
  await expect(page.getByLabel('Name of spot 2')).toBeVisible()
  await expect(page.getByRole('cell', { name: '70.5 °F' })).toBeVisible()
  await useUnits(page, 'metric')
  await expect(page.getByRole('cell', { name: /^1\d\.\d °C$/ }).first()).toBeVisible()

  await page.goto(`/jobs/${job}/survey/surface/${surface}`)
  const log =
    'time,temp °C,RH %\n' +
    Array.from(
      { length: 40 },
      (_, i) =>
        `2026-11-20 ${String(Math.floor(i / 2)).padStart(2, '0')}:${i % 2 ? '30' : '00'},${(8 + i / 10).toFixed(1)},${70 - i / 4}`,
    ).join('\n')
  await page.locator('input[accept=".csv,.txt,text/csv"]').setInputFiles(csv(log, 'attic.csv'))
  await expect(page.getByRole('img', { name: /attic: temperature, dew point and humidity, 40 readings/ })).toBeVisible()
  await page.locator('input[accept=".csv,.txt,text/csv"]').setInputFiles(csv('a,b\n1,2\n', 'no.csv'))
  await expect(page.getByText('This is not a log')).toBeVisible()
})

test('a job goes out as one file and comes in as another job', async ({ page }) => {
  await signIn(page, personOf('estimator'))
  const { job } = await ownJob(page, 'Filed away')
  const file = await (await page.request.get(`/api/jobs/${job}/file`)).body()
  await page.goto('/')
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from('{"formatVersion":1}') })
  await expect(page.getByText(/The file cannot be read.*is missing/)).toBeVisible()
  await page.locator('input[type=file]').setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: file })
  await expect(page.getByRole('rowheader', { name: /North wall/ })).toBeVisible()
  expect(page.url()).not.toContain(job)
})

test('what is typed for one surface never reaches another', async ({ page }) => {
  await signIn(page, personOf('estimator'))
  const { job, surface } = await ownJob(page, 'Two walls')
  const south = await (
    await page.request.post(`/api/jobs/${job}/surfaces`, {
      data: { version: null, units: 'us', fields: { name: 'South wall', kind: 'studWall', size: "20' x 9'" } },
    })
  ).json()
  const depth = page.getByLabel('Depth', { exact: true })
  await page.goto(`/jobs/${job}/survey/surface/${south.id}`)
  await expect(depth).toBeVisible()
  const kept = await depth.inputValue()
  await page.getByRole('navigation').getByRole('link', { name: 'North wall' }).first().click()
  await expect(page.getByRole('heading', { name: 'North wall', level: 1 })).toBeVisible()
  await depth.fill('seven')
  await page.getByRole('navigation').getByRole('link', { name: 'South wall' }).first().click()
  await expect(page.getByRole('heading', { name: 'South wall', level: 1 })).toBeVisible()
  await expect(depth).toHaveValue(kept)
  await page.goto(`/jobs/${job}/survey/surface/${surface}`)
  await expect(depth).toHaveValue('seven')
})
