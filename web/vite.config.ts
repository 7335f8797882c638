/// <reference types="vitest/config" />
import { fileURLToPath, URL } from 'node:url'
import vue from '@vitejs/plugin-vue'
import AutoImport from 'unplugin-auto-import/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import Components from 'unplugin-vue-components/vite'
import { defineConfig } from 'vite'

const testing = process.env.VITEST === 'true'
const resolver = ElementPlusResolver({ importStyle: testing ? false : 'css' })

export default defineConfig({
  plugins: [
    vue(),
    AutoImport({ resolvers: [resolver], dts: 'src/generated/auto-imports.d.ts' }),
    Components({ dirs: [], resolvers: [resolver], dts: 'src/generated/components.d.ts' }),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: { outDir: 'target/classes/static', emptyOutDir: true, reportCompressedSize: false },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:8080' } },
  test: { environment: 'happy-dom', include: ['src/**/*.spec.ts'] },
})
