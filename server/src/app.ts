import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import express, { type Express } from 'express'
import staticGzip from 'express-static-gzip'
import type { Logger } from 'pino'
import { serveAlmanac } from './almanac/routes'
import { openApi } from './api'
import type { Aside } from './aside/aside'
import type { Keeper } from './backup/keeper'
import { serveBackup } from './backup/routes'
import { Pulse, type Pool } from './database'
import { serveExports } from './exports/routes'
import { serveHouseholds } from './households/routes'
import { serveBeds } from './beds/routes'
import { serveIntake } from './intake/routes'
import { serveLabels } from './labels/routes'
import { serveCount } from './count/routes'
import { serveKitchen } from './kitchen/routes'
import { serveLarder } from './larder/routes'
import { serveLine } from './line/routes'
import { serveLots } from './lots/routes'
import { servePhotos } from './photos/routes'
import { servePlaces } from './places/routes'
import { Houses } from './projections'
import { serveReadings } from './readings/routes'
import { answerError, databaseAway } from './refusals'
import { serveRound } from './round/routes'
import { limited, wrongTokens } from './limits'
import { onlyFromHere, securityHeaders, wasmWorker } from './security'
import { Server } from './serve'
import { serveStores } from './stores/routes'
import { Calculators } from './worksheets/calculators'
import { serveYear } from './year/routes'
import { serveWorksheets } from './worksheets/routes'

/** Calls of the calculators, and sensors' batches, taken from one address in a minute. */
const calculatorsAMinute = 3000
const batchesAMinute = 1200

export interface AppOptions {
  pool: Pool
  /** folder with the built interface */
  webRoot: string
  /** folder with the built programs, among them the workers */
  programs: string
  log: Logger
  /** who makes backups by itself */
  keeper?: Keeper | undefined
  /** who serves what is heavy */
  aside?: Aside
  houses?: Houses
  /** answers are held against the contract: in tests */
  strict?: boolean
}

/** The whole server over one database. What it remembers of households can be forgotten at any moment. */
export function makeApp({
  pool,
  webRoot,
  programs,
  log,
  keeper,
  aside,
  houses = new Houses(pool),
  strict = false,
}: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  // answers are not kept by browsers (no-store), so there is nothing to compare; files bring their own
  app.disable('etag')
  app.use(securityHeaders)
  app.use(onlyFromHere)

  const api = express.Router()
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  const pulse = new Pulse(pool)
  api.get('/health', async (_request, response) => {
    const ok = await pulse.beats()
    response.status(ok ? 200 : 503).json({ ok, name: 'vadose', ...(ok ? {} : databaseAway) })
  })
  api.get('/', (_request, response) => {
    response.json(openApi())
  })
  const server = new Server({ pool, houses, aside, strict })
  // an address is sought in this order: what is asked for all day comes first
  for (const serve of [
    serveLots,
    serveRound,
    serveLine,
    serveStores,
    serveLarder,
    serveIntake,
    servePlaces,
    serveAlmanac,
    serveBeds,
    servePhotos,
    serveLabels,
    serveKitchen,
    serveCount,
    serveYear,
  ]) {
    serve(server)
  }
  serveHouseholds(server, pool)
  serveReadings(server, pool)
  serveBackup(server, keeper)
  serveExports(server, pool)
  serveWorksheets(server, new Calculators(`${programs}/calculate-worker.js`))
  api.use(limited('/bench/', calculatorsAMinute))
  api.use(limited('/ingest', batchesAMinute))
  api.use(wrongTokens)
  api.use(server.router)
  api.use((request) => {
    throw new Refusal('not-found', told('input.nothingAt', { address: request.originalUrl.split('?')[0] }))
  })
  app.use('/api', api)

  // a worker takes the policy of its own script: this one alone may run what it compiles, the solver
  app.use(/^\/assets\/arrange\.worker-[\w-]+\.js$/, wasmWorker)
  // each beside what it became when it was built, gzipped: a phone in the cellar waits for a third of it
  app.use(
    '/assets',
    staticGzip(`${webRoot}/assets`, {
      index: false,
      serveStatic: { immutable: true, maxAge: '365d', fallthrough: false },
    }),
  )
  app.use(express.static(webRoot, { index: false }))
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: webRoot })
  })
  app.use(answerError(log))
  return app
}
