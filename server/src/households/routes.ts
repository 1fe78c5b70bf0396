import {
  changeSettings,
  listHouseholds,
  passTime,
  readFrame,
  startHousehold as startEndpoint,
} from '@vadose/contract/households'
import type { Pool } from '../database'
import type { Server, Visit } from '../serve'
import { allHouseholds, type HouseholdRow } from './queries'
import { frameOf } from './view'
import { moveClock, startHousehold, writeSettings } from './write'

const summary = (h: Pick<HouseholdRow, 'id' | 'address' | 'name' | 'practiceNow'>) => ({
  id: h.id,
  address: h.address,
  name: h.name,
  clock: h.practiceNow ? ('practice' as const) : ('real' as const),
})

const frame = async (visit: Visit) => {
  const house = await visit.house()
  const moves = await visit.moves()
  return house.shown('frame', [moves, visit.household.revision], () => frameOf(visit.household, house, moves))
}

export function serveHouseholds(server: Server, pool: Pool): void {
  server.anyone(listHouseholds, async () => (await allHouseholds(pool)).map(summary))

  server.anyone(startEndpoint, async ({ body }) => summary(await startHousehold(pool, body)))

  server.household(readFrame, frame)

  server.household(changeSettings, async (visit, { body }) => {
    await visit.write((db) => writeSettings(db, visit.id, body))
    return frame(visit)
  })

  server.household(passTime, async (visit, { body }) => {
    await visit.write((db, _moment, household) => moveClock(db, household, body.to))
    await visit.settled()
    return frame(visit)
  })
}
