import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freshDatabase, postgresPrograms } from '../server/src/testing/database'

/** Starts the built server with the demo over a database of its own; e2e tests drive it through the browser. */
export default async function serve(): Promise<() => Promise<void>> {
  const database = await freshDatabase('vadose_e2e', true)
  const folder = mkdtempSync(join(tmpdir(), 'vadose-e2e-'))
  const note = join(folder, 'address')
  const server = spawn('node', ['server/dist/main.js', '--demo'], {
    env: {
      ...process.env,
      DATABASE_URL: database.url,
      DATABASE_OWNER_URL: database.ownerUrl,
      PORT: '0',
      VADOSE_ADDRESS_FILE: note,
      VADOSE_BACKUPS: join(folder, 'backups'),
      VADOSE_PG_BIN: postgresPrograms(),
    },
    stdio: 'inherit',
  })
  for (let i = 0; i < 3000 && !process.env['VADOSE_URL']; i++) {
    await new Promise((resolve) => setTimeout(resolve, 100))
    try {
      process.env['VADOSE_URL'] = readFileSync(note, 'utf8').trim().split(' ')[1]
    } catch {
      // not yet
    }
  }
  if (!process.env['VADOSE_URL'])
    throw new Error('The server did not answer within five minutes; its own words stand above.')
  process.env['VADOSE_DATABASE'] = database.ownerUrl
  return async () => {
    server.kill('SIGTERM')
    await new Promise((resolve) => server.once('exit', resolve))
    rmSync(folder, { recursive: true })
    await database.drop()
  }
}
