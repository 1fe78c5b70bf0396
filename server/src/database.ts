import { Socket } from 'node:net'
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

/** Sends what is asked in one turn of the event loop with one system call, which costs as much as a short statement. */
function gathering(): Socket {
  const socket = new Socket()
  const write = socket.write.bind(socket) as (...of: unknown[]) => boolean
  let gathered = false
  socket.write = (...of: unknown[]) => {
    if (!gathered) {
      gathered = true
      socket.cork()
      process.nextTick(() => {
        gathered = false
        socket.uncork()
      })
    }
    return write(...of)
  }
  return socket
}

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
    // a statement does not wait until the one before it is answered: what is asked together travels together
    pipeline: true,
    stream: gathering,
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

/**
 * What PostgreSQL asks to be tried again: serialization failure, deadlock; and a statement planned for tables as they were
 * before they were brought up to date, or unknown where another process answers now.
 */
const planStale = ['0A000', '26000']
const tryAgain = new Set(['40001', '40P01', ...planStale])
const codeOf = (error: unknown) => (error as { code?: string } | null | undefined)?.code ?? ''
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
      else if (tryAgain.has(codeOf(error))) {
        // those who met do not meet again
        await pause(Math.random() * 30 * 2 ** tries)
      } else throw error
    }
  }
}

/** Connections that lead straight to a server process of their own, with nothing between that hands processes round. */
const direct = new WeakSet<Client>()
const names = new Map<string, string>()

/**
 * Asks what is asked all the time: PostgreSQL reads and plans it once a connection, where the connection is one to itself.
 * @param text the same each time, with its values apart
 */
export async function planned<Row extends pg.QueryResultRow>(
  db: Pool | Client,
  text: string,
  values: unknown[],
): Promise<pg.QueryResult<Row>> {
  if (db instanceof pg.Pool) {
    const client = await db.connect()
    return planned<Row>(client, text, values).then(
      (answer) => (client.release(), answer),
      (error: Error) => {
        client.release(error)
        throw error
      },
    )
  }
  if (!direct.has(db)) return db.query<Row>(text, values)
  const name = names.get(text) ?? `v${names.size}`
  names.set(text, name)
  return db.query<Row>({ name, text, values })
}

/** Statements of transactions that are under way, whose answers nobody waits for before the end. */
const trailing = new WeakMap<Client, Promise<unknown>[]>()

/** Sends a statement along whose answer the work does not need: it is waited for with the commit, and what fails it fails all. */
export function trail(db: Client, statement: Promise<unknown>): void {
  // heard of at the end
  statement.catch(() => undefined)
  trailing.get(db)!.push(statement)
}

const overAlready = '25P02'
/** What failed, the first: those after it only say that the transaction is over. @param error of the work itself */
async function failureOf(statements: readonly Promise<unknown>[], error?: unknown): Promise<unknown> {
  const failures = (await Promise.allSettled(statements)).filter(({ status }) => status === 'rejected')
  const reasons: unknown[] = failures.map((failure) => (failure as PromiseRejectedResult).reason)
  if (error !== undefined) reasons.push(error)
  return reasons.find((reason) => codeOf(reason) !== overAlready) ?? reasons[0]
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
      ({ command }) => {
        client.release()
        // PostgreSQL answers so where a statement had failed that nobody heard of
        if (how === 'commit' && command === 'ROLLBACK') throw new Error('a statement failed, and all was taken back')
      },
      (error: Error) => {
        client.release(error)
        throw error
      },
    )
  const sent: Promise<unknown>[] = []
  trailing.set(client, sent)
  // travels with what is asked first, which sees nothing where it failed: no household is set then
  trail(
    client,
    beginAs(client, begin, householdId, limits).then((process) => {
      if (process === (client as Partial<{ processID: number }>).processID) direct.add(client)
      else direct.delete(client)
    }),
  )
  let answer: T
  try {
    answer = await work(client)
  } catch (error) {
    const failure = await failureOf(sent, error)
    if (planStale.includes(codeOf(failure))) client.release(true)
    else await end('rollback').catch(() => undefined)
    throw failure
  }
  const ended = end('commit')
  // what only read has its answer: nobody waits until the server has put its snapshot away
  if (begin !== reading) sent.push(ended)
  else ended.catch(() => undefined)
  // a commit after a statement that failed takes everything back without a word: that statement says it
  const failure = await failureOf(sent)
  if (failure !== undefined) throw failure
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
