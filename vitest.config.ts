import { defineConfig } from 'vitest/config'
import vue from '@vitejs/plugin-vue'

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', include: ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts'] } },
      { plugins: [vue()], test: { name: 'web', include: ['web/src/**/*.test.ts'] } },
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts', 'demo/src/**/*.test.ts'],
          globalSetup: ['server/src/testing/cluster.ts'],
          testTimeout: 60_000,
          hookTimeout: 60_000,
          fileParallelism: false,
        },
      },
    ],
  },
})
