import { Refusal } from '@vadose/core/refusal'
import express, { type Express } from 'express'
import type { Logger } from 'pino'
import { benchRoutes } from './worksheets/routes'
import { almanacRoutes } from './almanac/routes'
import type { Pool } from './database'
import { exportRoutes } from './exports/routes'
import { householdRoutes } from './households/routes'
import { answerError } from './http'
import { intakeRoutes } from './intake/routes'
import { storesRoutes } from './stores/routes'
import { larderRoutes } from './larder/routes'
import { lineRoutes } from './line/routes'
import { lotRoutes } from './lots/routes'
import { placeRoutes } from './places/routes'
import { readingRoutes } from './readings/routes'
import { roundRoutes } from './round/routes'
import { onlyFromHere, securityHeaders } from './security'

/** The whole server over one database; keeps no state of its own. */
export function makeApp(pool: Pool, webRoot: string, log: Logger): Express {
  const app = express()
  app.disable('x-powered-by')
  // answers are not kept by browsers (no-store), so there is nothing to compare; files bring their own
  app.disable('etag')
  app.use(securityHeaders)
  app.use(onlyFromHere)

  const api = express.Router()
  // calculators take long air logs, imports longer ones; everything else is a form's worth
  api.use('/bench', express.json({ limit: '8mb', strict: false }))
  // a year of five-minute readings is 3 MB
  api.use('/readings/imports', express.json({ limit: '32mb' }))
  api.use('/ingest', express.json({ limit: '1mb' }))
  api.use(express.json({ limit: '256kb' }))
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  api.get('/health', async (_request, response) => {
    await pool.query('select 1')
    response.json({ ok: true, name: 'vadose' })
  })
  api.use(benchRoutes())
  for (const routes of [
    householdRoutes,
    almanacRoutes,
    placeRoutes,
    readingRoutes,
    intakeRoutes,
    lotRoutes,
    lineRoutes,
    storesRoutes,
    larderRoutes,
    roundRoutes,
    exportRoutes,
  ]) {
    api.use(routes(pool))
  }
  api.use((request) => {
    throw new Refusal('not-found', `There is nothing at ${request.originalUrl.split('?')[0]}.`)
  })
  app.use('/api', api)

  app.use('/assets', express.static(`${webRoot}/assets`, { immutable: true, maxAge: '365d', fallthrough: false }))
  app.use(express.static(webRoot, { index: false }))
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: webRoot })
  })
  app.use(answerError(log))
  return app
}
