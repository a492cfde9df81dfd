import type { Schemas } from '@/shared/api/client'
import type { SheetCurve, SheetLine } from './sheets'

type Units = Schemas['UnitSystem']

/** Whether a text is a number and nothing else: what it measures depends on who reads it. */
export const isBare = (text: string) => /^\s*[-−–+]?[\d\s.,/½¼¾⅛⅜⅝⅞]+$/.test(text) && /[\d½¼¾⅛⅜⅝⅞]/.test(text)

// R stands before the figure it is the unit of.
const unitIn = (printed: string) => (printed.startsWith('R-') ? 'R' : printed.replace(/^[-−\d.,\s/]+/, '').trim())

/** The unit a field's figures are printed in; empty where it has none, or where nothing of it has been read yet. */
export function unitOf(
  field: string,
  { lines, curves }: { lines: readonly SheetLine[]; curves: readonly SheetCurve[] },
  units: Units,
): string {
  const line = lines.find(({ path }) => path === field)
  if (line) return line.figure ? unitIn(line.figure[units]) : ''
  const curve = curves.find(({ path }) => field.startsWith(`${path}.`))
  const point = curve?.points[0]
  if (!curve || !point) return ''
  return unitIn((field.endsWith(`.${curve.x}`) ? point.x : point.y)[units])
}
