import type { Page } from '@playwright/test'
import { expect, faults, ownJob, ownRig, phone, pick, pickField, signIn, test } from './product'

interface Started {
  job: string
  surface: string
  rig: string
}

/** A rig of its own at a job of its own: what others run on the rig of the demo does not come in between. */
async function atTheRig(page: Page, name: string): Promise<Started> {
  await signIn(page)
  await page.request.put('/api/session/units', { data: { units: 'us' } })
  const at = await ownJob(page, name, 'us', { sheet: 'marl-cc-20', thickness: '2' })
  const called = `Rig of ${at.job.slice(-6)}`
  const rig = await ownRig(page, called)
  await page.goto(`/jobs/${at.job}/rig/${at.surface}`)
  await pick(pickField(page, 'Rig'), called)
  return { ...at, rig }
}

const say = async (page: Page, run: string, step: string, said: string, minutesAgo = 0) => {
  const { clock } = (await (await page.request.get('/api/session')).json()) as { clock: { now: string } }
  const at = new Date(Date.parse(clock.now) - minutesAgo * 60_000).toISOString()
  const data = { version: null, units: 'us', at, fields: { [step]: said } }
  const answer = await page.request.post(`/api/sequence-runs/${run}/marks`, { data })
  expect(answer.status(), await answer.text()).toBe(200)
}

const inHand = (page: Page) => page.locator('.now h2')
const runOf = (page: Page) => /sequences\/([0-9a-f-]+)/.exec(page.url())![1]!

/** Presses the large button, once the step has been on the screen long enough not to be a second tap. */
async function thumb(page: Page, next: RegExp) {
  const before = await inHand(page).innerText()
  await expect(async () => {
    await page.locator('.press').tap()
    await expect(inHand(page)).not.toHaveText(before, { timeout: 1_500 })
  }).toPass()
  await expect(inHand(page)).toHaveText(next)
}

test('a rig is started by thumb, gone on with on another device, and nothing opens before its time', async ({
  page: other,
  browser,
  baseURL,
}) => {
  const page = await phone(browser, baseURL)
  await atTheRig(page, 'A start by thumb')
  await page.getByRole('button', { name: 'Start Start of the day' }).tap()
  await expect(inHand(page)).toHaveText(/^Check hoses/)
  await page.getByRole('button', { name: 'Skip with a reason' }).tap()
  await page.getByLabel('Why it is skipped').fill('new hoses')
  await page.getByRole('button', { name: 'Skip it' }).tap()
  await expect(inHand(page)).toHaveText(/^Check oil, fuel and belts/)
  await expect(page.getByRole('button', { name: 'Skip with a reason' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: /Start the engine/ })).toHaveCount(0)

  // On another device somebody else has started the engine a while ago; nobody has looked since whether it runs steadily.
  const run = runOf(page)
  await signIn(other)
  for (const step of ['engineSeen', 'breakersOff', 'engineStarted']) await say(other, run, step, 'done', 20)
  await expect(inHand(page)).toHaveText(/^Let the engine run up/, { timeout: 20_000 })
  await thumb(page, /^Check the oil of the compressor/)
  await expect(page.getByText(/^Let the engine run up.* left, until/)).toBeVisible()
  await expect(page.getByText('Meanwhile you can do this:')).toBeVisible()
  await expect(page.getByRole('button', { name: /Switch the breakers on/ })).toHaveCount(0)

  await other.goto(page.url())
  await expect(other.getByText('5 of 27')).toBeVisible()
  await say(other, run, 'engineSteady', 'open')
  await say(other, run, 'engineSteady', 'done', 10)
  await say(other, run, 'compressorOil', 'done')
  await expect(inHand(page)).toHaveText(/^Switch the breakers on/, { timeout: 20_000 })
  await thumb(page, /^Wait until the compressor/)
  await page.getByLabel('Pressure').fill('20 psi')
  await page.locator('.press').tap()
  await expect(page.getByText(/20 psi is out of range|out of range: 88 psi/)).toBeVisible()
  await page.getByLabel('Pressure').fill('120 psi')
  await thumb(page, /^Fit the dryer/)
  await expect(page.getByText(/^120 psi, /)).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await faults(page, 'a sequence by thumb')).toEqual([])

  await page.context().close()
})

test('a sequence is begun on the rig that is picked, however long its answer takes', async ({ page }) => {
  await signIn(page)
  const at = await ownJob(page, 'A start on the other rig', 'us', { sheet: 'marl-cc-20', thickness: '2' })
  const called = `Rig of ${at.job.slice(-6)}`
  await ownRig(page, called)
  await page.route(/\/rig\?rig=/, async (route) => {
    await new Promise((done) => setTimeout(done, 1_500))
    await route.continue()
  })
  await page.goto(`/jobs/${at.job}/rig/${at.surface}`)
  const start = page.getByRole('button', { name: 'Start Start of the day' })
  await expect(pickField(page, 'Rig')).toBeVisible()
  await pick(pickField(page, 'Rig'), called)
  await expect(start).toHaveCount(0)
  await start.click()
  await expect(page.getByText(called).first()).toBeVisible()
  await expect(inHand(page)).toHaveText(/^Check hoses/)
})

test('what another device did before its signal came back is there, and the last steps lead to the test shot', async ({
  page: other,
  browser,
  baseURL,
}) => {
  const page = await phone(browser, baseURL)
  const at = await atTheRig(page, 'A start from two devices')
  await page.getByRole('button', { name: 'Start Start of the day' }).tap()
  await expect(inHand(page)).toHaveText(/^Check hoses/)
  const run = runOf(page)
  await signIn(other)
  const early = ['hosesSeen', 'engineSeen', 'breakersOff', 'engineStarted', 'engineSteady']
  const later = ['dryerOn', 'returnLines', 'drumsAgitated', 'pumpsPrimed', 'airToPumps', 'purged', 'targetsEntered']
  for (const step of early) await say(other, run, step, 'done', 60)
  for (const step of ['loadOn', 'compressorOil']) await say(other, run, step, 'done', 50)
  await say(other, run, 'compressorSet', '120 psi', 49)
  for (const step of [...later, 'drumLevels', 'hoseHeat', 'primaryHeat']) await say(other, run, step, 'done', 48)
  for (const step of ['pressuresMatched', 'greaseA', 'gunOn']) await say(other, run, step, 'done')
  await expect(inHand(page)).toHaveText(/^Open the air at the gun/, { timeout: 20_000 })
  for (const step of ['airAtGun', 'fluidOpen', 'sealsDry']) await say(other, run, step, 'done')
  await expect(inHand(page)).toHaveText(/^Everyone without protection/, { timeout: 20_000 })
  await thumb(page, /^Supplied air runs/)
  await thumb(page, /^Fire a test shot/)
  await page.waitForTimeout(800)
  await page.locator('.press').tap()
  await expect(page.getByText('All steps are done.')).toBeVisible()
  await page.getByRole('link', { name: 'Log the test shot on the Rig page.' }).tap()
  await expect(page).toHaveURL(new RegExp(`/jobs/${at.job}/rig/`))
  await pick(pickField(page, 'Rig'), `Rig of ${at.job.slice(-6)}`)
  await expect(page.getByText(/^On record: confirmed by/)).toBeVisible()
  await expect(page.getByText(/^finished /).first()).toBeVisible()
  await page.context().close()
})

test('without a signal a sequence goes on in its order, and is there for all once there is one', async ({
  browser,
  baseURL,
}) => {
  const page = await phone(browser, baseURL)
  const context = page.context()
  await atTheRig(page, 'A start without a signal')
  const core = page.waitForResponse(/\/core\/.*\.wasm/)
  await page.getByRole('button', { name: 'Start Start of the day' }).tap()
  await expect(inHand(page)).toHaveText(/^Check hoses/)
  // The core comes once a hand is near.
  await page.getByRole('button', { name: 'Skip with a reason' }).tap()
  await page.getByRole('button', { name: 'Cancel' }).tap()
  await core
  await page.waitForLoadState('networkidle')
  await context.setOffline(true)
  await thumb(page, /^Check oil, fuel and belts/)
  await thumb(page, /^Switch all breakers off/)
  // That the engine can be started now is found out here: nobody could be asked.
  await thumb(page, /^Start the engine/)
  await thumb(page, /^Let the engine run up/)
  await expect(page.getByText('Saved on this device; it is sent when there is a signal.').first()).toBeVisible()
  await context.setOffline(false)
  const run = runOf(page)
  await expect
    .poll(async () => {
      const { question } = (await (await page.request.get(`/api/sequence-runs/${run}`)).json()) as {
        question: { marks: { step: string }[] }
      }
      return question.marks.map(({ step }) => step).toSorted()
    })
    .toEqual(['breakersOff', 'engineSeen', 'engineStarted', 'hosesSeen'])
  await context.close()
})

test('a sequence is rewritten by keys, refused while it protects nobody, and the supplied one comes back', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/sequences')
  await pick(pickField(page, 'Sequence'), 'Gun care')
  const step = (name: RegExp) => page.getByRole('button', { name })
  await step(/^Step 3: Depressurize/).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(page.getByText(/Missing before it: depressurized/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeDisabled()
  await page.reload()
  await pick(pickField(page, 'Sequence'), 'Gun care')
  await expect(page.getByText(/Missing before it: depressurized/)).toBeVisible()
  await page.getByRole('button', { name: 'Discard the changes' }).click()
  await expect(step(/^Step 3: Depressurize/)).toBeVisible()

  await step(/^Step 5: Check side seals/).click()
  await page.getByLabel('What is done').fill('Check side seals under the lamp.')
  await page.getByLabel('Takes').fill('soon')
  await expect(page.getByText(/“soon” is not a number/)).toBeVisible()
  await page.getByLabel('Takes').fill('5 min')
  await expect(page.getByText(/“soon” is not a number/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved. New runs use it.')).toBeVisible()
  await page.reload()
  await pick(pickField(page, 'Sequence'), 'Gun care')
  await expect(page.getByText(/^your own, changed/)).toBeVisible()
  await expect(step(/^Step 5: Check side seals under the lamp/)).toBeVisible()
  await page.getByRole('button', { name: 'Use the supplied one again' }).click()
  await expect(page.getByText('as supplied')).toBeVisible()
  await expect(step(/^Step 5: Check side seals and O-rings/)).toBeVisible()
})
