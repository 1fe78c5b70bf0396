import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { expect, it } from 'vitest'
import { readConfig, SettingError } from './config'
import { migrate } from './migrate'
import { freshDatabase } from './testing/fresh'

const env = (over: Record<string, string>) => ({ DATABASE_URL: 'postgres://x', ...over })

it('refuses any address but this machine, saying why', () => {
  expect(() => readConfig(env({ HOST: '0.0.0.0' }), '/x')).toThrow(/no sign-in yet/)
  expect(() => readConfig(env({ HOST: '192.168.1.5' }), '/x')).toThrow(SettingError)
  expect(readConfig(env({ HOST: '::1' }), '/x').host).toBe('::1')
})

it('refuses a port that is none, and no database', () => {
  for (const PORT of ['http', '-1', '70000', '80.5']) expect(() => readConfig(env({ PORT }), '/x')).toThrow(/PORT=/)
  expect(() => readConfig({}, '/x')).toThrow(/DATABASE_URL/)
})

it('says in one sentence that the database does not answer', async () => {
  const missing = new URL(process.env['TEST_DATABASE_URL']!)
  missing.pathname = '/no_such_database'
  await expect(migrate(missing.href, '/x')).rejects.toThrow(/^The database does not answer \(.*\)\. Check DATABASE_URL/)
  await expect(migrate('postgres://x@127.0.0.1:1/x', '/x')).rejects.toThrow(/ECONNREFUSED/)
})

it('says in one sentence that a migration failed, and leaves nothing half done', async () => {
  const database = await freshDatabase()
  const folder = mkdtempSync(join(tmpdir(), 'vadose-migrations-'))
  writeFileSync(join(folder, '099.do.broken.sql'), 'create table half (id int); select nonsense from nowhere;')
  try {
    await expect(migrate(database.ownerUrl, folder)).rejects.toThrow(/could not be brought up to date/)
    const client = new pg.Client({ connectionString: database.ownerUrl })
    await client.connect()
    const { rows } = await client.query(`select to_regclass('half') as half`)
    await client.end()
    expect(rows[0].half).toBeNull()
  } finally {
    await database.drop()
  }
})
