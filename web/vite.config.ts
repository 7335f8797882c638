/// <reference types="vitest/config" />
import { fileURLToPath, URL } from 'node:url'
import UnoCSS from '@unocss/vite'
import vue from '@vitejs/plugin-vue'
import AutoImport from 'unplugin-auto-import/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import Components from 'unplugin-vue-components/vite'
import { defineConfig, type Plugin } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import utilities from './utilities'

const testing = process.env.VITEST === 'true'
const resolver = ElementPlusResolver({ importStyle: testing ? false : 'css' })

/** The order in which styles win, named in each file that may come first; a view's own style stands above all of them. */
const LAYERS = '@layer base, library, controls, helpers, words;'

/** What the library says of its parts stands below all that we say. */
const libraryBelow: Plugin = {
  name: 'library-below',
  enforce: 'pre',
  transform: (code, id) =>
    /element-plus\/.+\.css/.test(id)
      ? { code: `${LAYERS}@layer library{${code.replace(/@charset[^;]*;/, '')}}`, map: null }
      : undefined,
}

/** Stays apart, since few views draw charts or drag. */
const HEAVY = /echarts|zrender|sortable/

export default defineConfig({
  plugins: [
    vue(),
    libraryBelow,
    testing ? [] : UnoCSS({ ...utilities, configFile: false }),
    AutoImport({ resolvers: [resolver], dts: 'src/generated/auto-imports.d.ts' }),
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: false,
      manifest: {
        name: 'Chervil',
        short_name: 'Chervil',
        display: 'standalone',
        background_color: '#f5f2e8',
        theme_color: '#f5f2e8',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/(api|manage|calendar)\//],
      },
    }),
    Components({ dirs: [], resolvers: [resolver], dts: 'src/generated/components.d.ts' }),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: {
    outDir: 'target/classes/static',
    emptyOutDir: true,
    reportCompressedSize: false,
    // Few files, since each costs a question and an answer: one of what the first page needs, one of what many views share.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'], priority: 1 },
            { name: 'shared', minShareCount: 8, test: (id) => !HEAVY.test(id) },
          ],
        },
      },
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:8080' } },
  test: {
    // Views with many fields take their time where much else runs.
    testTimeout: 20_000,
    environment: 'happy-dom',
    isolate: false,
    // Beside Java's tests a second thread only costs what it spends on keeping the two apart.
    execArgv: ['--single-threaded'],
    setupFiles: ['src/testing/afterwards.ts'],
    include: ['src/**/*.spec.ts'],
  },
})
