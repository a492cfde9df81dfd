import { readdirSync, readFileSync } from 'node:fs'
import vue from '@vitejs/plugin-vue'
import Components from 'unplugin-vue-components/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import { defineConfig } from 'vitest/config'
import { words } from './words'

// A file that puts something in place of a module gets modules of its own; the others share theirs, and the time to load them.
const tests = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.test.ts'))
const replaces = (file: string) => readFileSync(`src/${file}`, 'utf8').includes('vi.mock(')
const inSource = (files: string[]) => files.map((file) => `src/${file}`)

// Every file asked for costs a browser time whatever its size. What the first screens stand on comes in one file, charts in another, the
// pages of each part of the product in one, and what only these share in one more.
const firstScreens = ['main.ts', 'signin/SignInView.vue', 'jobs/JobFrame.vue', 'jobs/BoardView.vue']
const parts: [string, RegExp][] = [
  ['charts', /node_modules\/(echarts|zrender)\/|shared\/ui\/ChartBox/],
  ['stages', /web\/src\/stages\//],
  ['jobs', /web\/src\/(jobs|pocket|signin)\//],
  ['firm', /web\/src\/(?!shared|i18n)[a-z]+\//],
]

type Modules = { getModuleInfo: (id: string) => { importedIds: string[] } | null }
const first = new Set<string>()

// A list of all components names those too that no first screen has; the style that is asked for with one tells which it has.
const isListOfAll = (id: string) => /element-plus\/es\/(components\/)?index\.mjs$/.test(id)
const styled = (id: string) => /^(.*\/element-plus\/es\/components\/[^/]+)\/style\//.exec(id)?.[1]

function takeFirst(id: string, modules: Modules) {
  if (first.has(id) || isListOfAll(id)) return
  first.add(id)
  const component = styled(id)
  if (component) takeFirst(`${component}/index.mjs`, modules)
  modules.getModuleInfo(id)?.importedIds.forEach((one) => takeFirst(one, modules))
}

function partOf(id: string, modules: Modules) {
  if (first.size === 0) firstScreens.forEach((screen) => takeFirst(`${import.meta.dirname}/src/${screen}`, modules))
  const isOfBuild = !/node_modules|web\/src/.test(id) && !id.includes('virtual:words')
  if (first.has(id) || isOfBuild) return 'first'
  return id.includes('virtual:words') ? null : (parts.find(([, files]) => files.test(id))?.[0] ?? 'rest')
}

export default defineConfig({
  plugins: [vue(), words(), Components({ dts: 'src/components.d.ts', dirs: [], resolvers: [ElementPlusResolver()] })],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  server: { proxy: { '/api': 'http://127.0.0.1:5210', '/openapi': 'http://127.0.0.1:5210' } },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 620,
    rolldownOptions: {
      output: { codeSplitting: { includeDependenciesRecursively: false, groups: [{ name: partOf }] } },
    },
  },
  test: {
    environment: 'happy-dom',
    server: { deps: { inline: ['element-plus'] } },
    pool: 'threads',
    // A busy machine is no fault of what is tested.
    testTimeout: 30_000,
    setupFiles: ['src/shared/testing/words.ts'],
    projects: [
      { extends: true, test: { name: 'shared', isolate: false, include: inSource(tests.filter((f) => !replaces(f))) } },
      { extends: true, test: { name: 'apart', include: inSource(tests.filter(replaces)) } },
    ],
  },
})
