import { shallowRef } from 'vue'

/** The core as it runs beside the page. */
interface Door {
  Stock(shelf: string): void
  Section(question: string): string | null
}

interface Runtime {
  getAssemblyExports(name: string): Promise<{ Door: Door }>
  getConfig(): { mainAssemblyName: string }
}

let starting: Promise<Door | null> | undefined
const stocked = shallowRef<{ door: Door; shelf: string } | null>(null)

async function boot(): Promise<Door> {
  const address = '/core/dotnet.js'
  const { dotnet } = (await import(/* @vite-ignore */ address)) as { dotnet: { create(): Promise<Runtime> } }
  const runtime = await dotnet.create()
  return (await runtime.getAssemblyExports(runtime.getConfig().mainAssemblyName)).Door
}

// The first paint comes first; the core is fetched when the page has nothing else to do.
const whenIdle = () =>
  new Promise<void>((go) =>
    'requestIdleCallback' in globalThis ? requestIdleCallback(() => go(), { timeout: 2000 }) : setTimeout(go, 300),
  )

/** Starts the core, once, and lays out what questions can name. Where it cannot run nothing happens: the server answers. */
export async function stockCore(shelf: string) {
  if (stocked.value?.shelf === shelf) return
  stocked.value = null
  starting ??= whenIdle()
    .then(boot)
    .catch(() => null)
  const door = await starting
  if (!door) return
  try {
    door.Stock(shelf)
    stocked.value = { door, shelf }
  } catch {
    stocked.value = null
  }
}

/** Takes the sheets of a firm off the shelf, at signing out. */
export const clearCore = () => (stocked.value = null)

/** Whether questions are answered here. */
export const coreReady = () => stocked.value !== null

/** The answer to a section question as JSON; null where it cannot be had here. */
export function sectionHere(question: string): string | null {
  try {
    return stocked.value?.door.Section(question) ?? null
  } catch {
    // A core that failed once is not asked again.
    stocked.value = null
    starting = Promise.resolve(null)
    return null
  }
}
