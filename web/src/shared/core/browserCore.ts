import { shallowRef } from 'vue'
import type { Schemas } from '../api/client'
import { whenIdle } from '../idle'

type SectionQuestion = Schemas['SectionQuestion']

/** The core as it runs beside the page. */
interface Door {
  TakeSupplies(supplies: string): void
  Answer(name: string, question: string): string | null
  Prepare(question: string, piece: number): boolean
}

interface Runtime {
  getAssemblyExports(name: string): Promise<{ Door: Door }>
  getConfig(): { mainAssemblyName: string }
}

let starting: Promise<Door | null> | undefined
const supplied = shallowRef<{ door: Door; supplies: string } | null>(null)

// Questions whose metal members have been solved beforehand, and those of which that is being done.
const ready = shallowRef(new Set<string>())
const underWay = new Set<string>()

async function boot(): Promise<Door> {
  const address = '/core/dotnet.js'
  const { dotnet } = (await import(/* @vite-ignore */ address)) as { dotnet: { create(): Promise<Runtime> } }
  const runtime = await dotnet.create()
  return (await runtime.getAssemblyExports(runtime.getConfig().mainAssemblyName)).Door
}

/** Starts the core, once, and lays out what questions can name. Where it cannot run nothing happens: the server answers. */
export async function supplyCore(supplies: string) {
  if (supplied.value?.supplies === supplies) return
  clearCore()
  // The first paint comes first.
  starting ??= whenIdle()
    .then(boot)
    .catch(() => null)
  const door = await starting
  if (!door) return
  try {
    door.TakeSupplies(supplies)
    supplied.value = { door, supplies }
  } catch {
    clearCore()
  }
}

/** Takes the sheets of a firm off the table, at signing out. */
export function clearCore() {
  supplied.value = null
  ready.value = new Set()
  underWay.clear()
}

/** Takes off the table what is not what is to lie there now. */
export function clearOther(supplies: string | undefined) {
  if (supplied.value && supplied.value.supplies !== supplies) clearCore()
}

// A core that failed once is not asked again.
function forgetCore() {
  clearCore()
  starting = Promise.resolve(null)
}

/** Whether questions are answered here. */
export const coreReady = () => supplied.value !== null

/** The answer to a question by its name as JSON; null where it cannot be had here, or not yet. */
export function answerHere(name: string, question: object): string | null {
  try {
    return supplied.value?.door.Answer(name, JSON.stringify(question)) ?? null
  } catch {
    forgetCore()
    return null
  }
}

/** The answer to a section question as JSON; null where it cannot be had here, or not yet. */
export function sectionHere(question: SectionQuestion): string | null {
  const door = supplied.value?.door
  if (!door) return null
  try {
    const asked = JSON.stringify(question)
    return isReady(door, question, asked) ? door.Answer('section', asked) : null
  } catch {
    forgetCore()
    return null
  }
}

/** Metal members take half a second to solve here: in small pieces, while nobody asks. Until then the server answers. */
function isReady(door: Door, question: SectionQuestion, asked: string): boolean {
  if (!question.members.flangeMm) return true
  const key = membersOf(question)
  if (ready.value.has(key)) return true
  if (!underWay.has(key)) {
    underWay.add(key)
    void prepare(door, key, asked)
  }
  return false
}

/** What decides how members conduct: neither how thick the foam is now nor the air of the hour. */
const membersOf = ({
  kind,
  sheetId,
  outboard,
  inboard,
  members,
  films,
  heatFlow,
  exposure,
  further,
}: SectionQuestion) => JSON.stringify([kind, sheetId, outboard, inboard, members, films, heatFlow, exposure, further])

async function prepare(door: Door, key: string, asked: string) {
  try {
    let piece = 0
    do await whenIdle()
    while (supplied.value?.door === door && door.Prepare(asked, piece++))
    if (underWay.delete(key)) ready.value = new Set(ready.value).add(key)
  } catch {
    clearCore()
  }
}
