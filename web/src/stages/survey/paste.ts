import { fields, type Field } from './columns'

export type PastedRow = Partial<Record<Field, string>>

const bare = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')

/**
 * Cells copied from a spreadsheet, as rows of the grid. Where the first line names columns the cells go where it says;
 * otherwise they go right from the cell they were pasted at.
 * @param text Lines of cells parted by tabs.
 * @param from The column they are pasted at.
 * @param label What a column is called on the screen.
 */
export function pastedRows(text: string, from: Field, label: (field: Field) => string): PastedRow[] {
  const lines = linesOf(text)
  const header = headerOf(lines[0] ?? [], label)
  const columns = header ?? fields.slice(fields.indexOf(from))
  return lines.slice(header ? 1 : 0).map((cells) => {
    const row: PastedRow = {}
    cells.forEach((cell, i) => {
      const field = columns[i]
      if (field) row[field] = cell.trim()
    })
    return row
  })
}

/** A cell that holds a line break is quoted, with its own quotes doubled. */
function linesOf(text: string): string[][] {
  const lines: string[][] = [[]]
  for (const [, quoted, plain, end] of text
    .replace(/\r\n?/g, '\n')
    .matchAll(/(?:"((?:[^"]|"")*)"(?=[\t\n]|$)|([^\t\n]*))(\t|\n|$)/g)) {
    lines.at(-1)!.push((quoted?.replace(/""/g, '"').replace(/\n/g, ' ') ?? plain)!)
    if (end === '\n') lines.push([])
    if (end === '') break
  }
  return lines.filter((cells) => cells.some((cell) => cell.trim()))
}

/** Which column each cell of a line names; null where the line is no header. */
function headerOf(cells: readonly string[], label: (field: Field) => string): (Field | undefined)[] | null {
  const named = cells.map((cell) =>
    fields.find((field) => bare(cell) === bare(label(field)) || bare(cell) === bare(field)),
  )
  const known = named.filter(Boolean).length
  const filled = cells.filter((cell) => cell.trim()).length
  return named.includes('name') && known * 2 >= filled && filled > 1 ? named : null
}
