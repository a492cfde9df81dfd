import type { Page } from '@playwright/test'
import { expect, faults, ownJob, phone, signIn, test } from './product'

type Fields = Record<string, string>

/** A wall of its own whose two lifts are on, read and proven on a phone. */
async function sprayed(page: Page, name: string, units: 'us' | 'metric' = 'us') {
  await signIn(page)
  await page.request.put('/api/session/units', { data: { units } })
  const at = await ownJob(page, name, 'us', { sheet: 'marl-cc-20', thickness: '3' })
  const log = async (fields: Fields) => {
    const body = { version: null, units: 'us', fields }
    const answer = await page.request.post(`/api/surfaces/${at.surface}/spray-log`, { data: body })
    expect(answer.status()).toBe(200)
  }
  const lift = async () => {
    const entry = crypto.randomUUID()
    await log({ kind: 'liftBegun', entry })
    await log({ kind: 'liftEnded', of: entry })
  }
  await lift()
  await lift()
  const open = (part = '') => page.goto(`/jobs/${at.job}/prove/${at.surface}${part}`)
  return { ...at, lift, open }
}

const place = (page: Page, number: number) => page.locator(`[data-place="${number}"]`)
const section = (page: Page, title: string) => page.locator('section').filter({ hasText: title }).first()

/** Reads a place by thumb: so many small steps from what the pad begins at. */
async function read(page: Page, number: number, step: string, times: number) {
  await place(page, number).tap()
  for (let i = 0; i < times; i++) await page.getByRole('button', { name: step, exact: true }).tap()
  await page.getByRole('button', { name: 'Save depth' }).tap()
  await expect(place(page, number)).not.toContainText('not read')
}

test('places of the plan are read by thumb, a thin one is added to and read again', async ({ browser, baseURL }) => {
  const page = await phone(browser, baseURL)
  const wall = await sprayed(page, 'A wall to measure')
  await wall.open()
  await expect(page.getByRole('heading', { name: 'Places to read' })).toBeVisible()
  for (let number = 1; number <= 6; number++)
    await read(page, number, number === 2 ? '−1/8 in' : '+1/8 in', number === 2 ? 4 : 1)
  await expect(place(page, 2)).toContainText('thin, 1/2 in lacking')
  await expect(page.locator('.add')).toContainText('bd ft')
  await expect(page.getByText('Thinnest place 2 1/2 in, least 2 7/8 in')).toBeVisible()
  expect(await faults(page, 'places that were read')).toEqual([])

  await wall.lift()
  await read(page, 2, '+1 in', 1)
  await expect(place(page, 2)).toContainText('3 1/2 in')
  await expect(page.locator('.add')).toHaveCount(0)
  await expect(page.getByText(/^Mean 3 1\/[48] in, specified 3 in/)).toBeVisible()

  // Other places are drawn; what was read stays, where it was read.
  await page.getByRole('button', { name: 'Draw other places' }).tap()
  await expect(place(page, 1)).toContainText('not read')
  await expect(section(page, 'Without a place').getByRole('button', { name: 'Read again' })).toHaveCount(6)
})

test('a void is repaired and looked at again, and the inspector signs on the device', async ({ browser, baseURL }) => {
  const page = await phone(browser, baseURL)
  const wall = await sprayed(page, 'A wall with a void')
  await wall.open()
  await read(page, 1, '+1/8 in', 1)

  await wall.open('/defects')
  await page.getByRole('button', { name: 'Add a defect' }).tap()
  await page.getByRole('button', { name: 'Save defect' }).tap()
  await expect(page.getByText('This is required.')).toBeVisible()
  await page.getByLabel('What is wrong').click()
  await page.getByRole('option', { name: 'Void' }).click()
  await page.getByLabel('Area').fill('2 kg')
  await page.getByLabel('Where, and what you see').fill('behind the pipe')
  await page.getByRole('button', { name: 'Save defect' }).tap()
  await expect(page.getByText('The unit in “2 kg” does not fit here.')).toBeVisible()
  await expect(page.getByLabel('Where, and what you see')).toHaveValue('behind the pipe')
  await page.getByLabel('Area').fill('2 ft2')
  await page.getByRole('button', { name: 'Save defect' }).tap()
  const card = page.locator('article').filter({ hasText: 'behind the pipe' })
  await expect(card).toContainText('open')

  // It is not looked at again before it was repaired.
  await expect(card.getByRole('button', { name: /^Looked again/ })).toHaveCount(0)
  await card.getByLabel('How it was repaired').click()
  await page.getByRole('option', { name: 'cut back and sprayed' }).click()
  await card.getByLabel('Cut back beyond it').fill('4 in')
  await card.getByRole('button', { name: 'Save repair' }).tap()
  await card.getByRole('button', { name: 'Looked again: sound' }).tap()
  await expect(card).toContainText('closed')
  expect(await faults(page, 'a defect that is closed')).toEqual([])

  await wall.open('/inspection')
  await expect(page.getByRole('checkbox').first()).toBeVisible()
  for (const box of await page.getByRole('checkbox').all()) {
    await box.click({ force: true })
    await expect(box).toBeChecked()
  }
  await page.getByRole('button', { name: 'Sign', exact: true }).tap()
  await expect(page.getByText('This is required.')).toHaveCount(2)
  await expect(page.getByText('Sign in the field.')).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('R. Roe')
  await page.getByLabel('Role', { exact: true }).fill('inspector')
  const field = page.getByRole('img', { name: 'Sign here' })
  await field.scrollIntoViewIfNeeded()
  const { x, y } = (await field.boundingBox())!
  await page.mouse.move(x + 20, y + 40)
  await page.mouse.down()
  await page.mouse.move(x + 90, y + 20, { steps: 4 })
  await page.mouse.move(x + 160, y + 60, { steps: 4 })
  await page.mouse.up()
  await page.getByRole('button', { name: 'Sign', exact: true }).tap()
  await expect(page.getByText(/^Signed by R. Roe, inspector/)).toBeVisible()
  await expect(page.getByText('Inspected and signed')).toBeVisible()
  expect(await faults(page, 'a surface that is signed')).toEqual([])

  await page.goto(`/jobs/${wall.job}`)
  await expect(page.getByText('signed').first()).toBeVisible()
})

test('people come back by the log: air changes from a fan, the ventilation off, and the door page', async ({
  browser,
  baseURL,
}) => {
  const page = await phone(browser, baseURL)
  const wall = await sprayed(page, 'A house to air', 'metric')
  await wall.open('/re-entry')
  await expect(page.getByText('No end: the ventilation is off')).toBeVisible()
  await page.getByRole('button', { name: 'It was switched on' }).tap()
  await expect(page.getByText('No end: air changes not entered')).toBeVisible()
  await page.getByLabel('Fan moves').fill('3400 m3/h')
  await page.getByRole('button', { name: 'Save', exact: true }).tap()
  await expect(page.getByText('This is required.')).toBeVisible()
  await page.getByLabel('Volume of the rooms').fill('680 m3')
  await page.getByRole('button', { name: 'Save', exact: true }).tap()

  // 3,400 / 680 is five an hour, half of what the sheet asks for: twice its hours.
  await expect(page.getByText('Air changes 5 per hour, sheet 10 per hour')).toBeVisible()
  await expect(page.getByText(/^4[78]:\d\d:\d\d to go$/)).toBeVisible()
  await expect(page.getByRole('img', { name: 'How the air clears, calculated' })).toBeVisible()
  expect(await faults(page, 're-entry')).toEqual([])
  await expect(page.getByText('Not everything is accounted for')).toBeVisible()
  for (const box of await page.getByRole('checkbox').all()) {
    await box.click({ force: true })
    await expect(box).toBeChecked()
  }
  await expect(page.getByText('Waste, drums, masks and covers accounted for')).toBeVisible()
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as PDF' }).tap()
  expect((await saved).suggestedFilename()).toMatch(/\.pdf$/)

  await page.getByRole('button', { name: 'It was switched off' }).tap()
  await expect(page.getByText('No end: the ventilation is off')).toBeVisible()
})

test('a place is read with the keyboard alone, and the probe is held to its block', async ({ page }) => {
  const wall = await sprayed(page, 'A wall by keys', 'metric')
  await wall.open()
  await place(page, 1).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('spinbutton')).toBeFocused()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Enter')
  await expect(place(page, 1)).toContainText('77 mm')
  await expect(place(page, 1)).toBeFocused()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('spinbutton')).toHaveCount(0)

  await expect(page.getByText('Probe not checked')).toBeVisible()
  await page.getByRole('button', { name: 'Check the probe' }).press('Enter')
  await page.getByLabel('Block').fill('50 mm')
  await page.getByLabel('Probe reads').fill('54 mm')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Probe reads 54 mm on a block of 50 mm')).toBeVisible()
})
