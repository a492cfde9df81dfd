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

// Every file asked for costs a browser time whatever its size. What every page stands on comes in two files, charts in a third, and the
// pages of each part of the product in one.
const inside = (folders: string) => new RegExp(`web/src/(${folders})/`)
const parts = [
  { name: 'charts', test: /node_modules\/(echarts|zrender)\/|shared\/ui\/ChartBox/, priority: 9 },
  { name: 'base', test: /node_modules|export-helper|preload-helper/, priority: 7 },
  { name: 'shared', test: inside('shared|i18n'), priority: 6 },
  { name: 'stages', test: inside('stages/[a-z]+'), priority: 5 },
  { name: 'jobs', test: inside('jobs|pocket|signin'), priority: 4 },
  { name: 'firm', test: inside('(?!stages)[a-z]+'), priority: 3 },
]

export default defineConfig({
  plugins: [vue(), words(), Components({ dts: 'src/components.d.ts', dirs: [], resolvers: [ElementPlusResolver()] })],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  server: { proxy: { '/api': 'http://127.0.0.1:5210', '/openapi': 'http://127.0.0.1:5210' } },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 720,
    rolldownOptions: { output: { codeSplitting: { includeDependenciesRecursively: false, groups: parts } } },
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
