import type { Page } from '@playwright/test'
import type { Numbers } from './numbers'

export type Question = Record<string, unknown>

/** Where questions of a kind are found in the demo, and how a case is made of one. */
interface Kind {
  found: (page: Page, job: string, surfaces: string[]) => Promise<Question[]>
  varied: (bases: Question[], random: Numbers) => Question
}

const SHEETS = ['marl-cc-20', 'fleece-oc-5', 'fleece-oc-8', 'marl-cc-20f']
const SUBSTRATES = ['wood', 'metal', 'mineral']
const ACCESS = ['open', 'ladder', 'scaffold', 'crawling', 'servicesInTheWay']

const read = async (page: Page, path: string) =>
  (await (await page.request.get(path)).json()) as { question: Question | null }

/** Questions of every surface's stage. */
const ofStage =
  (stage: string): Kind['found'] =>
  async (page, _, surfaces) => {
    const answers = await Promise.all(surfaces.map((id) => read(page, `/api/surfaces/${id}/${stage}`)))
    return answers.flatMap(({ question }) => (question ? [question] : []))
  }

/**
 * A section with other foam, thickness, air, layers and members. Metal members are solved anew for every depth and every
 * layer beside them, which takes the browser a tenth of a second and more: one in sixteen is another wall, the others vary in the rest.
 */
function variedSection(base: Question, random: Numbers): Question {
  const { between, pick, chance } = random
  const members = base.members as Record<string, unknown>
  const otherWall = !members.flangeMm || chance(1 / 16)
  const layers = (list: unknown) =>
    (list as { material: string; thicknessMm: number }[]).map((l) => ({
      ...l,
      thicknessMm: l.thicknessMm * (otherWall ? between(0.5, 2) : 1),
    }))
  const months = (low: number, high: number) => Array.from({ length: 12 }, () => between(low, high))
  const depth = Number(members.depthMm) * (otherWall ? between(0.8, 1.5) : 1)
  const batt = () => [{ kind: 'batt', id: 'batt-13', thicknessMm: between(20, 90), takesRest: chance(0.5) }]
  const year = () => ({
    outdoorTempC: months(-25, 30),
    outdoorRhPct: months(40, 95),
    indoorTempC: months(18, 26),
    indoorRhPct: months(20, 70),
  })
  return {
    ...base,
    sheetId: pick(SHEETS),
    thicknessMm: between(5, 150),
    outboard: layers(base.outboard),
    inboard: layers(base.inboard),
    members: { ...members, depthMm: depth, sharePct: between(0, 30) },
    indoorC: between(15, 26),
    indoorRhPct: between(15, 80),
    outdoorC: between(-30, 40),
    outdoorRhPct: between(20, 100),
    climateZone: pick(['1A', '3C', '4A', '4C', '5A', '6A', '7', '8']),
    further: chance(0.3) ? batt() : base.further,
    year: chance(0.7) ? year() : null,
  }
}

/** What bears on a choice, said otherwise. */
function variedFacts({ between, maybe, pick, chance }: Numbers): Question {
  const yes = ['openLeak', 'conditioned', 'soundAsked', 'workplace', 'laterAccess', 'rainBeforeCover', 'oldBuilding']
  const no = ['termites', 'radon', 'floodProne', 'combustionInside', 'looseFill', 'clearancesAsked', 'wetOldInsulation']
  return {
    ...Object.fromEntries([...yes, ...no].map((fact) => [fact, chance(fact === 'conditioned' ? 0.9 : 0.2)])),
    woodSubstrate: chance(0.5),
    woodMoisturePct: maybe(between(6, 30), 0.5),
    covering: pick(['unknown', 'shingles', 'tile', 'metalSheets', 'singlePly', 'coatedFoam']),
    attachment: pick(['unknown', 'fullyAdhered', 'fastened', 'ballasted']),
    pitch: maybe(between(0, 1.5), 0.5),
    doorSpareKg: maybe(between(0, 60), 0.5),
    treatedM2: maybe(between(1, 400)),
    substrateTempC: maybe(between(-10, 40)),
    heldAtEnds: maybe(chance(0.5), 0.5),
    loadKPa: maybe(between(0, 200), 0.3),
  }
}

function variedChoice(bases: Question[], random: Numbers): Question {
  const { between, pick, chance } = random
  // Every candidate of a metal wall solves its members anew, and flip points ask for hundreds of walls, which takes the browser
  // seconds: few cases are of those.
  const isMetal = (q: Question) => !!(q.section as { members: { flangeMm: unknown } }).members.flangeMm
  const base = pick(bases.filter((q) => isMetal(q) === chance(1 / 40)))
  const metal = isMetal(base)
  return {
    ...base,
    section: metal ? base.section : variedSection(base.section as Question, random),
    facts: variedFacts(random),
    weights: Object.fromEntries(Object.keys(base.weights as object).map((part) => [part, between(0, 5)])),
    path: pick(['u', 'label']),
    labels: chance(0.5) ? base.labels : [{ cavityRM2KW: between(1, 6), continuousRM2KW: pick([0, between(0, 3)]) }],
    schools: chance(0.5)
      ? pick([base.schools, null])
      : {
          unventedDeck: pick(['either', 'closedCell', 'openCell']),
          leastThickness: pick(['either', 'inchIsALayer', 'neverUnderTwoInches']),
          condensation: pick(['either', 'codeTables', 'monthlyYear']),
        },
    withFlips: !metal && chance(1 / 160),
  }
}

function variedSets(base: Question, { between, maybe, pick, chance }: Numbers): Question {
  return {
    ...base,
    sheetId: pick(SHEETS),
    areaM2: between(0.1, 900),
    thicknessMm: between(5, 150),
    shavedFlush: chance(0.4),
    substrateTempC: maybe(between(-15, 45)),
    drumTempC: maybe(between(5, 40)),
    windMs: maybe(between(0, 3.5), 0.4),
    depthScatterMm: maybe(between(0, 25), 0.4),
    overfillMm: maybe(between(0, 30), 0.4),
    riskPct: between(0.5, 50),
    penetrationMm: maybe(between(0, 40)) ?? 0,
    crewFactor: between(0.5, 1.02),
    yieldSdLn: maybe(between(0.02, 0.4), 0.5),
  }
}

function variedGate(base: Question, random: Numbers): Question {
  const { between, maybe, pick, chance, some } = random
  const age = () => (chance(0.8) ? between(0, 110) : between(110, 900))
  const temperature = () => maybe({ tempC: between(-15, 50), ageMin: age(), instrument: 'probe' })
  return {
    ...base,
    sheetId: pick(SHEETS),
    substrateKind: pick(SUBSTRATES),
    substrate: temperature(),
    air: temperature(),
    humidity: maybe({ rhPct: between(1, 100), rhOver: pick(['water', 'ice']), ageMin: age(), instrument: '' }),
    moisture: maybe({
      woodPct: maybe(between(5, 35)),
      foundDry: maybe(chance(0.7)),
      ageMin: age(),
      concretePct: maybe(between(0, 10)),
    }),
    drumA: temperature(),
    drumB: temperature(),
    prepared: some((base.required ?? base.prepared) as string[], pick([0.3, 0.9, 1])),
    altitudeM: between(-100, 3500),
    jointsReady: chance(0.8),
    leakOpen: chance(0.1),
    seen: maybe({ foundDry: chance(0.8), ageMin: age(), instrument: 'by eye' }, 0.4),
  }
}

function variedBid(bases: Question[], random: Numbers): Question {
  const { between, pick, chance, some } = random
  const pool = bases.flatMap((q) => q.surfaces as Question[])
  const surfaces = some(pool, pick([0.05, 0.2, 0.6])).map((surface) => ({
    ...surface,
    treatedM2: between(0.5, 700),
    access: pick(ACCESS),
    foams: (surface.foams as Question[]).map((foam) => ({
      ...foam,
      sheetId: pick(SHEETS),
      boardFeet: between(1, 20000),
      sets: between(0.01, 6),
    })),
    bought: (surface.bought as Question[]).map((one) => ({ ...one, coveredM2: between(0.5, 500) })),
    shavedFlush: chance(0.3),
    waitMin: between(0, 600),
    heatKWh: chance(0.3) ? between(1, 900) : 0,
    newRoof: chance(0.1),
  }))
  return { surfaces }
}

const one = (vary: (base: Question, random: Numbers) => Question): Kind['varied'] => {
  return (bases, random) => vary(random.pick(bases), random)
}

/** Every kind of question, by the name it is asked under. */
/** What somebody types on one of the cards, in either unit system, right or wrong. */
function variedPocket({ between, pick, chance }: Numbers): Question {
  const units = pick(['us', 'metric'])
  const number = (low: number, high: number, unit = '') =>
    chance(1 / 12) ? pick(['', 'x', '1e9', '-']) : `${between(low, high).toFixed(1)}${unit}`
  const temp = () => number(-20, 35, ' C')
  const fields = {
    dew: { air: temp(), humidity: number(5, 100, ' %'), surface: temp() },
    sets: { area: number(1, 500, ' m2'), thickness: number(10, 200, ' mm') },
    thickness: { r: number(0.1, 12) },
    inch: { present: number(0.1, 5) },
    drums: { drum: temp(), around: temp(), blanket: number(0, 900, ' W') },
  }
  const card = pick(Object.keys(fields) as (keyof typeof fields)[])
  return { card, units, sheetId: pick(SHEETS), fields: fields[card] }
}

/** A shot with some of it read and seen, whatever that would mean. */
function variedShot({ between, maybe, pick, chance }: Numbers): Question {
  const cream = between(0.5, 6)
  return {
    sheetId: pick(SHEETS),
    substrateTempC: maybe(between(-10, 40)),
    drumATempC: maybe(between(0, 35)),
    drumBTempC: maybe(between(0, 35)),
    primaryATempC: maybe(between(15, 70)),
    primaryBTempC: maybe(between(15, 70)),
    hoseTempC: maybe(between(15, 70)),
    pressureAMpa: maybe(between(3, 12)),
    pressureBMpa: maybe(between(3, 12)),
    hoursSinceMixed: maybe(between(0, 90)),
    liftMm: maybe(between(5, 160)),
    seen: {
      creamS: maybe(cream),
      tackFreeS: maybe(between(cream, 60)),
      rise: maybe(pick(['full', 'low', 'none'])),
      skin: maybe(pick(['smooth', 'ripples', 'coarse'])),
      cells: maybe(pick(['fine', 'coarse', 'drawn', 'collapsed'])),
      colour: maybe(pick(['usual', 'dark', 'pale', 'streaked'])),
      feel: maybe(pick(['firm', 'soft', 'brittle', 'glassy', 'sticky'])),
      adhesion: maybe(pick(['holds', 'gap', 'peels'])),
      layers: maybe(pick(['together', 'part'])),
      pooling: maybe(chance(0.2)),
      shrinks: maybe(chance(0.2)),
      blowholes: maybe(chance(0.2)),
      scorch: maybe(chance(0.2)),
      sampleDensityKgM3: maybe(between(5, 60)),
    },
    done: chance(0.3) ? [pick(['coldDrums', 'richA', 'wornChamber'])] : [],
  }
}

/** A sequence at some time, with some of its steps done, read or skipped. */
function variedSequence(base: Question, { between, maybe, chance }: Numbers): Question {
  const sequence = base.sequence as { steps: { id: string }[] }
  const minutes = (from: number, to: number) => new Date(Date.UTC(2026, 10, 23, 12, between(from, to))).toISOString()
  const share = between(0, 1)
  return {
    sequence,
    marks: sequence.steps
      .filter(() => chance(share))
      .map(({ id }) => ({
        step: id,
        at: minutes(0, 60),
        skippedBecause: chance(0.2) ? 'seen' : null,
        read: maybe(between(0, 1e6)),
      })),
    now: minutes(0, 120),
  }
}

/** A lift that goes on something. */
function variedLift({ between, pick, maybe, chance }: Numbers): Question {
  return {
    sheetId: pick(SHEETS),
    substrateKind: pick(SUBSTRATES),
    substrateTempC: between(0, 40),
    airTempC: between(0, 40),
    thicknessMm: between(10, 120),
    underMm: chance(0.5) ? between(5, 100) : 0,
    underTempC: maybe(between(15, 60), 0.3),
    gunTempC: maybe(between(35, 60), 0.5),
  }
}

/** A job under way: what was expected, what was used, and what is left. */
function variedYield({ between, chance }: Numbers): Question {
  return {
    expectedM3: between(3, 40),
    yieldSd: between(0.02, 0.3),
    sprayedM3: chance(0.8) ? between(0, 60) : 0,
    usedSetsA: between(0, 4),
    usedSetsB: between(0, 4),
    leftM3: chance(0.8) ? between(0, 60) : 0,
    onRigSetsA: chance(0.8) ? between(0, 4) : 0,
    onRigSetsB: between(0, 4),
  }
}

const ENTRIES = [
  ...['liftBegun', 'liftEnded', 'depth', 'probe', 'stopped', 'resumed', 'ventilationOn', 'ventilationOff'],
  ...['areaClear', 'areaEntered', 'defect', 'note', 'seen', 'finished', 'reopened', 'withdrawn'],
  ...['drumOpened', 'drumLevel', 'drumEmpty'],
]

/** The log of a surface, with entries that name one another as it comes. */
function variedSpray(random: Numbers): Question {
  const { between, pick, maybe, chance } = random
  const id = (n: number) => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`
  const at = (from: number, to: number) => new Date(Date.UTC(2026, 10, 23, 12, between(from, to))).toISOString()
  const count = Math.floor(between(0, 14))
  const other = () => maybe(id(Math.floor(between(0, count))), 0.3)
  const entry = (n: number) => ({
    id: id(n),
    kind: pick(ENTRIES),
    at: at(0, 120),
    saidAt: at(0, 120),
    replaces: other(),
    of: other(),
    depthMm: maybe(between(10, 160)),
    tempC: maybe(between(15, 90)),
    reason: pick(['gun', 'drums', 'other']),
    item: pick(['corners', 'voids', 'joints']),
    gate: maybe(pick(['clear', 'care', 'hold'])),
    side: pick(['a', 'b']),
    lot: maybe(pick(['one', 'two'])),
    left: maybe(between(0, 1)),
  })
  return {
    sheetId: pick(SHEETS),
    surfaceKind: pick(['studWall', 'metalRoof', 'underSlab']),
    substrateKind: pick(SUBSTRATES),
    substrateTempC: maybe(between(5, 35)),
    airTempC: maybe(between(5, 35)),
    thicknessMm: between(20, 150),
    entries: Array.from({ length: count }, (_, n) => entry(n)),
    now: at(60, 240),
    dayStartsAt: at(-600, 0),
    sprayedElsewhereS: chance(0.5) ? between(0, 5000) : 0,
  }
}

const PROOFS = [
  ...['liftBegun', 'depth', 'depth', 'depth', 'placesDrawn', 'probeChecked', 'sampled', 'inspected', 'signedOff'],
  ...['defect', 'defectRepaired', 'defectRechecked', 'withdrawn'],
]

/** The log of a finished surface, on a wall with an opening, a gable, or a surface whose size nobody knows. */
function variedProof({ between, pick, maybe, chance }: Numbers): Question {
  const id = (n: number) => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`
  const at = (from: number, to: number) => new Date(Date.UTC(2026, 10, 23, 12, between(from, to))).toISOString()
  const count = Math.floor(between(0, 18))
  const other = () => maybe(id(Math.floor(between(0, count))), 0.3)
  const proof = () => ({
    spotNumber: maybe(Math.floor(between(1, 12))),
    spotKind: maybe(pick(['area', 'edge', 'corner'])),
    readAgain: other(),
    blockMm: between(20, 60),
    sample: pick(['density', 'adhesion', 'look']),
    densityKgM3: between(5, 60),
    pullKPa: between(20, 300),
    failedIn: pick(['foam', 'face', 'substrate', 'glue']),
    cellLook: pick(['even', 'coarse', 'brown']),
    inspected: pick(['depth', 'voids', 'holds', 'cells']),
    signedName: 'somebody',
    signedRole: 'inspector',
    defectKind: maybe(pick(['void', 'offRatio', 'thin']), 0.8),
    repairWay: pick(['cutAndSprayed', 'replaced']),
    foundSound: chance(0.7),
    placesDrawn: Math.floor(between(0, 5)),
  })
  const entry = (n: number) => ({
    id: id(n),
    kind: pick(PROOFS),
    at: at(0, 120),
    saidAt: at(0, 120),
    replaces: maybe(id(Math.floor(between(0, count))), 0.1),
    of: other(),
    depthMm: maybe(between(10, 160), 0.9),
    proof: maybe(proof(), 0.8),
  })
  const [wide, high] = [between(1, 20), between(0.2, 5)]
  const box = (x: number, y: number, w: number, h: number) => ({ xy: [x, y, x + w, y, x + w, y + h, x, y + h] })
  const faces = [chance(0.3) ? { xy: [0, 0, wide, 0, wide / 2, high] } : box(0, 0, wide, high)]
  const openings = chance(0.5) ? [box(wide / 3, high / 3, wide / 8, high / 4)] : []
  return {
    sheetId: pick(SHEETS),
    surfaceKind: pick(['studWall', 'metalRoof', 'underSlab', 'ventedRafters']),
    isShaved: chance(0.3),
    specMm: between(20, 150),
    sprayedM2: wide * high,
    sketch: maybe({ widthM: wide, heightM: high, faces, openings, members: [] }, 0.8),
    firstSeed: Math.floor(between(0, 1e9)),
    entries: Array.from({ length: count }, (_, n) => entry(n)),
  }
}

/** Depths of a surface, also fewer than anything can be told from and deeper than the sheet rates. */
function variedDepth({ between, pick, maybe, chance }: Numbers): Question {
  const count = Math.ceil(between(0, chance(0.2) ? 200 : 12))
  return {
    sheetId: pick(SHEETS),
    specMm: between(20, 200),
    readingsMm: Array.from({ length: count }, () => between(0, 400)),
    confidence: maybe(between(0.5, 0.99)),
    share: maybe(between(0.5, 0.99)),
  }
}

/** What was sprayed in a building, and fans that run, stop, and are read. */
function variedReEntry({ between, pick, maybe, chance }: Numbers): Question {
  const at = (from: number, to: number) => new Date(Date.UTC(2026, 10, 23, 12, between(from, to))).toISOString()
  const many = (most: number, one: () => unknown) => Array.from({ length: Math.floor(between(0, most + 1)) }, one)
  return {
    products: many(3, () => ({ sheetId: pick(SHEETS), lastTrigger: at(-600, 600) })),
    ventilation: many(6, () => ({ at: at(-900, 2400), isOn: chance(0.7), airChanges: maybe(between(0, 30), 0.8) })),
    now: at(0, 3000),
    accounted: maybe(['waste', 'drums', 'masks', 'covers'].filter(() => chance(0.6))),
    isSpraying: chance(0.1),
    contradictions: chance(0.2) ? 1 : 0,
  }
}

export const kinds: Record<string, Kind> = {
  section: {
    found: async (...at) => (await ofStage('section')(...at)).filter((question) => question.sheetId),
    varied: one(variedSection),
  },
  choice: { found: ofStage('choose'), varied: variedChoice },
  sets: { found: ofStage('sets'), varied: one(variedSets) },
  bid: {
    found: async (page, job) => [(await read(page, `/api/jobs/${job}/price`)).question!],
    varied: variedBid,
  },
  pocket: { found: async () => [{}], varied: (_, random) => variedPocket(random) },
  'test-shot': { found: async () => [{}], varied: (_, random) => variedShot(random) },
  sequence: {
    found: async (page) => (await (await page.request.get('/api/sequences')).json()) as Question[],
    varied: one(variedSequence),
  },
  lift: { found: async () => [{}], varied: (_, random) => variedLift(random) },
  spray: { found: async () => [{}], varied: (_, random) => variedSpray(random) },
  depth: { found: async () => [{}], varied: (_, random) => variedDepth(random) },
  proof: { found: async () => [{}], varied: (_, random) => variedProof(random) },
  reentry: { found: async () => [{}], varied: (_, random) => variedReEntry(random) },
  yield: { found: async () => [{}], varied: (_, random) => variedYield(random) },
  gate: { found: ofStage('window'), varied: one(variedGate) },
}

/** Every question of a kind that the demo asks: what cases start from. */
export async function demoQuestions(page: Page, kind: string) {
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { job: { id: string } }[]
  const found: Question[] = []
  for (const { job } of jobs) {
    const { rows } = (await (await page.request.get(`/api/jobs/${job.id}/board`)).json()) as { rows: { id: string }[] }
    const surfaces = rows.map((row) => row.id)
    found.push(...(await kinds[kind]!.found(page, job.id, surfaces)))
  }
  return found
}
