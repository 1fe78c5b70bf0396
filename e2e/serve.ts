import { spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'

/** Starts the built server with the demo over a database of its own; e2e tests drive it through the browser. */
export default async function serve(): Promise<() => Promise<void>> {
  const admin = process.env['TEST_DATABASE_URL']
  if (!admin) throw new Error('TEST_DATABASE_URL is not set: run the end-to-end tests with ./vadose test e2e.')
  const name = `vadose_e2e_${randomUUID().replaceAll('-', '')}`
  const run = async (sql: string) => {
    const client = new pg.Client({ connectionString: admin })
    await client.connect()
    await client.query(sql)
    await client.end()
  }
  await run(`create database ${name}`)
  const url = new URL(admin)
  url.pathname = `/${name}`
  const folder = mkdtempSync(join(tmpdir(), 'vadose-e2e-'))
  const note = join(folder, 'address')
  const server = spawn('node', ['server/dist/main.js', '--demo'], {
    env: { ...process.env, DATABASE_URL: url.href, PORT: '0', VADOSE_ADDRESS_FILE: note },
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
  process.env['VADOSE_DATABASE'] = url.href
  return async () => {
    server.kill('SIGTERM')
    await new Promise((resolve) => server.once('exit', resolve))
    rmSync(folder, { recursive: true })
    await run(`drop database ${name} with (force)`)
  }
}
