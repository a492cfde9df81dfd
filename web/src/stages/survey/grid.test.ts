import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { i18n } from '@/i18n'
import { ApiProblem } from '@/shared/api/client'
import { keepWith } from '@/shared/keeping/editor'
import { entriesBelongTo } from '@/shared/keeping/entries'
import '@/shared/keeping/records'
import { useSurveyGrid, type SurveyGrid } from './grid'

interface Body {
  id: string
  version: number
  fields: Record<string, string>
}
interface Row {
  id: string
  name: string
  repeats: number
  version: number
}
const rows: Row[] = []
const before = new Map<string, Row>()
const refuse = vi.fn<(id: string, body: Body) => unknown>()

vi.mock('@/shared/api/client', async (original) => {
  const real = await original<typeof import('@/shared/api/client')>()
  const ok = (data: unknown) => Promise.resolve({ data, response: { ok: true, headers: new Headers() } })
  type Asked = { params: { path: { id: string } }; body: Body }
  const rowAt = (id: string) => rows.find((one) => one.id === id)!
  return {
    ...real,
    api: {
      GET: () => ok(rows.map((row) => ({ ...row }))),
      PATCH: (_: string, { params, body }: Asked) => {
        const problem = refuse(params.path.id, body)
        if (problem) return Promise.reject(problem as Error)
        const row = rowAt(params.path.id)
        before.set(body.id, { ...row })
        Object.assign(row, body.fields, { version: row.version + 1 })
        return ok({ ...row })
      },
      POST: (path: string, { params, body }: Asked) => {
        if (path.endsWith('/undo')) {
          const was = before.get(params.path.id)!
          const row = rowAt(was.id)
          before.set(body.id, { ...row })
          Object.assign(row, was, { version: row.version + 1 })
          return ok({ recordId: row.id, version: row.version })
        }
        const added = { id: `new ${rows.length}`, repeats: 1, version: 1, name: body.fields.name! }
        rows.push(added)
        return ok({ ...added })
      },
      DELETE: (_: string, { params }: Asked) => {
        rows.splice(rows.indexOf(rowAt(params.path.id)), 1)
        return ok(undefined)
      },
    },
  }
})

let count = 0
async function gridOf(): Promise<{ grid: SurveyGrid; job: string }> {
  const job = `job ${++count}`
  const queryClient = new QueryClient()
  keepWith(queryClient)
  let grid!: SurveyGrid
  mount(
    { setup: () => ((grid = useSurveyGrid(job)), () => null) },
    { global: { plugins: [i18n, [VueQueryPlugin, { queryClient }]] } },
  )
  await flushPromises()
  return { grid, job }
}

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
  entriesBelongTo(`person ${Math.random()}`)
  refuse.mockReset()
  rows.splice(
    0,
    rows.length,
    { id: 'a', name: 'North', repeats: 1, version: 1 },
    { id: 'b', name: 'South', repeats: 1, version: 1 },
  )
})

describe('the survey grid', () => {
  it('shows what is typed, keeps it when the cell is left, and counts what is not kept', async () => {
    const { grid } = await gridOf()
    const row = grid.rows.value[0]!
    grid.type(row, 'name', 'North wall')
    expect([grid.valueOf(row, 'name'), grid.unsaved.value]).toEqual(['North wall', 1])
    await grid.commit(row, 'name')
    expect(rows[0]!.name).toBe('North wall')
    expect(grid.unsaved.value).toBe(0)
  })

  it('leaves a slip at its cell and keeps the others of the row', async () => {
    const { grid } = await gridOf()
    refuse.mockImplementation((_, { fields }) =>
      fields.repeats === 'many'
        ? new ApiProblem(400, '', [{ field: 'repeats', code: 'notANumber', typed: 'many' }], null)
        : null,
    )
    await grid.take(0, [{ name: 'North wall', repeats: 'many' }])
    expect(rows[0]).toMatchObject({ name: 'North wall', repeats: 1 })
    expect(grid.faultOf('a', 'repeats')).toContain('“many” is not a number')
    expect(grid.waits('a', 'repeats')).toBe(true)
    grid.forget('a', 'repeats')
    expect(grid.unsaved.value).toBe(0)
  })

  it('takes a paste as one step: into rows that are there, and new ones after them', async () => {
    const { grid, job } = await gridOf()
    await grid.take(1, [{ name: 'South wall' }, { name: 'Deck', repeats: '2' }])
    expect(rows.map((row) => row.name)).toEqual(['North', 'South wall', 'Deck'])
    const { stepsOf } = await import('@/shared/keeping/steps')
    await stepsOf(job).undo()
    expect(rows.map((row) => row.name)).toEqual(['North', 'South'])
    expect(stepsOf(job).canUndo.value).toBe(false)
  })

  it('asks where someone else changed the same cell, and puts a cell nobody touched on top', async () => {
    const { grid } = await gridOf()
    const row = grid.rows.value[0]!
    Object.assign(rows[0]!, { name: 'Theirs', version: 9 })
    refuse.mockImplementation((_, { version }) => (version === 9 ? null : new ApiProblem(409, '', [], { ...rows[0]! })))
    grid.type(row, 'repeats', '3')
    await grid.commit(row, 'repeats')
    expect(rows[0]).toMatchObject({ name: 'Theirs', repeats: '3' })
    expect(grid.conflicts.value).toEqual([])

    const south = grid.rows.value[1]!
    Object.assign(rows[1]!, { name: 'Theirs too', version: 9 })
    refuse.mockImplementation((_, { version }) => (version === 9 ? null : new ApiProblem(409, '', [], { ...rows[1]! })))
    grid.type(south, 'name', 'Mine')
    await grid.commit(south, 'name')
    expect(grid.conflicts.value).toEqual([{ surface: 'b', field: 'name', mine: 'Mine', theirs: 'Theirs too' }])
    grid.decide('b', 'name', 'mine')
    await vi.waitFor(() => expect(rows[1]!.name).toBe('Mine'))
  })
})
