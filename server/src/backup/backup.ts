import { spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { mkdir, rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import pg from 'pg'
import { SettingError } from '../config'
import { migrate, newestMigration } from '../migrate'
import { checkBackup, writeBackup, type BackupHeader } from './file'
import {
  addDatabase,
  cutOff,
  dropDatabase,
  exportSnapshot,
  householdNames,
  lastMigration,
  rowsByTable,
  swapDatabases,
} from './queries'

/** Where the database is, as its owner, and PostgreSQL's own programs. */
export interface Cluster {
  ownerUrl: string
  /** folder of pg_dump and pg_restore; on the PATH where it is empty */
  bin: string
  migrations: string
}

async function connected<T>(url: string, work: (db: pg.Client) => Promise<T>): Promise<T> {
  const db = new pg.Client({ connectionString: url })
  db.on('error', () => undefined)
  await db.connect()
  try {
    return await work(db)
  } finally {
    await db.end()
  }
}

/** Runs one of PostgreSQL's programs. @throws SettingError with what it complained of */
async function run(program: string, args: string[], input?: NodeJS.ReadableStream): Promise<void> {
  const child = spawn(program, args, { stdio: [input ? 'pipe' : 'ignore', 'ignore', 'pipe'] })
  const said: Buffer[] = []
  child.stderr!.on('data', (chunk: Buffer) => said.push(chunk))
  const over = new Promise<number>((resolve, reject) => {
    child.on('error', () => reject(new SettingError(`${program} cannot be started.`)))
    child.on('close', (code) => resolve(code ?? 1))
  })
  // what it does not want to read any more, it says itself
  if (input) await pipeline(input, child.stdin!).catch(() => undefined)
  if ((await over) !== 0) {
    const text = Buffer.concat(said).toString('utf8').trim().split('\n').slice(0, 3).join(' ')
    throw new SettingError(/No space left/.test(text) ? 'The disk is full: no backup was made.' : text)
  }
}

const program = ({ bin }: Cluster, name: string) => (bin ? join(bin, name) : name)

/**
 * Writes everything there is into one file, as it stands at one moment, and reads it back.
 * @throws SettingError in one sentence; the file is there whole or not at all
 */
export async function makeBackup(cluster: Cluster, path: string): Promise<BackupHeader> {
  await mkdir(dirname(path), { recursive: true })
  const dump = `${path}.${randomUUID()}.dump`
  try {
    const about = await connected(cluster.ownerUrl, async (db) => {
      await db.query('begin isolation level repeatable read read only')
      const snapshot = await exportSnapshot(db)
      const known = {
        madeAt: new Date().toISOString(),
        schema: await lastMigration(db),
        households: await householdNames(db),
        rows: await rowsByTable(db),
      }
      await run(program(cluster, 'pg_dump'), [
        '--format=custom',
        '--compress=6',
        `--snapshot=${snapshot}`,
        `--file=${dump}`,
        `--dbname=${cluster.ownerUrl}`,
      ])
      return known
    })
    const header = await writeBackup(path, dump, about)
    await checkBackup(path)
    // and PostgreSQL reads every row of it
    await run(program(cluster, 'pg_restore'), ['--file=/dev/null', dump])
    return header
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOSPC')
      throw new SettingError('The disk is full: no backup was made.')
    throw error
  } finally {
    await rm(dump, { force: true })
  }
}

/** A name for what steps aside, as PostgreSQL takes it. */
const asideName = (name: string, now: Date) => `${name}_before_${now.toISOString().slice(0, 19).replace(/\D/g, '')}`

/**
 * Puts a backup in the database's place: checked, restored beside, brought up to date and counted before anything steps
 * aside. What was there is kept under another name.
 * @returns that name
 * @throws SettingError in one sentence, with everything as it was
 */
export async function restoreBackup(cluster: Cluster, path: string): Promise<{ header: BackupHeader; aside: string }> {
  const { header, start } = await checkBackup(path)
  const newest = await newestMigration(cluster.migrations)
  if (header.schema > newest) {
    throw new SettingError(
      `This backup was made by a newer Vadose (schema ${header.schema}; this one knows ${newest}): update Vadose, then restore.`,
    )
  }
  const name = new URL(cluster.ownerUrl).pathname.slice(1)
  const beside = `${name}_restoring`
  const at = (database: string) => {
    const url = new URL(cluster.ownerUrl)
    url.pathname = `/${database}`
    return url.href
  }
  return connected(at('postgres'), async (db) => {
    await dropDatabase(db, beside)
    await addDatabase(db, beside)
    try {
      await run(
        program(cluster, 'pg_restore'),
        ['--exit-on-error', '--no-owner', `--dbname=${at(beside)}`],
        createReadStream(path, { start }),
      )
      const rows = await connected(at(beside), rowsByTable)
      for (const [table, count] of Object.entries(header.rows)) {
        if (rows[table] !== count)
          throw new SettingError(
            `The backup holds ${count} rows of ${table}, restored were ${rows[table] ?? 0}: nothing was replaced.`,
          )
      }
      await migrate(at(beside), cluster.migrations)
    } catch (error) {
      await dropDatabase(db, beside)
      throw error
    }
    const aside = asideName(name, new Date())
    await cutOff(db, name)
    await cutOff(db, beside)
    await swapDatabases(db, name, aside, beside)
    return { header, aside }
  })
}
