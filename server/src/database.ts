import pg from 'pg'
import { SettingError } from './config'
import { alive, beginAs, boundOf } from './session-queries'

// counts and sums come as bigint or numeric text: every one of ours fits a double
pg.types.setTypeParser(pg.types.builtins.INT8, Number)
pg.types.setTypeParser(pg.types.builtins.NUMERIC, Number)
// a civil date stays the text it is
pg.types.setTypeParser(pg.types.builtins.DATE, (text: string) => text)

export type Client = pg.PoolClient
export type Pool = pg.Pool

/** Longest waits for the database, ms: for a connection, and for an answer to one statement. */
const waits = { connect: 5_000, answer: 35_000 }
/** Longest a statement may run and wait for a lock, and a transaction may wait for its next statement. */
const limits = { statement: '30s', lock: '15s', idle: '60s' }

/** Connections of the role the server acts as. Nothing is set for a session: a transaction pooler may stand between. */
export function openPool(databaseUrl: string, max = 8): Pool {
  const pool = new pg.Pool({
    connectionString: databaseUrl,
    max,
    application_name: 'vadose',
    connectionTimeoutMillis: waits.connect,
    query_timeout: waits.answer,
    keepAlive: true,
    allowExitOnIdle: true,
  })
  // a dropped connection (the database restarting, say) is replaced at the next request, whether it was at rest or in use
  pool.on('error', () => undefined)
  pool.on('connect', (client) => client.on('error', () => undefined))
  return pool
}

/**
 * Row-level security is what keeps households apart: the server does not start where it would not bind its role.
 * @throws SettingError in one sentence
 */
export async function requireBoundRole(pool: Pool): Promise<void> {
  const { role, free, open } = await boundOf(pool)
  if (free) {
    throw new SettingError(
      `DATABASE_URL names the role “${role}”, which row-level security does not bind: give the server an ordinary role in vadose_app, and name the owner in DATABASE_OWNER_URL.`,
    )
  }
  if (open) throw new SettingError(`Row-level security is not forced on ${open}; the server does not start without it.`)
}

/** Work that cannot go on before something else was made, outside its transaction: then it is begun again. */
export class NeedsFirst extends Error {
  constructor(readonly prepare: (pool: Pool) => Promise<unknown>) {
    super('something else comes first')
  }
}

/** What PostgreSQL asks to be tried again: serialization failure, deadlock. */
const tryAgain = new Set(['40001', '40P01'])
const mostTries = 6
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

async function transaction<T>(
  pool: Pool,
  begin: string,
  householdId: string,
  work: (client: Client) => Promise<T>,
): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await attempt(pool, begin, householdId, work)
    } catch (error) {
      if (tries === mostTries) throw error
      if (error instanceof NeedsFirst) await error.prepare(pool)
      else if (tryAgain.has((error as { code?: string } | null)?.code ?? '')) {
        // those who met do not meet again
        await pause(Math.random() * 30 * 2 ** tries)
      } else throw error
    }
  }
}

async function attempt<T>(
  pool: Pool,
  begin: string,
  householdId: string,
  work: (client: Client) => Promise<T>,
): Promise<T> {
  const client = await pool.connect()
  const end = (how: 'commit' | 'rollback') =>
    client.query(how).then(
      () => client.release(),
      (error: Error) => {
        client.release(error)
        throw error
      },
    )
  let answer: T
  try {
    await beginAs(client, begin, householdId, limits)
    answer = await work(client)
  } catch (error) {
    await end('rollback').catch(() => undefined)
    throw error
  }
  // what only read has its answer: nobody waits until the server has put its snapshot away
  if (begin === reading) void end('commit').catch(() => undefined)
  else await end('commit')
  return answer
}

const reading = 'begin isolation level repeatable read read only'

/** Reads as one household, everything at one moment; sees no other's rows. */
export const asHousehold = <T>(pool: Pool, householdId: string, work: (client: Client) => Promise<T>): Promise<T> =>
  transaction(pool, reading, householdId, work)

/** Writes as one household, all or nothing; where two writes got into each other's way, it is done again. */
export const inTransaction = <T>(pool: Pool, householdId: string, work: (client: Client) => Promise<T>): Promise<T> =>
  transaction(pool, 'begin', householdId, work)

/** Longest that anyone who asks after the database waits, ms. */
const pulseMs = 1_000

/** Whether the database answers, over a connection of its own that no request waits for. */
export class Pulse {
  private readonly pool: Pool
  private asking: Promise<boolean> | undefined

  constructor({ options }: Pool) {
    this.pool = openPool(options.connectionString!, 1)
  }

  async beats(): Promise<boolean> {
    this.asking ??= alive(this.pool)
      .then(
        () => true,
        () => false,
      )
      .finally(() => (this.asking = undefined))
    return Promise.race([this.asking, pause(pulseMs).then(() => false)])
  }
}
