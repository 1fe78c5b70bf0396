import pg from 'pg'
import { SettingError } from './config'

// counts and sums come as bigint or numeric text: every one of ours fits a double
pg.types.setTypeParser(pg.types.builtins.INT8, Number)
pg.types.setTypeParser(pg.types.builtins.NUMERIC, Number)
// a civil date stays the text it is
pg.types.setTypeParser(pg.types.builtins.DATE, (text: string) => text)

export type Client = pg.PoolClient
export type Pool = pg.Pool

/** Connections of the role the server acts as. Nothing is set for a session: a transaction pooler may stand between. */
export function openPool(databaseUrl: string): Pool {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 8, application_name: 'vadose' })
  // a dropped connection (the database restarting, say) is replaced at the next request
  pool.on('error', () => undefined)
  return pool
}

/**
 * Row-level security is what keeps households apart: the server does not start where it would not bind its role.
 * @throws SettingError in one sentence
 */
export async function requireBoundRole(pool: Pool): Promise<void> {
  const { rows } = await pool.query<{ role: string; free: boolean; open: string | null }>(
    `select current_user as role, r.rolsuper or r.rolbypassrls as free,
       (select string_agg(c.relname, ', ') from pg_class c
        where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and not c.relispartition
          and c.relname <> 'schema_version' and not (c.relrowsecurity and c.relforcerowsecurity)) as open
     from pg_roles r where r.rolname = current_user`,
  )
  const { role, free, open } = rows[0]!
  if (free) {
    throw new SettingError(
      `DATABASE_URL names the role “${role}”, which row-level security does not bind: give the server an ordinary role in vadose_app, and name the owner in DATABASE_OWNER_URL.`,
    )
  }
  if (open) throw new SettingError(`Row-level security is not forced on ${open}; the server does not start without it.`)
}

/** Longest a statement may run, and a transaction may wait for its next statement. */
const limits = { statement: '30s', idle: '60s' }

/** Says for this transaction alone whose rows are meant, and how long it may take. */
const settle = (client: Client, householdId: string) =>
  client.query(
    `select set_config('app.household_id', $1, true), set_config('statement_timeout', $2, true),
       set_config('idle_in_transaction_session_timeout', $3, true)`,
    [householdId, limits.statement, limits.idle],
  )

async function transaction<T>(
  pool: Pool,
  begin: string,
  householdId: string,
  work: (client: Client) => Promise<T>,
): Promise<T> {
  const client = await pool.connect()
  let broken: Error | undefined
  try {
    await client.query(begin)
    await settle(client, householdId)
    const answer = await work(client)
    await client.query('commit')
    return answer
  } catch (error) {
    await client.query('rollback').catch((e: Error) => (broken = e))
    throw error
  } finally {
    client.release(broken)
  }
}

/** Reads as one household, everything at one moment; sees no other's rows. */
export const asHousehold = <T>(pool: Pool, householdId: string, work: (client: Client) => Promise<T>): Promise<T> =>
  transaction(pool, 'begin isolation level repeatable read read only', householdId, work)

/** Writes as one household, all or nothing. */
export const inTransaction = <T>(pool: Pool, householdId: string, work: (client: Client) => Promise<T>): Promise<T> =>
  transaction(pool, 'begin', householdId, work)
