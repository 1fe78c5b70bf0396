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

/** Says for this transaction alone whose rows are meant, and how long it may take. */
export const settle = (
  client: Client,
  householdId: string,
  limits: { statement: string; lock: string; idle: string },
) =>
  client.query(
    `select set_config('app.household_id', $1, true), set_config('statement_timeout', $2, true),
       set_config('lock_timeout', $3, true), set_config('idle_in_transaction_session_timeout', $4, true)`,
    [householdId, limits.statement, limits.lock, limits.idle],
  )

export const alive = (pool: Pool) => pool.query('select 1')
