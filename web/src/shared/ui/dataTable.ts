import { markRaw, type Directive } from 'vue'

/** One column of a table: what it is called, and what a line says in it. */
export interface Column<Row> {
  /** Also the name of the slot that shows more than words. */
  key: string
  /** Empty where the content says itself what it is. */
  label: string
  text?: (row: Row) => string | number
  /** Figures stand under one another, at the right. */
  figure?: boolean
  /** Sentences: on a phone they have a line of their own. */
  long?: boolean
  /** What only a hand can use is left away on paper. */
  onScreenOnly?: boolean
  class?: string | ((row: Row) => string)
}

/** Said by screen readers before every other cell of the line. */
export const vHeadsLine: Directive<HTMLElement, boolean> = {
  mounted(content, { value }) {
    if (value) content.closest('td')?.setAttribute('role', 'rowheader')
  },
}

/** Up to so many columns a table fits a phone, or a tablet held upright, as it is. */
export const FITS = { phone: 3, tablet: 8 } as const

/** A line as the table of the library is given it, with its place in the whole. The library watches what it is given to the last
 *  working of every figure, which takes seconds in long tables; a line marked raw it leaves alone. */
export class Line<Row> {
  constructor(
    readonly row: Row,
    readonly index: number,
  ) {
    markRaw(this)
  }
}

/** Stands in a long table for the lines above and below the screen, which are not drawn. */
export class Gap {
  constructor(
    readonly key: 'above' | 'below',
    readonly height: number,
  ) {}
}
