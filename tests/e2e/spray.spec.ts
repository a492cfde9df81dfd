import type { Locator, Page } from '@playwright/test'
import { expect, faults, ownJob, personOf, phone, signIn, test } from './product'

/** A wall of its own to spray, on a phone. */
async function atTheWall(page: Page, name: string, units: 'us' | 'metric' = 'us') {
  await signIn(page)
  await page.request.put('/api/session/units', { data: { units } })
  const at = await ownJob(page, name, 'us', { sheet: 'marl-cc-20', thickness: '3' })
  await page.goto(`/jobs/${at.job}/spray/${at.surface}`)
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  return at
}

const press = (page: Page) => page.locator('.press')
const line = (page: Page, text: string | RegExp) => page.locator('.log li').filter({ hasText: text }).first()

/** Presses the large button until it says what it has to: right after a tap it takes none, as a glove taps twice. */
async function thumb(page: Page, after: RegExp) {
  await expect(async () => {
    await press(page).tap()
    await expect(press(page)).toHaveText(after, { timeout: 1_500 })
  }).toPass()
}

async function lift(page: Page) {
  await thumb(page, /^Stop/)
  await thumb(page, /^Start/)
}

/** The time at the place so many minutes ago, as it is typed. */
async function ago(page: Page, minutes: number) {
  const { clock } = (await (await page.request.get('/api/session')).json()) as { clock: { now: string } }
  return new Date(Date.parse(clock.now) - minutes * 60_000).toISOString().slice(11, 16)
}

/** A lot of two drums in the store. */
async function inStore(page: Page, lot: string) {
  const fields = { product: 'marl-cc-20', side: 'a', lot, full: '2' }
  const answer = await page.request.post('/api/stock', { data: { version: null, units: 'us', fields } })
  expect(answer.status()).toBe(200)
  const read = async () => {
    const { lots } = (await (await page.request.get('/api/stock')).json()) as {
      lots: { id: string; lot: string; full: number }[]
    }
    return lots.find((one) => one.lot === lot)!
  }
  const { id } = await read()
  return { full: async () => (await read()).full, takenOff: () => page.request.delete(`/api/stock/${id}`) }
}

async function correct(page: Page, of: Locator, time: string) {
  await of.getByRole('button', { name: 'Correct' }).tap()
  await page.locator('.log').getByLabel('Time', { exact: true }).fill(time)
  await page.locator('.log').getByRole('button', { name: 'Save' }).tap()
}

test('a surface is sprayed by touch alone: too early, undone, corrected, probed, stopped and finished', async ({
  browser,
  baseURL,
}) => {
  const page = await phone(browser, baseURL)
  const at = await atTheWall(page, 'A wall by touch')
  await page.getByRole('button', { name: /Area not closed/ }).tap()
  await page.getByRole('button', { name: /No ventilation/ }).tap()
  await expect(page.getByRole('button', { name: /Area closed/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /Ventilation on/ })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Lift 1 of 2' })).toBeVisible()

  await lift(page)
  await expect(page.getByRole('heading', { name: 'Lift 2 of 2' })).toBeVisible()
  await page.getByRole('button', { name: /^Depth/ }).tap()
  await expect(page.getByRole('spinbutton')).toHaveText('1 1/2 in')
  await page.getByRole('button', { name: '+1/8 in', exact: true }).tap()
  await page.getByRole('button', { name: 'Save depth' }).tap()
  await expect(page.getByRole('button', { name: /^Depth/ })).toContainText('1 5/8 in')
  await expect(page.getByText(/^Wait \d+ min\./)).toBeVisible()

  // What tells of entries on their way fades out.
  await expect(page.locator('.unsent')).toHaveCount(0)
  expect(await faults(page, 'a surface that is sprayed')).toEqual([])

  // Nothing holds the trigger back: what happened is logged, and told.
  await thumb(page, /^Stop/)
  await expect(page.getByText(/^Lift 2 after \d+ min, wait 15 min/)).toBeVisible()
  await line(page, 'Lift begun').getByRole('button', { name: 'Undo' }).tap()
  await expect(press(page)).toHaveText(/^Start/)
  await expect(page.getByText(/^Lift 2 after/)).toBeHidden()
  await expect(line(page, 'Lift begun')).toContainText('deleted')

  // A lift cannot end before it begins: its begin is corrected first.
  await correct(page, line(page, 'Lift ended'), await ago(page, 90))
  const refused = page.locator('.fault', { hasText: 'The lift would end before it began' })
  await refused.getByRole('button').tap()
  await expect(refused).toBeHidden()
  await correct(page, page.locator('.log li', { hasText: 'Lift begun' }).nth(1), await ago(page, 110))
  await correct(page, line(page, 'Lift ended'), await ago(page, 90))
  await expect(page.getByText(/^Last lift not read/)).toBeVisible()

  await page.getByRole('button', { name: 'Probe' }).tap()
  await page.getByLabel('Temperature at mid-depth').fill('90 F')
  await page.getByRole('button', { name: 'Save reading' }).tap()
  await expect(page.getByText(/^Last lift 90(\.0)? °F/)).toBeVisible()

  await page.getByRole('button', { name: 'Stop, why' }).tap()
  await page.getByRole('button', { name: 'Gun', exact: true }).tap()
  await expect(page.getByText(/^Stopped since .+: Gun/)).toBeVisible()
  await page.getByRole('button', { name: 'Goes on' }).tap()
  await expect(page.getByText(/^Stopped since/)).toBeHidden()

  // A drum runs dry, and the next is of another lot.
  const drum = page.getByRole('button', { name: /^Drum A/ })
  await drum.tap()
  await page.getByLabel('Lot on the drum').fill('A-17')
  await page.getByRole('button', { name: 'New drum' }).tap()
  await expect(drum).toContainText('lot A-17')
  await lift(page)
  await drum.tap()
  await page.getByRole('button', { name: 'Empty', exact: true }).tap()
  await expect(drum).toContainText('none logged')
  await drum.tap()
  await page.getByLabel('Lot on the drum').fill('A-18')
  await page.getByRole('button', { name: 'New drum' }).tap()
  await drum.tap()
  await page.getByLabel('Liquid in the drum, by dip stick').fill('15 in')
  await page.getByRole('button', { name: 'Save level' }).tap()
  await expect(drum).toContainText('49 % left')
  await expect(page.getByText(/^Several lots of A/)).toBeHidden()
  await expect(page.getByText(/^Depth not read/)).toBeVisible()
  await page.getByRole('button', { name: /^Depth/ }).tap()
  await page.getByRole('button', { name: 'Save depth' }).tap()
  await expect(page.getByText(/^Depth 3 in, specified 3 in/)).toBeVisible()
  const round = page.locator('.walk label')
  for (let i = 0; i < (await round.count()); i++) await round.nth(i).tap()
  await expect(page.getByText(/^Walk-round not finished/)).toBeHidden()
  await page.getByRole('button', { name: 'Spraying finished', exact: true }).tap()
  await expect(page.getByText(/^Finished /).first()).toBeVisible()
  await page.goto(`/jobs/${at.job}`)
  await expect(page.getByText('finished').first()).toBeVisible()
  await page.context().close()
})

test('without a signal a lift is logged at once, and is there for all once there is one', async ({
  browser,
  baseURL,
}) => {
  const page = await phone(browser, baseURL)
  const at = await atTheWall(page, 'A wall without a signal', 'metric')
  const core = page.waitForResponse(/\/core\/.*\.wasm/)
  await page.getByRole('button', { name: /Area not closed/ }).tap()
  await core
  await page.waitForLoadState('networkidle')
  await page.context().setOffline(true)
  await lift(page)
  await expect(page.getByRole('heading', { name: 'Lift 2 of 2' })).toBeVisible()
  await page.getByRole('button', { name: /^Depth/ }).tap()
  await page.getByRole('button', { name: '−1 mm', exact: true }).tap()
  await page.getByRole('button', { name: 'Save depth' }).tap()
  await expect(page.getByRole('button', { name: /^Depth/ })).toContainText('37 mm')
  await expect(line(page, 'Depth 37 mm')).toContainText('not sent yet')
  await page.context().setOffline(false)
  await expect
    .poll(async () => {
      const { answer } = (await (await page.request.get(`/api/surfaces/${at.surface}/spray`)).json()) as {
        answer: { lifts: { depths: number }[] }
      }
      return answer.lifts.map(({ depths }) => depths)
    })
    .toEqual([1])
  await page.context().close()
})

test('a drum from the store, what is left of it by scale, and the end of the job with what it cost', async ({
  browser,
  baseURL,
}) => {
  const page = await phone(browser, baseURL)
  const at = await atTheWall(page, 'A wall from the store')
  const lot = await inStore(page, 'E2E-1')
  await page.reload()
  const drum = page.getByRole('button', { name: /^Drum A/ })
  await drum.tap()
  await page.getByRole('button', { name: 'E2E-1: 2 full drums' }).tap()
  await expect(drum).toContainText('lot E2E-1')
  await expect.poll(lot.full).toBe(1)
  await lift(page)

  // Too much for a drum is refused with what it can hold, and nothing typed is lost.
  await drum.tap()
  await page.getByRole('button', { name: 'Scale', exact: true }).tap()
  await page.getByLabel('Liquid alone, without the drum').fill('2000 lb')
  await page.getByRole('button', { name: 'Save level' }).tap()
  const refused = page.locator('.fault', { hasText: '2000 lb' })
  await refused.getByRole('button').tap()
  await expect(refused).toBeHidden()
  await drum.tap()
  await page.getByLabel('Liquid alone, without the drum').fill('470 lb')
  await page.getByRole('button', { name: 'Save level' }).tap()
  await expect(drum).toContainText(/9\d(\.\d)? % left/)

  // By strokes it goes on from there.
  await drum.tap()
  await page.getByRole('button', { name: 'Strokes', exact: true }).tap()
  await page.getByLabel('Strokes since the last level').fill('340')
  await page.getByLabel('Strokes a full drum takes').fill('1700')
  await page.getByRole('button', { name: 'Save level' }).tap()
  await expect(drum).toContainText(/7\d(\.\d)? % left/)
  await drum.tap()
  await page.getByLabel('Full drums of A on the truck').fill('1')
  await page.getByRole('button', { name: 'Save count' }).tap()
  const material = page.getByRole('region', { name: 'Material' })
  await expect(material).toContainText(/A: 1\.\d sets left, in the open drum and on the truck/)
  await expect(material).toContainText(/A set yields/)
  expect(await faults(page, 'how material lasts')).toEqual([])

  await page.getByRole('button', { name: 'Spraying finished', exact: true }).tap()
  await expect(page.getByText(/^Finished /).first()).toBeVisible()
  const job = page.locator('.job')
  await expect(job).toContainText('North wall')
  await expect(job).toContainText('the job names no crew')
  await expect(job.getByText('Own cost so far').first()).toBeVisible()
  await job.getByRole('button', { name: 'Spraying finished at this job' }).tap()
  await expect(job).toContainText(/Spraying finished .+\./)
  await expect(job.getByText('Own cost', { exact: true }).first()).toBeVisible()
  expect(await faults(page, 'the end of a job')).toEqual([])
  await job.getByRole('button', { name: 'Job not finished after all' }).tap()
  await expect(job.getByText(/^Spraying finished [A-Z]/)).toBeHidden()

  // The foot of the board tells how the sets run.
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto(`/jobs/${at.job}`)
  await expect(page.getByText(/sets used, .+ to go/)).toBeVisible()
  await lot.takenOff()

  // Prices are for those who price.
  await signIn(page, personOf('lead'))
  await page.goto(`/jobs/${at.job}/spray/${at.surface}`)
  await page.getByText('The whole job').click()
  await expect(page.locator('.job')).toContainText('North wall')
  await expect(page.getByText('Own cost so far')).toHaveCount(0)
  await page.context().close()
})

test('a depth is read with the keyboard alone, and the next key goes on from there', async ({ page }) => {
  await atTheWall(page, 'A wall by keys', 'metric')
  const start = press(page)
  await start.focus()
  await page.keyboard.press('Enter')
  await expect(start).toHaveText(/^Stop/)

  // Right after a press none is taken.
  await expect(async () => {
    await page.keyboard.press('Enter')
    await expect(start).toHaveText(/^Start/, { timeout: 1_500 })
  }).toPass()
  const depth = page.getByRole('button', { name: /^Depth/ })
  await depth.press('Enter')
  await expect(page.getByRole('spinbutton')).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(depth).toBeFocused()
  await page.keyboard.press('Enter')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Enter')
  await expect(depth).toContainText('40 mm')
  await expect(depth).toBeFocused()
})
