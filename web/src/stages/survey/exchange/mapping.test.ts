import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { shown } from '@/shared/testing/shown'
import PickOne from '@/shared/ui/PickOne.vue'
import ColumnMapping from './ColumnMapping.vue'

const found = (rest: object = {}) => ({
  columns: [
    { header: 'Wall', field: 'name', unit: '' },
    { header: 'W', field: '', unit: '' },
  ],
  decimalComma: false,
  delimiter: ';',
  encoding: 'utf-8',
  remembered: false,
  ...rest,
})

const mapping = (rest?: object) =>
  shown(ColumnMapping, { found: found(rest) }, (queries) =>
    queries.setQueryData(['choices'], { importFields: ['name', 'size', 'width'], importUnits: ['ft', 'm'] }),
  )

beforeEach(() => setActivePinia(createPinia()))

describe('columns of a table that is taken in', () => {
  it('offer a field once', async () => {
    const screen = await mapping()
    const open = screen
      .findAllComponents(PickOne)[2]!
      .props('options')
      .filter((one) => !one.disabled)
    expect(open.map((one) => one.value)).toEqual(['', 'size', 'width'])
  })

  it('tell which field and unit each is, and the comma, at every change', async () => {
    const screen = await mapping()
    const [, , field, unit] = screen.findAllComponents(PickOne)
    await field!.setValue('width')
    await unit!.setValue('m')
    await screen.find('input[type=checkbox]').setValue(true)
    const [columns, comma] = screen.emitted('change')!.at(-1) as [{ field: string; unit: string }[], boolean]
    expect(columns[1]).toMatchObject({ field: 'width', unit: 'm' })
    expect(comma).toBe(true)
  })

  it('are shown anew where the file was read anew, and a workbook has neither delimiter nor comma', async () => {
    const screen = await mapping()
    await screen.setProps({ found: found({ columns: [{ header: 'Name', field: 'name', unit: '' }], delimiter: null }) })
    expect(screen.findAll('[role=rowheader]').map((head) => head.text())).toEqual(['Name'])
    expect(screen.find('input[type=checkbox]').exists()).toBe(false)
  })
})
