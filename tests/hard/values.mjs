// Values by a JSON schema: such as it asks for, and such as nobody expects.

const MOST_DEEP = 12

const ODD_TEXTS = [
  '',
  ' ',
  'a\u0000b',
  '\ud800',
  'x'.repeat(50_000),
  '\uff1d1+1',
  '=1+1',
  '\u202e\u2066abc',
  '{name}',
  '%s %n',
  'NaN',
  '1e400',
  '-0',
  '12 ft 99 in',
  '\u4f60\u597d \u{1f600}',
  'THIRTEENLETTER',
  '9999-12-31T23:59:59Z',
  '0001-01-01T00:00:00Z',
  '2026-02-30T00:00:00Z',
  '00000000-0000-0000-0000-000000000000',
  'null',
  "'; drop table jobs; --",
]

const ORDINARY_TEXTS = [
  'North wall',
  '12 ft x 8 ft',
  '6 in',
  '65 F',
  '40 %',
  '140 mm',
  'metric',
  'us',
  '2 x 3 ft',
  '12',
  '0.045',
]

export const textOf = (die) => die.of(die.is(0.15) ? ODD_TEXTS : ORDINARY_TEXTS)

/** A value such as the schema asks for. */
export function bodyOf(die, schema, description, ids, deep = 0) {
  if (!schema || deep > MOST_DEEP) return null
  if (schema.$ref) return bodyOf(die, described(schema.$ref, description), description, ids, deep + 1)
  if (schema.enum) return die.of(schema.enum)
  const choices = schema.oneOf ?? schema.anyOf
  if (choices) return bodyOf(die, die.of(choices), description, ids, deep + 1)
  const types = [schema.type ?? 'object'].flat()
  const type =
    types.includes('null') && types.length > 1 && !die.is(0.2) ? types.find((one) => one !== 'null') : die.of(types)
  switch (type) {
    case 'null':
      return null
    case 'boolean':
      return die.is(0.5)
    case 'integer':
      return Math.round(numberOf(die, schema))
    case 'number':
      return numberOf(die, schema)
    case 'array':
      return Array.from({ length: die.below(4) }, () => bodyOf(die, schema.items, description, ids, deep + 1))
    case 'string':
      return wordOf(die, schema, ids)
    default:
      return objectOf(die, schema, description, ids, deep)
  }
}

function described(reference, description) {
  return reference
    .slice(2)
    .split('/')
    .reduce((at, part) => at?.[part], description)
}

function objectOf(die, schema, description, ids, deep) {
  const made = {}
  const must = new Set(schema.required ?? [])
  for (const [name, property] of Object.entries(schema.properties ?? {}))
    if (must.has(name) || die.is(0.5)) made[name] = bodyOf(die, property, description, ids, deep + 1)
  if (typeof schema.additionalProperties === 'object')
    for (const name of ['name', 'size', 'thickness', 'openings', 'kind'].filter(() => die.is(0.5)))
      made[name] = bodyOf(die, schema.additionalProperties, description, ids, deep + 1)
  return made
}

function numberOf(die, schema) {
  const low = schema.minimum ?? schema.exclusiveMinimum ?? -10
  const high = schema.maximum ?? schema.exclusiveMaximum ?? low + 300
  return die.is(0.1)
    ? die.of([low, high, 0, -1, 1e308, 1e-308, 2 ** 53])
    : die.between(Math.max(low, -1e6), Math.min(high, 1e6))
}

function wordOf(die, schema, ids) {
  if (schema.format === 'uuid') return die.of(ids)
  if (schema.format === 'date-time') return die.of(['2026-11-20T08:00:00Z', '2026-11-23T12:00:00+01:00'])
  if (schema.format === 'date') return '2026-11-20'
  if (schema.format === 'byte')
    return Buffer.from(
      die.of(['name,length,height\nwall,12,9\n', '', '\u0000', '<gbXML/>', 'PK\u0003\u0004']),
    ).toString('base64')
  return textOf(die)
}

/** The same value with one to three places in it spoilt. */
export function spoilt(die, value, ids) {
  const root = { value: structuredClone(value) }
  for (let times = 1 + die.below(3); times > 0; times -= 1) {
    const places = []
    walk(root, places)
    if (places.length === 0) break
    const [holder, key] = die.of(places)
    if (die.is(0.15)) delete holder[key]
    else holder[key] = odd(die, ids)
  }
  return root.value
}

function walk(holder, places) {
  for (const key of Object.keys(holder)) {
    places.push([holder, key])
    if (holder[key] && typeof holder[key] === 'object') walk(holder[key], places)
  }
}

function odd(die, ids) {
  const makers = [
    () => null,
    () => die.of(ODD_TEXTS),
    () => die.of([0, -1, 1e308, -1e308, 1e-320, 2 ** 31, 2 ** 63, 0.1]),
    () => die.is(0.5),
    () => [],
    () => ({}),
    () => [null],
    () => [[null]],
    () => ({ a: null }),
    () => die.of(ids),
    () => Array.from({ length: 300 }, () => 'x'),
    () => Array.from({ length: 60 }).reduce((inner) => [inner], 1),
  ]
  return die.of(makers)()
}
