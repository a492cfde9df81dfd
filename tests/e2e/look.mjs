import { chromium } from '@playwright/test'
const [base, out, list, size = '1280x800', theme = 'daylight', units = 'us', who = 'owner@ninthacre.example'] = process.argv.slice(2)
const [width, height] = size.split('x').map(Number)
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] })
const page = await browser.newPage({ viewport: { width, height } })
page.on('console', m => m.type() === 'error' && console.log('console:', m.text()))
page.on('pageerror', e => console.log('pageerror:', e.message))
await page.goto(base + '/sign-in')
await page.evaluate(t => localStorage.setItem('theme', t), theme)
if (list.split(',').includes('signin')) await page.screenshot({ path: `${out}-signin.png` })
await page.fill('input[autocomplete=username]', who)
await page.fill('input[type=password]', 'umbra-demo')
await page.click('button[type=submit]')
await page.waitForSelector('.cards')
if (units === 'metric') await page.keyboard.press('u')
const jobs = await (await page.request.get(base + '/api/jobs')).json()
const job = jobs[process.env.JOB ? 1 : 0].job.id
const rows = (await (await page.request.get(`${base}/api/jobs/${job}/board`)).json()).rows
const id = n => rows.find(r => r.name.startsWith(n)).id
for (const one of list.split(',')) {
  const [view, name] = one.split(':')
  if (view === 'signin') continue
  const path = { jobs: '/', board: `/jobs/${job}`, survey: `/jobs/${job}/survey` }[view] ?? `/jobs/${job}/${view}/${id(name)}`
  await page.goto(base + path)
  await page.waitForTimeout(1200)
  if (units === 'metric') { await page.evaluate(() => document.activeElement?.blur()); }
  await page.screenshot({ path: `${out}-${view}.png`, fullPage: process.env.FULL === '1' })
}
await browser.close()
