import { execFileSync } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import pg from 'pg'
import { asPg, asRoot, bin, freePort } from './machine'

/** PostgreSQL with everything that keeps it safe switched on. */
export class Cluster {
  private constructor(
    readonly dir: string,
    readonly port: number,
  ) {}
  static async make(dir: string): Promise<Cluster> {
    mkdirSync(dir, { recursive: true })
    if (asRoot) execFileSync('chown', ['-R', 'postgres:postgres', dir])
    asPg(bin('initdb'), '-D', `${dir}/data`, '-U', 'vadose', '--auth=trust', '--encoding=UTF8', '--locale=C.UTF-8')
    const cluster = new Cluster(dir, await freePort())
    cluster.start()
    return cluster
  }
  start(): void {
    const options = `-p ${this.port} -c listen_addresses=127.0.0.1 -c unix_socket_directories= -c timezone=UTC -c max_wal_size=64MB -c min_wal_size=32MB`
    asPg(bin('pg_ctl'), '-D', `${this.dir}/data`, '-l', `${this.dir}/log`, '-w', '-t', '120', '-o', options, 'start')
  }
  stop(mode: 'immediate' | 'fast'): void {
    try {
      asPg(bin('pg_ctl'), '-D', `${this.dir}/data`, '-m', mode, '-w', 'stop')
    } catch {
      // it was down already
    }
  }
  runs = (): boolean => {
    try {
      asPg(bin('pg_ctl'), '-D', `${this.dir}/data`, 'status')
      return true
    } catch {
      return false
    }
  }
  url = (role: string) => `postgres://${role}@127.0.0.1:${this.port}/vadose`
  async query(sql: string, database = 'vadose'): Promise<Record<string, unknown>[]> {
    const db = new pg.Client({ connectionString: `postgres://vadose@127.0.0.1:${this.port}/${database}` })
    await db.connect()
    try {
      return (await db.query(sql)).rows as Record<string, unknown>[]
    } finally {
      await db.end()
    }
  }
}
