import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, watch } from 'vue'
import { connection } from '@/shared/keeping/connection'
import { entriesBelongTo, shelf } from '@/shared/keeping/entries'
import { useReader } from '@/shared/state/reader'
import { shown } from '@/shared/testing/shown'
import { laidWall } from './laidWall'
import { useSectionDesk } from './useSectionDesk'

const kept = vi.hoisted(() => ({
  thicknessMm: 50,
  version: 1,
  asked: [] as (() => void)[],
  slow: false,
  sent: [] as number[],
  said: [] as (string | undefined)[],
}))

vi.mock('@/shared/api/client', async (original) => {
  const real = await original<typeof import('@/shared/api/client')>()
  const ok = (data: unknown) => ({ data, response: { ok: true, headers: new Headers() } })
  const surface = () => ({ id: 's', name: 'Wall', version: kept.version, thickness: null })
  const figuresOf = (mm: number) => ({ thickness: { figure: { amount: mm / 1000, us: '', metric: `${mm} as read` } } })
  const section = () => {
    const question = { sheetId: 'c', thicknessMm: kept.thicknessMm, members: {} }
    return ok({ question, laid: laidWall({ foam: kept.thicknessMm }), answer: null })
  }
  return {
    ...real,
    api: {
      GET: async (path: string) => {
        if (path.endsWith('/surfaces')) return ok([surface()])
        if (!path.endsWith('/section')) return ok({ sheets: [] })
        if (kept.slow) await new Promise<void>((go) => kept.asked.push(go))
        return section()
      },
      PATCH: (path: string, { body }: { body: { thicknessMm: number } }) => {
        expect(path).toBe('/api/surfaces/{id}/thickness')
        kept.sent.push(body.thicknessMm)
        kept.said.push(shelf.value.get('surface.s', 'face.thickness')?.text)
        kept.thicknessMm = body.thicknessMm
        kept.version++
        return Promise.resolve(ok(surface()))
      },
      POST: (_: string, { body }: { body: { thicknessMm: number } }) =>
        Promise.resolve(ok({ figures: figuresOf(body.thicknessMm), laid: laidWall({ foam: body.thicknessMm }) })),
    },
  }
})

async function desk() {
  let given!: ReturnType<typeof useSectionDesk>
  const Host = defineComponent({
    setup() {
      given = useSectionDesk(
        () => 'j',
        () => 's',
      )
      return () => h('i')
    },
  })
  await shown(Host)
  await flushPromises()
  return given
}

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
  entriesBelongTo(`person ${Math.random()}`)
  Object.assign(connection, { lost: false, tries: 0 })
  Object.assign(kept, { thicknessMm: 50, version: 1, slow: false, sent: [], said: [], asked: [] })
  useReader().units = 'metric'
})

describe('the desk of a section', () => {
  it('keeps what the hand left, and goes on from there however late the page hears of it', async () => {
    const at = await desk()
    expect(at.thicknessMm.value).toBe(50)
    kept.slow = true
    at.move(75)
    await at.drop()
    expect(kept.sent).toEqual([75])
    // Nothing waits longer than three seconds for a page that is slow to be computed; the draft is gone by now.
    await flushPromises()
    expect(at.typed.value).toBeNull()
    expect(at.thicknessMm.value).toBe(75)
    at.nudge(1, 'small')
    expect(at.thicknessMm.value).toBe(80)
    void at.drop()
    await vi.waitFor(() => expect(kept.sent).toEqual([75, 80]))
  }, 10_000)

  it('goes to the thinnest and the thickest that can be rated, and not beyond', async () => {
    const at = await desk()
    at.nudge(1, 'end')
    expect(at.thicknessMm.value).toBe(at.mostMm.value)
    at.nudge(1, 'large')
    expect(at.thicknessMm.value).toBe(at.mostMm.value)
    at.nudge(-1, 'end')
    expect(at.thicknessMm.value).toBe(5)
    await at.drop()
  })

  it('never falls back to an older thickness between keeping and hearing of it', async () => {
    const at = await desk()
    const seen: number[] = []
    watch(at.thicknessMm, (mm) => seen.push(mm), { flush: 'sync' })
    for (const mm of [75, 80, 95]) {
      at.move(mm)
      await at.drop()
      await vi.waitFor(() => expect(at.answer.value).toBeNull())
    }
    expect(seen).toEqual([75, 80, 95])
  })

  it('says how a thickness reads by the answer to it, and never by one to an older thickness', async () => {
    const at = await desk()
    at.move(75)
    await flushPromises()
    void at.drop()
    await vi.waitFor(() => expect(kept.said).toEqual(['75\n75 as read']))
    at.move(80)
    void at.drop()
    await vi.waitFor(() => expect(kept.said).toEqual(['75\n75 as read', '80\n80 mm']))
  })

  it('shows what is kept once it has it', async () => {
    const at = await desk()
    at.move(75)
    await at.drop()
    await flushPromises()
    expect(at.thicknessMm.value).toBe(75)
    expect(at.answer.value).toBeNull()
  })
})
