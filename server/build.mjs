import { readFileSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build, context } from 'esbuild'

const here = dirname(fileURLToPath(import.meta.url))
const { dependencies } = JSON.parse(readFileSync(resolve(here, 'package.json'), 'utf8'))

const options = {
  entryPoints: [
    resolve(here, 'src/main.ts'),
    resolve(here, 'src/reset-demo.ts'),
    resolve(here, 'src/readings/sensor.ts'),
    { in: resolve(here, 'src/backup/main.ts'), out: 'backup' },
    resolve(here, 'src/worksheets/calc.ts'),
    resolve(here, 'src/worksheets/calculate-worker.ts'),
    resolve(here, 'src/aside/aside-worker.ts'),
  ].map((entry) => (typeof entry === 'string' ? { in: entry, out: entry.match(/([^/]+)\.ts$/)[1] } : entry)),
  outdir: resolve(here, 'dist'),
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  sourcemap: true,
  // packages stay packages; the project's own floors are bundled
  external: Object.keys(dependencies).filter((name) => !name.startsWith('@vadose/')),
  logLevel: 'warning',
}
// with --watch, again after every change of a file
if (process.argv.includes('--watch')) await (await context(options)).watch()
else await build(options)
