// Times what a hand feels on a job with 800 surfaces: how long board and grid take to be shown, how many nodes they hold, the longest
// frames while one scrolls, and how long a key takes to be seen. In Chromium, on a job of its own.
// Usage: node bench/pages.mjs http://127.0.0.1:5210 [surfaces] [sign-in name] [password]
import { performance } from 'node:perf_hooks'
import { browser, page, post, told } from './browser.mjs'
import { count } from './server.mjs'

const SURFACES = count(800)
const AT_ONCE = 8

const fields = { name: `Bench: ${SURFACES} surfaces`, climateZone: '6A' }
const job = (await post('/api/jobs', { version: null, units: 'us', fields })).id
const add = (i) =>
  post(`/api/jobs/${job}/surfaces`, {
    version: null,
    units: 'us',
    fields: { name: `Surface ${i}`, kind: 'studWall', size: "24' x 9'", sheet: 'marl-cc-20', thickness: '3' },
  })
for (let i = 0; i < SURFACES; i += AT_ONCE) {
  await Promise.all(Array.from({ length: Math.min(AT_ONCE, SURFACES - i) }, (_, k) => add(i + k + 1)))
}
// The figures are kept by now; what is timed is the page.
await page.request.get(`/api/jobs/${job}/board`)

// As fast as a wheel is turned by an impatient hand: some seven thousand pixels a second.
const TURN = 120

/** How long the frames take while the page is scrolled. */
const scrolled = () =>
  page.evaluate(async (turn) => {
    const frames = []
    const most = Math.min(document.documentElement.scrollHeight, 200 * turn)
    let last = await new Promise(requestAnimationFrame)
    for (let top = 0; top < most; top += turn) {
      window.scrollTo(0, top)
      const now = await new Promise(requestAnimationFrame)
      frames.push(now - last)
      last = now
    }
    return frames
  }, TURN)

/** From a key to the frame that shows it. */
async function keyed(key, times) {
  await page.evaluate(() => {
    window.seen = []
    addEventListener(
      'keydown',
      (event) => requestAnimationFrame(() => setTimeout(() => window.seen.push(performance.now() - event.timeStamp))),
      true,
    )
  })
  for (let i = 0; i < times; i++) {
    await page.keyboard.press(key)
    await page.waitForTimeout(60)
  }
  return page.evaluate(() => window.seen)
}

const nodes = () => page.evaluate(() => document.querySelectorAll('*').length)
const sights = {
  board: ['a.title', '[data-row]', 'j'],
  grid: [`a[href^="/jobs/${job}/survey"]`, '[data-cell="0.name"]', 'ArrowDown'],
}
for (const [what, [link, sign, key]] of Object.entries(sights)) {
  const shown = []
  for (let i = 0; i < 5; i++) {
    await page.goto(`/jobs/${job}/price`)
    await page.waitForLoadState('networkidle')
    // Within the product: the code is there, the answer may be.
    const start = performance.now()
    await page.locator(link).first().click()
    await page.locator(sign).first().waitFor()
    shown.push(performance.now() - start)
  }
  console.log(`${what} of ${SURFACES}: shown ${told(shown)}; ${await nodes()} nodes`)
  await page.locator(sign).first().click({ trial: true })
  console.log(`${what}: frames while scrolling ${told(await scrolled())}`)
  await page.evaluate(() => window.scrollTo(0, 0))
  await page.waitForTimeout(300)
  if (what === 'grid') await page.locator(sign).first().focus()
  else await page.locator('body').click({ position: { x: 5, y: 300 } })
  console.log(`${what}: from a key to its frame ${told(await keyed(key, 40))}`)
}
await browser.close()
