import { parse } from '@formatjs/icu-messageformat-parser'
import vue from '@vitejs/plugin-vue'
import { fileURLToPath } from 'node:url'
import { defineConfig, type Plugin } from 'vite'

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

export default defineConfig(({ command }) => ({
  plugins: [vue(), readMessages()],
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
  },
}))
