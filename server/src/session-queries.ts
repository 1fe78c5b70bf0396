import type pg from 'pg'
import type { Client, Pool } from './database'

/** What the role that the server acts as may do, and the tables that row-level security is not forced on. */
export const boundOf = async (pool: Pool) =>
  (
    await pool.query<{ role: string; free: boolean; open: string | null }>(
      `select current_user as role, r.rolsuper or r.rolbypassrls as free,
         (select string_agg(c.relname, ', ') from pg_class c
          where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and not c.relispartition
            and c.relname <> 'schema_version' and not (c.relrowsecurity and c.relforcerowsecurity)) as open
       from pg_roles r where r.rolname = current_user`,
    )
  ).rows[0]!

/**
 * Begins a transaction and says for it alone whose rows are meant and how long it may take; one way to the database and back.
 * @param begin how it begins
 * @returns number of the server process that answers
 */
export const beginAs = async (
  client: Client,
  begin: string,
  householdId: string,
  limits: { statement: string; lock: string; idle: string },
) => {
  const settings = {
    'app.household_id': householdId,
    statement_timeout: limits.statement,
    lock_timeout: limits.lock,
    idle_in_transaction_session_timeout: limits.idle,
  }
  const sets = Object.entries(settings).map(
    ([name, value]) => `set_config('${name}', ${client.escapeLiteral(value)}, true)`,
  )
  const answers = await client.query(`${begin}; select pg_backend_pid() as process, ${sets.join(', ')}`)
  return (answers as unknown as pg.QueryResult<{ process: number }>[])[1]!.rows[0]!.process
}

export const alive = (pool: Pool) => pool.query('select 1')
