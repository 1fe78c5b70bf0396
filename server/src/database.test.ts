import { afterAll, beforeAll, expect, it } from 'vitest'
import { asHousehold, openPool, requireBoundRole, type Pool } from './database'
import { freshDatabase, practiceHousehold, serveFresh, type Served } from './testing/fresh'

let served: Served
let acting: Pool
beforeAll(async () => {
  served = await serveFresh()
  const url = new URL(served.url)
  url.username = 'vadose_server'
  url.password = 'test'
  acting = openPool(url.href)
})
afterAll(async () => {
  await acting.end()
  await served.close()
})

it('every table has row-level security, forced, and a policy; so a new one without fails here', async () => {
  const { rows } = await served.pool.query(
    `select c.relname as name, c.relrowsecurity as on, c.relforcerowsecurity as forced,
       (select count(*) from pg_policy p where p.polrelid = c.oid) as policies
     from pg_class c
     where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and not c.relispartition
       and c.relname <> 'schema_version'`,
  )
  expect(rows.length).toBeGreaterThan(12)
  expect(rows.filter((row) => !row.on || !row.forced || row.policies === 0)).toEqual([])
})

it('every key and every index of a household’s rows leads with the household', async () => {
  const { rows } = await served.pool.query(
    `select c.relname as table, i.relname as index, a.attname as first
     from pg_index x join pg_class i on i.oid = x.indexrelid join pg_class c on c.oid = x.indrelid
     join pg_attribute a on a.attrelid = c.oid and a.attnum = x.indkey[0]
     where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and not c.relispartition
       and c.relname not in ('households', 'schema_version') and i.relname <> 'sensors_token_hash_key'`,
  )
  expect(rows.filter((row) => row.first !== 'household_id')).toEqual([])
})

it('a role that row-level security does not bind is refused in one sentence', async () => {
  const owner = openPool(served.url)
  await expect(requireBoundRole(owner)).rejects.toThrow(/^DATABASE_URL names the role “vadose”.*\.$/)
  await owner.end()
  await expect(requireBoundRole(acting)).resolves.toBeUndefined()
})

it('a table that lost its policy keeps the server from starting', async () => {
  const database = await freshDatabase()
  const owner = openPool(database.ownerUrl)
  await owner.query('create table stray (household_id uuid)')
  const pool = openPool(database.url)
  await expect(requireBoundRole(pool)).rejects.toThrow(/not forced on stray/)
  await pool.end()
  await owner.end()
  await database.drop()
})

it('what is said of a household in a transaction is forgotten with it', async () => {
  const client = served.client()
  await practiceHousehold(client, '2026-07-12', 'Pooled House')
  const [{ id }] = (await served.pool.query('select id from households')).rows as [{ id: string }]
  const seen = await asHousehold(
    acting,
    id,
    async (db) => (await db.query('select count(*) as n from places')).rows[0].n,
  )
  expect(seen).toBe(5)
  // the same connection, outside: no household, so no rows
  for (let i = 0; i < 10; i++) {
    expect((await acting.query('select count(*) as n from places')).rows[0].n).toBe(0)
    expect((await acting.query(`select current_setting('app.household_id', true) as id`)).rows[0].id || null).toBeNull()
  }
})
