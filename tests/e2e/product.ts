import { expect, type Page } from '@playwright/test'

export const password = 'umbra-demo'

export async function signIn(page: Page, who = 'owner@ninthacre.example') {
  await page.goto('/sign-in')
  await page.getByLabel('Sign-in name').fill(who)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible()
}

interface Row {
  id: string
  name: string
}

/** The demo's ferry house and a way to find its surfaces. */
export async function ferryHouse(page: Page) {
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { job: { id: string; name: string } }[]
  const job = jobs.find((one) => one.job.name.includes('ferry house'))!.job.id
  const board = (await (await page.request.get(`/api/jobs/${job}/board`)).json()) as { rows: Row[] }
  return { job, surface: (name: string) => board.rows.find((row) => row.name === name)!.id }
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

export const cell = (page: Page, column: string, surface: string) => page.getByLabel(`${column}, ${surface}`, { exact: true })
