import { almanacOf } from '../almanac'
import { addPick, bringIn, lastHarvests as lastEndpoint, listMarkedBeds, listPicks } from '@vadose/contract/intake'
import { addDays } from '@vadose/core/households'
import type { Server } from '../serve'
import { lastHarvests, markedBeds } from './queries'
import { pickedByWeek } from './view'
import { writeHarvest, writePick } from './write'

const yearDays = 365

export function serveIntake(server: Server): void {
  server.household(lastEndpoint, (visit) => visit.read((db) => lastHarvests(db, visit.id)))

  server.household(listMarkedBeds, (visit) => {
    return visit.read(async (db) => {
      const { habits } = await almanacOf(db, visit.id)
      return markedBeds(db, visit.id, addDays(visit.moment.today, -habits.bedYears * yearDays))
    })
  })

  server.household(bringIn, async (visit, { body }) => ({
    lots: await visit.write((db, moment) => writeHarvest(db, moment, body)),
  }))

  server.household(listPicks, async (visit) =>
    pickedByWeek(await visit.moves(), addDays(visit.moment.today, -yearDays)),
  )

  server.household(addPick, async (visit, { body }) => ({
    lots: await visit.write((db, moment) => writePick(db, moment, body)),
  }))
}
