import pg from 'pg'
import Postgrator from 'postgrator'
import { SettingError } from './config'

/** Brings the schema up to date. @throws SettingError in one sentence when the database cannot be reached or changed */
export async function migrate(databaseUrl: string, folder: string): Promise<number> {
  const client = new pg.Client({ connectionString: databaseUrl })
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
    const postgrator = new Postgrator({
      migrationPattern: `${folder}/*.sql`,
      driver: 'pg',
      schemaTable: 'schema_version',
      execQuery: (query: string) => client.query(query),
    })
    const applied = await postgrator.migrate()
    return applied.length
  } catch (error) {
    throw new SettingError(
      `The database could not be brought up to date (${reason(error)}). Nothing of yours was changed; restore the last backup or report this.`,
    )
  } finally {
    await client.end()
  }
}

const reason = (error: unknown) => (error instanceof Error ? error.message || error.name : String(error))
