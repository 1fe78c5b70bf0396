import { harvestSchema, pickSchema, type HarvestAnswer, type NewHarvest, type NewPick } from '@vadose/contract/intake'
import { addDays } from '@vadose/core/households'
import { Refusal } from '@vadose/core/refusal'
import { Router } from 'express'
import { almanacOf, cropIn } from '../almanac'
import { asHousehold, type Pool } from '../database'
import { currentHousehold, currentId, momentOf, writeOnce } from '../households'
import { checker } from '../http'
import { writeHarvest } from '../lots'
import { placesOf } from '../places'
import { lastHarvests, markedBeds, pickedByWeek, pickLotOfWeek } from './queries'

const checkHarvest = checker<NewHarvest>(harvestSchema)
const checkPick = checker<NewPick>(pickSchema)

/** A diseased bed is told of for so many years; common practice says four before the same family returns. */
const bedYears = 4

export function intakeRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/harvests/last', async (request, response) => {
    const id = await currentId(pool, request)
    response.json(await asHousehold(pool, id, (db) => lastHarvests(db, id)))
  })

  router.get('/harvests/marked-beds', async (request, response) => {
    const household = await currentHousehold(pool, request)
    const since = addDays(momentOf(household).today, -bedYears * 365)
    response.json(await asHousehold(pool, household.id, (db) => markedBeds(db, household.id, since)))
  })

  router.post('/harvests', async (request, response) => {
    const harvest = checkHarvest(request.body)
    const household = await currentHousehold(pool, request)
    const lots = await writeOnce(pool, household, harvest.requestId, (db, moment) => writeHarvest(db, moment, harvest))
    response.status(201).json({ lots } satisfies HarvestAnswer)
  })

  router.get('/picks', async (request, response) => {
    const household = await currentHousehold(pool, request)
    const since = addDays(momentOf(household).today, -365)
    response.json(await asHousehold(pool, household.id, (db) => pickedByWeek(db, household.id, since)))
  })

  router.post('/picks', async (request, response) => {
    const { requestId, crop: id, weightG, pieces } = checkPick(request.body)
    const household = await currentHousehold(pool, request)
    const lots = await writeOnce(pool, household, requestId, async (db, moment) => {
      const crop = cropIn(await almanacOf(db, household.id), id)
      const heap = crop.heaps[0]!
      if (heap.hangs) {
        throw new Refusal('invalid', `${crop.name} is dried or cured: bring it in as a harvest.`, 'crop')
      }
      const kinds = ['fridge', 'cellar', 'cool-room', 'room']
      const places = await placesOf(db, household.id)
      const place = kinds.map((kind) => places.find((p) => p.kind === kind)).find(Boolean) ?? places[0]
      const addTo = await pickLotOfWeek(db, household.id, crop.id, heap.id, moment.today)
      const last = (await lastHarvests(db, household.id)).find((h) => h.crop === crop.id)
      return writeHarvest(db, moment, {
        requestId,
        crop: crop.id,
        harvestedOn: moment.today,
        totalG: weightG,
        ...(last?.variety ? { variety: last.variety } : {}),
        ...(last?.bed ? { bed: last.bed } : {}),
        heaps: [
          {
            heap: heap.id,
            weightG,
            ...(pieces ? { pieces } : {}),
            ...(addTo ? { addTo } : place ? { placeId: place.id } : {}),
          },
        ],
      })
    })
    response.status(201).json({ lots } satisfies HarvestAnswer)
  })

  return router
}
