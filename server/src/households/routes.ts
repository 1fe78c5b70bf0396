import {
  changeSettings,
  readRequest,
  removeHousehold as removeEndpoint,
  listHouseholds,
  passTime,
  readFrame,
  startHousehold as startEndpoint,
} from '@vadose/contract/households'
import type { Pool } from '../database'
import type { Server } from '../serve'
import type { Visit } from '../visit'
import { allHouseholds, answeredBefore, wasRemovedBy, type HouseholdRow } from './queries'
import { isUuid } from './request-number'
import { frameOf } from './view'
import { dropHousehold, moveClock, startHousehold, writeSettings } from './write'

const summary = (h: Pick<HouseholdRow, 'id' | 'address' | 'name'>, practising: boolean) => ({
  id: h.id,
  address: h.address,
  name: h.name,
  clock: practising ? ('practice' as const) : ('real' as const),
})

const frame = async (visit: Visit) => {
  const house = await visit.house()
  const moves = await visit.moves()
  return house.shown('frame', [moves, visit.household.revision], () => frameOf(visit.household, house, moves))
}

export function serveHouseholds(server: Server, pool: Pool): void {
  server.anyone(listHouseholds, async () => (await allHouseholds(pool)).map((h) => summary(h, h.practiceNow !== null)))

  server.anyone(startEndpoint, async ({ body }, _request, number) => {
    const started = await startHousehold(pool, body, number)
    return summary(started, started.practising)
  })

  server.household(readFrame, frame)

  server.household(changeSettings, async (visit, { body }) => {
    await visit.write((db) => writeSettings(db, visit.id, body))
    return frame(visit)
  })

  server.household(
    removeEndpoint,
    async (visit, { body }) => {
      await visit.end((db, household) => dropHousehold(db, household, body.name))
      return { ok: true }
    },
    { gone: async (address, number) => ((await wasRemovedBy(pool, address, number)) ? { ok: true } : undefined) },
  )

  server.household(readRequest, async (visit, { params: { id } }) => {
    const seen = isUuid(id) && (await visit.read((db) => answeredBefore(db, visit.id, id)))
    return { answered: !!seen }
  })

  server.household(passTime, async (visit, { body }) => {
    await visit.write((db, _moment, household) => moveClock(db, household, body.to))
    await visit.settled()
    return frame(visit)
  })
}
