import type { Locator, Page } from '@playwright/test'
import { expect, ferryHouse, jobAt, pick, pickField, signIn, test, useUnits } from './product'

const stripOn = (page: Page) => page.getByRole('main').getByRole('slider', { name: 'Hours ahead' })
const toldBy = (strip: Locator) => strip.getAttribute('aria-valuetext')

async function openWindow(page: Page, name = 'Slip hall roof') {
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/window/${surface(name)}`)
  await expect(stripOn(page)).toBeVisible({ timeout: 20_000 })
}

const SIZES = [
  [1280, 800],
  [820, 1180],
  [390, 844],
] as const

test('an hour is read by keys and by pointing, on desk, tablet and phone, in both units', async ({ page }) => {
  await signIn(page)
  await page.goto('/healthz')
  await useUnits(page, 'us')
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height })
    await openWindow(page)
    await readHours(page)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
  }
  await useUnits(page, 'metric')
  await expect(stripOn(page)).toBeVisible()
  expect(await toldBy(stripOn(page))).toMatch(/°C/)
  await page.setViewportSize({ width: 1280, height: 800 })
})

async function readHours(page: Page) {
  const strip = stripOn(page)
  const shown = page.locator('.hour')
  // Until the zone of the place is known, hours read as those of the device.
  let first: string | null = null
  await expect(async () => {
    first = await toldBy(strip)
    expect(first).toMatch(/ (Hold|Care|Clear)\..*°F/)
    await expect(shown).toContainText(first!, { timeout: 1_000 })
  }).toPass()

  // Whatever hour is looked at, it is here already.
  let asked = 0
  const count = (request: { url(): string }) => (asked += /hours|earlier/.test(request.url()) ? 1 : 0)
  page.on('request', count)
  await strip.focus()
  await page.keyboard.press('End')
  const last = await toldBy(strip)
  expect(last).not.toBe(first)
  await page.keyboard.press('Home')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('PageDown')
  await expect(strip).toHaveAttribute('aria-valuenow', '0')
  await page.keyboard.press('PageUp')
  await expect(strip).toHaveAttribute('aria-valuenow', '24')
  await strip.scrollIntoViewIfNeeded()
  const box = (await strip.boundingBox())!
  await page.mouse.click(box.x + box.width * 0.999, box.y + box.height / 2)
  expect(await toldBy(strip)).toBe(last)
  await expect(shown).toContainText(last!)
  expect(asked).toBe(0)
  page.off('request', count)
}

test('the band goes along on every screen of a job, and tells the same window as the page', async ({ page }) => {
  await signIn(page)
  await page.goto('/healthz')
  await useUnits(page, 'us')
  await openWindow(page, 'Sail store eaves')
  const next = page.getByRole('heading', { name: 'Next window' }).locator('..')
  const from = (await next.locator('.big').innerText()).split(' to ')[0]!
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/section/${surface('Sail store eaves')}`)
  const band = page.getByRole('region', { name: 'Hours ahead' })
  await expect(band.getByRole('slider')).toBeVisible()
  await expect(band.getByRole('link', { name: from })).toBeVisible()
  await page.goto(`/jobs/${job}`)
  await expect(band.getByRole('slider')).toBeVisible()
  await band.getByRole('slider').focus()
  await page.keyboard.press('ArrowRight')
  await expect(band.getByRole('slider')).toHaveAttribute('aria-valuenow', '1')
})

test('the table behind strip and chart holds what they show', async ({ page }) => {
  await signIn(page)
  await openWindow(page)
  const strip = stripOn(page)
  await strip.focus()
  await page.keyboard.press('Home')
  const readings = await page.locator('.hour p').nth(1).innerText()
  await page.getByRole('button', { name: 'Hours as a table' }).click()
  const line = page.getByRole('table').locator('tbody tr').first()
  const substrate = /Substrate (\S+ °[FC])/.exec(readings)![1]!
  await expect(line).toContainText(substrate)
  await page.getByRole('button', { name: '10 days' }).click()
  await expect(strip).toHaveAttribute('aria-valuemax', /^2[34]\d$/)
})

test('what opens an earlier start is taken by keys, and so is the cheapest before a day', async ({ page }) => {
  await signIn(page)
  await page.goto('/healthz')
  await useUnits(page, 'us')
  const { id: job, surface } = await jobAt(page, 'Tollgate')
  await page.goto(`/jobs/${job}/window/${surface('Cold store roof')}`)
  await expect(page.getByText('No window in the next ten days')).toBeVisible({ timeout: 20_000 })

  // By keys: the heaters, with the start they promise.
  const heat = page.getByRole('listitem').filter({ hasText: 'heat, ' })
  const promised = /Begin (\w+ \S+ [AP]M);/.exec(await heat.innerText())![1]!
  await heat.getByRole('button', { name: 'Show the hours with it' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Hours with this done: ')).toBeFocused()
  const next = page.getByRole('heading', { name: 'Next window' }).locator('..')
  await expect(next.locator('.big')).toHaveText(new RegExp(`^${promised} to `))
  await page.getByRole('button', { name: 'Show the weather alone' }).click()
  await expect(page.getByText('No window in the next ten days')).toBeVisible()

  // Two days: for the sooner one heat must burn, for the later one another product does, and both say why less does not.
  const cheapest = page.locator('.cheapest')
  const before = (day: string) => pick(pickField(cheapest, 'Start needed before'), day)
  await before('Thu, Nov 26')
  await expect(cheapest.locator('.big')).toContainText(' heat, ')
  await expect(cheapest).toContainText(/Wait for the weather: at best .* held by \w+/)
  await before('Fri, Nov 27')
  await expect(cheapest.locator('.big')).toHaveText('Marl CC-20F, as it is')
  await cheapest.getByRole('button', { name: 'Show the hours with it' }).click()
  await expect(page.getByText('Hours with this done: Marl CC-20F')).toBeFocused()
  await expect(next.locator('.big')).toHaveText(/^Thu /)
})

test('air read outdoors corrects the hours until that is switched off, and every column of the board tells the window', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/healthz')
  await useUnits(page, 'us')
  const { job, surface } = await atANewPlace(page)
  await page.goto(`/jobs/${job}/window/${surface}`)
  const months = page.getByRole('region', { name: 'Months of a usual year' }).getByRole('listitem')
  await expect(months).toHaveCount(12, { timeout: 20_000 })
  const plain = await toldBy(stripOn(page))
  await page.getByLabel('Air outdoors').fill('95 F')
  await page.getByLabel('Humidity outdoors').fill('30')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Corrected for this site by outdoor readings in 1 hour: 7.2 °F on the air')).toBeVisible()
  await expect.poll(() => toldBy(stripOn(page))).not.toBe(plain)
  await page.getByRole('button', { name: 'Use the forecast as issued' }).click()
  await expect(page.getByText('Outdoor readings in 1 hour would add 7.2 °F')).toBeVisible()
  await expect.poll(() => toldBy(stripOn(page))).toBe(plain)

  const hours = await (await page.request.get(`/api/surfaces/${surface}/hours`)).json()
  await page.goto(`/jobs/${job}`)
  const told = page.locator('.next').filter({ hasText: 'Next window: ' })
  await expect(told).toHaveText(hours.windows.length ? / %$/ : /no window ahead$/)
})

test('the day an open face is covered is typed where its answer stands, by keys and on a phone', async ({ page }) => {
  await signIn(page)
  await page.goto('/healthz')
  await useUnits(page, 'us')
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/window/${surface('Sail store eaves')}`)
  const after = page.locator('.after')
  const day = after.getByRole('textbox', { name: 'Covered by the next trade on' })
  await expect(after).toContainText('Cover or coat it by Dec 7, 2026.', { timeout: 20_000 })
  await day.fill('when it suits them')
  await day.press('Enter')
  await expect(after).toContainText('“when it suits them”')
  await day.fill('Dec 12, 2026')
  await day.press('Enter')
  await expect(after).toContainText(
    '19 days after spraying: too late. Cover or coat it by Dec 7, 2026, or spray it on Nov 28',
  )
  await page.setViewportSize({ width: 390, height: 844 })
  await day.fill('')
  await day.press('Enter')
  await expect(after).toContainText('When the next trade comes was not entered.')
})

test('a face that is washed when told is put into the hours', async ({ page }) => {
  await signIn(page)
  await page.goto('/healthz')
  const { id: job, surface } = await jobAt(page, 'Tollgate')
  await page.goto(`/jobs/${job}/window/${surface('Fumigation box')}`)
  const next = page.getByRole('heading', { name: 'Next window' }).locator('..')
  const wash = next.getByText(/^If the face is washed/)
  await expect(wash).toBeVisible({ timeout: 20_000 })

  // Too late in the morning to be dry for the next window: the first start after it is told, and there is nothing to show.
  if ((await wash.innerText()).startsWith('If the face is washed now')) {
    await expect(wash).toContainText('first start')
    await expect(wash.getByRole('button')).toHaveCount(0)
    return
  }
  const told = await next.locator('.big').innerText()
  await wash.getByRole('button', { name: 'Show the hours with it' }).press('Enter')
  await expect(page.getByText('Hours with this done: washed at ')).toBeFocused()
  await expect(page.getByText('Hours with this done: washed at ')).not.toContainText('…')
  await expect(next.locator('.big')).toHaveText(told)
})

test('a service that is down is named, and its hours are there once it answers again', async ({ page }) => {
  const standIns = process.env.UMBRACELL_STAND_INS ?? nextPort(process.env.UMBRACELL_URL ?? 'http://127.0.0.1:5210')
  const letIt = async (trouble: string) =>
    expect((await page.request.post(`${standIns}/admin/forecasts/${trouble}`)).status()).toBe(204)
  await signIn(page)
  const { job, surface } = await atANewPlace(page)
  await letIt('Down')
  try {
    await page.goto(`/jobs/${job}/window/${surface}`)
    await expect(page.getByText('Made-up forecast does not answer.')).toBeVisible({ timeout: 20_000 })
    await expect(page.getByText('This is a usual week at this time of year')).toBeVisible()
    await expect(stripOn(page)).toBeVisible()

    // All else of the page works.
    await page.getByLabel('Substrate', { exact: true }).fill('51 F')
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByText('Readings saved')).toBeVisible()
  } finally {
    await letIt('None')
  }
  await expect(async () => {
    await page.reload()
    await expect(page.getByText('Made-up weather of the demo')).toBeVisible({ timeout: 3000 })
  }).toPass({ timeout: 60_000 })
  await expect(page.getByText('does not answer')).toHaveCount(0)
})

const nextPort = (url: string) => `http://127.0.0.1:${Number(new URL(url).port) + 1}`

/** A job at a place of which no forecast is kept yet. */
async function atANewPlace(page: Page) {
  const send = async (path: string, fields: Record<string, string>) => {
    const answer = await page.request.post(path, { data: { version: null, units: 'us', fields } })
    expect(answer.status(), await answer.text()).toBe(201)
    return (await answer.json()) as { id: string }
  }
  const north = (43.6 + Math.floor(Math.random() * 60) / 100).toFixed(2)
  const place = await send('/api/places', {
    name: `Sedge point ${north}`,
    climateZone: '6A',
    altitude: '400 ft',
    heating: '0 F',
    cooling: '86 F',
    coolingRh: '50 %',
    temps: Array(12).fill('45 F').join('; '),
    humidities: Array(12).fill('70 %').join('; '),
    latitude: north,
    longitude: '-76.31',
    timeZone: 'America/New_York',
  })
  const job = await send('/api/jobs', { name: 'Boat shed at the point', climateZone: '6A', place: place.id })
  const surface = await send(`/api/jobs/${job.id}/surfaces`, {
    name: 'Shed roof',
    kind: 'metalRoof',
    size: "20' x 30' x 4/12",
    sheet: 'marl-cc-20',
    thickness: '2 in',
  })
  return { job: job.id, surface: surface.id }
}
