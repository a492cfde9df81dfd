import { expect, it } from 'vitest'
import en from './en.json'

const messages = (node: object, path = ''): [string, string][] =>
  Object.entries(node).flatMap(([key, value]) =>
    typeof value === 'object' && value !== null
      ? messages(value as object, `${path}${key}.`)
      : [[path + key, String(value)]],
  )
const holding = (words: RegExp) => messages(en).filter(([, text]) => words.test(text))

// What made people stop and read again, with what is said instead: see the glossary.
it.each([
  ['save, add', /\bt(ake|akes|aken|ook) down\b/i],
  ['delete, subtract', /\bt(ake|akes|aken|ook) (\{\w+\} |it |the \w+ )?off\b/i],
  ['remove, undo', /\bt(ake|akes|aken|ook) (\{\w+\} |it )?(away|back)\b/i],
  ['calculated', /\breckon/i],
  ['is, is allowed', /\bstands?\b|\bstanding\b(?!\})/i],
  ['median', /\bas often (enough )?as not\b/i],
  ['trimmed off', /\bgoes in the bags\b/i],
  ['absorbs water', /\bdrinks?\b/i],
  ['conditions', /\bbears? on\b/i],
  ['quote', /\bbids?\b/i],
  ['prior', /\bwhat was thought\b/i],
  ['import', /\b(brought|bring|brings) in\b/i],
  ['repaired', /\bmend(ed|ing)?\b/i],
  ['again', /\banew\b/i],
  ['needs', /\bwants\b/i],
])('says “%s” for what people stopped at', (_, words) => {
  expect(holding(words)).toEqual([])
})

it('raises its voice nowhere', () => expect(holding(/!/)).toEqual([]))

// Figures are printed in the reader's units; a unit written out in a message would be the other reader's.
const UNIT = new RegExp(
  String.raw`(?<![\p{L}{])(?:inch(?:es)?|feet|ft[²³]?|board f(?:oo|ee)t|bd ft|°[CF]|psi|psf|lbs?|gal|cfm|Btu\S*|mm|metres?|` +
    String.raw`millimetres?|m[²³]|kPa|kg\S*|lit(?:re|er)s?|kelvins?|kJ\S*|W/\S+|(?<=\d )(?:in|K|W|m|foot))(?![\p{L}-])`,
  'iu',
)
const OF_ONE_SYSTEM = [
  // Fields of one system, or of both.
  /^app\.units\./,
  /(Hint|lead|Lead)(Metric)?$/,
  /^survey\.thermal\.fahrenheit$/,
  /^problem\.field\.inchesOverAFoot$/,
  // Words for what they are not: the foot of a building, the edition of a code, the bare numbers of a formula.
  /^figure\./,
  /^survey\.building\.(winter|summer)Stack$/,
  /^cited\.(airColumns|crewDepths|roofTable)$/,
]
it('writes no unit of one system into a message', () => {
  expect(holding(UNIT).filter(([path]) => !OF_ONE_SYSTEM.some((one) => one.test(path)))).toEqual([])
})
