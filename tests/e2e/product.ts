import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { test as base, expect, type Browser, type BrowserContext, type Locator, type Page } from '@playwright/test'

export { expect }

export const password = 'umbra-demo'

/**
 * Pages of a worker share one context, so that the browser reads and compiles the product's code once for all of them.
 * What a test could find of the one before is cleared: cookies, storage, routes.
 */
export const test = base.extend<object, { shared: BrowserContext }>({
  shared: [
    async ({ browser }, use, { project }) => {
      const { baseURL, viewport, contextOptions } = project.use
      const context = await browser.newContext({ baseURL, viewport, ...contextOptions })
      await use(context)
      await context.close()
    },
    { scope: 'worker' },
  ],
  context: async ({ shared }, use) => {
    await shared.clearCookies()
    await use(shared)
    await Promise.all(shared.pages().map((page) => page.close()))
    await shared.unrouteAll()
    await shared.setOffline(false)
  },
  page: async ({ context, baseURL }, use) => {
    const page = await context.newPage()
    const browser = await context.newCDPSession(page)
    const storageTypes = 'local_storage,indexeddb,cache_storage,service_workers'
    await browser.send('Storage.clearDataForOrigin', { origin: new URL(baseURL!).origin, storageTypes })
    await browser.detach()
    await use(page)
  },
})

export const PHONE = { width: 390, height: 844 }

/** A page on a phone that knows fingers alone; its context is closed by who asked for it. */
export async function phone(browser: Browser, baseURL: string | undefined) {
  const context = await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true, isMobile: true })
  return context.newPage()
}

type Role = 'owner' | 'estimator' | 'lead' | 'helper' | 'viewer'

/** Each worker has a firm of its own, with the same demo. */
const worker = Number(process.env.TEST_PARALLEL_INDEX ?? 0)
export const personOf = (role: Role) => `${role}@ninthacre${worker ? worker + 1 : ''}.example`

/** Somebody of a firm that sees nothing of the others. */
export const stranger = 'owner@coldwaterlane.example'

const signedIn = new Map<string, Awaited<ReturnType<BrowserContext['cookies']>>>()

/** Signs in without a page: once with the password, later by the cookie that gave, unless a test has signed out since. */
export async function signIn(page: Page, who = personOf('owner')) {
  const known = signedIn.get(who)
  if (known) {
    await page.context().addCookies(known)
    if ((await page.request.get('/api/session')).ok()) return
  }
  const answer = await page.request.post('/api/session', { data: { signInName: who, password } })
  expect(answer.status(), who).toBe(200)
  signedIn.set(who, await page.context().cookies())
}

/** Signs in and opens the list of jobs. */
export async function openJobs(page: Page, who?: string) {
  await signIn(page, who)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible()
}

/** Fills in the form of the sign-in page. */
export async function fillIn(page: Page, who: string) {
  await page.getByLabel('Sign-in name').fill(who)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
}

interface Row {
  id: string
  name: string
}

const found = new Map<string, Promise<{ id: string; rows: Row[] }>>()

/** A job of the demo by a part of its name, and a way to find its surfaces; neither changes while a worker runs. */
export async function jobAt(page: Page, name: string) {
  if (!found.has(name)) found.set(name, findJob(page, name))
  const { id, rows } = await found.get(name)!
  return { id, surface: (surface: string) => rows.find((row) => row.name === surface)!.id }
}

async function findJob(page: Page, name: string) {
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { job: { id: string; name: string } }[]
  const id = jobs.find((one) => one.job.name.includes(name))!.job.id
  const board = (await (await page.request.get(`/api/jobs/${id}/board`)).json()) as { rows: Row[] }
  return { id, rows: board.rows }
}

/** The demo's ferry house. */
export async function ferryHouse(page: Page) {
  const { id, surface } = await jobAt(page, 'ferry house')
  return { job: id, surface }
}

/** A job of one's own with one wall, made through the interface for programs. */
export async function ownJob(
  page: Page,
  name: string,
  units: 'us' | 'metric' = 'us',
  also: Record<string, string> = {},
) {
  const job = await (
    await page.request.post('/api/jobs', { data: { version: null, units, fields: { name, climateZone: '5A' } } })
  ).json()
  const size = units === 'us' ? "24' x 9'" : '7.2 m x 2.7 m'
  const surface = await (
    await page.request.post(`/api/jobs/${job.id}/surfaces`, {
      data: { version: null, units, fields: { name: 'North wall', kind: 'studWall', size, ...also } },
    })
  ).json()
  return { job: job.id as string, surface: surface.id as string }
}

/** A rig nobody has set yet; gives its id. */
export async function ownRig(page: Page, name: string) {
  const data = { version: null, units: 'us', fields: { kind: 'rig', name, liquidHeaters: '15 kW' } }
  const answer = await page.request.post('/api/means', { data })
  expect(answer.status()).toBe(200)
  const { all } = (await answer.json()) as { all: { id: string; name: string }[] }
  return all.find((one) => one.name === name)!.id
}

export async function useUnits(page: Page, units: 'us' | 'metric') {
  await page.request.put('/api/session/units', { data: { units } })
  await page.reload()
}

export const cell = (page: Page, column: string, surface: string) =>
  page.getByLabel(`${column}, ${surface}`, { exact: true })

/** A field with a list that opens under it; its name tells what is picked too. */
export const pickField = (within: Page | Locator, label: string) =>
  within.getByRole('combobox', { name: new RegExp(`^${label}(: |$)`) })

/** Picks from the list of a field. */
export async function pick(field: Locator, text: string | RegExp) {
  await field.press('ArrowDown')
  await field.page().getByRole('option', { name: text, exact: true }).click()
}

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')
const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

/** Access faults of the screen as it stands, each with its place; of some rules only, where the others were asked before. */
export async function faults(page: Page, what: string, rules?: string[]) {
  // Once for each page, and without a description of what is as it should be: both take longer than the look itself.
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(axeSource)
  const found = await page.evaluate(async (runOnly) => {
    const { axe } = globalThis as unknown as { axe: typeof import('axe-core') }
    const { violations } = await axe.run({ runOnly, resultTypes: ['violations'] })
    return violations.map((v) => `${v.id} ${v.nodes.map((node) => node.target).join(' | ')}`)
  }, rules ?? tags)
  return found.map((fault) => `${what}: ${fault}`)
}
