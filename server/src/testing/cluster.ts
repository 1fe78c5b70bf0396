import { SettingError } from '../config'

/** Server tests need a real PostgreSQL; `./vadose test server` starts a throw-away one and names it here. */
export default function needsPostgres(): void {
  if (!process.env['TEST_DATABASE_URL']) {
    throw new SettingError('TEST_DATABASE_URL is not set: run the server tests with ./vadose test server.')
  }
}
