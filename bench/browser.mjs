import { createRequire } from 'node:module'
import { base, who } from './server.mjs'

const { chromium } = createRequire(new URL('../tests/e2e/', import.meta.url))('@playwright/test')

export const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu'],
})
const context = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 } })
export const page = await context.newPage()

/** Asks the server in the browser's name. */
export async function post(path, data) {
  const answer = await page.request.post(path, { data })
  if (!answer.ok()) throw new Error(`${path}: ${answer.status()} ${await answer.text()}`)
  return answer.json()
}
await post('/api/session', who)

const sorted = (values) => [...values].sort((a, b) => a - b)
const p95 = (values) => sorted(values)[Math.floor(values.length * 0.95)] ?? NaN
const median = (values) => sorted(values)[Math.floor(values.length / 2)] ?? NaN
export const told = (values) =>
  `median ${median(values).toFixed(0)} ms, p95 ${p95(values).toFixed(0)} (${values.length})`
