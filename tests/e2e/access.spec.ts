import type { Page } from '@playwright/test'
import { expect, faults, ferryHouse, openJobs, ownJob, signIn, test, useUnits } from './product'
import { foreignOn } from './foreign'
import { screens } from './screens'
import { listenTo, unmarkedOn } from './unmarked'
import { laidOutWrong, leastAt } from './walk'

const clean = async (page: Page, what: string) => expect(await faults(page, what)).toEqual([])

// Names and roles are the same in every theme and width; colours hang on the theme and the layout on the width. The first
// look is at everything, the others at what is different there.
const looks = [
  ['daylight', 1280, 800, undefined],
  ['attic', 820, 1180, ['color-contrast', 'scrollable-region-focusable']],
  ['daylight', 390, 844, ['target-size', 'scrollable-region-focusable']],
] as const

// Pages are made of the same few parts in the same few tones: each is laid out at every width, and looked at for faults at a desk
// and on a phone, every fourth in the attic instead.
let looked = 0
const looksAt = () => {
  const second = looked++ % 4 ? 2 : 1
  return looks.map((look, i) => ({ look, deep: i === 0 || i === second }))
}

async function lookAt(page: Page, what: string) {
  const found: string[] = []
  for (const {
    look: [theme, width, height, rules],
    deep,
  } of looksAt()) {
    await page.setViewportSize({ width, height })
    // What depends on the width is drawn anew, and measured after that.
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))))
    await page.evaluate((name) => (document.documentElement.dataset.theme = name), theme)
    const where = `${what}, ${theme}, ${width} wide`
    if (deep) found.push(...(await faults(page, where, rules && [...rules])))
    found.push(...(await laidOutWrong(page, leastAt(width))).map((one) => `${where}: ${one}`))
  }
  await page.setViewportSize({ width: 1280, height: 800 })
  return found
}

// Coming to a screen takes longer than looking at it: all that is asked of every screen is asked there at once.
for (const part of ['firm', 'survey', 'stages'] as const) {
  test(`every screen is free of access faults, units of the other system and words out of no catalogue: ${part}`, async ({
    page,
  }) => {
    test.setTimeout(400_000)
    const said = listenTo(page)
    await page.goto('/sign-in')
    const found = part === 'firm' ? await lookAt(page, 'sign-in') : []
    await openJobs(page)
    await useUnits(page, 'us')
    const { job, surface } = await ferryHouse(page)
    let units: 'us' | 'metric' = 'us'
    for (const [path, sign] of screens(surface('Slip hall roof'))[part]) {
      const what = path || 'board'
      await page.goto(part === 'firm' ? path! : `/jobs/${job}${path}`)
      await expect(page.getByText(sign!).first()).toBeVisible()
      found.push(...(await lookAt(page, what)))
      found.push(...(await foreignOn(page, what, units)))
      units = units === 'us' ? 'metric' : 'us'
      found.push(...(await unmarkedOn(page, what, said)))
    }
    // As the tests after this one take them to be, however many screens there are.
    await useUnits(page, 'us')
    expect([...new Set(found)]).toEqual([])
  })
}

test('the drawer, the dialogs and the empty states are free of access faults', async ({ page }) => {
  await openJobs(page)
  await useUnits(page, 'us')
  await page.getByRole('button', { name: 'New job' }).click()
  await clean(page, 'new job')
  const { job, surface } = await ownJob(page, 'Empty states')
  await page.goto(`/jobs/${job}/section/${surface}`)
  await expect(page.getByText('Choose the foam, then set a thickness.')).toBeVisible()
  await clean(page, 'section without foam')
  await page.keyboard.press('?')
  await expect(page.getByText('next and previous surface')).toBeVisible()
  await clean(page, 'keys')
  await page.keyboard.press('Escape')
  await page.keyboard.press('h')
  await expect(page.getByRole('dialog', { name: 'Help: Section' })).toContainText('What to enter')
  await clean(page, 'help')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('/')
  await page.keyboard.type('north')
  await expect(page.getByRole('option').first()).toBeVisible()
  await clean(page, 'search')
  await page.keyboard.press('Escape')
  await page.request.delete(`/api/jobs/${job}`)
  await page.goto('/?shelf=deleted')
  await page.getByRole('button', { name: 'Remove for good' }).first().click()
  await clean(page, 'deleted jobs')
  const ferry = await ferryHouse(page)
  await page.goto(`/jobs/${ferry.job}/sets/${ferry.surface('Slip hall roof')}`)
  await expect(page.getByText('sets to load')).toBeVisible()
  await page.keyboard.press('w')
  await expect(page.getByText('You can follow it with a pocket calculator.')).toBeVisible()
  await clean(page, 'workings')
})

test('workings lead down to the product sheet', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/section/${surface('Teaching wing walls')}`)
  // Until the answer has come, the first U on the page may be another's.
  await expect(page.getByText('foam alone, aged')).toBeVisible()
  await expect(async () => {
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: /^U-/ }).first().click({ timeout: 5000 })
    await page.getByRole('button', { name: 'how R of the foam' }).click({ timeout: 5000 })
  }).toPass()
  await expect(page.getByText(/Fleece OC-5, .*aged R/)).toBeVisible()
  await expect(page.getByRole('dialog').getByText('R = R₁ + (R₂ − R₁) · (t − t₁) / (t₂ − t₁)')).toBeVisible()
})
