import {
  addOwnCrop,
  readAlmanac,
  readLearnt,
  removeOwnCrop,
  setChoice,
  setOverride,
  setVariety,
} from '@vadose/contract/almanac'
import { setHabits as habitsEndpoint } from '@vadose/contract/habits'
import type { Server } from '../serve'
import { changesOf, setHabits, varietiesOf } from './queries'
import { learntView } from './view'
import { dropOwnCrop, writeChoice, writeOverride, writeOwnCrop, writeVariety } from './write'

export function serveAlmanac(server: Server): void {
  server.household(readAlmanac, (visit) => visit.read((db) => changesOf(db, visit.id)))

  server.household(setOverride, (visit, { body }) =>
    visit.write(async (db) => {
      await writeOverride(db, visit.id, body)
      return changesOf(db, visit.id)
    }),
  )

  server.household(setChoice, (visit, { body }) =>
    visit.write(async (db) => {
      await writeChoice(db, visit.id, body)
      return changesOf(db, visit.id)
    }),
  )

  server.household(habitsEndpoint, (visit, { body }) =>
    visit.write(async (db) => {
      await setHabits(db, visit.id, body)
      return changesOf(db, visit.id)
    }),
  )

  server.household(setVariety, (visit, { body }) =>
    visit.write(async (db) => {
      await writeVariety(db, visit.id, body)
      return changesOf(db, visit.id)
    }),
  )

  server.household(readLearnt, async (visit, { params }) => {
    const house = await visit.house()
    return learntView(house, params.crop, await visit.read((db) => varietiesOf(db, visit.id, params.crop)))
  })

  server.household(addOwnCrop, (visit, { body }) =>
    visit.write(async (db) => {
      const id = await writeOwnCrop(db, visit.id, body)
      return { id, changes: await changesOf(db, visit.id) }
    }),
  )

  server.household(removeOwnCrop, (visit, { params }) =>
    visit.write(async (db) => {
      await dropOwnCrop(db, visit.id, params.crop)
      return changesOf(db, visit.id)
    }),
  )
}
