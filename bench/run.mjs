// Bundles the benchmarks and runs them: `npm run bench`, with TEST_DATABASE_URL for the ones that need PostgreSQL.
// `npm run evaluate` runs the accuracy tables instead.
import { spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync } from 'node:fs'
import { build } from 'esbuild'

mkdirSync('.vadose/bench', { recursive: true })
const { dependencies } = JSON.parse(readFileSync('server/package.json', 'utf8'))
const run = async (name) => {
  await build({
    entryPoints: [`bench/${name}.ts`],
    outfile: `server/dist/bench-${name}.js`,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    // packages stay packages; the project's own floors are bundled
    external: [
      ...Object.keys(dependencies).filter((name) => !name.startsWith('@vadose/')),
      'pg-copy-streams',
      'highs',
      '@playwright/test',
      'playwright',
    ],
    logLevel: 'warning',
  })
  // as the launcher starts the server
  const flags = readFileSync('launcher/node-flags', 'utf8').trim().split(' ')
  const program = [...flags, `server/dist/bench-${name}.js`, ...process.argv.slice(3)]
  return spawnSync('node', program, { stdio: 'inherit' }).status ?? 1
}

const only = process.argv[2]
let worst = only ? await run(only) : await run('keeping')
if (only) process.exit(worst)
if (process.env.TEST_DATABASE_URL) worst ||= (await run('decade')) || (await run('import')) || (await run('heavy'))
else console.log('decade, import, heavy: skipped, set TEST_DATABASE_URL to a PostgreSQL of your own to run them')
process.exitCode = worst
