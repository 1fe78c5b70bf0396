import pg from 'pg'

// counts and sums come as bigint or numeric text: every one of ours fits a double
pg.types.setTypeParser(pg.types.builtins.INT8, Number)
pg.types.setTypeParser(pg.types.builtins.NUMERIC, Number)
// a civil date stays the text it is
pg.types.setTypeParser(pg.types.builtins.DATE, (text: string) => text)

export type Client = pg.PoolClient
export type Pool = pg.Pool

/** Connections that act as the role bound by row-level security, where the database has it. */
export function openPool(databaseUrl: string): Pool {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 8, application_name: 'vadose' })
  // a dropped connection (the database restarting, say) is replaced at the next request
  pool.on('error', () => undefined)
  return pool
}

const prepared = new WeakMap<Client, string>()

const actAsApp = `do $$ begin
  if exists (select from pg_roles where rolname = 'vadose_app') and pg_has_role(current_user, 'vadose_app', 'member')
  then set role vadose_app; end if; end $$`

async function enter(client: Client, householdId: string): Promise<void> {
  if (prepared.get(client) === householdId) return
  if (!prepared.has(client)) await client.query(actAsApp)
  prepared.delete(client)
  await client.query('select set_config($1, $2, false)', ['app.household_id', householdId])
  prepared.set(client, householdId)
}

/** Reads as one household; sees no other's rows. */
export async function asHousehold<T>(
  pool: Pool,
  householdId: string,
  work: (client: Client) => Promise<T>,
): Promise<T> {
  const client = await pool.connect()
  try {
    await enter(client, householdId)
    return await work(client)
  } finally {
    client.release()
  }
}

/** Writes as one household, all or nothing. */
export const inTransaction = <T>(pool: Pool, householdId: string, work: (client: Client) => Promise<T>): Promise<T> =>
  asHousehold(pool, householdId, async (client) => {
    await client.query('begin')
    try {
      const answer = await work(client)
      await client.query('commit')
      return answer
    } catch (error) {
      await client.query('rollback').catch(() => undefined)
      throw error
    }
  })
