import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { watch } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { freshDatabase, postgresPrograms } from '../server/src/testing/database'

const mostMs = 300_000

/** What the server writes down as its address, as soon as it does. */
async function once(note: string): Promise<string> {
  for await (const _ of watch(dirname(note), { signal: AbortSignal.timeout(mostMs) })) {
    const address = existsSync(note) ? readFileSync(note, 'utf8').trim().split(' ')[1] : undefined
    if (address) return address
  }
  throw new Error('The server told no address.')
}

/** A server that ends before it answers has said why. */
const ended = (server: ChildProcess): Promise<never> =>
  new Promise((_, reject) =>
    server.once('exit', () => reject(new Error('The server ended before it answered; its own words stand above.'))),
  )

/** Starts the built server with the demo over a database of its own; e2e tests drive it through the browser. */
export default async function serve(): Promise<() => Promise<void>> {
  const database = await freshDatabase('vadose_e2e', true)
  const folder = mkdtempSync(join(tmpdir(), 'vadose-e2e-'))
  const note = join(folder, 'address')
  const told = once(note)
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
  process.env['VADOSE_URL'] = await Promise.race([told, ended(server)])
  process.env['VADOSE_DATABASE'] = database.ownerUrl
  return async () => {
    server.kill('SIGTERM')
    await new Promise((resolve) => server.once('exit', resolve))
    rmSync(folder, { recursive: true })
    await database.drop()
  }
}
