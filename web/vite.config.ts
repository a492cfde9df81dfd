import vue from '@vitejs/plugin-vue'
import Components from 'unplugin-vue-components/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue(), Components({ dts: 'src/components.d.ts', dirs: [], resolvers: [ElementPlusResolver()] })],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  server: { proxy: { '/api': 'http://127.0.0.1:5210', '/openapi': 'http://127.0.0.1:5210' } },
  build: { target: 'es2022', chunkSizeWarningLimit: 400 },
  test: { environment: 'happy-dom', include: ['src/**/*.test.ts'], server: { deps: { inline: ['element-plus'] } } },
})
