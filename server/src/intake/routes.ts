import { harvestSchema, type HarvestAnswer, type NewHarvest } from '@vadose/contract/intake'
import { Router } from 'express'
import { asHousehold, type Pool } from '../database'
import { currentHousehold, currentId, writeOnce } from '../household'
import { checker } from '../http'
import { writeHarvest } from '../lots'
import { lastHarvests } from './queries'

const checkHarvest = checker<NewHarvest>(harvestSchema)

export function intakeRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/harvests/last', async (request, response) => {
    const id = await currentId(pool, request)
    response.json(await asHousehold(pool, id, (db) => lastHarvests(db, id)))
  })

  router.post('/harvests', async (request, response) => {
    const harvest = checkHarvest(request.body)
    const household = await currentHousehold(pool, request)
    const lots = await writeOnce(pool, household, harvest.requestId, (db, moment) => writeHarvest(db, moment, harvest))
    response.status(201).json({ lots } satisfies HarvestAnswer)
  })

  return router
}
