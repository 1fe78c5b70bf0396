import { readdir } from 'node:fs/promises'
import pg from 'pg'
import Postgrator from 'postgrator'
import { SettingError } from './config'

/** Number of the newest migration in a folder. */
export const newestMigration = async (folder: string): Promise<number> =>
  Math.max(0, ...(await readdir(folder)).map((name) => Number.parseInt(name, 10)).filter(Number.isInteger))

/**
 * Brings the schema up to date: all of it, or nothing.
 * @throws SettingError in one sentence when the database cannot be reached or changed, or is a newer Vadose's
 */
export async function migrate(databaseUrl: string, folder: string): Promise<number> {
  const client = new pg.Client({ connectionString: databaseUrl })
  client.on('error', () => undefined)
  try {
    await client.connect()
  } catch (error) {
    throw new SettingError(
      `The database does not answer (${reason(error)}). Check DATABASE_URL, or unset it to let Vadose run its own.`,
    )
  }
  try {
    // two servers starting at once take turns
    await client.query('select pg_advisory_lock(846201)')
    // a migration and the note that it was made stand or fall together
    await client.query('begin')
    const postgrator = new Postgrator({
      migrationPattern: `${folder}/*.sql`,
      driver: 'pg',
      schemaTable: 'schema_version',
      execQuery: (query: string) => client.query(query),
    })
    const has = await postgrator.getDatabaseVersion()
    const knows = await newestMigration(folder)
    if (has > knows) {
      throw new SettingError(
        `This database was made by a newer Vadose (schema ${has}; this one knows ${knows}). Update Vadose; nothing was changed.`,
      )
    }
    const applied = await postgrator.migrate()
    await client.query('commit')
    return applied.length
  } catch (error) {
    if (error instanceof SettingError) throw error
    throw new SettingError(
      `The database could not be brought up to date (${reason(error)}). Nothing of yours was changed; restore the last backup or report this.`,
    )
  } finally {
    await client.end()
  }
}

const reason = (error: unknown) => (error instanceof Error ? error.message || error.name : String(error))
