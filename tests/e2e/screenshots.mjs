// One current picture of each main view, from the demo.
import { chromium } from '@playwright/test'

const [base, out] = process.argv.slice(2)
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })

async function shoot(name, path, sign, before) {
  await page.goto(base + path)
  await page.getByText(sign).first().waitFor()
  await before?.()
  await page.waitForTimeout(700)
  await page.screenshot({ path: `${out}/${name}.png` })
}

await page.goto(base + '/sign-in')
await page.getByLabel('Sign-in name').fill('owner@ninthacre.example')
await page.getByLabel('Password').fill('umbra-demo')
await page.getByRole('button', { name: 'Sign in' }).click()
await page.getByRole('heading', { name: 'Jobs' }).waitFor()

const jobs = await (await page.request.get(`${base}/api/jobs`)).json()
const find = async (name) => {
  const job = jobs.find((one) => one.job.name.includes(name)).job.id
  const { rows } = await (await page.request.get(`${base}/api/jobs/${job}/board`)).json()
  return { job, surface: (start) => rows.find((row) => row.name.startsWith(start)).id }
}
const ferry = await find('ferry house')
const at = (place, stage, name) => `/jobs/${place.job}/${stage}/${place.surface(name)}`

await shoot('jobs', '/', 'Skerrow', () => page.getByText('being updated').first().waitFor({ state: 'hidden' }))
await shoot('board', `/jobs/${ferry.job}`, 'Slip hall walls')
await shoot('survey', `/jobs/${ferry.job}/survey`, 'Treated')
const orchid = await find('orchid')
await shoot('survey-surface', at(orchid, 'survey/surface', 'Potting house floor'), 'Vapour drive and faces')
await shoot('choose', at(ferry, 'choose', 'Teaching wing walls'), 'What would change the choice')
await shoot('section', at(ferry, 'section', 'Teaching wing ceiling'), 'foam alone, aged')
await shoot('sets', at(ferry, 'sets', 'Slip hall roof'), 'sets to load')
await page.request.patch(`${base}/api/jobs/${ferry.job}`, {
  data: { version: null, units: 'us', fields: { workDate: '2026-10-20' } },
})
await page.request.post(`${base}/api/jobs/${ferry.job}/bids`)
await page.request.patch(`${base}/api/jobs/${ferry.job}`, {
  data: { version: null, units: 'us', fields: { workDate: '2027-01-18' } },
})
await shoot('price', `/jobs/${ferry.job}/price`, 'Save this quote', async () => page.mouse.wheel(0, 120))
await shoot('product-sheet', '/sheets/marl-cc-20', 'Jobs that use it', async () => page.mouse.wheel(0, 150))
await page.request.patch(`${base}/api/jobs/${ferry.job}`, {
  data: { version: null, units: 'us', fields: { workDate: '' } },
})
await shoot('window', at(ferry, 'window', 'Slip hall roof'), 'Opens it earlier', () =>
  page.getByRole('slider', { name: 'Hours ahead' }).press('PageUp'),
)
await shoot('workings', at(ferry, 'section', 'Teaching wing walls'), 'foam alone, aged', async () => {
  await page.getByRole('button', { name: /^U-/ }).first().click()
  await page.getByText('pocket calculator').waitFor()
})
const wall = at(ferry, 'rig', 'Teaching wing walls').split('/').at(-1)
const post = (path, fields) =>
  page.request.post(`${base}/api/surfaces/${wall}/${path}`, { data: { version: null, units: 'us', fields } })
await post('rig-settings', { tip: '01' })
const seen = { skin: 'smooth', cells: 'fine', colour: 'dark', feel: 'brittle', adhesion: 'holds' }
await post('test-shots', { cream: '2.1', tackFree: '11', ...seen })
await shoot('rig', at(ferry, 'rig', 'Teaching wing walls'), 'Do this next')
await shoot('prove', at(ferry, 'prove', 'Basement walls'), 'Places to read')
await page.setViewportSize({ width: 820, height: 1180 })
await shoot('window-tablet', at(ferry, 'window', 'Basement walls'), 'Opens it earlier')
await page.setViewportSize({ width: 390, height: 844 })
await shoot('board-phone', `/jobs/${ferry.job}`, 'Slip hall walls')
await shoot('pocket-phone', '/pocket/dew', 'Type the figures', async () => {
  for (const [field, text] of Object.entries({ air: '70 F', humidity: '55 %', surface: '58 F' }))
    await page.locator(`input[name=${field}]`).fill(text)
  await page.locator('.result .first').waitFor()
})
await shoot('section-phone', at(ferry, 'section', 'Band joists'), 'foam alone, aged')
await page.evaluate(() => localStorage.setItem('theme', 'attic'))
const { rig } = await (await page.request.get(`${base}/api/surfaces/${wall}/rig`)).json()
const say = async (path, fields) =>
  (await page.request.post(`${base}${path}`, { data: { version: null, units: 'us', fields } })).json()
const run = await say(`/api/rigs/${rig}/sequence-runs`, { kind: 'dayStart', job: ferry.job })
for (const step of ['hosesSeen', 'engineSeen', 'breakersOff', 'engineStarted', 'engineSteady', 'compressorOil'])
  await say(`/api/sequence-runs/${run.id}/marks`, { [step]: 'done' })
await shoot('sequence-phone', `/sequences/${run.id}?surface=${wall}`, 'Meanwhile you can do this')
await shoot('spray-phone', at(ferry, 'spray', 'Band joists'), 'Lift 2 of 2')
await browser.close()
