import AxeBuilder from '@axe-core/playwright'
import { expect, type BrowserContext, type Page } from '@playwright/test'

export const password = 'umbra-demo'

type Role = 'owner' | 'estimator' | 'lead' | 'viewer'

/** Each worker has a firm of its own, with the same demo. */
const worker = Number(process.env.TEST_PARALLEL_INDEX ?? 0)
export const personOf = (role: Role) => `${role}@ninthacre${worker ? worker + 1 : ''}.example`

/** Somebody of a firm that sees nothing of the others. */
export const stranger = 'owner@coldwaterlane.example'

const signedIn = new Map<string, Awaited<ReturnType<BrowserContext['cookies']>>>()

/** Signs in: once through the form, later by the cookie that gave. */
export async function signIn(page: Page, who = personOf('owner')) {
  const cookies = signedIn.get(who)
  if (cookies) {
    await page.context().addCookies(cookies)
    await page.goto('/')
  } else {
    await page.goto('/sign-in')
    await fillIn(page, who)
  }
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible()
  if (!cookies) signedIn.set(who, await page.context().cookies())
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

/** A job of the demo by a part of its name, and a way to find its surfaces. */
export async function jobAt(page: Page, name: string) {
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { job: { id: string; name: string } }[]
  const id = jobs.find((one) => one.job.name.includes(name))!.job.id
  const board = (await (await page.request.get(`/api/jobs/${id}/board`)).json()) as { rows: Row[] }
  return { id, surface: (surface: string) => board.rows.find((row) => row.name === surface)!.id }
}

/** The demo's ferry house. */
export async function ferryHouse(page: Page) {
  const { id, surface } = await jobAt(page, 'ferry house')
  return { job: id, surface }
}

/** A job of one's own with one wall, made through the interface for programs. */
export async function ownJob(page: Page, name: string, units: 'us' | 'metric' = 'us') {
  const job = await (
    await page.request.post('/api/jobs', { data: { version: null, units, fields: { name, climateZone: '5A' } } })
  ).json()
  const size = units === 'us' ? "24' x 9'" : '7.2 m x 2.7 m'
  const surface = await (
    await page.request.post(`/api/jobs/${job.id}/surfaces`, {
      data: { version: null, units, fields: { name: 'North wall', kind: 'studWall', size } },
    })
  ).json()
  return { job: job.id as string, surface: surface.id as string }
}

export async function useUnits(page: Page, units: 'us' | 'metric') {
  await page.request.put('/api/session/units', { data: { units } })
  await page.reload()
}

export const cell = (page: Page, column: string, surface: string) =>
  page.getByLabel(`${column}, ${surface}`, { exact: true })

const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

/** Access faults of the screen as it stands, each with its place; of some rules only, where the others were asked before. */
export async function faults(page: Page, what: string, rules?: string[]) {
  // In one page: there are no frames, and a second page for the sum of frames takes as long as the look itself.
  const axe = new AxeBuilder({ page }).setLegacyMode(true)
  const { violations } = await (rules ? axe.withRules(rules) : axe.withTags(tags)).analyze()
  return violations.map((v) => `${what}: ${v.id} ${v.nodes.map((n) => n.target).join(' | ')}`)
}
