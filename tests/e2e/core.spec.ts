import type { Page } from '@playwright/test'
import { expect, ferryHouse, signIn, test, useUnits } from './product'

interface Question {
  sheetId: string
  thicknessMm: number
  [field: string]: unknown
}

/** Every section question of the demo: what random cases start from. */
async function questions(page: Page) {
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { job: { id: string } }[]
  const found: Question[] = []
  for (const { job } of jobs) {
    const { rows } = await (await page.request.get(`/api/jobs/${job.id}/board`)).json()
    for (const row of rows as { id: string }[]) {
      const { question } = await (await page.request.get(`/api/surfaces/${row.id}/section`)).json()
      if (question?.sheetId) found.push(question)
    }
  }
  return found
}

/** A seeded stream of numbers from 0 to 1, the same on every machine. */
function numbers(seed: number) {
  return () => {
    seed = (seed * 1664525 + 1013904223) % 4294967296
    return seed / 4294967296
  }
}

/**
 * A question with other foam, thickness, air, layers and members. Metal members are solved anew for every depth and every
 * layer beside them, which takes the browser a tenth of a second and more: one in eight is another wall, the others vary in the rest.
 */
function varied(base: Question, next: () => number): Question {
  const pick = <T>(list: readonly T[]) => list[Math.floor(next() * list.length)]!
  const between = (low: number, high: number) => Math.round((low + next() * (high - low)) * 1000) / 1000
  const members = base.members as Record<string, unknown>
  const otherWall = !members.flangeMm || next() < 1 / 8
  const layers = (list: unknown) =>
    (list as { material: string; thicknessMm: number }[]).map((l) => ({
      ...l,
      thicknessMm: l.thicknessMm * (otherWall ? between(0.5, 2) : 1),
    }))
  const months = (low: number, high: number) => Array.from({ length: 12 }, () => between(low, high))
  const depth = Number(members.depthMm) * (otherWall ? between(0.8, 1.5) : 1)
  return {
    ...base,
    sheetId: pick(['marl-cc-20', 'fleece-oc-5', 'fleece-oc-8', 'marl-cc-20f']),
    thicknessMm: between(5, 150),
    outboard: layers(base.outboard),
    inboard: layers(base.inboard),
    members: { ...members, depthMm: depth, sharePct: between(0, 30) },
    indoorC: between(15, 26),
    indoorRhPct: between(15, 80),
    outdoorC: between(-30, 40),
    outdoorRhPct: between(20, 100),
    climateZone: pick(['1A', '3C', '4A', '4C', '5A', '6A', '7', '8']),
    then:
      next() < 0.3
        ? [{ kind: 'batt', id: 'batt-13', thicknessMm: between(20, 90), takesRest: next() < 0.5 }]
        : base.then,
    year:
      next() < 0.7
        ? {
            outdoorTempC: months(-25, 30),
            outdoorRhPct: months(40, 95),
            indoorTempC: months(18, 26),
            indoorRhPct: months(20, 70),
          }
        : null,
  }
}

/** Differences between two answers beyond a relative 1e-9. */
function differences(a: unknown, b: unknown, at = ''): string[] {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a), Math.abs(b)) ? [] : [`${at}: ${a} and ${b}`]
  if (a !== null && b !== null && typeof a === 'object' && typeof b === 'object') {
    const keys = new Set([...Object.keys(a), ...Object.keys(b)])
    return [...keys].flatMap((key) => differences((a as never)[key], (b as never)[key], `${at}.${key}`))
  }
  return a === b ? [] : [`${at}: ${JSON.stringify(a)} and ${JSON.stringify(b)}`]
}

const openSection = async (page: Page) => {
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/section/${surface('Slip hall roof')}`)
  await expect(page.getByText('foam alone, aged')).toBeVisible()
}

/** Who answered, as the workings of the foam's R say. */
async function answeredBy(page: Page) {
  await page.locator('dl.figures button.figure').first().click()
  const said = await page.getByText(/Computed (in this browser|by the server)\./).innerText()
  await page.keyboard.press('Escape')
  return said
}

test('the core in the browser and the server give the same answers to 500 random questions', async ({ page }) => {
  test.setTimeout(300_000)
  await signIn(page)
  const [bases, next] = [await questions(page), numbers(20261123)]
  expect(bases.length).toBeGreaterThan(8)
  const cases = Array.from({ length: 500 }, () => varied(bases[Math.floor(next() * bases.length)]!, next))
  await openSection(page)
  const both = await page.evaluate(async (asked) => {
    const address = '/core/dotnet.js'
    const { dotnet } = await import(address)
    const runtime = await dotnet.create()
    const { Door } = await runtime.getAssemblyExports(runtime.getConfig().mainAssemblyName)
    Door.TakeShelf(await (await fetch('/api/shelf')).text())
    const headers = { 'content-type': 'application/json' }
    const one = async (question: object) => {
      const body = JSON.stringify(question)
      const answer = fetch('/api/compute/section', { method: 'POST', headers, body })
      const here = Door.Section(body) as string | null
      const response = await answer
      const there = await response.text()
      // Most answers are the same to the last letter; the others are looked at figure by figure.
      return here === there ? 'same' : { here, there, ok: response.ok }
    }
    const AT_ONCE = 10
    const answers: Awaited<ReturnType<typeof one>>[] = []
    for (let i = 0; i < asked.length; i += AT_ONCE) {
      answers.push(...(await Promise.all(asked.slice(i, i + AT_ONCE).map(one))))
    }
    return answers
  }, cases)
  let compared = 0
  for (const [i, answer] of both.entries()) {
    if (answer !== 'same' && !answer.ok) {
      expect(answer.here, `case ${i}: the server refuses with ${answer.there}`).toBeNull()
      continue
    }
    compared++
    if (answer === 'same') continue
    expect(answer.here, `case ${i} has no answer in the browser`).not.toBeNull()
    expect(differences(JSON.parse(answer.here!), JSON.parse(answer.there), `case ${i}`)).toEqual([])
  }
  expect(compared).toBeGreaterThan(400)
})

test('the section follows the hand from the core in the browser, with no question to the server', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  await openSection(page)
  await expect.poll(() => answeredBy(page)).toContain('in this browser')
  let asked = 0
  await page.route('**/api/compute/section', (route) => {
    asked++
    return route.continue()
  })
  const face = page.getByRole('slider', { name: /Foam face/ })
  const before = await page.locator('dl.figures').innerText()
  await face.press('ArrowRight')
  await expect(page.locator('dl.figures')).not.toHaveText(before)
  await face.press('ArrowLeft')
  expect(asked).toBe(0)
})

test('where the core cannot be had the server answers, and nothing is said of it', async ({ page }) => {
  await page.route('**/core/**', (route) => route.abort())
  await signIn(page)
  await useUnits(page, 'us')
  await openSection(page)
  const before = await page.locator('dl.figures').innerText()
  const asked = page.waitForRequest('**/api/compute/section')
  await page.getByRole('slider', { name: /Foam face/ }).press('ArrowRight')
  await asked
  await expect(page.locator('dl.figures')).not.toHaveText(before)
  expect(await answeredBy(page)).toContain('by the server')
  await page.getByRole('slider', { name: /Foam face/ }).press('ArrowLeft')
})

test('the drawing slides through the months and turns the vapour round in summer', async ({ page }) => {
  await signIn(page)
  await useUnits(page, 'us')
  const { job, surface } = await ferryHouse(page)
  await page.goto(`/jobs/${job}/section/${surface('Teaching wing ceiling')}`)
  await expect(page.getByText('vapour outward')).toBeVisible()
  const slider = page.getByLabel('Season of the drawing')
  await slider.focus()
  await page.keyboard.press('ArrowRight')
  await expect(slider).toHaveAttribute('aria-valuetext', 'January')
  await expect(page.locator('svg text').getByText(/^1[89](\.\d)? °F$/)).toBeVisible()
  await page.keyboard.press('End')
  await expect(page.getByText('vapour inward')).toBeVisible()
  await expect(page.locator('svg text').getByText(/^8[56](\.\d)? °F$/)).toBeVisible()
  await page.getByRole('button', { name: 'Winter design' }).click()
  await expect(page.getByText('vapour outward')).toBeVisible()
})
