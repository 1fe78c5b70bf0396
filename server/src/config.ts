/** What the server is told from outside; everything has a plain default. */
export interface Config {
  /** the role the server acts as: an ordinary one, bound by row-level security */
  databaseUrl: string
  /** the role that owns the tables and brings them up to date; the same where there is but one */
  ownerUrl: string
  port: number
  host: string
  /** folder with the built interface */
  webRoot: string
  /** folder with the built programs */
  programs: string
  migrations: string
  /** folder that backups are made in by themselves, and PostgreSQL's own programs; neither where others see to it */
  backups: string | undefined
  pgBin: string
}

const loopback = new Set(['127.0.0.1', '::1', 'localhost'])

/** A setting nobody can start with, in one plain sentence. */
export class SettingError extends Error {}

/** @throws SettingError for an address that is not this machine, or a port that is none */
export function readConfig(env: NodeJS.ProcessEnv, root: string): Config {
  const host = env['HOST'] ?? '127.0.0.1'
  if (!loopback.has(host)) {
    throw new SettingError(
      `Vadose has no sign-in yet, so it answers on this machine only: HOST=${host} is refused. Leave HOST unset or use 127.0.0.1.`,
    )
  }
  const port = Number(env['PORT'] ?? 8420)
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new SettingError(`PORT=${env['PORT']} is not a port; use a number from 1024 to 65535.`)
  }
  const databaseUrl = env['DATABASE_URL']
  if (!databaseUrl)
    throw new SettingError('DATABASE_URL is not set; start Vadose with ./vadose start or ./vadose demo.')
  return {
    databaseUrl,
    ownerUrl: env['DATABASE_OWNER_URL'] ?? databaseUrl,
    port,
    host,
    webRoot: `${root}/web/dist`,
    programs: `${root}/server/dist`,
    migrations: `${root}/server/migrations`,
    backups: env['VADOSE_BACKUPS'] || undefined,
    pgBin: env['VADOSE_PG_BIN'] ?? '',
  }
}
