import { afterAll, beforeAll, expect, it } from 'vitest'
import {
  asHousehold,
  inTransaction,
  openPool,
  planned,
  requireBoundRole,
  trail,
  type Client,
  type Pool,
} from './database'
import { freshDatabase, practiceHousehold, serveFresh, type Served } from './testing/fresh'

let served: Served
let acting: Pool
beforeAll(async () => {
  served = await serveFresh()
  acting = openPool(actingUrl())
})
function actingUrl(): string {
  const url = new URL(served.url)
  url.username = 'vadose_server'
  url.password = 'test'
  return url.href
}
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

const household = async () => (await served.pool.query<{ id: string }>('select id from households')).rows[0]!.id
it('a statement nobody waited for takes its transaction back with it, and is what is told of', async () => {
  const id = await household()
  const written = inTransaction(acting, id, async (db) => {
    trail(db, db.query('select 1 / 0'))
    trail(db, db.query('select 2'))
    return 'done'
  })
  await expect(written).rejects.toThrow('division by zero')
  // the same where the work fails after it
  const failed = inTransaction(acting, id, async (db) => {
    trail(db, db.query('select 1 / 0'))
    await db.query('select 2')
  })
  await expect(failed).rejects.toThrow('division by zero')
  // nor is anything called done where the work overlooked what failed before
  const overlooked = inTransaction(acting, id, async (db) => {
    await db.query('select 1 / 0').catch(() => undefined)
    trail(db, db.query('select 2'))
    return 'done'
  })
  await expect(overlooked).rejects.toThrow('all was taken back')
  const unheard = inTransaction(acting, id, async (db) => {
    await db.query('select 1 / 0').catch(() => undefined)
    return 'done'
  })
  await expect(unheard).rejects.toThrow('all was taken back')
  // and the connection is as good as before
  await expect(inTransaction(acting, id, async () => 'done')).resolves.toBe('done')
})

it('what is asked often is planned once a connection, and not where a pooler hands processes round', async () => {
  await served.pool.query('create table counted (n integer); grant select on counted to vadose_app')
  const pool = openPool(actingUrl(), 1)
  const id = await household()
  const ask = () =>
    asHousehold(pool, id, async (db) => {
      await planned(db, 'select n from counted where n > $1', ['0'])
      const plans = 'select statement from pg_prepared_statements where from_sql is false'
      return (await db.query<{ statement: string }>(plans)).rows.map(({ statement }) => statement)
    })
  const behindPooler = (db: Client) => Object.assign(db, { processID: -1 })
  // who answers is known after the first transaction
  expect(await ask()).toEqual([])
  expect(await ask()).toEqual(['select n from counted where n > $1'])
  expect(await ask()).toHaveLength(1)
  // tables that were brought up to date meanwhile: begun again, on a connection that knows nothing of the plan
  await served.pool.query('alter table counted alter column n type bigint')
  expect(await ask()).toEqual([])
  await served.pool.query('drop table counted')
  await pool.end()

  const pooled = openPool(actingUrl(), 1)
  pooled.on('connect', behindPooler)
  const through = () => asHousehold(pooled, id, async (db) => void (await planned(db, 'select 3', [])))
  await through()
  await through()
  const { rows } = await pooled.query('select count(*) as n from pg_prepared_statements')
  expect(rows[0].n).toBe(0)
  await pooled.end()
})
