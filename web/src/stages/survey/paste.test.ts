import { describe, expect, it } from 'vitest'
import { i18n } from '@/i18n'
import { pastedRows } from './paste'

const label = (field: string) => i18n.global.t(`survey.col.${field}`)
const rows = (text: string, from: Parameters<typeof pastedRows>[1] = 'name') => pastedRows(text, from, label)

describe('cells pasted into the survey', () => {
  it('go right and down from the cell they were pasted at', () => {
    expect(rows("24' x 9'\t2 x 3' x 4'\n30' x 8'\t\n", 'size')).toEqual([
      { size: "24' x 9'", openings: "2 x 3' x 4'" },
      { size: "30' x 8'", openings: '' },
    ])
  })

  it('go where a line of headers says, whatever the order, and the headers make no surface', () => {
    expect(rows("Size\tSurface\tRemarks\n24' x 9'\tNorth wall\tdamp\n")).toEqual([
      { size: "24' x 9'", name: 'North wall' },
    ])
    expect(rows('NAME\tKind\nNorth wall\tstud wall')).toEqual([{ name: 'North wall', kind: 'stud wall' }])
  })

  it('of a surface that happens to be called like a column are no header', () => {
    expect(rows("Size\tstud wall\trectangle\t24' x 9'")).toEqual([
      { name: 'Size', kind: 'stud wall', shape: 'rectangle', size: "24' x 9'" },
    ])
  })

  it('keep a quoted line break in its cell, and leave out what lies past the last column and lines without a word', () => {
    expect(rows('"North\nwall ""A"""\tstud wall\n\t\n\nSouth wall\tstud wall\r\n')).toEqual([
      { name: 'North wall "A"', kind: 'stud wall' },
      { name: 'South wall', kind: 'stud wall' },
    ])
    expect(rows('at the sill\tmore\tand more', 'openLeak')).toEqual([{ openLeak: 'at the sill' }])
  })

  it('may hold a quote that is an inch', () => {
    expect(rows('36" x 80"\t3', 'size')).toEqual([{ size: '36" x 80"', openings: '3' }])
  })
})
