import { bookPowerCut, listRecipes, makeDish, readFreezers, readMadeOf } from '@vadose/contract/kitchen'
import { codeIn, lotByCode, lotRow } from '../lots'
import type { Server } from '../serve'
import { freezersView } from './freezers'
import { madeOf, recipesOf } from './view'
import { writeDish, writePowerCut } from './write'

export function serveKitchen(server: Server): void {
  server.household(makeDish, async (visit, { body }) => {
    const { code, ...written } = await visit.write((db, moment) => writeDish(db, moment, body))
    const lot = (await visit.house()).lot(code)
    if (lot) return { lot: lotRow(await visit.house(), lot), ...written }
    // sent again after all of it was eaten
    const { id: _, ...gone } = (await visit.read((db) => lotByCode(db, visit.id, code)))!
    return { lot: gone, ...written }
  })

  server.household(listRecipes, async (visit) => {
    const house = await visit.house()
    return visit.read((db) => recipesOf(db, visit.id, house))
  })

  server.household(readFreezers, async (visit) => {
    const house = await visit.house()
    return house.shown('freezers', [], () => freezersView(house))
  })

  server.household(readMadeOf, async (visit, { params }) => {
    const house = await visit.house()
    return visit.read((db) => madeOf(db, visit.id, house, codeIn(params.code)))
  })

  server.household(bookPowerCut, (visit, { body: { hoursOff, bags, requestId } }) =>
    visit.write((db, moment) => writePowerCut(db, moment, hoursOff, bags, requestId)),
  )
}
