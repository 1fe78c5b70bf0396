import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'

const root = fileURLToPath(new URL('..', import.meta.url))

// how fast is for the benchmark to say, on a quiet machine; here only that it says it
it.each([['keeping'], ['decade', 'small']])('the benchmark “%s” is put together, runs and gives ratios', (...args) => {
  const run = spawnSync('node', ['bench/run.mjs', ...args], { cwd: root, encoding: 'utf8', timeout: 240_000 })
  expect(run.stderr).not.toMatch(/Error/)
  expect(run.status).toBe(0)
  expect(run.stdout).toMatch(/ratio \d+\.\d+/)
})
