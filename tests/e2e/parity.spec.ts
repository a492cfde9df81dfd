import type { Page } from '@playwright/test'
import { differences, Numbers } from './numbers'
import { expect, signIn, test } from './product'
import { demoQuestions, kinds, type Question } from './variations'

// A sample of what "./test hard" asks by the thousand. A choice weighs some fifteen systems, and costs the browser as much as ten of
// any other question.
const ASKED = Number(process.env.UMBRACELL_PARITY ?? 28)
const casesOf = (name: string) => (name === 'choice' ? ASKED / 4 : ASKED)

/** Answers of the core beside the page and of the server. Most are the same to the last letter. */
type Both = 'same' | { here: string | null; there: string; ok: boolean }

interface Door {
  Names(): string[]
  TakeSupplies(supplies: string): void
  Answer(name: string, question: string): string | null
}

/** Starts the core in a page that nothing else is shown in. */
async function openDoor(page: Page) {
  await signIn(page)
  await page.goto('/healthz')
  await page.evaluate(async () => {
    const address = '/core/dotnet.js'
    const { dotnet } = await import(address)
    const runtime = await dotnet.create()
    const { Door } = await runtime.getAssemblyExports(runtime.getConfig().mainAssemblyName)
    Door.TakeSupplies(await (await fetch('/api/supplies')).text())
    Object.assign(globalThis, { door: Door })
  })
}

const askBoth = (page: Page, name: string, cases: Question[]) =>
  page.evaluate(
    async ({ name, cases }) => {
      const { door } = globalThis as unknown as { door: Door }
      const headers = { 'content-type': 'application/json' }
      const one = async (question: Question): Promise<Both> => {
        const body = JSON.stringify(question)
        const answer = fetch(`/api/compute/${name}`, { method: 'POST', headers, body })
        const here = door.Answer(name, body)
        const response = await answer
        const there = await response.text()
        return here === there ? 'same' : { here, there, ok: response.ok }
      }
      const AT_ONCE = 10
      const answers: Both[] = []
      for (let i = 0; i < cases.length; i += AT_ONCE) {
        answers.push(...(await Promise.all(cases.slice(i, i + AT_ONCE).map(one))))
      }
      return answers
    },
    { name, cases },
  )

test('every question that the core in the browser answers is put to both', async ({ page }) => {
  await openDoor(page)
  const names = await page.evaluate(() => (globalThis as unknown as { door: Door }).door.Names())
  expect(names.toSorted()).toEqual(Object.keys(kinds).toSorted())
})

for (const [name, kind] of Object.entries(kinds)) {
  const cases = casesOf(name)
  test(`the core in the browser and the server give the same answers to ${cases} random ${name} questions`, async ({
    page,
  }) => {
    test.setTimeout(1_800_000)
    await openDoor(page)
    const [bases, random] = [await demoQuestions(page, name), new Numbers(20261123)]
    expect(bases.length).toBeGreaterThan(3)
    const both = await askBoth(
      page,
      name,
      Array.from({ length: cases }, () => kind.varied(bases, random)),
    )
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
    expect(compared).toBeGreaterThan(cases * 0.8)
  })
}
