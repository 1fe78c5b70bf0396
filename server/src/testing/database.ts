import { randomUUID } from 'node:crypto'
import { readdirSync } from 'node:fs'
import { resolve } from 'node:path'
import pg from 'pg'
import { migrate } from '../migrate'

// tests and benchmarks run from the project's own folder
const migrations = resolve('server/migrations')

export interface FreshDatabase {
  /** as the server acts: an ordinary role */
  url: string
  /** as the owner, who sees all */
  ownerUrl: string
  drop: () => Promise<void>
}

/** Runs statements as the owner, over a connection of its own. */
export async function runAs(url: string, sql: string, values: unknown[] = []) {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    return (await client.query(sql, values)).rows
  } finally {
    await client.end()
  }
}

const serverRole = `do $$ begin
  if not exists (select from pg_roles where rolname = 'vadose_app') then create role vadose_app nologin; end if;
  if not exists (select from pg_roles where rolname = 'vadose_server') then
    create role vadose_server login password 'test' in role vadose_app;
  end if;
end $$`

/** A database of its own, with the roles a server wants; brought up to date unless `bare`. */
export async function freshDatabase(prefix = 'vadose', bare = false): Promise<FreshDatabase> {
  const admin = process.env['TEST_DATABASE_URL']
  if (!admin) throw new Error('TEST_DATABASE_URL is not set: run the tests with ./vadose test.')
  const name = `${prefix}_${randomUUID().replaceAll('-', '')}`
  const owner = new URL(admin)
  owner.pathname = `/${name}`
  const url = new URL(owner)
  url.username = 'vadose_server'
  url.password = 'test'
  // roles belong to the whole cluster: two files that begin at once take turns at them
  const turn = new pg.Client({ connectionString: admin })
  await turn.connect()
  await turn.query('select pg_advisory_lock(846204)')
  try {
    await runAs(admin, serverRole)
    await runAs(admin, `create database ${name}`)
    if (!bare) await migrate(owner.href, migrations)
  } finally {
    await turn.end()
  }
  return {
    url: url.href,
    ownerUrl: owner.href,
    drop: async () => void (await runAs(admin, `drop database ${name} with (force)`)),
  }
}

/** Folder of the newest PostgreSQL's own programs, as Debian's packages put them. */
export function postgresPrograms(): string {
  const newest = readdirSync('/usr/lib/postgresql')
    .sort((a, b) => Number(a) - Number(b))
    .at(-1)
  return `/usr/lib/postgresql/${newest}/bin`
}
