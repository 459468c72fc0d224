import { fileURLToPath } from 'node:url'
import vuetify from 'vite-plugin-vuetify'

const decorators = { compilerOptions: { experimentalDecorators: true } }
const core = fileURLToPath(new URL('./core', import.meta.url))
const leftOut = fileURLToPath(new URL('./app/left-out.ts', import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  // The bench must start against a dead server once its shell is cached, and a client-rendered shell measured faster.
  ssr: false,
  devtools: { enabled: false },
  telemetry: false,
  sourcemap: false,
  modules: ['@pinia/nuxt'],
  alias: { '#core': core },
  css: [
    '@fontsource-variable/bitter/index.css',
    '@fontsource-variable/public-sans/index.css',
    '@fontsource/kalam/latin-300.css',
    '@fontsource/kalam/latin-ext-300.css',
    'vuetify/styles/core',
    '~/assets/paper.css',
  ],
  app: {
    head: {
      title: 'Ample Tally',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        {
          name: 'description',
          content: 'Paper, ink, press and every impression of a print edition, counted until the last print is signed.',
        },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  components: [{ path: '~/components', pathPrefix: false }],
  build: { transpile: ['vuetify'] },
  // Files are served before any middleware of ours.
  routeRules: { '/**': { headers: { 'x-content-type-options': 'nosniff' } } },
  experimental: {
    appManifest: false,
    // The service worker keeps every page; a link that comes into sight need not fetch its page once more.
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
  },
  hooks: {
    'vite:extendConfig': (config) => {
      ;(config as { plugins: unknown[] }).plugins.push(vuetify({ autoImport: true }))
    },
  },
  vite: {
    // For pages and drawings turned into PDF: ours are written line by line.
    resolve: { alias: { html2canvas: leftOut, canvg: leftOut, dompurify: leftOut } },
    esbuild: { tsconfigRaw: decorators },
    build: {
      cssMinify: 'lightningcss',
      // A tablet keeps the whole shell for the day the server is away: one style sheet and fewer small scripts are
      // kept, and started, in two thirds of the requests.
      cssCodeSplit: false,
      chunkSizeWarningLimit: 900,
      rollupOptions: {
        output: { experimentalMinChunkSize: 12_000 },
        // We make no source maps, so that one of Nuxt's own plugins leaves its out is no news.
        onwarn: (warning, warn) => (warning.code === 'SOURCEMAP_BROKEN' ? undefined : warn(warning)),
      },
    },
  },
  nitro: {
    compressPublicAssets: { gzip: true, brotli: true },
    esbuild: { options: { tsconfigRaw: decorators } },
    errorHandler: '~~/server/error.ts',
    sourceMap: false,
    typescript: { tsConfig: decorators },
  },
  typescript: {
    strict: true,
    tsConfig: {
      ...decorators,
      include: [
        '../core/**/*',
        '../demo/**/*',
        '../tests/**/*',
        '../shared/**/*',
        '../vitest.config.ts',
        '../playwright.config.ts',
      ],
    },
    sharedTsConfig: { ...decorators, include: ['../core/**/*'] },
    nodeTsConfig: decorators,
  },
})
