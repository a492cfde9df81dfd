// Times the list of jobs with 300 of them: from a letter typed into the search to the frame that shows what is
// found. In Chromium.
// Usage: node bench/jobs.mjs http://127.0.0.1:5210 [jobs] [sign-in name] [password]
import { browser, page, post, told } from './browser.mjs'
import { count } from './server.mjs'

const JOBS = count(300)
const CREWS = ['Heron', 'Plover', 'Bittern']
const there = (await (await page.request.get('/api/jobs')).json()).length
for (let i = there; i < JOBS; i++) {
  const fields = { name: `Bench job ${i}`, climateZone: '6A', crew: CREWS[i % CREWS.length] }
  await post('/api/jobs', { version: null, units: 'us', fields })
}

await page.goto('/')
await page.locator('.cards a').first().waitFor()
await page.waitForLoadState('networkidle')
const search = page.getByRole('searchbox')
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
const seen = await page.evaluate(() => window.seen)
console.log(`search in ${JOBS} jobs: from a letter to its frame ${told(seen)}`)
await browser.close()
