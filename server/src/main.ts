import { readFileSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { dirname, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { makeApp } from './app'
import { Aside } from './aside/aside'
import { Keeper } from './backup/keeper'
import { Changes } from './changes'
import { readConfig, SettingError } from './config'
import { openPool, requireBoundRole } from './database'
import { ensureDemo } from './demo'
import { forgetOldAnswers } from './households'
import { migrate } from './migrate'
import { rebuildMissing, warmBooks } from './projections'

/** When this process began, in ticks since the machine did: with its pid, nobody else's. @source proc(5), stat */
const beganAt = (): string =>
  readFileSync('/proc/self/stat', 'utf8')
    .replace(/^.*\) /s, '')
    .split(' ')[19]!

/**
 * A connection may rest so long, ms. With Node's five seconds a request is now and then sent on one that is being closed that
 * very moment, and its sender hears of a reset instead of an answer.
 */
const idleMs = 55_000

/** Starts the server: `main.js [--demo]`. Prints the address when it answers; stops on SIGINT and SIGTERM. */
async function main(): Promise<void> {
  const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..')
  const config = readConfig(process.env, root)
  const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' })
  await migrate(config.ownerUrl, config.migrations)
  const pool = openPool(config.databaseUrl)
  await requireBoundRole(pool)
  await rebuildMissing(pool)
  if (process.argv.includes('--demo')) await ensureDemo(pool, (line) => console.log(line))
  const { ownerUrl, migrations, pgBin: bin } = config
  const keeper = config.backups ? new Keeper({ ownerUrl, migrations, bin }, config.backups, log) : undefined
  keeper?.start()
  const { databaseUrl, programs, webRoot } = config
  const aside = new Aside(`${programs}/aside-worker.js`, databaseUrl)
  const server = createServer(makeApp({ pool, keeper, aside, webRoot, programs, log }))
  server.keepAliveTimeout = idleMs
  const changes = new Changes(pool, log)
  changes.attach(server)
  server.on('error', (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === 'EADDRINUSE'
        ? `Port ${config.port} is taken by another program. Start Vadose on another one: PORT=${config.port + 1} ./vadose …`
        : error.code === 'EACCES'
          ? `Port ${config.port} may not be used by this user; choose one above 1023 with PORT=….`
          : `The server cannot listen on ${config.host}:${config.port} (${error.message}).`,
    )
    process.exit(1)
  })
  server.listen(config.port, config.host, () => {
    const address = server.address()
    const port = typeof address === 'object' && address ? address.port : config.port
    const host = config.host.includes(':') ? `[${config.host}]` : config.host
    const url = `http://${host}:${port}`
    // the launcher and the tests read where it answers from here
    const note = process.env['VADOSE_ADDRESS_FILE']
    if (note) writeFileSync(note, `${process.pid} ${url} ${beganAt()}\n`)
    console.log(`Vadose answers at ${url}`)
    void warmBooks()
  })
  const remember = forgetOldAnswers(pool)
  const stop = () => {
    remember()
    keeper?.stop()
    changes.end()
    server.close(() => void Promise.all([aside.end(), pool.end()]).then(() => process.exit(0)))
    server.closeAllConnections()
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
}

main().catch((error: unknown) => {
  console.error(error instanceof SettingError ? error.message : error)
  process.exit(1)
})
