// Times the list of jobs with 300 of them: from a letter typed into the search, and from a crew picked in the address, to the frame
// that shows what is found. In Chromium.
// Usage: node bench/jobs.mjs http://127.0.0.1:5210 [jobs] [sign-in name] [password]
import { createRequire } from 'node:module'

const { chromium } = createRequire(new URL('../tests/e2e/', import.meta.url))('@playwright/test')
const [base = 'http://127.0.0.1:5210', count = '300', name = 'owner@ninthacre.example', password = 'umbra-demo'] =
  process.argv.slice(2)
const CREWS = ['Heron', 'Plover', 'Bittern']

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu'],
})
const context = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 } })
const page = await context.newPage()
const post = async (path, data) => {
  const answer = await page.request.post(path, { data })
  if (!answer.ok()) throw new Error(`${path}: ${answer.status()} ${await answer.text()}`)
}
await post('/api/session', { signInName: name, password })
const there = (await (await page.request.get('/api/jobs')).json()).length
for (let i = there; i < Number(count); i++) {
  const fields = { name: `Bench job ${i}`, climateZone: '6A', crew: CREWS[i % CREWS.length] }
  await post('/api/jobs', { version: null, units: 'us', fields })
}

await page.goto('/')
await page.locator('.cards a').first().waitFor()
await page.waitForLoadState('networkidle')
const search = page.locator('[data-find]')
await search.evaluate((input) => {
  window.seen = []
  input.addEventListener('input', (event) =>
    requestAnimationFrame(() => setTimeout(() => window.seen.push(performance.now() - event.timeStamp))),
  )
})
for (let i = 0; i < 4; i++) {
  await search.pressSequentially('bench 29', { delay: 120 })
  await page.waitForTimeout(200)
  await search.press('Escape')
  await page.waitForTimeout(200)
}
const seen = (await page.evaluate(() => window.seen)).sort((a, b) => a - b)
const at = (share) => seen[Math.floor(seen.length * share)].toFixed(0)
console.log(
  `search in ${count} jobs: from a letter to its frame median ${at(0.5)} ms, p95 ${at(0.95)} (${seen.length})`,
)
await browser.close()
