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

export default defineConfig({
  plugins: [vue(), words(), Components({ dts: 'src/components.d.ts', dirs: [], resolvers: [ElementPlusResolver()] })],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  server: { proxy: { '/api': 'http://127.0.0.1:5210', '/openapi': 'http://127.0.0.1:5210' } },
  build: { target: 'es2022', chunkSizeWarningLimit: 400 },
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
