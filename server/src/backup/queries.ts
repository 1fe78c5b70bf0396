import type { Client as PgClient } from 'pg'

/** A moment of the database that another connection can read, too. */
export const exportSnapshot = async (db: PgClient) =>
  (await db.query<{ id: string }>('select pg_export_snapshot() as id')).rows[0]!.id

export const lastMigration = async (db: PgClient) =>
  (await db.query<{ version: number }>('select max(version)::int as version from schema_version')).rows[0]!.version

export const householdNames = async (db: PgClient) =>
  (await db.query<{ name: string }>('select name from households order by created_at')).rows.map(({ name }) => name)

/** Tables of the schema; the months of readings are counted together. */
const tables = async (db: PgClient) =>
  (
    await db.query<{ name: string }>(
      `select relname as name from pg_class
       where relnamespace = 'public'::regnamespace and relkind in ('r', 'p') and not relispartition order by relname`,
    )
  ).rows.map(({ name }) => name)

/** Rows by table. */
export async function rowsByTable(db: PgClient): Promise<Record<string, number>> {
  const counted: Record<string, number> = {}
  for (const name of await tables(db)) {
    // a name of the catalogue's, quoted: nothing that anybody typed
    const { rows } = await db.query<{ n: number }>(`select count(*) as n from ${db.escapeIdentifier(name)}`)
    counted[name] = Number(rows[0]!.n)
  }
  return counted
}

export const addDatabase = (db: PgClient, name: string) => db.query(`create database ${db.escapeIdentifier(name)}`)
export const dropDatabase = (db: PgClient, name: string) =>
  db.query(`drop database if exists ${db.escapeIdentifier(name)} with (force)`)

/** Nobody is connected any more. */
export const cutOff = (db: PgClient, name: string) =>
  db.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1 and pid <> pg_backend_pid()', [
    name,
  ])

/** One database steps aside and another takes its name, both or neither. */
export async function swapDatabases(db: PgClient, name: string, aside: string, next: string): Promise<void> {
  const [now, old, coming] = [name, aside, next].map((one) => db.escapeIdentifier(one))
  await db.query('begin')
  await db.query(`alter database ${now} rename to ${old}`)
  await db.query(`alter database ${coming} rename to ${now}`)
  await db.query('commit')
}
