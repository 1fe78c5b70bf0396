import { parse } from '@formatjs/icu-messageformat-parser'
import vue from '@vitejs/plugin-vue'
import { fileURLToPath } from 'node:url'
import { defineConfig, type Plugin } from 'vite'
import { compression } from 'vite-plugin-compression2'

/**
 * Messages are read when the page is built, not in the page: it does without the parser, which is most of what saying
 * them weighs.
 */
function readMessages(): Plugin {
  return {
    name: 'read-messages',
    apply: 'build',
    enforce: 'pre',
    transform(table, file) {
      if (!/words\/src\/(facts|refusals|screens)\/\w+\.json$/.test(file)) return
      const read = Object.entries(JSON.parse(table) as Record<string, string>).map(([key, text]) => [
        key,
        /[{<']/.test(text) ? parse(text) : text,
      ])
      return { code: `export default ${JSON.stringify(Object.fromEntries(read))}`, moduleType: 'js', map: null }
    },
  }
}

/**
 * What the frame and the round are made of is sent in a few files instead of some forty: on a slow machine each file
 * costs more than what is in it. Whatever is named here and used elsewhere alone is sent with them too: only what the
 * first page needs anyway, or what is next to nothing.
 */
const sentTogether = {
  asking: ['node_modules/(@tanstack|@vue/runtime-dom)/', 'web/src/(view|households/refused)\\.'],
  begin: [
    'plugin-vue:export-helper',
    'node_modules/(@element-plus/icons-vue|@vueuse|d3-path|d3-shape|lodash-es|pinia|vue-router/dist/useApi)',
    'node_modules/@lucide/vue/dist/esm/(?!icons/(?!circle-alert))',
    'node_modules/element-plus/es/(constants|locale|utils)/',
    'node_modules/element-plus/es/hooks/use-(aria|attrs|composition|cursor|deprecated|empty-values|focus-controller|id|locale|namespace|prop|size|z-index)/',
    'node_modules/element-plus/es/components/(button|icon|input)/(src/|index)',
    'node_modules/element-plus/es/components/(config-provider|form)/src/(constants|hooks)',
    'contract/src/(acts|lots|places)\\.',
    'core/src/households/dates\\.',
    'web/no-colours\\.',
    'web/src/(households/(say|words)|lots/say)\\.',
    'words/src/screens/(households|lots)\\.',
  ],
  fields: [
    'node_modules/element-plus/(es/components/radio(-button|-group)?/|theme-chalk/el-radio)',
    'contract/src/(backup|beds)\\.',
    'web/src/kit/Choices\\.',
    'web/src/(households/(attempt|backup-warning)|line/(say|EndTests)|lots/(act|TroubledLots|WeighField)|places/(say|ReadField)|beds/write-down)\\.',
    'words/src/screens/(line|places)\\.',
  ],
}

/** The letters of what is written first come with the page: later they would have all of it set once more. */
function lettersFirst(): Plugin {
  return {
    name: 'letters-first',
    apply: 'build',
    transformIndexHtml: {
      order: 'post',
      handler: (_html, { bundle = {} }) =>
        Object.keys(bundle)
          .filter((file) => /-latin-wght-normal-.*\.woff2$/.test(file))
          .map((file) => ({
            tag: 'link',
            attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: true, href: `/${file}` },
            injectTo: 'head' as const,
          })),
    },
  }
}

export default defineConfig(({ command }) => ({
  plugins: [vue(), readMessages(), lettersFirst(), compression({ algorithms: ['gzip'], include: /\.(js|css|wasm)$/ })],
  ...(command === 'build'
    ? {
        resolve: {
          alias: [
            {
              find: /^@ctrl\/tinycolor$/,
              replacement: fileURLToPath(new URL('no-colours.ts', import.meta.url)),
            },
            {
              find: /^@formatjs\/icu-messageformat-parser$/,
              replacement: '@formatjs/icu-messageformat-parser/no-parser.js',
            },
          ],
        },
      }
    : {}),
  worker: { plugins: () => [readMessages()] },
  // components here, and Element Plus', are written by setup functions: Vue does without the other way
  define: { __VUE_OPTIONS_API__: 'false' },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env['PORT'] ?? 8420}` } },
  build: {
    target: 'es2022',
    // the page's policy loads fonts from files, never from text
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    reportCompressedSize: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // what these use and the first page does not stays where it is
          includeDependenciesRecursively: false,
          groups: Object.entries(sentTogether).map(([name, parts]) => ({ name, test: new RegExp(parts.join('|')) })),
        },
      },
    },
  },
}))
