import { defineConfig } from 'vitest/config'
import vue from '@vitejs/plugin-vue'

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          setupFiles: ['words/src/testing/to-refuse.ts'],
          testTimeout: 120_000,
          // on two cores Vitest would take one of them
          maxWorkers: 2,
          // core keeps nothing between two calls, so its files need not be read anew for every test of them
          isolate: false,
          include: [
            'core/src/**/*.test.ts',
            'contract/src/**/*.test.ts',
            'words/src/**/*.test.ts',
            'bench/evaluation/*.test.ts',
          ],
        },
      },
      {
        plugins: [vue()],
        test: {
          name: 'web',
          testTimeout: 120_000,
          maxWorkers: 2,
          setupFiles: ['web/src/testing/words.ts'],
          include: ['web/src/**/*.test.ts'],
          // its style files are not Node's to load
          server: { deps: { inline: ['element-plus'] } },
        },
      },
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts', 'demo/src/**/*.test.ts', 'bench/*.test.ts'],
          globalSetup: ['server/src/testing/cluster.ts'],
          testTimeout: 300_000,
          hookTimeout: 300_000,
          // a database each; more at once than cores would only wait for one another
          maxWorkers: 2,
          // what a server keeps belongs to its pool, or to a household no other test has
          isolate: false,
        },
      },
    ],
  },
})
